export { useClasses } from "./classes";
export { default as TomorrowCard } from "./TomorrowCard.vue";
export { countsInWords, STATES } from "./states";
export { moment, seem } from "./wording";
