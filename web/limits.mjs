// What a text may be at most, by its name in the contract, so that a field stops where the server would refuse: node limits.mjs
import { readFileSync, writeFileSync } from "node:fs";
import { load } from "js-yaml";

const schemas = load(readFileSync(new URL("../server/openapi.yaml", import.meta.url), "utf8")).components
  .schemas;
const lengths = Object.entries(schemas).filter(([, one]) => one.type === "string" && one.maxLength);
const lines = lengths.map(([name, one]) => `  ${name}: ${one.maxLength},`);
writeFileSync(
  new URL("src/api/limits.ts", import.meta.url),
  `/** Made from the contract by limits.mjs: the letters that each of its texts has at most. */\nexport const LIMITS = {\n${lines.join("\n")}\n} as const;\n`,
);
