import js from "@eslint/js";
import reactHooks from "eslint-plugin-react-hooks";
import globals from "globals";
import tseslint from "typescript-eslint";

/** Kinds of limit are told apart by exhaustive switches (`core/src/limit/limit.ts`), never by a single comparison. */
const TOLD_APART = ["meter", "calendar"].map((kind) => ({
  selector: `BinaryExpression[left.property.name='kind'][right.value='${kind}']`,
  message: "Switch over the kind of a limit, so that a further kind is named by the compiler.",
}));

export default tseslint.config(
  { ignores: ["**/dist/**", "**/node_modules/**", ".cache/**"] },
  js.configs.recommended,
  { files: ["**/*.mjs"], languageOptions: { globals: globals.node } },
  {
    files: ["**/*.{ts,tsx}"],
    extends: [...tseslint.configs.recommendedTypeChecked],
    languageOptions: { parserOptions: { projectService: true } },
    rules: {
      "@typescript-eslint/explicit-module-boundary-types": "error",
      "@typescript-eslint/switch-exhaustiveness-check": "error",
      "@typescript-eslint/consistent-type-imports": "error",
      "@typescript-eslint/no-unnecessary-condition": "off",
      "no-empty": ["error", { allowEmptyCatch: false }],
      "max-lines": ["error", { max: 300, skipBlankLines: true, skipComments: true }],
      "max-lines-per-function": ["error", { max: 60, skipBlankLines: true, skipComments: true }],
      eqeqeq: "error",
      "no-console": "error",
      // A further kind of limit must not be taken for one of these without a word.
      "no-restricted-syntax": ["error", ...TOLD_APART],
      "@typescript-eslint/no-unused-vars": [
        "error",
        { argsIgnorePattern: "^_", varsIgnorePattern: "^_" },
      ],
    },
  },
  {
    files: ["core/src/**/*.ts"],
    ignores: ["**/*.test.ts"],
    rules: {
      // The core has no clock and no randomness: today, now and new ids are passed in.
      "no-restricted-globals": [
        "error",
        ...[
          ...["window", "document", "navigator", "globalThis", "self", "localStorage", "indexedDB"],
          ...["fetch", "process", "console", "setTimeout", "setInterval", "queueMicrotask"],
          ...["Date", "performance", "crypto"],
        ].map((name) => ({ name, message: "The core knows nothing of where it runs." })),
      ],
      "no-restricted-syntax": [
        "error",
        ...TOLD_APART,
        {
          selector: "MemberExpression[object.name='Math'][property.name='random']",
          message: "Pass ids in.",
        },
      ],
    },
  },
  { files: ["web/src/**/*.{ts,tsx}"], ...reactHooks.configs.flat.recommended },
  {
    files: ["**/*.test.{ts,tsx}", "**/test/**/*.ts", "e2e/**/*.ts"],
    rules: {
      "max-lines-per-function": "off",
      "max-lines": "off",
      "no-restricted-syntax": "off",
    },
  },
  {
    files: ["cli/**/*.ts", "bench/**/*.ts", "scripts/**/*.ts", "server/src/main.ts", "e2e/**/*.ts"],
    rules: { "no-console": "off" },
  },
);
