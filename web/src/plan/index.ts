export { default as HomeLadder } from "./HomeLadder.vue";
export { default as WhereAreThey } from "./WhereAreThey.vue";
