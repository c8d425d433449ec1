import { useWindowSize } from "@vueuse/core";
import { nextTick, watch, type Ref } from "vue";

/** The size of the words beside the usual one: as large as there is room for, on a wall a little more than usual. */
const LARGEST = 1;
const LARGEST_WALL = 1.1;
const SMALLEST = 0.6;
const STEP = 0.05;
/** From so many pixels across a window is a wall. */
const WALL = 1600;

/**
 * Words on the board are as large as there is room for beside the tools, which nobody should have to look for.
 * @param box in which they stand, with the tools
 * @param on whether they are fitted; a size that was chosen by hand stays
 * @param what all that they depend on
 */
export function useFitting(box: Ref<HTMLElement | undefined>, on: () => boolean, what: () => unknown): void {
  const { width, height } = useWindowSize();

  function fit(): void {
    const element = box.value;
    if (!element) return;
    element.style.removeProperty("--words");
    if (!on()) return;
    for (let size = width.value < WALL ? LARGEST : LARGEST_WALL; size >= SMALLEST; size -= STEP) {
      element.style.setProperty("--words", size.toFixed(2));
      if (element.scrollHeight <= element.clientHeight) return;
    }
  }

  watch([on, what, width, height, box], () => void nextTick(fit), { flush: "post" });
}
