import vue from "@vitejs/plugin-vue";
import { BootstrapVueNextResolver } from "bootstrap-vue-next/resolvers";
import Components from "unplugin-vue-components/vite";
import { defineConfig } from "vite";
import { icons } from "./icons";

/** Pages that are built by themselves, by their mode. */
const PAGES: Readonly<Record<string, string>> = { desk: "desk.html", docs: "docs.html" };

export default defineConfig(({ mode }) => ({
  plugins: [
    vue(),
    icons(),
    Components({ dirs: [], resolvers: [BootstrapVueNextResolver()], dts: "components.d.ts" }),
  ],
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
    chunkSizeWarningLimit: 900,
    // Beside the scripts, for what tests reach; no page asks for them.
    sourcemap: "hidden",
    // The teacher's pages, then the children's desk and the contract's page beside them (vite build --mode desk, --mode docs): nothing
    // of the one is in the other, not even the parts of a package that only one of them uses.
    emptyOutDir: !(mode in PAGES),
    rollupOptions: { input: [PAGES[mode] ?? "index.html"] },
  },
}));
