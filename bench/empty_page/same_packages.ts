// An empty page with the packages, the type and the styles of the teacher's pages, but nothing of Vantick: what the time until
// Home is there is measured against.
import "@fontsource/andika/400.css";
import "@fontsource/andika/700.css";
import "bootstrap/dist/css/bootstrap.css";
import "bootstrap-vue-next/dist/bootstrap-vue-next.css";
import { QueryClient, VueQueryPlugin } from "@tanstack/vue-query";
import createClient from "openapi-fetch";
import { createPinia } from "pinia";
import { createApp } from "vue";
import { createRouter, createWebHistory } from "vue-router";
import Packages from "./Packages.vue";

const router = createRouter({
  history: createWebHistory(),
  routes: [{ path: "/:all*", component: { template: "" } }],
});
createApp(Packages, { client: createClient() })
  .use(createPinia())
  .use(VueQueryPlugin, { queryClient: new QueryClient() })
  .use(router)
  .mount("#app");
