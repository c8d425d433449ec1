export { default as App } from "./App.vue";
export { askForPage, router } from "./router";
