import { defineConfigWithVueTs, vueTsConfigs } from "@vue/eslint-config-typescript";
import pluginVue from "eslint-plugin-vue";

export default defineConfigWithVueTs(
  { ignores: ["dist/**", "dist-lab/**", "src/api/schema.d.ts", "components.d.ts"] },
  pluginVue.configs["flat/recommended"],
  vueTsConfigs.strict,
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
