import type { Rolldown } from "vite";

type Graph = Rolldown.ChunkingContext;

/** Bytes of script, before it is made small, that are not worth a file of their own: each file costs a question and an answer. */
const WORTH_A_FILE = 20_000;
const SHARED = "part";

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
    return initial.has(id) ? null : SHARED;
  };
  return {
    includeDependenciesRecursively: false,
    groups: [{ name, minShareCount: 2, entriesAware: true, entriesAwareMergeThreshold: WORTH_A_FILE }],
  };
}
