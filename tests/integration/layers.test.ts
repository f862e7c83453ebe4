import { execFileSync } from "node:child_process";
import { createRequire } from "node:module";
import { ESLint } from "eslint";
import { describe, expect, it } from "vitest";

const require = createRequire(import.meta.url);

function cruise(folder: string): { readonly fired: ReadonlySet<string> } {
  const args = ["node_modules/dependency-cruiser/bin/dependency-cruise.mjs", folder, "--config", ".dependency-cruiser.cjs", "--output-type", "json"];
  let out: string;
  try {
    out = execFileSync(process.execPath, args, { encoding: "utf8", maxBuffer: 64e6, stdio: ["ignore", "pipe", "ignore"] });
  } catch (error) {
    out = (error as { stdout: string }).stdout;
  }
  const { summary } = JSON.parse(out) as { summary: { violations: { rule: { name: string } }[] } };
  return { fired: new Set(summary.violations.map((violation) => violation.rule.name)) };
}

describe("the layers", () => {
  const rules = (require("../../.dependency-cruiser.cjs") as { forbidden: { name: string }[] }).forbidden.map((rule) => rule.name);

  it("hold in the code", () => expect([...cruise("src").fired]).toEqual([]));
  it("are guarded: each rule fires on code that breaks it", () => {
    const { fired } = cruise("tests/fixtures/layers/src");
    expect(rules.filter((rule) => !fired.has(rule))).toEqual([]);
  });
  it("keep clock, chance, platform, any, ! and numbers of unknown unit out of core", async () => {
    const [result] = await new ESLint().lintText(
      "export const a = () => Date.now() + Math.random();\nexport const b = (x: any): string => x!.name;\nexport const c = () => window.location.href;\n/** Half of it.\n * @unit g */\nexport const d = (grams: number) => grams / 2;\n",
      { filePath: "src/core/food/energy.ts" },
    );
    const found = new Set(result?.messages.map((message) => message.ruleId));
    for (const rule of [
      "no-restricted-globals",
      "no-restricted-properties",
      "@typescript-eslint/no-explicit-any",
      "@typescript-eslint/no-non-null-assertion",
      "core/told-numbers",
    ])
      expect(found, rule).toContain(rule);
  });
  it("keep schemas plain JSON Schema, and in their place", async () => {
    const rulesOf = async (code: string, filePath: string) =>
      new Set((await new ESLint().lintText(code, { filePath }))[0]?.messages.map(({ ruleId }) => ruleId));
    const schema = "src/server/http/schemas/shapes.ts";
    expect(await rulesOf('import { Compile } from "typebox/compile";\nexport const a = Compile;\n', schema)).toContain("no-restricted-imports");
    expect(await rulesOf('import Type from "typebox";\nexport const a = Type.BigInt();\n', schema)).toContain("no-restricted-syntax");
    expect(await rulesOf('import Type from "typebox";\nexport const a = Type.String();\n', "src/server/kitchen/eaters.ts")).toContain("no-restricted-imports");
  });
});
