import "@/theme/desk.scss";
import { createApp } from "vue";
import DeskApp from "./DeskApp.vue";

createApp(DeskApp).mount("#app");
