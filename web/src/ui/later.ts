import { defineAsyncComponent } from "vue";

/** A dialog is loaded after the page that asks in it: no page begins with one. */
export const BModal = defineAsyncComponent(() =>
  import("bootstrap-vue-next/components/BModal").then((parts) => parts.BModal),
);
