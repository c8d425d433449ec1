export { useKeptFocus } from "./keptFocus";
import { computed, type ComputedRef } from "vue";
import { useRoute } from "vue-router";

export { useCovering, useOverlay } from "./overlay";

/** A number in the address of a page; nothing while the page is being left for one without it. */
export function useRouteNumber(name: string): ComputedRef<number | null> {
  const route = useRoute();
  return computed(() => {
    const number = Number(route.params[name]);
    return route.params[name] && Number.isInteger(number) ? number : null;
  });
}
