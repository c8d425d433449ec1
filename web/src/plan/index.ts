export { default as HomeLadder } from "./HomeLadder.vue";
