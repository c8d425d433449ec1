import { watchDebounced } from "@vueuse/core";
import { computed, ref, shallowRef, type ComputedRef, type Ref, type ShallowRef } from "vue";
import { readNames, readNamesBeside, useApiMutation, type Commas, type NamesRead } from "@/api";

export interface NamesTyped {
  read: ShallowRef<NamesRead | null>;
  /** What a teacher said of the commas; nothing before. */
  commas: Ref<Commas>;
  errorMessage: ComputedRef<string>;
  /** The names as they are shown; nothing where they are not shown yet, or cannot be read: then they are shown now. */
  shown: () => Promise<string[] | null>;
}

const SOON = 250;

/** Reads a typed list of names as it is typed, so that what it is taken for is seen before it is taken. */
export function useNamesRead(text: () => string, classId: () => number | null): NamesTyped {
  const read = shallowRef<NamesRead | null>(null);
  const commas = ref<Commas>(null);
  const of = ref("");
  const { errorMessage, run } = useApiMutation();
  const now = computed(() => JSON.stringify([text(), classId(), commas.value]));

  const readAs = (typed: { text: string; commas: Commas }): Promise<NamesRead> => {
    const id = classId();
    return id ? readNamesBeside(id, typed) : readNames(typed);
  };

  async function look(): Promise<boolean> {
    const asked = now.value;
    let found: NamesRead | null = null;
    const done = await run(async () => {
      found = text().trim() ? await readAs({ text: text(), commas: commas.value }) : null;
    });
    if (asked !== now.value) return false;
    read.value = found;
    of.value = asked;
    return done;
  }
  watchDebounced(now, () => void look(), { debounce: SOON, immediate: true });

  async function shown(): Promise<string[] | null> {
    const seen = of.value === now.value;
    const done = seen || (await look());
    const plain = read.value?.children.every((child) => !child.alike) && !read.value.commas;
    if (!done || errorMessage.value || !(seen || plain)) return text().trim() ? null : [];
    return read.value?.children.map((child) => child.name) ?? [];
  }

  return { read, commas, errorMessage, shown };
}
