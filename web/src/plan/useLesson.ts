import { objectPick } from "@vueuse/core";
import { computed, shallowRef, type ComputedRef, type Ref, type ShallowRef } from "vue";
import { changeLesson, readLesson, useApiMutation, type Refused, type Lesson, type LessonPlan } from "@/api";

/** A time of a stage by its place among the stage's times. */
export interface Spot {
  stage: string;
  at: number;
}

interface Settling {
  lesson: ShallowRef<Lesson | null>;
  /** What was refused, with the field it belongs to. */
  refused: ShallowRef<Refused | null>;
  busy: Ref<boolean>;
  canUndo: ComputedRef<boolean>;
  load: (id: number) => Promise<void>;
  /** Settles the lesson anew with these changes; it is kept at once. */
  settle: (changes: Partial<LessonPlan>) => Promise<boolean>;
  undo: () => Promise<void>;
  swap: (spot: Spot) => Promise<boolean>;
  put: (spot: Spot, time: string) => Promise<boolean>;
  pin: (spot: Spot) => Promise<boolean>;
}

type Places = Record<string, (string | null)[]>;

/** The times of each stage as they stand. */
function standing(lesson: Lesson): Places {
  return Object.fromEntries(
    lesson.stages.map((stage) => [stage.id, stage.items.flatMap((item) => (item.time ? [item.time] : []))]),
  );
}

/** The same with only the pinned ones; every other place is chosen for. */
export function pinnedOnly(lesson: Lesson): Places {
  const places = Object.entries(standing(lesson)).map(([stage, times]) => [
    stage,
    times.map((time) => (time && lesson.pinned[stage]?.includes(time) ? time : null)),
  ]);
  return Object.fromEntries(places) as Places;
}

/** What a teacher settles of a lesson, beside its times. */
const SETTLED = [
  "day",
  "step",
  "task",
  "minutes",
  "seed",
  "method",
  "stage_minutes",
  "pinned",
  "swapped",
  "opening",
  "activities",
  "version",
] as const;

const planOf = (lesson: Lesson): LessonPlan => ({
  ...objectPick(lesson, [...SETTLED]),
  kept: standing(lesson),
});

/** A lesson that is changed and kept in one go, with every change to be undone. */
export function useLesson(): Settling {
  const lesson = shallowRef<Lesson | null>(null);
  const { busy, refused, run } = useApiMutation();
  const past = shallowRef<LessonPlan[]>([]);

  const asking = (what: () => Promise<Lesson>): Promise<boolean> =>
    run(async () => {
      lesson.value = await what();
    });

  async function load(id: number): Promise<void> {
    past.value = [];
    await asking(() => readLesson(id));
  }

  /** One change after the other, each made from what the one before has left. */
  let last: Promise<unknown> = Promise.resolve();
  function settle(changes: Partial<LessonPlan>): Promise<boolean> {
    const settled = last.then(() => settleNow(changes));
    last = settled;
    return settled;
  }

  async function settleNow(changes: Partial<LessonPlan>): Promise<boolean> {
    const now = lesson.value;
    if (!now) return false;
    const before = planOf(now);
    const settled = await asking(() => changeLesson(now.id, { ...before, ...changes }));
    if (settled) past.value = [...past.value, before];
    return settled;
  }

  async function undo(): Promise<void> {
    const before = past.value.at(-1);
    const id = lesson.value?.id;
    if (!before || !id) return;
    const version = lesson.value?.version;
    if (await asking(() => changeLesson(id, { ...before, version }))) past.value = past.value.slice(0, -1);
  }

  function placed(spot: Spot, time: string | null): Places {
    const places = lesson.value ? standing(lesson.value) : {};
    return {
      ...places,
      [spot.stage]: (places[spot.stage] ?? []).map((old, at) => (at === spot.at ? time : old)),
    };
  }

  const timeAt = (spot: Spot): string =>
    lesson.value ? (standing(lesson.value)[spot.stage]?.[spot.at] ?? "") : "";

  const swap = (spot: Spot): Promise<boolean> =>
    settle({ kept: placed(spot, null), swapped: [...(lesson.value?.swapped ?? []), timeAt(spot)] });

  /** A typed time stays: it is pinned. */
  function put(spot: Spot, time: string): Promise<boolean> {
    const pinned = { ...lesson.value?.pinned };
    pinned[spot.stage] = [...(pinned[spot.stage] ?? []).filter((pin) => pin !== timeAt(spot)), time];
    return settle({ kept: placed(spot, time), pinned });
  }

  function pin(spot: Spot): Promise<boolean> {
    const time = timeAt(spot);
    const pins = lesson.value?.pinned[spot.stage] ?? [];
    const changed = pins.includes(time) ? pins.filter((pin) => pin !== time) : [...pins, time];
    return settle({ pinned: { ...lesson.value?.pinned, [spot.stage]: changed } });
  }

  return {
    lesson,
    refused,
    busy,
    canUndo: computed(() => past.value.length > 0),
    load,
    settle,
    undo,
    swap,
    put,
    pin,
  };
}
