import type { Desk, LiveChild, useFacts } from "@/api";

type Facts = ReturnType<typeof useFacts>;

/** What a desk was opened for. */
export function titleOfDesk(desk: Desk, facts: Facts): string {
  if (desk.kind === "practice") return `Free practice${desk.step ? `: ${facts.rung(desk.step).name}` : ""}`;
  if (desk.kind === "baseline") return "Where each child is";
  if (desk.kind === "exit") return "Exit check";
  const stage = facts.catalogue?.desk_stages.find((stage) => stage.id === desk.stage)?.name ?? desk.stage;
  return `Part of the lesson: ${stage}`;
}

/** "up to quarter past": where a child was found on the ladder. */
export const placeInWords = (place: NonNullable<LiveChild["place"]>, facts: Facts): string =>
  place.step ? `up to ${facts.rung(place.step).name.toLowerCase()}` : "not o'clock yet";

/** Why a child has this task now. */
export function whyAsked(asked: NonNullable<LiveChild["asked"]>, facts: Facts): string {
  if (asked.against) return `helps with: ${facts.misreading(asked.against).name}`;
  const WHY = {
    tells: "shows most about this child",
    helps: "helps most",
    known: "known, for review",
    practises: "practice",
    given: "the same for all",
  } as const;
  return WHY[asked.reason];
}

export const STUCK: Readonly<Record<"running" | "quiet", string>> = {
  running: "two wrong in a row",
  quiet: "no answer for a minute",
};
