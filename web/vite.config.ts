import vue from "@vitejs/plugin-vue";
import { BootstrapVueNextResolver } from "bootstrap-vue-next/resolvers";
import Components from "unplugin-vue-components/vite";
import { defineConfig } from "vite";

export default defineConfig({
  plugins: [vue(), Components({ dirs: [], resolvers: [BootstrapVueNextResolver()], dts: "components.d.ts" })],
  resolve: { alias: { "@": "/src" } },
  css: {
    preprocessorOptions: {
      scss: {
        quietDeps: true,
        silenceDeprecations: ["import", "if-function", "global-builtin", "color-functions"],
      },
    },
  },
  server: { proxy: { "/api": "http://127.0.0.1:4567" } },
  build: {
    target: "es2022",
    chunkSizeWarningLimit: 700,
    // Beside the scripts, for what tests reach; no page asks for them.
    sourcemap: "hidden",
    // The teacher's pages, and the children's desk: nothing of the one is in the other.
    rollupOptions: { input: ["index.html", "desk.html"] },
  },
});
