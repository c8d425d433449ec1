import type { Plugin, Rolldown } from "vite";

type Graph = Rolldown.ChunkingContext;

/** Bytes of script, before it is made small, that are not worth a file of their own: each file costs a question and an answer. */
const WORTH_A_FILE = 20_000;
const SHARED = "part";
/** Small helpers that files on both sides need: with one of them, the two would need each other. */
const HELPERS = /bootstrap-vue-next\/dist\/getElement-/;

/** What is shared is named after all who share it: too long for a file. */
const named = (name?: string): string => `assets/${name?.startsWith(SHARED) ? SHARED : "[name]"}-[hash]`;

export const names: Pick<Rolldown.OutputOptions, "chunkFileNames" | "assetFileNames"> = {
  chunkFileNames: ({ name }) => `${named(name)}.js`,
  assetFileNames: ({ names: [name] }) => `${named(name)}[extname]`,
};

/** What the entry brings by itself, whichever page is opened. */
function broughtBy(entry: string, graph: Graph): Set<string> {
  const found = new Set<string>();
  const waiting = [entry];
  for (let id = waiting.pop(); id !== undefined; id = waiting.pop()) {
    if (found.has(id)) continue;
    found.add(id);
    waiting.push(...(graph.getModuleInfo(id)?.importedIds ?? []));
  }
  return found;
}

/**
 * What pages share goes into few files: together with what the same pages share, and small ones with their like.
 * @param entry the teacher's first script
 */
export function chunks(entry: string): Rolldown.OutputOptions["codeSplitting"] {
  let initial: Set<string> | undefined;
  const name = (id: string, graph: Graph): string | null => {
    initial ??= broughtBy(entry, graph);
    return initial.has(id) || HELPERS.test(id) ? null : SHARED;
  };
  return {
    includeDependenciesRecursively: false,
    groups: [{ name, minShareCount: 2, entriesAware: true, entriesAwareMergeThreshold: WORTH_A_FILE }],
  };
}

/** The first files that need each other in a circle, if any do. */
function circle(bundle: Rolldown.OutputBundle): string[] | undefined {
  const done = new Set<string>();
  const walk = (file: string, path: string[]): string[] | undefined => {
    if (path.includes(file)) return [...path.slice(path.indexOf(file)), file];
    const chunk = bundle[file];
    if (done.has(file) || chunk?.type !== "chunk") return undefined;
    for (const next of chunk.imports) {
      const found = walk(next, [...path, file]);
      if (found) return found;
    }
    done.add(file);
    return undefined;
  };
  return Object.keys(bundle)
    .map((file) => walk(file, []))
    .find((found) => found !== undefined);
}

/** Files that need each other are run in an order that depends on which comes first: at times a page would not open. */
export const noCircles: Plugin = {
  name: "no-circles",
  generateBundle(_, bundle) {
    const found = circle(bundle);
    if (found) this.error(`These files need each other: ${found.join(" -> ")}. See HELPERS in chunks.ts.`);
  },
};
