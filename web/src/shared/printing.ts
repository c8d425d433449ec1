import { createGlobalState, useLocalStorage } from "@vueuse/core";

/** What a teacher prints as a rule. On both sides nobody gets answers, or another's exercises, on the back. */
export interface Printing {
  part: "all" | "sheets" | "answers";
  sides: "one" | "both";
}

export const usePrinting = createGlobalState(() =>
  useLocalStorage<Printing>("vantick.printing", { part: "all", sides: "both" }, { mergeDefaults: true }),
);

/** The address of a file, printed as a teacher does. */
export function printed(path: string, how: Partial<Printing>, more: Record<string, string> = {}): string {
  const query = new URLSearchParams({ ...how, ...more });
  return `${path}?${query}`;
}
