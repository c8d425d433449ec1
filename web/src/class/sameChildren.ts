import type { RosterChange } from "@/api";

/** Files that a list of children comes in. */
export const LISTS = ".zip,.csv,.txt,.tsv";

/** How much of a listed name is stored. */
export const NAMES = [
  { value: "first", text: "First names only" },
  { value: "initial", text: "With a letter of the family name" },
  { value: "full", text: "With the family name" },
];

/** For each place on a list that is open the child that the server puts first, none twice. */
export function firstOfEach(
  doubts: Readonly<RosterChange["doubts"]>,
  same: Readonly<Record<number, number | null>> = {},
): Record<number, number | null> {
  const taken = new Set(Object.values(same));
  const found = { ...same };
  for (const doubt of doubts) {
    if (found[doubt.at]) continue;
    const child = doubt.children.find(({ id }) => !taken.has(id));
    if (!child) continue;
    found[doubt.at] = child.id;
    taken.add(child.id);
  }
  return found;
}

/** The same as it is sent. */
export const pairs = (same: Readonly<Record<number, number | null>>): { at: number; child_id: number }[] =>
  Object.entries(same).flatMap(([at, child]) => (child ? [{ at: +at, child_id: child }] : []));
