import { shallowRef, type ShallowRef } from "vue";
import type { Removed } from "@/api";

/** What was removed just now, on whatever page: the page that lists such things says so. */
const just = shallowRef<Removed | null>(null);

export const useJustRemoved = (): ShallowRef<Removed | null> => just;
