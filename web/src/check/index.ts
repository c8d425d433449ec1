export { default as CheckCard } from "./CheckCard.vue";
