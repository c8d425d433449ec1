import { queries, TABLE } from "./useApiQuery";
import { defineStore } from "pinia";
import { computed, shallowRef } from "vue";
import { keepLocale } from "@/words";
import {
  api,
  asked,
  type Catalogue,
  type DayEvent,
  type DayFacts,
  type DialFacts,
  type MisreadingTexts,
  type Session,
} from "./client";

type Rung = Catalogue["ladder"][number];
/** A class's choices by convention; no choices are the usual ones. */
export type Choices = Readonly<Record<string, string>>;

/** The tables of times and the catalogue, as core made them. Fetched once, looked up ever after. */
export const useFacts = defineStore("facts", () => {
  const times = shallowRef<DialFacts[]>([]);
  const dayTimes = shallowRef<DayFacts[]>([]);
  const usualDay = shallowRef<DayEvent[]>([]);
  const catalogue = shallowRef<Catalogue | null>(null);
  const choices = shallowRef<Choices>({});
  /** What goes with the school's country: the first day of its week, and whose standards it has. */
  const country = shallowRef<Session["country"]>({ week: "monday", standards: "", locale: "en-GB" });
  const ofCountry = (standards: readonly string[]): string[] =>
    standards.filter((standard) => standard.startsWith(country.value.standards));
  const places = computed(() => new Map(times.value.map((facts, place) => [facts.time, place])));

  /** A table in the words of a class stays true: it is fetched once for each way of speaking. */
  const table = <T>(path: string, conventions: string, load: () => Promise<T>): Promise<T> =>
    queries.fetchQuery({ queryKey: [TABLE, path, conventions], queryFn: load, staleTime: Infinity });

  let spoken = "";
  /** Loads the table in the words and method of a class; the last asked for wins. */
  async function speak(as: Choices): Promise<void> {
    const conventions = Object.values(as).join(",");
    const params = { query: { conventions } };
    spoken = conventions;
    const [dial, all] = await Promise.all([
      table("dial", conventions, () => asked(api.GET("/api/dial", { params }))),
      table("catalogue", conventions, () => asked(api.GET("/api/catalogue", { params }))),
    ]);
    if (conventions !== spoken) return;
    times.value = dial.times;
    catalogue.value = all;
    keepLocale(all.english.locale);
    choices.value = as;
    dayTimes.value = [];
  }

  /** Loads the times of the day, where they are not there yet. */
  async function loadDay(): Promise<void> {
    if (dayTimes.value.length) return;
    const conventions = Object.values(choices.value).join(",");
    const params = { query: { conventions } };
    const day = await table("day", conventions, () => asked(api.GET("/api/day", { params })));
    usualDay.value = day.usual_day;
    dayTimes.value = day.times;
  }

  /** A time of the day as the class writes it; as it is where the day is not loaded yet. */
  const typedTime = (time: string): string => dayTimes.value.find((row) => row.time === time)?.typed ?? time;

  /** The row of a place in the table, counted round the dial. */
  function at(place: number): DialFacts {
    const length = times.value.length;
    return times.value[((place % length) + length) % length] as DialFacts;
  }

  /** Where a time such as "7:45" stands in the table; nothing where there is no such time. */
  function placeOf(time: string): number | undefined {
    return places.value.get(time);
  }

  function of(time: string): DialFacts {
    return at(placeOf(time) ?? 0);
  }

  function misreading(id: string): MisreadingTexts {
    return catalogue.value?.misreadings.find((misreading) => misreading.id === id) as MisreadingTexts;
  }

  /** What a lesson is called: its step, and in words or in digits where it can be either. */
  const lessonTitle = (lesson: { step: string; task?: string | null | undefined }): string =>
    rung(lesson.step).tasks.find((task) => task.id === lesson.task)?.title ?? rung(lesson.step).name;

  function rung(id: string): Rung {
    return catalogue.value?.ladder.find((rung) => rung.id === id) as Rung;
  }

  function lensName(id: string): string {
    return catalogue.value?.lenses.find((lens) => lens.id === id)?.name ?? id;
  }

  const kind = (id: string): Catalogue["kinds"][number] | undefined =>
    catalogue.value?.kinds.find((kind) => kind.id === id);
  const kindName = (id: string): string => kind(id)?.name ?? id;

  /** A text with the words of the class's English in their places: "a %{nought} left out". */
  const inEnglish = (text: string): string =>
    text.replace(/%\{(\w+)\}/g, (place, word: string) => catalogue.value?.english.words[word] ?? place);

  /** "Quarters, in words": what a check is called. */
  function titleOf(check: {
    step: string;
    task: string;
    baseline?: boolean;
    desk?: { kind: string } | null;
  }): string {
    if (check.baseline || check.desk?.kind === "baseline") return "Where each child is";
    const step = rung(check.step).name;
    if (check.desk?.kind === "practice") return `Practice on devices: ${step.toLowerCase()}`;
    const notation = catalogue.value?.tasks.find((task) => task.id === check.task)?.notation;
    if (notation) return `${step}, in ${notation}`;
    const task = catalogue.value?.sheets.flatMap((kind) => kind.tasks).find((task) => task.id === check.task);
    const name = task?.name ?? check.task;
    // A step that is asked in one way is not named twice.
    if (name === step || rung(check.step).tasks.length === 1) return step;
    return `${step}: ${name.toLowerCase()}`;
  }

  /** The kind of sheet that asks a step's own tasks: reading, where there are times to read. */
  function sheetKindOf(step: string): string {
    const kinds =
      catalogue.value?.sheets.filter((kind) => kind.tasks.length && kind.steps.includes(step)) ?? [];
    return (kinds.find((kind) => kind.id === "read") ?? kinds[0])?.id ?? "read";
  }

  /** The step itself, or the last one before it that is among those; never a harder one than need be. */
  function nearestStep(step: string, among: readonly string[]): string {
    const steps = catalogue.value?.ladder.map((rung) => rung.id) ?? [];
    const down = steps.slice(0, steps.indexOf(step) + 1).reverse();
    return down.find((id) => among.includes(id)) ?? among[0] ?? "";
  }

  /** Whether each child was given tasks of their own on a device: there is nothing to print or to type in. */
  const ownTasks = (check: { desk?: { kind: string } | null }): boolean =>
    ["practice", "baseline"].includes(check.desk?.kind ?? "");

  /** Whether a check is printed as slips: dials, the same for all. */
  function hasSlips(check: { task: string; own_times: boolean; desk: { kind: string } | null }): boolean {
    return (
      !check.own_times &&
      !ownTasks(check) &&
      Boolean(catalogue.value?.tasks.some((task) => task.id === check.task))
    );
  }

  return {
    hasSlips,
    ownTasks,
    sheetKindOf,
    nearestStep,
    times,
    dayTimes,
    usualDay,
    catalogue,
    choices,
    speak,
    loadDay,
    at,
    placeOf,
    typedTime,
    of,
    misreading,
    rung,
    lessonTitle,
    lensName,
    kind,
    kindName,
    titleOf,
    inEnglish,
    country,
    ofCountry,
  };
});
