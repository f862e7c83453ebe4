import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { benchOf } from "../support/bench";
import { newFolder, removeFolder, save, send, startApp, type RunningApp } from "../support/app";

let app: RunningApp;
beforeAll(async () => {
  app = await startApp(newFolder());
});
afterAll(async () => {
  await app.stop();
  removeFolder(app.folder);
});

const URL = "/api/house-rules";
const line = (verdict: string, when: object) => ({ verdict, when, because: "" });
const own = (clauses: readonly object[], part: object = {}) => ({ id: "own-elders", name: "Our elders’ list", from: null, clauses, note: "", ...part });
const rules = (...all: readonly object[]) => ({ own: all, answers: [] });
const table = (ids: readonly string[]) => ({ rules: ids, limits: [], servings: 6, serve: "hot" as const });
const pointed = ({ status, json }: { status: number; json: unknown }) => [status, (json as { errors?: readonly { pointer: string }[] }).errors?.[0]?.pointer];

describe("rules of the house", () => {
  it("are refused whole where they contradict themselves, are called as another, or name what is not there", async () => {
    const twice = rules(own([line("avoid", { families: ["nut"] }), line("allowed", { families: ["nut"] })]));
    expect(pointed(await save(app.address, URL, twice))).toEqual([422, "/document/own/0/clauses/1"]);
    expect(pointed(await save(app.address, URL, rules(own([], { name: "Vegan" }))))).toEqual([422, "/document/own/0/name"]);
    expect(pointed(await save(app.address, URL, rules(own([line("avoid", { foods: ["moon-cheese"] })]))))).toEqual([422, "/document/own/0/clauses/0"]);
    expect(pointed(await save(app.address, URL, rules(own([line("avoid", { families: ["moss"] })]))))).toEqual([
      422,
      "/document/own/0/clauses/0/when/families/0",
    ]);
    expect((await save(app.address, "/api/recipes/demo-1/table", table(["own-elders"]))).status).toBe(422);
  });
  it("stand beside the others once they are kept: at tables, with eaters, and for finding recipes", async () => {
    expect((await save(app.address, URL, rules(own([line("avoid", { foods: ["sugar"] })])))).status).toBe(200);
    expect((await save(app.address, "/api/recipes/demo-1/table", table(["own-elders"]))).status).toBe(200);
    const eaters = { eaters: [{ id: "a", name: "Aunt", rules: ["own-elders", "own-other"], limits: [], note: "" }] };
    expect(pointed(await save(app.address, "/api/eaters", eaters, 1))).toEqual([422, "/document/eaters/0/rules/1"]);
    const found = await fetch(`${app.address}/recipes?diet=own-elders`).then((page) => page.text());
    expect(found).toContain("Our elders’ list");
  });
  it("say before they are kept which recipes and versions a change touches", async () => {
    const kept = await send(app.address, "POST", "/api/versions", {
      recipeId: "demo-1",
      bench: benchOf([{ line: "l1", foodId: "semolina", grams: 160, role: "body", change: "as is" }], 6, { label: "As it is", madeFor: table(["own-elders"]) }),
    });
    expect(kept.status).toBe(201);
    const touched = await send(app.address, "POST", `${URL}/touched`, { document: rules(own([line("avoid", { foods: ["sugar", "semolina"] })])) });
    expect(touched).toMatchObject({
      status: 200,
      json: { foods: [{ rule: "own-elders", names: ["Fine semolina"], more: 0 }], recipes: [{ id: "demo-1" }], versions: [{ label: "As it is" }] },
    });
    expect((touched.json as { inLibrary: number }).inLibrary).toBeGreaterThanOrEqual(1);
    const none = await send(app.address, "POST", `${URL}/touched`, { document: rules(own([line("avoid", { foods: ["sugar"] })])) });
    expect(none.json).toEqual({ foods: [], recipes: [], versions: [], inLibrary: 0 });
  });
  it("are not taken out while somebody keeps them, and come back from a copy of everything", async () => {
    const gone = await save(app.address, URL, rules(), 1);
    expect([gone.status, JSON.stringify(gone.json)]).toEqual([422, expect.stringContaining("at the table of Semolina halwa") as string]);
    const copy = await fetch(`${app.address}/api/backup`).then((response) => response.text());
    expect(copy).toContain("own-elders");
    expect((await save(app.address, "/api/recipes/demo-1/table", table([]), 1)).status).toBe(200);
    expect((await save(app.address, URL, rules(), 1)).status).toBe(200);
    const put = await fetch(`${app.address}/api/backup`, { method: "PUT", body: copy, headers: { "content-type": "application/jsonl" } });
    expect(put.status).toBe(200);
    expect((await save(app.address, "/api/recipes/demo-2/table", table(["own-elders"]))).status).toBe(200);
  });
});

describe("the household’s pans and eaters", () => {
  const household = (equipment: object) => ({
    measures: { cup: 240, katori: 150, tablespoon: 15, teaspoon: 5, words: "cups" },
    units: { energy: "kcal", temperature: "celsius", currency: "" },
    equipment: { pans: [], burners: [], mixer: null, pressureCooker: null, fridge: null, ...equipment },
  });
  it.each([
    ["/document/equipment/pans/0/diameter", { pans: [{ id: "p", name: "", diameter: 500, depth: 9, mass: null, sharedWith: [] }] }],
    ["/document/equipment/burners/0/kind", { burners: [{ id: "b", name: "", kind: "peat", power: 2 }] }],
    ["/document/equipment/mixer/sharedWith/0", { mixer: { sharedWith: ["gravel"] } }],
    ["/document/equipment/pressureCooker", { pressureCooker: { sharedWith: [] } }],
  ])("are refused with their place: %s", async (pointer, part) => {
    const { status, json } = await save(app.address, "/api/household", household(part), 99);
    expect([status, JSON.stringify(json)]).toEqual([422, expect.stringContaining(`"${pointer}"`) as string]);
  });
  it.each([
    ["age", "ancient"],
    ["traces", "maybe"],
    ["portion", 0],
    ["until", { vegan: "Christmas" }],
  ])("are refused where %s is %j", async (key, value) => {
    const { status } = await save(app.address, "/api/eaters", { eaters: [{ id: "a", name: "Aunt", rules: [], limits: [], note: "", [key]: value }] }, 99);
    expect(status).toBe(422);
  });
});
