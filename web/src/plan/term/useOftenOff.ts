import { watch, type Ref } from "vue";
import { useFacts, type DaysOff } from "@/api";

/** Days that most schools have off come to the days off of a term by themselves; what a teacher deletes stays away. */
export function useOftenOff(
  first: Ref<string>,
  last: Ref<string>,
  off: Ref<DaysOff[]>,
): (one: DaysOff) => void {
  const facts = useFacts();
  const deleted = new Set<string>();

  function inTerm(): DaysOff[] {
    const years = [...new Set([first.value.slice(0, 4), last.value.slice(0, 4)])];
    return years
      .flatMap((year) =>
        (facts.catalogue?.often_off ?? []).map(({ day, name }) => ({
          from: `${year}-${day}`,
          to: `${year}-${day}`,
          name,
        })),
      )
      .filter(({ from }) => from >= first.value && from <= last.value);
  }

  watch(
    [first, last, () => facts.catalogue],
    () => {
      const fresh = inTerm().filter(
        ({ from }) => !deleted.has(from) && !off.value.some((days) => days.from <= from && days.to >= from),
      );
      if (fresh.length)
        off.value = [...off.value, ...fresh].sort((one, other) => one.from.localeCompare(other.from));
    },
    { immediate: true },
  );

  return (days) => {
    deleted.add(days.from);
    off.value = off.value.filter((other) => other !== days);
  };
}
