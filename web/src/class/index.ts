export { useClasses } from "./classes";
export { default as TomorrowCard } from "./TomorrowCard.vue";
export { seem, moment } from "./wording";
