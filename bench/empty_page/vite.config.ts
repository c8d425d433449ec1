import vue from "@vitejs/plugin-vue";
import { defineConfig } from "vite";

export default defineConfig({
  root: new URL(".", import.meta.url).pathname,
  base: "./",
  plugins: [vue()],
  build: { target: "es2022", rollupOptions: { input: ["index.html", "same_packages.html"] } },
});
