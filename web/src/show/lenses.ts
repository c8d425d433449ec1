/** The key that switches each lens. */
export const LENS_KEYS: Readonly<Record<string, string>> = {
  minute_numbers: "n",
  sweep: "s",
  hour_line: "v",
  halves: "p",
  quarters: "q",
  hour_gap: "g",
  hand_lines: "l",
  roman: "i",
  no_numerals: "x",
  no_marks: "m",
  hour_alone: "h",
  minute_alone: "j",
  two_dials: "t",
  day: "d",
};

/** Lenses that say which hands are seen: one of them at a time. */
const HANDS = ["hour_alone", "minute_alone", "two_dials"];
/** Lenses that say which numbers are seen: one of them at a time. */
const NUMBERS = ["roman", "no_numerals"];

export function lensWithKey(key: string): string | undefined {
  return Object.keys(LENS_KEYS).find((lens) => LENS_KEYS[lens] === key);
}

/** Switches a lens, and those off that cannot be on beside it. */
export function toggleLens(lenses: Set<string>, lens: string): void {
  if (lenses.delete(lens)) return;
  const apart = [HANDS, NUMBERS].find((some) => some.includes(lens)) ?? [];
  apart.forEach((other) => lenses.delete(other));
  lenses.add(lens);
}
