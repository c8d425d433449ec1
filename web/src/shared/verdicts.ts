import type { Answer } from "@/api";

type Verdict = Answer["verdict"];

/**
 * How each verdict is told: by the state of one small ring, a word and a colour, so that none of them is needed alone. A whole
 * ring is right, a nicked one right but for something, a broken one not right, a dotted one unreadable.
 */
export const VERDICTS: Readonly<Record<Verdict, { word: string; ring: Ring; tone: string }>> = {
  right: { word: "right", ring: "whole", tone: "right" },
  right_other_words: { word: "right, in other words", ring: "thin", tone: "right" },
  right_writing_slip: { word: "right, spelling or form slip", ring: "nicked", tone: "slip" },
  right_gap: { word: "minute hand right, hour hand a little off", ring: "halved", tone: "slip" },
  right_time_only: { word: "right time, wrong mistake chosen", ring: "halved", tone: "slip" },
  near: { word: "near enough", ring: "thin", tone: "right" },
  misread: { word: "wrong", ring: "broken", tone: "misread" },
  unexplained: { word: "wrong, cause unknown", ring: "scattered", tone: "misread" },
  unreadable: { word: "unreadable", ring: "dotted", tone: "slip" },
  blank: { word: "blank", ring: "gone", tone: "none" },
};

/** A verdict in words, with the part of a wrong answer that is right. */
export const verdictWords = (answer: Pick<Answer, "verdict" | "half">): string =>
  answer.half ? `${VERDICTS[answer.verdict].word}, ${HALVES[answer.half]}` : VERDICTS[answer.verdict].word;
const HALVES = { hour: "the hour is right", minutes: "the minutes are right" } as const;

/** States of the ring: how wide its line is, and the lengths of line and gap round it, of 360 in all. */
export type Ring = "whole" | "thin" | "nicked" | "halved" | "broken" | "scattered" | "dotted" | "gone";
export const RINGS: Readonly<Record<Ring, { width: number; dashes: string; turn: number }>> = {
  whole: { width: 4.6, dashes: "360", turn: 0 },
  thin: { width: 2.2, dashes: "360", turn: 0 },
  nicked: { width: 3.6, dashes: "316 44", turn: -68 },
  halved: { width: 3.6, dashes: "140 40", turn: -70 },
  broken: { width: 3.6, dashes: "200 160", turn: 70 },
  scattered: { width: 3.6, dashes: "62 58", turn: 0 },
  dotted: { width: 3.2, dashes: "0.1 44.9", turn: 0 },
  gone: { width: 2.2, dashes: "0 360", turn: 0 },
};

/** What each writing slip is called. */
export const SLIPS: Readonly<Record<Answer["slips"][number], string>> = {
  separator: "different sign, such as 7.45",
  run_together: "no sign between hours and minutes",
  one_digit: "a %{nought} left out",
  no_side: "“past” or “to” left out",
  hour_alone: "only the hour",
  spelling: "spelling",
  copied: "copied from the question",
};
