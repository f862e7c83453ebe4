import { execFileSync } from "node:child_process";
import { resolve } from "node:path";
import { afterAll, beforeAll, describe, expect, it, vi } from "vitest";
import { openBench, openRecipe, USUAL_SOURCES } from "../../src/core/kitchen";
import { kitchenOf } from "../../src/data";
import { makeBackup, restoreBackup } from "../../src/server/backup";
import { closeDatabase, getDatabase } from "../../src/server/database";
import { getAdaptation, requireRecipe } from "../../src/server/recipes";
import { getVersion, versionsOf, workOnFrom } from "../../src/server/versions";
import { lineageOf } from "../../src/server/lineage";
import { newFolder, removeFolder } from "../support/app";

/** Written by the app when its schema was 4: fifteen demo recipes and one that presses its own milk, two benches by hand, a version. */
const WRITTEN = resolve("tests/fixtures/data/schema-4.tar.gz");

let folder: string;
beforeAll(async () => {
  folder = newFolder();
  execFileSync("tar", ["xzf", WRITTEN, "-C", folder]);
  vi.stubEnv("THREPSIS_DATA", folder);
  vi.stubEnv("THREPSIS_SEED", "");
  await getDatabase();
});
afterAll(async () => {
  await closeDatabase();
  removeFolder(folder);
  vi.unstubAllEnvs();
});

async function laid(id: string) {
  const { recipe } = await requireRecipe(id);
  const { table, bench } = await getAdaptation(id, recipe);
  const kitchen = kitchenOf(USUAL_SOURCES);
  const read = openRecipe(recipe, kitchen);
  return { read, bench: openBench(bench.document, read, table.document, kitchen) };
}

describe("data that an earlier version wrote", () => {
  it("lie on the bench as they were left, by the lines' own ids", async () => {
    const { read, bench } = await laid("demo-1");
    const sugar = bench?.state.version.rows.find(({ food }) => food?.id === "sugar");
    expect(sugar).toMatchObject({ line: read.readings[2]?.line.id, grams: 77, change: "amount" });
    expect(bench?.state.version.rows.find(({ food }) => food?.id === "coconut-oil")).toMatchObject({ line: read.readings[1]?.line.id, change: "replaced" });
  });
  it("keep a version with its figures, its pressed milk and its lines", async () => {
    const [summary] = await versionsOf(null);
    const version = await getVersion(summary?.id ?? "");
    const snapshot = version?.snapshot;
    expect(snapshot?.rows.map(({ line, food }) => [line, food?.id])).toEqual([
      ["l1", "pressed-l1"],
      ["l3", "jaggery"],
      ["l4", "rice-flour"],
    ]);
    expect(snapshot?.madeOn).toBeNull();
    expect(snapshot?.forThisTable.figures.yield.value).toBeGreaterThan(300);
    expect(snapshot?.steps.map(({ from }) => from)).toContain("s2");
    const { versions } = await lineageOf(version?.recipeId ?? "");
    expect(versions[0]?.changes.join(" ")).toMatch(/jaggery/);
    const { recipeId } = await workOnFrom(version?.id ?? "");
    const { bench } = await laid(recipeId);
    expect(bench?.state.version.rows.map(({ food }) => food?.id)).toContain("pressed-l1");
  });
  it("go into a backup and come back from it", async () => {
    const { text } = await makeBackup();
    await restoreBackup(text);
    const { bench } = await laid("demo-1");
    expect(bench?.state.version.rows.find(({ food }) => food?.id === "sugar")?.grams).toBe(77);
    expect((await getVersion((await versionsOf(null))[0]?.id ?? ""))?.snapshot?.rows.length).toBe(3);
  });
});
