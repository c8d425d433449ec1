import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import type { Plugin } from "vite";

const NAME = "virtual:icons.css";
const RESOLVED = `\0${NAME}`;
const SOURCES = "src";
const PICTURES = "node_modules/bootstrap-icons/icons";
/** As the pages name them: `bi bi-printer`. */
const USED = /\bbi-([a-z0-9-]+)/g;

/** On paper too, where browsers leave out backgrounds; and where the reader has colours of their own. */
const LOOK = `
.bi::before {
  content: "";
  display: inline-block;
  width: 1em;
  height: 1em;
  vertical-align: -0.125em;
  background: currentColor;
  mask: var(--icon) no-repeat center / contain;
  print-color-adjust: exact;
}
@media (forced-colors: active) { .bi::before { background: CanvasText; forced-color-adjust: none; } }`;

function sources(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    return entry.isDirectory() ? sources(path) : /\.(vue|ts)$/.test(entry.name) ? [path] : [];
  });
}

function picture(name: string): string {
  const svg = readFileSync(join(PICTURES, `${name}.svg`), "utf8");
  const plain = svg
    .replace(/ (?:class|width|height|fill)="[^"]*"/g, "")
    .replace(/\s*\n\s*/g, "")
    .trim();
  return `url("data:image/svg+xml,${plain.replaceAll('"', "'").replace(/[%#<>]/g, encodeURIComponent)}")`;
}

/** Bootstrap's own icons, those alone that the pages use: each a mask in the colour of its words, in place of a font of two thousand. */
export function icons(): Plugin {
  return {
    name: "icons",
    resolveId: (id) => (id === NAME ? RESOLVED : undefined),
    load(id) {
      if (id !== RESOLVED) return;
      const text = sources(SOURCES).map((file) => readFileSync(file, "utf8"));
      const names = new Set(text.flatMap((source) => [...source.matchAll(USED)].map((found) => found[1] ?? "")));
      const each = [...names].sort().map((name) => `.bi-${name} { --icon: ${picture(name)}; }`);
      return [LOOK, ...each].join("\n");
    },
  };
}
