import { useEventListener } from "@vueuse/core";

/** Ctrl Z, or the command key with Z, takes the last change back; in a field it is the field's own. */
export function useUndoKey(undo: () => unknown): void {
  useEventListener("keydown", (event: KeyboardEvent) => {
    if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== "z") return;
    if ((event.target as HTMLElement).closest("input, textarea, select")) return;
    event.preventDefault();
    undo();
  });
}
