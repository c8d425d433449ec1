import { useLocalStorage } from "@vueuse/core";
import type { Ref } from "vue";
import type { Router } from "vue-router";

/** Pages of the first day that have been looked at on this device. */
const PAGES = ["settings", "class"] as const;
type Seen = Record<(typeof PAGES)[number], boolean>;

const seen = useLocalStorage<Seen>("vantick.seen", { settings: false, class: false });

export const useSeen = (): Ref<Seen> => seen;

export function keepSeen(router: Router): void {
  router.afterEach((to) => {
    const page = PAGES.find((one) => one === to.name);
    if (page) seen.value = { ...seen.value, [page]: true };
  });
}
