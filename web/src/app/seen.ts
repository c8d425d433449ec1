import type { Router } from "vue-router";
import { useSession } from "@/account";

/** Pages of the first day: whoever has looked at one has done that step, with the account. */
const PAGES = ["settings", "class"] as const;

export function keepSeen(router: Router): void {
  router.afterEach((to) => {
    const page = PAGES.find((name) => name === to.name);
    if (page) void useSession().tick(page);
  });
}
