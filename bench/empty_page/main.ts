// An empty page as BootstrapVueNext's own guide begins one: what the desk's first screen is measured against.
import "bootstrap/dist/css/bootstrap.css";
import "bootstrap-vue-next/dist/bootstrap-vue-next.css";
import { createApp } from "vue";
import App from "./App.vue";

createApp(App).mount("#app");
