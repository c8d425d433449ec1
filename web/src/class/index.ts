export { useClasses } from "./classes";
export { default as TomorrowCard } from "./TomorrowCard.vue";
export { countsInWords, STATES } from "./states";
export { seem } from "./wording";
export { useOwnClass } from "./useOwnClass";
