import next from "eslint-config-next/core-web-vitals";
import prettier from "eslint-config-prettier";
import * as regexp from "eslint-plugin-regexp";
import tseslint from "typescript-eslint";
import { toldNumbers } from "./scripts/lint/told-numbers.mjs";

const PLATFORM = [
  "window",
  "document",
  "navigator",
  "localStorage",
  "fetch",
  "process",
  "console",
  "performance",
  "setTimeout",
  "setInterval",
  "Date",
  "crypto",
  "Buffer",
  "globalThis",
];

export default tseslint.config(
  { ignores: [".next/**", ".build/**", "node_modules/**", "public/**", "next-env.d.ts", "tests/fixtures/**"] },
  ...next,
  ...tseslint.configs.strictTypeChecked,
  { languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } } },
  {
    rules: {
      "@typescript-eslint/restrict-template-expressions": ["error", { allowNumber: true }],
      "@typescript-eslint/no-confusing-void-expression": "off",
      "@typescript-eslint/no-unused-vars": ["error", { argsIgnorePattern: "^_", varsIgnorePattern: "^_" }],
      "@typescript-eslint/require-await": "off",
    },
  },
  {
    // What comes from outside is read in linear time: no pattern may try the same characters again and again.
    plugins: { regexp },
    rules: {
      "regexp/no-super-linear-backtracking": ["error", { report: "potential" }],
      "regexp/no-super-linear-move": ["error", { report: "certain", ignoreSticky: false }],
    },
  },
  {
    // Core computes: no clock, no chance, no platform. Time and seed are arguments.
    files: ["src/core/**/*.ts"],
    rules: {
      "no-restricted-globals": ["error", ...PLATFORM],
      "no-restricted-properties": ["error", { object: "Math", property: "random", message: "Chance comes in as a seed." }],
    },
  },
  {
    // What a figure of the core is can be read beside it.
    files: ["src/core/**/*.ts"],
    ignores: ["**/*.test.ts"],
    plugins: { core: { rules: { "told-numbers": toldNumbers } } },
    rules: { "core/told-numbers": "error" },
  },
  {
    // The calendar reckons with dates, but never with the clock's.
    files: ["src/core/calendar/*.ts"],
    rules: {
      "no-restricted-globals": ["error", ...PLATFORM.filter((name) => name !== "Date")],
      "no-restricted-properties": [
        "error",
        { object: "Math", property: "random" },
        { object: "Date", property: "now", message: "The moment comes in as an argument." },
      ],
      "no-restricted-syntax": ["error", { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: "The moment comes in as an argument." }],
    },
  },
  {
    // Schemas are plain JSON Schema; Ajv alone validates. The builder's own compiler, values and transforms stay out, and its types that JSON does not know.
    files: ["src/**/*.{ts,tsx}"],
    rules: {
      "no-restricted-imports": ["error", { patterns: [{ group: ["typebox/*"], message: "Ajv alone validates." }] }],
    },
  },
  {
    files: ["src/server/http/schemas/*.ts"],
    rules: {
      "no-restricted-syntax": [
        "error",
        {
          selector:
            "MemberExpression[object.name='Type'][property.name=/^(?:BigInt|Codec|Constructor|Decode|Encode|Function|Iterator|AsyncIterator|Promise|Refine|Symbol|Undefined|Void)$/]",
          message: "JSON does not know that.",
        },
      ],
    },
  },
  {
    files: ["src/**/*.{ts,tsx}"],
    ignores: ["src/server/http/schemas/*.ts"],
    rules: {
      "no-restricted-imports": [
        "error",
        { patterns: [{ group: ["typebox", "typebox/*"], message: "What comes from outside is described in server/http/schemas." }] },
      ],
    },
  },
  {
    files: ["**/*.mjs", "**/*.cjs", "scripts/**"],
    ...tseslint.configs.disableTypeChecked,
    rules: { ...tseslint.configs.disableTypeChecked.rules, "@typescript-eslint/no-require-imports": "off" },
  },
  prettier,
);
