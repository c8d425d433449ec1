import "@fontsource/andika/400.css";
import "@fontsource/andika/700.css";
import "virtual:icons.css";
import "./theme/theme.scss";
import { VueQueryPlugin } from "@tanstack/vue-query";
import { createPinia } from "pinia";
import { createApp } from "vue";
import { queries } from "@/api";
import { App, askForPage, router } from "@/app";

askForPage();
createApp(App).use(createPinia()).use(VueQueryPlugin, { queryClient: queries }).use(router).mount("#app");
