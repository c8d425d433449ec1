import type { Answer } from "@/api";

type Verdict = Answer["verdict"];

/** How each verdict is told: by a shape, a word and a colour, so that none of them is needed alone. */
export const VERDICTS: Readonly<Record<Verdict, { word: string; icon: string; tone: string }>> = {
  right: { word: "right", icon: "bi-circle-fill", tone: "right" },
  right_other_words: { word: "right, in other words", icon: "bi-circle", tone: "right" },
  right_writing_slip: { word: "right, with a writing slip", icon: "bi-square", tone: "slip" },
  right_gap: { word: "hour hand in the right gap", icon: "bi-square-half", tone: "slip" },
  right_time_only: { word: "right time, another cause", icon: "bi-square-half", tone: "slip" },
  near: { word: "near enough", icon: "bi-circle", tone: "right" },
  misread: { word: "misread", icon: "bi-triangle-fill", tone: "misread" },
  unexplained: { word: "not right, and not explained", icon: "bi-triangle", tone: "misread" },
  unreadable: { word: "could not be read", icon: "bi-question-diamond", tone: "slip" },
  blank: { word: "no answer", icon: "bi-dash", tone: "none" },
};

/** What each writing slip is called. */
export const SLIPS: Readonly<Record<Answer["slips"][number], string>> = {
  separator: "another sign between hours and minutes",
  run_together: "hours and minutes run together",
  one_digit: "a nought left out",
  no_side: "past or to left out",
  spelling: "spelling",
  copied: "written off from the question",
};
