import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { benchOf } from "../support/bench";
import type { StoredBench } from "../../src/core/adaptation";
import type { SuitLine } from "../../src/core/views";
import { newFolder, removeFolder, save, send, startApp, type RunningApp } from "../support/app";

let app: RunningApp;
beforeAll(async () => {
  app = await startApp(newFolder());
});
afterAll(async () => {
  await app.stop();
  removeFolder(app.folder);
});

const page = async (path: string) => (await fetch(`${app.address}${path}`)).text();
const found = async (query: string) => {
  const html = await page(`/recipes?${query}`);
  return [...new Set([...html.matchAll(/href="\/recipes\/([\w-]+)\/recipe"/g)].map((match) => match[1]))].sort();
};
const line = (id: string, text: string) => ({ id, text, choice: {} });
const document = (part: object = {}) => ({
  title: "Milk sweet",
  servings: 4,
  lines: [line("a", "500 g milk"), line("b", "60 g sugar")],
  steps: [{ id: "s", text: "Simmer the milk with the sugar for 20 minutes.", choice: {} }],
  evaporation: null,
  archetype: null,
  ...part,
});
const add = async (part: object = {}) => {
  const { json } = await send(app.address, "POST", "/api/recipes/import", { recipes: [document(part)] });
  return (json as { ids: readonly string[] }).ids[0] ?? "";
};

describe("finding recipes", () => {
  it("goes by name, by a food whatever it is called, by diet, time and words, all at once too", async () => {
    const id = await add({ title: "Evening bowl", tags: ["rainy day"] });
    expect(await found("search=evening")).toEqual([id]);
    expect(await found("search=besan")).toContain("demo-3");
    expect(await found("food=fresh-coconut")).toEqual([]);
    expect(await found("food=sorghum-flour")).toEqual(["demo-13"]);
    expect(await found("tag=rainy%20day")).toEqual([id]);
    const vegan = await found("diet=vegan");
    expect(vegan).not.toContain(id);
    expect(vegan).not.toContain("demo-1");
    expect(await found("diet=gluten-free")).not.toContain("demo-1");
    expect(await found("minutes=30")).toContain(id);
    expect(await found("minutes=30")).not.toContain("demo-10");
    expect(await found("minutes=30&tag=rainy%20day&search=milk")).toEqual([id]);
    expect(await found("search=%25")).toEqual([]);
  });
  it("counts no diet as met while a line is not read, and follows what is changed", async () => {
    const id = await add({ title: "Only sugar", lines: [line("a", "100 g sugar"), line("b", "20 g moon dust")], steps: [] });
    expect(await found("diet=vegan&search=only%20sugar")).toEqual([]);
    await save(app.address, `/api/recipes/${id}`, document({ title: "Only sugar", lines: [line("a", "100 g sugar")], steps: [] }), 1);
    expect(await found("diet=vegan&search=only%20sugar")).toEqual([id]);
  });
});

describe("which recipes suit a table", () => {
  const suited = async (table: object, leave: string | null = null) => {
    const answer = await fetch(`${app.address}/api/recipes/suited`, {
      method: "POST",
      headers: { "content-type": "application/json", origin: app.address },
      body: JSON.stringify({ table: { rules: [], limits: [], servings: 4, serve: "hot", ...table }, leave }),
    });
    const text = await answer.text();
    return {
      status: answer.status,
      lines: text
        .trim()
        .split("\n")
        .map((each) => JSON.parse(each) as SuitLine),
    };
  };
  it("tells all of them, those that fit first, then by how little has to change, but for the one that is left", async () => {
    const plain = await add({ title: "Sugared pears", lines: [line("a", "600 g pears"), line("b", "40 g sugar")], steps: [] });
    const unread = await add({ title: "Moon pears", lines: [line("a", "600 g pears"), line("b", "20 g moon dust")], steps: [] });
    const { lines } = await suited({ rules: ["vegan"] }, "demo-1");
    const last = lines.at(-1);
    if (last?.kind !== "ended") throw new Error("It did not end.");
    const { rows, of } = last;
    expect(rows).toHaveLength(of);
    expect(rows.map(({ id }) => id)).not.toContain("demo-1");
    expect(rows.find(({ id }) => id === plain)).toMatchObject({ kind: "fits" });
    expect(rows.find(({ id }) => id === unread)).toMatchObject({ kind: "cannot tell" });
    const toAdapt = rows.filter(({ kind }) => kind === "to adapt");
    expect(toAdapt.length).toBeGreaterThan(5);
    expect(toAdapt.map(({ least }) => least)).toEqual(toAdapt.map(({ least }) => least).sort((a, b) => a - b));
    expect(toAdapt.every(({ recipe, least }) => recipe !== undefined && least > 0)).toBe(true);
    expect(lines[0]).toMatchObject({ kind: "progress", done: 0 });
  });
  it("refuses what is no table", async () => {
    expect((await suited({ rules: ["no-such-rule"] })).status).toBe(422);
    expect((await suited({ servings: -1 })).status).toBe(422);
  });
});

describe("the lineage of a recipe", () => {
  const bench = (grams: number, part: Partial<StoredBench> = {}) =>
    benchOf(
      [
        { line: "a", foodId: "cow-milk", grams: 500, role: "liquid", change: "as is" },
        { line: "b", foodId: "sugar", grams, role: "sweetener", change: "amount", why: "by hand" },
      ],
      4,
      { evaporation: 60, ...part },
    );
  const keep = async (recipeId: string, made: object) =>
    ((await send(app.address, "POST", "/api/versions", { recipeId, bench: made })).json as { id: string }).id;
  it("holds versions of versions with what changed, why and for whom, and lays one on the bench again", async () => {
    const id = await add({ title: "Ancestor" });
    const first = await keep(id, bench(40));
    expect((await send(app.address, "PUT", `/api/versions/${first}`, { label: "Less sweet", why: "it was too much", whom: "uncle" })).status).toBe(204);
    expect((await send(app.address, "PUT", `/api/versions/${first}`, { label: "", why: "", whom: "" })).status).toBe(422);
    expect((await send(app.address, "PUT", "/api/versions/none", { label: "x", why: "", whom: "" })).status).toBe(404);
    expect((await send(app.address, "POST", `/api/versions/${first}/bench`)).json).toMatchObject({ recipeId: id, before: { bench: null } });
    const second = await keep(id, bench(20, { from: first }));
    const html = (await page(`/recipes/${id}/lineage`)).replace(/<!-- -->/g, "");
    expect(html).toContain("it was too much");
    expect(html).toContain("for uncle");
    expect(html).toContain("sugar 60 g, now 40 g");
    expect(html).toContain("sugar 40 g, now 20 g");
    const compared = (await page(`/recipes/${id}/compare?with=now,${first},${second}`)).replace(/<!-- -->/g, "");
    expect(compared).toContain("Less sweet");
    expect(await page(`/recipes/${id}/compare?with=now`)).toContain("Choose two to 4");
    expect(await page(`/recipes/demo-1/compare?with=now,${first}`)).toContain("of another recipe");
    // A version whose recipe is changed since is laid on by the lines that are still there.
    await save(app.address, `/api/recipes/${id}`, document({ title: "Ancestor", lines: [line("c", "10 g ghee"), line("b", "60 g sugar")] }), 1);
    expect((await send(app.address, "POST", `/api/versions/${first}/bench`)).status).toBe(200);
  });
  it("keeps the recipe as it was where a version was kept of it, and brings it back", async () => {
    const id = await add({ title: "Before" });
    await save(app.address, `/api/recipes/${id}`, document({ title: "Between" }), 1);
    await save(app.address, `/api/recipes/${id}`, document({ title: "Typed on" }), 2);
    await keep(id, bench(40));
    await save(app.address, `/api/recipes/${id}`, document({ title: "After" }), 3);
    const html = (await page(`/recipes/${id}/lineage`)).replace(/<!-- -->/g, "");
    // The first was an hour's beginning, the second one ran on, of the third a version was kept.
    expect(html).toContain("called “Before”, now “After”");
    expect(html).not.toContain("called “Between”");
    expect(html).toContain("called “Typed on”, now “After”");
  });
});

describe("recipes with parts at the door", () => {
  it.each([
    ["a part without a name", { components: [{ id: "c", name: "", use: { kind: "whole" } }] }, "/document/components/0/name"],
    ["a share above all of it", { components: [{ id: "c", name: "Syrup", use: { kind: "part", share: 2 } }] }, "/document/components/0/use"],
    ["an unknown operation", { steps: [{ id: "s", text: "x", choice: { operation: "fly" } }] }, "/document/steps/0/choice/operation"],
    ["a weight below nothing", { steps: [{ id: "s", text: "x", choice: { weighed: -1 } }] }, "/document/steps/0/choice/weighed"],
    ["steps as plain sentences", { steps: ["Stir."] }, "/document/steps/0"],
  ])("refuses %s with its place", async (_, part, pointer) => {
    const { status, json } = await save(app.address, "/api/recipes/demo-1", document(part), 1);
    expect(status).toBe(422);
    expect(JSON.stringify(json)).toContain(`"${pointer}`);
  });
  it("takes one that goes round, and says so where it is shown", async () => {
    const id = await add({
      components: [{ id: "c", name: "Syrup", use: { kind: "whole" }, into: "c" }],
      lines: [{ ...line("a", "100 g sugar"), component: "c" }],
    });
    expect(await page(`/recipes/${id}/recipe`)).toContain("goes into itself");
  });
  it("reads an own file of the first version, whose steps were sentences", async () => {
    const old = { format: "threpsis-recipes", version: 1, recipes: [{ ...document(), steps: ["Simmer it.", "Serve it."] }] };
    const response = await fetch(`${app.address}/api/recipes/read?name=old.threpsis.json`, {
      method: "POST",
      headers: { "content-type": "text/plain", origin: app.address },
      body: JSON.stringify(old),
    });
    expect(await response.json()).toMatchObject({ recipes: [{ steps: [{ text: "Simmer it." }, { text: "Serve it." }] }] });
  });
});
