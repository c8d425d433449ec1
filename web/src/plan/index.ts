export { newSeed, plusDays, today } from "./days";
export { default as HomeLadder } from "./HomeLadder.vue";
