import type { Lesson, LessonItem } from "@/api";

export interface Clock {
  time: string;
  dial: string;
  task: string;
  sees: LessonItem["sees"];
}

/** Clocks of a lesson that a whole class can be asked, each once: those that are asked at its hinges first. */
export function clocksToAsk(lesson: Lesson): Clock[] {
  const first = lesson.hinges.map((hinge) => hinge.time);
  const own = lesson.stages
    .filter((stage) => stage.id !== "exit")
    .flatMap((stage) => stage.items)
    .flatMap((item) =>
      item.time && item.dial && item.task
        ? { time: item.time, dial: item.dial, task: item.task, sees: item.sees }
        : [],
    );
  const once = [...new Map(own.map((clock) => [clock.time, clock])).values()];
  const place = (clock: Clock): number =>
    first.includes(clock.time) ? first.indexOf(clock.time) : first.length;
  return once.sort((one, other) => place(one) - place(other));
}
