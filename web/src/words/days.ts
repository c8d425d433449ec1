/** The school's time zone, where it is another than this device's. */
let zone: string | undefined;

export function keepZone(name: string | null | undefined): void {
  zone = name ?? undefined;
}

/** Days as the API has them, in the place where the school is. */
export function isoDay(moment: Date): string {
  // The one locale whose days are written as the API writes them.
  return new Intl.DateTimeFormat("sv-SE", { timeZone: zone }).format(moment);
}

export const today = (): string => isoDay(new Date());

export function plusDays(day: string, days: number): string {
  const date = new Date(`${day}T12:00:00Z`);
  date.setUTCDate(date.getUTCDate() + days);
  return date.toISOString().slice(0, 10);
}

/** Days from Monday to a day of the same week: 0 to 6. */
export const sinceMonday = (day: string): number => (new Date(`${day}T12:00:00Z`).getUTCDay() + 6) % 7;

/** The first day of a day's week. */
export const mondayOf = (day: string): string => plusDays(day, -sinceMonday(day));

/** "2026-01" and -1 are "2025-12". */
export function plusMonths(month: string, months: number): string {
  const date = new Date(`${month}-15T12:00:00Z`);
  date.setUTCMonth(date.getUTCMonth() + months);
  return date.toISOString().slice(0, 7);
}

/** How a day is written, everywhere: "Wed 25 Nov", the year where it is another than this one, or "today". */
export function dayWords(day: string): string {
  if (day === today()) return "today";
  const year = day.slice(0, 4) === today().slice(0, 4) ? undefined : "numeric";
  const parts = { weekday: "short", day: "numeric", month: "short", year, timeZone: "UTC" } as const;
  return new Intl.DateTimeFormat("en-GB", parts).format(new Date(`${day}T12:00:00Z`)).replace(",", "");
}

/** Within a term the year needs no saying: "Wed 6 Jan". */
export const shortDay = (day: string): string => dayWords(day).replace(/ \d{4}$/, "");

/** "March 2026". */
export function monthWords(month: string): string {
  const parts = { month: "long", year: "numeric", timeZone: "UTC" } as const;
  return new Intl.DateTimeFormat("en-GB", parts).format(new Date(`${month}-15T12:00:00Z`));
}

/** The day of a moment, written like all days. */
export const moment = (iso: string): string => dayWords(isoDay(new Date(iso)));

/** "15:40". */
export function clock(iso: string): string {
  const parts = { hour: "2-digit", minute: "2-digit", timeZone: zone } as const;
  return new Intl.DateTimeFormat("en-GB", parts).format(new Date(iso));
}
