export { newSeed } from "./days";
export { default as HomeLadder } from "./HomeLadder.vue";
