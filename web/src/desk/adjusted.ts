import type { InjectionKey } from "vue";

/** Says whether hands are set with buttons here. */
export const BUTTONS: InjectionKey<() => boolean> = Symbol("buttons");
