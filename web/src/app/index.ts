export { default as App } from "./App.vue";
export { router } from "./router";
