/** "6 children seem to name the hour that has passed": what a misreading looks like in some of a class. */
export function seem(children: number, does: string): string {
  return children === 1 ? `1 child seems to ${does}` : `${children} children seem to ${does}`;
}

/** Why there are no answers of a child: four things that are not the same. */
export const NO_ANSWERS: Record<string, string> = {
  empty: "blank",
  none: "away or not entered",
  away: "away",
  not_here_then: "not here then",
};

/** How many of the times a mistake showed have no other likely explanation. */
export const shownAlone = (times: number): string =>
  times === 0 ? "other mistakes could explain each" : `${times} shown by nothing else`;
