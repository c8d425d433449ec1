import { computed, ref, shallowRef, type ComputedRef, type Ref, type ShallowRef } from "vue";
import { Refused } from "./client";
import { askAgain, wordsOf } from "./useApiQuery";

export interface ApiMutation {
  busy: Ref<boolean>;
  /** What was refused last, with the field it belongs to. */
  refused: ShallowRef<Refused | null>;
  /** The words of it, wherever they belong. */
  errorMessage: ComputedRef<string>;
  /** The words that belong to one of these fields; empty where there are none. */
  wrong: (...fields: string[]) => string;
  /** The words that belong to none of these. */
  elsewhere: (...fields: string[]) => string;
  /** Does it, and says whether it was done; what was refused before is forgotten, and what the page asked is asked again. */
  run: (what: () => Promise<unknown>) => Promise<boolean>;
}

/** Something a page has the server do: whether it is at it, and what was refused, at its field. */
export function useApiMutation(): ApiMutation {
  const busy = ref(false);
  const refused = shallowRef<Refused | null>(null);
  const about = (fields: string[]): boolean => fields.includes(refused.value?.field ?? "");

  async function run(what: () => Promise<unknown>): Promise<boolean> {
    busy.value = true;
    refused.value = null;
    try {
      await what();
      void askAgain();
      return true;
    } catch (error) {
      refused.value = error instanceof Refused ? error : new Refused(null, wordsOf(error), 500);
      return false;
    } finally {
      busy.value = false;
    }
  }

  return {
    busy,
    refused,
    run,
    errorMessage: computed(() => refused.value?.message ?? ""),
    wrong: (...fields) => (about(fields) ? (refused.value?.message ?? "") : ""),
    elsewhere: (...fields) => (about(fields) ? "" : (refused.value?.message ?? "")),
  };
}
