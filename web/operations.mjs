// A function for each operation of the contract that answers with JSON, under the contract's own name: node operations.mjs
import { readFileSync, writeFileSync } from "node:fs";
import { load } from "js-yaml";

const METHODS = ["get", "post", "put", "delete"];
const contract = load(readFileSync(new URL("../server/openapi.yaml", import.meta.url), "utf8"));
const referred = (one) =>
  one.$ref
    ? one.$ref
        .slice(2)
        .split("/")
        .reduce((at, key) => at[key], contract)
    : one;
const successes = (operation) =>
  Object.entries(operation.responses)
    .filter(([status]) => status.startsWith("2"))
    .map(([, response]) => referred(response));
const answersJson = (operation) =>
  successes(operation).every((one) =>
    Object.keys(one.content ?? {}).every((type) => type === "application/json"),
  );

const lines = Object.entries(contract.paths).flatMap(([path, item]) =>
  METHODS.filter((method) => item[method] && answersJson(item[method])).map(
    (method) =>
      `export const ${item[method].operationId} = /* @__PURE__ */ operation("${item[method].operationId}", "${method}", "${path}");`,
  ),
);
writeFileSync(
  new URL("src/api/operations.ts", import.meta.url),
  `/** Made from the contract by operations.mjs: a function for each of its operations. */\nimport { operation } from "./operation";\n\n${lines.join("\n")}\n`,
);
