import { defineStore } from "pinia";
import { computed, onScopeDispose, ref, watch } from "vue";

/** Whether something lies over the whole window: what is behind it is out of reach, for keys too. */
export const useOverlay = defineStore("overlay", () => {
  const layers = ref(0);
  return { layers, covered: computed(() => layers.value > 0) };
});

/** Covers the window for as long as it is on and the page is there. */
export function useCovering(on: () => boolean): void {
  const overlay = useOverlay();
  let mine = 0;
  function set(layers: number): void {
    overlay.layers += layers - mine;
    mine = layers;
  }
  watch(on, (now) => set(now ? 1 : 0), { immediate: true });
  onScopeDispose(() => set(0));
}
