import type { Lesson, LessonItem } from "@/api";

/** What a clock on the wall is asked with, where that is not the whole time. */
const ALONE: Readonly<Record<string, string>> = {
  hour_hand: "hour_only",
  minute_hand: "minute_only",
  time_of_day: "day_half",
};

/** The task that the boards answer. */
export const taskOf = (item: LessonItem, lesson: Lesson): string => ALONE[item.sees ?? ""] ?? lesson.task;

export interface Clock {
  time: string;
  dial: string;
  task: string;
  sees: LessonItem["sees"];
}

/** Clocks of a lesson that a whole class can be asked, each once: those that are asked at its hinges first. */
export function clocksToAsk(lesson: Lesson): Clock[] {
  const first = lesson.hinges.map((one) => one.time);
  const own = lesson.stages
    .filter((stage) => stage.id !== "exit")
    .flatMap((stage) => stage.items)
    .flatMap((item) =>
      item.time && item.dial
        ? { time: item.time, dial: item.dial, task: taskOf(item, lesson), sees: item.sees }
        : [],
    );
  const once = [...new Map(own.map((clock) => [clock.time, clock])).values()];
  const place = (clock: Clock): number =>
    first.includes(clock.time) ? first.indexOf(clock.time) : first.length;
  return once.sort((one, other) => place(one) - place(other));
}
