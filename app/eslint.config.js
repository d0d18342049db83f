import js from "@eslint/js";
import globals from "globals";

export default [
  js.configs.recommended,
  {
    files: ["src/main/web/**/*.js"],
    languageOptions: { globals: { ...globals.browser, ...globals.serviceworker } },
  },
  { files: ["src/test/js/**/*.js", "src/test/outbox/*.js"], languageOptions: { globals: { ...globals.node, indexedDB: "readonly" } } },
  {
    rules: {
      "no-unused-vars": ["error", { argsIgnorePattern: "^_", varsIgnorePattern: "^_", caughtErrors: "none" }],
      "prefer-const": "error",
      eqeqeq: "error",
      "no-var": "error",
    },
  },
];
