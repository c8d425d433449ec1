/** The key that switches each lens. */
export const LENS_KEYS: Readonly<Record<string, string>> = {
  minute_numbers: "n",
  halves: "p",
  hour_gap: "g",
};

export function lensWithKey(key: string): string | undefined {
  return Object.keys(LENS_KEYS).find((lens) => LENS_KEYS[lens] === key);
}
