// Puts Chromium's counts together and maps them back to the sources: node coverage.mjs RAW OUT
import { readdir, readFile } from "node:fs/promises";
import { join } from "node:path";
import { CoverageReport } from "monocart-coverage-reports";

const [raw, outputDir] = process.argv.slice(2);
const web = import.meta.dirname;

/** A built script as it lies on the disk, with the map beside it. */
async function built(url) {
  const { pathname } = new URL(url);
  const file = pathname.startsWith("/lab/")
    ? join(web, "dist-lab", pathname.slice("/lab/".length))
    : join(web, "dist", pathname.slice(1));
  const source = await readFile(file, "utf8");
  const sourceMap = JSON.parse(await readFile(`${file}.map`, "utf8"));
  return { source, sourceMap };
}

const report = new CoverageReport({
  outputDir,
  clean: false,
  logging: "error",
  reports: [["json", { file: "coverage-final.json" }]],
  sourceFilter: (path) => /(^|\/)src\//.test(path) && !path.includes("node_modules"),
  sourcePath: (path) => path.replace(/^.*?src\//, "src/").replace(/\?.*$/, ""),
});
const scripts = new Map();
for (const name of await readdir(raw)) {
  const counted = JSON.parse(await readFile(join(raw, name), "utf8"));
  const entries = [];
  for (const one of counted) {
    const url = new URL(one.url).pathname;
    if (!scripts.has(url)) scripts.set(url, await built(one.url).catch(() => null));
    const known = scripts.get(url);
    if (known) entries.push({ ...one, ...known, url: `http://vantick${url}` });
  }
  if (entries.length) await report.add(entries);
}
await report.generate();
