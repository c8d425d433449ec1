import { defineStore } from "pinia";
import { computed, shallowRef } from "vue";
import { api, asked, type Catalogue, type DialFacts, type MisreadingTexts } from "./client";

/** The table of 720 times and the catalogue, as core made them. Fetched once, looked up ever after. */
export const useFacts = defineStore("facts", () => {
  const times = shallowRef<DialFacts[]>([]);
  const catalogue = shallowRef<Catalogue | null>(null);
  const places = computed(() => new Map(times.value.map((facts, place) => [facts.time, place])));

  async function load(): Promise<void> {
    const [dial, all] = await Promise.all([asked(api.GET("/api/dial")), asked(api.GET("/api/catalogue"))]);
    times.value = dial.times;
    catalogue.value = all;
  }

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
    return catalogue.value?.misreadings.find((one) => one.id === id) as MisreadingTexts;
  }

  function lensName(id: string): string {
    return catalogue.value?.lenses.find((lens) => lens.id === id)?.name ?? id;
  }

  /** "Quarters, in words": what a check is called. */
  function titleOf(check: { step: string; task: string }): string {
    const step = catalogue.value?.steps.find((one) => one.id === check.step)?.name ?? check.step;
    const notation = catalogue.value?.tasks.find((one) => one.id === check.task)?.notation;
    return `${step}, in ${notation}`;
  }

  return { times, catalogue, load, at, placeOf, of, misreading, lensName, titleOf };
});
