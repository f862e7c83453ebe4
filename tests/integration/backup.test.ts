import { execFile } from "node:child_process";
import { existsSync, readdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { promisify } from "node:util";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { benchOf } from "../support/bench";
import { newFolder, removeFolder, save, send, startApp, type RunningApp } from "../support/app";

const run = promisify(execFile);
const folders: string[] = [];
const folder = () => {
  const made = newFolder();
  folders.push(made);
  return made;
};
/** Runs the command over a data folder; what it says, and whether it was content. */
async function command(data: string, ...parts: string[]): Promise<{ readonly ok: boolean; readonly said: string }> {
  try {
    const { stdout, stderr } = await run(process.execPath, ["node_modules/tsx/dist/cli.mjs", "scripts/backup.ts", ...parts], {
      env: { ...process.env, THREPSIS_DATA: data },
    });
    return { ok: true, said: stdout + stderr };
  } catch (error) {
    return { ok: false, said: (error as { stderr: string }).stderr };
  }
}
/** The rows of a backup, without its first line, which says when it was made. */
const rows = (file: string) => readFileSync(file, "utf8").split("\n").slice(1);

describe("npm run backup and npm run restore", () => {
  let app: RunningApp;
  let out: string;
  beforeAll(async () => {
    app = await startApp(folder());
    out = folder();
    const table = { rules: ["vegan"], limits: [{ id: "freeSugars" as const, most: 5, school: "who" as const }], servings: 7, serve: "chilled" as const };
    await save(app.address, "/api/recipes/demo-1/table", table);
    await save(
      app.address,
      "/api/household",
      {
        measures: { cup: 250, katori: 180, tablespoon: 15, teaspoon: 5, words: "katori" },
        units: { energy: "kJ", temperature: "fahrenheit", currency: "crowns" },
      },
      1,
    );
    await send(app.address, "POST", "/api/versions", {
      recipeId: "demo-1",
      bench: benchOf([{ line: "l3", foodId: "sugar", grams: 200.5, role: "sweetener", change: "as is" }], 7, { label: "„ü“ 🙂", madeFor: table }),
    });
    await send(app.address, "DELETE", "/api/recipes/demo-2");
  });
  afterAll(async () => {
    await app.stop();
    folders.forEach(removeFolder);
  });

  it("come to the same again: from a running app, by file, into an empty folder, and out of it", async () => {
    const [first, second, third] = ["1.jsonl", "2.jsonl", "3.jsonl"].map((name) => join(out, name)) as [string, string, string];
    expect(await command(app.folder, "backup", first)).toMatchObject({ ok: true });
    expect(rows(first).filter(Boolean).length).toBeGreaterThan(4);
    const empty = folder();
    expect((await command(empty, "restore", first)).said).toMatch(/Restored 15 recipes and 1 kept versions/);
    expect(await command(empty, "backup", second)).toMatchObject({ ok: true });
    expect(rows(second)).toEqual(rows(first));
    // What the browser saves is the same file.
    writeFileSync(third, await (await fetch(`${app.address}/api/backup`)).text());
    expect(rows(third)).toEqual(rows(first));
    const restored = await startApp(empty);
    expect((await save(restored.address, "/api/recipes/demo-1/table", { rules: [], limits: [], servings: 1, serve: "hot" }, 1)).json).toEqual({ revision: 2 });
    await restored.stop();
  });

  it("refuse what does not fit, whole and in words, and touch nothing", async () => {
    const good = join(out, "1.jsonl");
    const bad = join(out, "bad.jsonl");
    const [head = "", ...rest] = readFileSync(good, "utf8").split("\n");
    const tried: readonly (readonly [string, RegExp])[] = [
      ["", /Line 1: This is not a Threpsis backup/],
      [[head, ...rest.slice(1)].join("\n"), /checksum/],
      [readFileSync(good, "utf8").replace("Semolina", "Marzipan"), /checksum/],
      [[head.replace(/"schema":\d+/, '"schema":999'), ...rest].join("\n"), /checksum|newer Threpsis/],
    ];
    const target = folder();
    for (const [text, why] of tried) {
      writeFileSync(bad, text);
      const { ok, said } = await command(target, "restore", bad);
      expect(ok).toBe(false);
      expect(said).toMatch(why);
      expect(said.split("\n").filter((line) => line.trimStart().startsWith("at "))).toEqual([]);
    }
    expect(existsSync(join(target, "postgres"))).toBe(false);
    expect((await command(target, "restore")).said).toMatch(/Name the backup/);
    expect((await command(join(target, "nowhere"), "backup")).said).toMatch(/There are no data/);
    expect((await command(app.folder, "restore", good)).said).toMatch(/Household place of the running app/);
    expect((await command(app.folder, "backup", good)).ok).toBe(true);
    expect(readdirSync(app.folder)).not.toContain("before-restore");
  });
});
