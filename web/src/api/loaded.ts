import { ref, shallowRef, watch, type Ref, type ShallowRef } from "vue";
import { Refused } from "./client";

interface Loaded<T> {
  /** What was loaded; nothing before, and nothing where it cannot be. */
  data: ShallowRef<T | null>;
  /** What went wrong, for a person to read; empty where nothing did. */
  trouble: Ref<string>;
  reload: () => Promise<void>;
}

/** The words of an error for a person. */
export function wordsOf(error: unknown): string {
  return error instanceof Refused ? error.message : String(error);
}

/** Loads a page's data, and again whenever what it depends on changes. The last asked for wins. */
export function useLoaded<T>(dependsOn: () => unknown, load: () => Promise<T | null>): Loaded<T> {
  const data = shallowRef<T | null>(null);
  const trouble = ref("");
  let turn = 0;

  async function reload(): Promise<void> {
    const mine = ++turn;
    data.value = null;
    trouble.value = "";
    try {
      const loaded = await load();
      if (mine === turn) data.value = loaded;
    } catch (error) {
      if (mine === turn) trouble.value = wordsOf(error);
    }
  }

  watch(dependsOn, reload, { immediate: true });
  return { data, trouble, reload };
}
