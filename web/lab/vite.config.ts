import { fileURLToPath } from "node:url";
import vue from "@vitejs/plugin-vue";
import { BootstrapVueNextResolver } from "bootstrap-vue-next/resolvers";
import Components from "unplugin-vue-components/vite";
import { defineConfig } from "vite";

// The page of tests: built from the same sources, kept apart from what is shipped.
export default defineConfig({
  root: fileURLToPath(new URL(".", import.meta.url)),
  base: "/lab/",
  plugins: [vue(), Components({ dirs: [], resolvers: [BootstrapVueNextResolver()], dts: false })],
  resolve: { alias: { "@": fileURLToPath(new URL("../src", import.meta.url)) } },
  build: { target: "es2022", outDir: "../dist-lab", emptyOutDir: true, sourcemap: true },
});
