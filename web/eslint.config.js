import { defineConfigWithVueTs, vueTsConfigs } from "@vue/eslint-config-typescript";
import pluginVue from "eslint-plugin-vue";

/** Rooms that features share, each with those that it may use; none uses a feature. */
const SHARED = {
  api: ["words"],
  words: [],
  route: [],
  ui: [],
  pictures: [],
  voice: [],
  dial: ["api"],
  school: ["api"],
  shared: ["api", "dial", "words"],
};
/** Features use what is shared and never each other; `app` puts them together. */
const FEATURES = [
  "account",
  "check",
  "class",
  "desk",
  "desks",
  "docs",
  "paper",
  "plan",
  "settings",
  "sheets",
  "show",
];

/** What a room must not import: other rooms by name, and those that it may only through their door. */
function closed(room, open) {
  const rooms = [...Object.keys(SHARED), ...FEATURES, "app"];
  const shut = rooms.filter((one) => one !== room && !open.includes(one));
  const patterns = [{ regex: "^\\.\\./", message: "A room is entered by its door." }];
  if (shut.length)
    patterns.push({ regex: `^@/(${shut.join("|")})(/|$)`, message: `${room} does not use it.` });
  // A child's device loads the few files that it needs, not whole rooms.
  if (room !== "desk" && open.length)
    patterns.push({ regex: `^@/(${open.join("|")})/(?!client$)`, message: "Through its door." });
  return { files: [`src/${room}/**`], rules: { "no-restricted-imports": ["error", { patterns }] } };
}

export default defineConfigWithVueTs(
  { ignores: ["dist/**", "dist-lab/**", "src/api/schema.d.ts", "src/api/limits.ts", "src/api/operations.ts", "components.d.ts"] },
  pluginVue.configs["flat/recommended"],
  vueTsConfigs.strict,
  ...Object.entries(SHARED).map(([room, open]) => closed(room, open)),
  ...FEATURES.map((room) => closed(room, Object.keys(SHARED))),
  { files: ["lab/**"], rules: { "vue/one-component-per-file": "off" } },
  {
    rules: {
      // Layout is prettier's.
      "vue/max-attributes-per-line": "off",
      "vue/singleline-html-element-content-newline": "off",
      "vue/html-self-closing": "off",
      "vue/html-indent": "off",
      "vue/html-closing-bracket-newline": "off",
      "vue/multiline-html-element-content-newline": "off",
    },
  },
);
