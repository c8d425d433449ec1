import { computed, type ComputedRef } from "vue";
import { useFacts, type Ladder } from "@/api";
import { useClasses } from "@/school";
import { whoNext, whyNext } from "./reason";

interface Proposed {
  /** The step that is proposed; nothing at the top of the ladder. */
  rung: ComputedRef<ReturnType<ReturnType<typeof useFacts>["rung"]> | undefined>;
  /** Why, in one sentence; empty while the ladder is on its way. */
  reason: ComputedRef<string>;
  /** The names of those of whom it speaks. */
  names: ComputedRef<string[]>;
}

/** What is next for the class, as Home and Plan say it. */
export function useNext(ladder: () => Ladder | null): Proposed {
  const facts = useFacts();
  const classes = useClasses();
  const children = computed(() => classes.current?.children ?? []);
  const next = computed(() => ladder()?.next);
  return {
    rung: computed(() => (next.value?.step ? facts.rung(next.value.step) : undefined)),
    reason: computed(() => (next.value ? whyNext(next.value, children.value.length, facts) : "")),
    names: computed(() => {
      const ids = next.value ? whoNext(next.value) : [];
      return children.value.filter((child) => ids.includes(child.id)).map((child) => child.name);
    }),
  };
}
