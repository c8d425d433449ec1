import { computed, type ComputedRef } from "vue";
import { readAway, setAway, useApiQuery, useApiMutation } from "@/api";

interface Away {
  /** Children who were away on that day, as the teacher says. */
  away: ComputedRef<ReadonlySet<number>>;
  /** Says that a child was away, or takes it back. */
  toggle: (childId: number) => Promise<boolean>;
  busy: ReturnType<typeof useApiMutation>["busy"];
  errorMessage: ReturnType<typeof useApiMutation>["errorMessage"];
}

/** Who of a class was away on a day. */
export function useAway(classId: () => number | null | undefined, day: () => string): Away {
  const { data, reload } = useApiQuery(readAway, () => {
    const id = classId();
    return id ? [id, { day: day() }] : null;
  });
  const away = computed<ReadonlySet<number>>(() => new Set(data.value?.child_ids));
  const { busy, errorMessage, run } = useApiMutation();
  const toggle = (childId: number): Promise<boolean> =>
    run(async () => {
      const id = classId();
      if (!id) return;
      await setAway(id, { day: day(), child_id: childId, away: !away.value.has(childId) });
      await reload();
    });
  return { away, toggle, busy, errorMessage };
}
