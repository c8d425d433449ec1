import { useTimeoutFn } from "@vueuse/core";
import { ref, type Ref } from "vue";
import type { Router } from "vue-router";

const BEAT = 2_000;

/** The address of a page that could not be fetched, since Vantick does not answer; it opens as soon as Vantick does. */
export function useUnreached(router: Router): { unreached: Ref<string>; stay: () => void } {
  const unreached = ref("");
  const { start, stop } = useTimeoutFn(() => void look(), BEAT, { immediate: false });

  function stay(): void {
    stop();
    unreached.value = "";
  }

  async function look(): Promise<void> {
    const there = await fetch("/api/session").then(
      (answer) => answer.ok,
      () => false,
    );
    // A browser keeps in mind that a part of the program was not there, so the page is opened anew.
    if (there && unreached.value) location.assign(unreached.value);
    else if (unreached.value) start();
  }

  router.onError((error, to) => {
    if (!/import|fetch|load/i.test(String(error))) return;
    stay();
    unreached.value = to.fullPath;
    void look();
  });
  router.afterEach(stay);
  return { unreached, stay };
}
