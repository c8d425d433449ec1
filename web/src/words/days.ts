import { shallowRef } from "vue";

/** How days and numbers are written: in the class's English, or the school's. */
const locale = shallowRef("en-GB");

export function keepLocale(name: string): void {
  locale.value = name;
}

const written = (parts: Intl.DateTimeFormatOptions, moment: Date): string => {
  const text = new Intl.DateTimeFormat(locale.value, parts).format(moment);
  // British days have no comma, though some versions of CLDR write one.
  return locale.value === "en-GB" ? text.replace(",", "") : text;
};

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

const dayIn = (day: string, year: "numeric" | undefined): string =>
  day === today()
    ? "today"
    : written(
        { weekday: "short", day: "numeric", month: "short", year, timeZone: "UTC" },
        new Date(`${day}T12:00:00Z`),
      );

/** A day on paper, where "today" would be another day tomorrow: "Wed 25 Nov 2026". */
export const paperDay = (day: string): string =>
  written(
    { weekday: "short", day: "numeric", month: "short", year: "numeric", timeZone: "UTC" },
    new Date(`${day}T12:00:00Z`),
  );

/** How a day is written, everywhere: "Wed 25 Nov", the year where it is another than this one, or "today". */
export const dayWords = (day: string): string =>
  dayIn(day, day.slice(0, 4) === today().slice(0, 4) ? undefined : "numeric");

/** Within a term the year needs no saying: "Wed 6 Jan". */
export const shortDay = (day: string): string => dayIn(day, undefined);

/** "March 2026". */
export function monthWords(month: string): string {
  const parts = { month: "long", year: "numeric", timeZone: "UTC" } as const;
  return written(parts, new Date(`${month}-15T12:00:00Z`));
}

/** The day of a moment, written like all days. */
export const moment = (iso: string): string => dayWords(isoDay(new Date(iso)));

/** "09:40" and "15:40", or "9:40 AM" and "3:40 PM". */
export function clock(iso: string): string {
  const hour = locale.value === "en-GB" ? "2-digit" : "numeric";
  return written({ hour, minute: "2-digit", timeZone: zone }, new Date(iso));
}
