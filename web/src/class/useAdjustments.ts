import { computed, shallowRef, type ComputedRef, type Ref } from "vue";
import { adjustChild, readAdjustments, useApiMutation, useApiQuery, type Adjustments } from "@/api";

const NONE: Adjustments = {
  voice: false,
  larger: false,
  fewer: false,
  help: false,
  unhurried: false,
  buttons: false,
  left_handed: false,
  calm: false,
  notation: "both",
  home: null,
};

interface ChildAdjustments {
  /** Whether they are known by now. */
  known: ComputedRef<boolean>;
  /** What is set, or chosen and not saved yet. */
  set: ComputedRef<Adjustments>;
  /** What is set, in words. */
  names: ComputedRef<string[]>;
  errorMessage: Ref<string>;
  refused: ComputedRef<string>;
  keep: (change: Partial<Adjustments>) => Promise<void>;
}

/** What is set for one child. It stands at once, and is saved one after the other: nobody has to wait between two presses. */
export function useAdjustments(classId: () => number, childId: () => number): ChildAdjustments {
  const { data, errorMessage, reload } = useApiQuery(readAdjustments, () => [classId()], {
    select: (found) => found.children,
  });
  const { errorMessage: refused, run } = useApiMutation();
  const found = computed(() => data.value?.find((child) => child.child_id === childId()));
  const chosen = shallowRef<Adjustments | null>(null);
  const set = computed(() => chosen.value ?? found.value?.set ?? NONE);

  let saving = false;
  async function keep(change: Partial<Adjustments>): Promise<void> {
    chosen.value = { ...set.value, ...change };
    if (saving) return;
    saving = true;
    await run(async () => {
      // What is chosen while the page asks again is saved as well.
      for (let sent: Adjustments | null = null; chosen.value && sent !== chosen.value;) {
        sent = chosen.value;
        await adjustChild(classId(), childId(), sent);
        if (sent === chosen.value) await reload();
      }
    });
    saving = false;
    chosen.value = null;
  }

  return {
    known: computed(() => data.value !== undefined),
    set,
    names: computed(() => found.value?.names ?? []),
    errorMessage,
    refused,
    keep,
  };
}
