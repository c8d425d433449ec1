import purge from "@fullhuman/postcss-purgecss";
import vue from "@vitejs/plugin-vue";
import { BootstrapVueNextResolver } from "bootstrap-vue-next/resolvers";
import Components from "unplugin-vue-components/vite";
import { fileURLToPath } from "node:url";
import { defineConfig } from "vite";
import { chunks, names, noCircles } from "./chunks";
import { icons } from "./icons";

/** Pages that are built by themselves, by their mode. */
const PAGES: Readonly<Record<string, string>> = { desk: "desk.html", docs: "docs.html" };

/** Parts of the package that a page can do without at first. */
const later = (name: string) => (name === "BModal" ? { name, from: "@/ui/later" } : undefined);

const unused = purge({
  content: ["src/**/*.{vue,ts}", "node_modules/bootstrap-vue-next/dist/*.js"],
  safelist: [/^tone-/],
  defaultExtractor: (text) => text.match(/[\w-]+/g) ?? [],
});

/** Leaves out of the theme what no page names; what a component says of itself stays. */
const utilities: typeof unused = {
  postcssPlugin: "utilities",
  OnceExit: (root, helpers) =>
    root.source?.input.file?.endsWith("theme.scss") ? unused.OnceExit?.(root, helpers) : undefined,
};

export default defineConfig(({ mode, command }) => ({
  plugins: [
    vue(),
    icons(),
    noCircles,
    Components({ dirs: [], resolvers: [later, BootstrapVueNextResolver()], dts: "components.d.ts" }),
  ],
  resolve: { alias: { "@": "/src" } },
  css: {
    // While pages are changed they may name others at any time.
    postcss: { plugins: command === "build" ? [utilities] : [] },
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
    rollupOptions: {
      input: [PAGES[mode] ?? "index.html"],
      output: {
        ...names,
        codeSplitting: mode in PAGES || chunks(fileURLToPath(new URL("src/main.ts", import.meta.url))),
      },
    },
  },
}));
