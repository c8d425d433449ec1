export {
  clock,
  dayWords,
  isoDay,
  keepLocale,
  keepZone,
  moment,
  monthWords,
  paperDay,
  plusDays,
  mondayOf,
  sinceMonday,
  plusMonths,
  shortDay,
  today,
} from "./days";

/** A number with its noun: "1 clock", "7 clocks"; "child" needs its own plural. */
export function counted(count: number, one: string, many = `${one}s`): string {
  return count === 1 ? `1 ${one}` : `${count} ${many}`;
}

export const countedChildren = (count: number): string => counted(count, "child", "children");
