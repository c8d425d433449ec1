/** Days as the API has them, in the place where the teacher is. */
export function isoDay(date: Date): string {
  const two = (part: number): string => String(part).padStart(2, "0");
  return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;
}

export const today = (): string => isoDay(new Date());

export function plusDays(day: string, days: number): string {
  const date = new Date(`${day}T12:00:00`);
  date.setDate(date.getDate() + days);
  return isoDay(date);
}

/** "Wed 25 Nov", or "today". */
export function dayWords(day: string): string {
  if (day === today()) return "today";
  const format = new Intl.DateTimeFormat("en-GB", { weekday: "short", day: "numeric", month: "short" });
  return format.format(new Date(`${day}T12:00:00`));
}

/** A seed for what is chosen anew. */
export const newSeed = (): number => Math.floor(Math.random() * 2 ** 31);
