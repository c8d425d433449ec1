import { useIntervalFn, useSessionStorage } from "@vueuse/core";
import { computed, toRef, type ComputedRef, type Ref } from "vue";
import type { Lesson, LessonItem, LessonStage } from "@/api";

/** An item of a lesson that is given; the way to begin is one before all others. */
export type RunItem = LessonItem | { kind: "opening"; seconds: 0; time?: undefined; dial?: undefined };

interface Running {
  stageAt: Ref<number>;
  itemAt: Ref<number>;
  stage: ComputedRef<LessonStage | undefined>;
  items: ComputedRef<RunItem[]>;
  item: ComputedRef<RunItem | undefined>;
  /** Stages whose times are worked on together on one page. */
  together: ComputedRef<boolean>;
  /** The share of each stage's time that is used, 0 to 1; more where it runs over. */
  used: ComputedRef<number[]>;
  /** Times of what is new that were not shown yet. */
  notReached: ComputedRef<string[]>;
  /** How long things took that were gone through one by one. */
  took: ComputedRef<Took[]>;
  next: () => boolean;
  back: () => void;
  goStage: (at: number) => void;
  /** Forgets where the lesson was: it has ended. */
  forget: () => void;
}

/** How long an item took. */
export interface Took {
  kind: string;
  seconds: number;
}

/** Where a lesson is; kept while the browser is open, so that a look elsewhere loses nothing. */
interface Place {
  stageAt: number;
  itemAt: number;
  seconds: number[];
  /** How long each item took that was gone through; the last is the one on the wall. */
  took: Took[];
  /** Of the item on the wall. */
  now: number;
  reached: string[];
}

/** A lesson that was left open over lunch has no longer item than this. */
const AN_HOUR = 3600;

/** Where in its lesson a class is, and how much of the time is used. */
export function useRun(id: string, lesson: () => Lesson | null): Running {
  const start: Place = { stageAt: 0, itemAt: 0, seconds: [], took: [], now: 0, reached: [] };
  const place = useSessionStorage<Place>(`vantick.run.${id}`, { ...start });
  const stageAt = toRef(place.value, "stageAt");
  const itemAt = toRef(place.value, "itemAt");
  const stages = computed(() => lesson()?.stages ?? []);
  const stage = computed(() => stages.value[stageAt.value]);
  const together = computed(() => stage.value?.on_paper ?? false);
  /** The clock that all are asked first is shown first, on boards: one look tells whether to go on. */
  const asked = (own: LessonItem[]): RunItem[] => {
    const hinge = lesson()?.hinges.find((hinge) => hinge.before === stage.value?.id);
    const first = own.find((item) => item.time && item.time === hinge?.time);
    return first && !together.value
      ? [{ ...first, kind: "show_boards" }, ...own.filter((item) => item !== first)]
      : own;
  };
  const items = computed<RunItem[]>(() => {
    const own = asked(stage.value?.items ?? []);
    return stageAt.value === 0 ? [{ kind: "opening", seconds: 0 }, ...own] : own;
  });
  const item = computed(() => items.value[itemAt.value]);

  useIntervalFn(() => {
    const next = [...place.value.seconds];
    next[stageAt.value] = (next[stageAt.value] ?? 0) + 1;
    place.value.seconds = Array.from(next, (seconds) => seconds ?? 0);
    place.value.now += 1;
  }, 1000);

  function mark(): void {
    const seen = (together.value ? items.value : [item.value]).flatMap((item) => item?.time ?? []);
    const now = seen.map((time) => `${stage.value?.id} ${time}`);
    place.value.reached = [...new Set([...place.value.reached, ...now])];
  }

  function goStage(at: number): void {
    if (at < 0 || at >= stages.value.length) return;
    stageAt.value = at;
    itemAt.value = 0;
    place.value.now = 0;
    mark();
  }

  /** What was on the wall has been gone through; what of it tells of the pace, core says. */
  function done(): void {
    const { now } = place.value;
    place.value.now = 0;
    if (together.value || !item.value?.seconds || now < 1) return;
    place.value.took = [...place.value.took, { kind: item.value.kind, seconds: Math.min(now, AN_HOUR) }];
  }

  /** To the next item, or the next stage; false at the end of the lesson. */
  function next(): boolean {
    done();
    if (!together.value && itemAt.value < items.value.length - 1) {
      itemAt.value += 1;
      mark();
      return true;
    }
    if (stageAt.value === stages.value.length - 1) return false;
    goStage(stageAt.value + 1);
    return true;
  }

  /** To the item before; from the first of a stage to the last of the one before. */
  function back(): void {
    if (!together.value && itemAt.value > 0) {
      itemAt.value -= 1;
    } else if (stageAt.value > 0) {
      goStage(stageAt.value - 1);
      if (!together.value) itemAt.value = Math.max(0, items.value.length - 1);
    }
    mark();
  }

  const used = computed(() =>
    stages.value.map((stage, at) => (place.value.seconds[at] ?? 0) / (stage.minutes * 60)),
  );
  const notReached = computed(() =>
    stages.value
      .filter((stage) => stage.fresh)
      .flatMap((stage) =>
        stage.items.flatMap((it) =>
          it.time && !place.value.reached.includes(`${stage.id} ${it.time}`) ? it.time : [],
        ),
      ),
  );

  function forget(): void {
    Object.assign(place.value, { ...start, seconds: [], took: [], reached: [] });
  }

  const took = computed(() => place.value.took);
  return {
    forget,
    took,
    stageAt,
    itemAt,
    stage,
    items,
    item,
    together,
    used,
    notReached,
    next,
    back,
    goStage,
  };
}
