import { describe, expect, it } from "vitest";
import { save, send } from "../support/app";
import { ownApp } from "../support/own-app";

const app = ownApp();

const DAY = 86_400_000;
const KHEER =
  "Rice kheer\nServes 4\n\n1 litre milk\n80 g rice\n80 g sugar\n\n1. Simmer the rice in the milk for 40 minutes.\n2. Stir in the sugar and simmer for 2 minutes.";
const LADOO =
  "Besan 100% ladoo\nMakes 12\n\n250 g besan\n120 g ghee\n130 g icing sugar\n\n1. Roast the besan in the ghee for 15 minutes.\n2. Cool, mix in the icing sugar, and shape into balls.";
const recipe = async (text: string) => ((await send(app.address, "POST", "/api/recipes", { text })).json as { readonly id: string }).id;
let count = 0;
const entry = (recipeId: string, part: object = {}) => ({
  id: `entry-${count++}`,
  recipeId,
  versionId: null,
  at: Date.now() - DAY,
  grams: null,
  body: null,
  holds: null,
  note: "",
  ...part,
});
const enter = async (body: object) => {
  const { status, json } = await send(app.address, "POST", "/api/batches/afterwards", body);
  return { status, id: (json as { readonly id?: string }).id ?? "", title: (json as { readonly title?: string }).title ?? "" };
};
const page = async (path: string) => await (await fetch(`${app.address}${path}`)).text();
const found = async (query: string) => [...(await page(`/logbook${query}`)).matchAll(/href="\/batches\/([0-9a-z-]+)"/g)].map(([, id]) => id);

describe("the logbook", () => {
  it("takes what was cooked without it, is found by food, eater and season, and makes a batch again as it was", async () => {
    const { address } = app;
    const eaters = ["ana", "bo"].map((id) => ({ id, name: id, rules: [], limits: [], note: "", asked: "2026-10-01" }));
    expect((await save(address, "/api/eaters", { eaters }, 1)).status).toBe(200);
    const [kheer, ladoo] = [await recipe(KHEER), await recipe(LADOO)];

    for (const bad of [
      { at: Date.now() + DAY },
      { at: -1 },
      { grams: 0 },
      { grams: 1e9 },
      { body: 11 },
      { holds: "well" },
      { versionId: "none" },
      { more: 1 },
      { id: "a b" },
      { id: "a b" },
    ])
      expect((await enter(entry(kheer, bad))).status, JSON.stringify(bad)).toBeGreaterThanOrEqual(404);
    expect((await enter(entry(kheer, { at: Date.now() + DAY }))).title).toMatch(/still to come/);
    expect((await enter(entry("nowhere"))).status).toBe(404);
    expect(await found("")).toEqual([]);

    const at = (month: string) => Date.parse(`2026-${month}-15T12:00:00Z`);
    const may = await enter(entry(kheer, { at: at("05"), grams: 800, body: 3, note: "with Rose_water from the market" }));
    const january = await enter(entry(ladoo, { at: at("01"), holds: "crumbles" }));
    expect([may.status, january.status]).toEqual([201, 201]);
    // Sent again it is there once.
    expect(await enter(entry(kheer, { id: may.id, at: at("05") }))).toMatchObject({ status: 201, id: may.id });
    expect(await found("")).toEqual([may.id, january.id]);
    // By name, by a food in it, by a word that was noted, by how it turned out; all words have to be there.
    for (const [query, ids] of [
      ["search=kheer", [may.id]],
      ["search=RICE+milk", [may.id]],
      ["search=chickpea+BESAN", [january.id]],
      ["search=rose_water", [may.id]],
      ["search=rose%25water", []],
      ["search=100%25", [january.id]],
      ["search=crumbles", [january.id]],
      ["search=kheer+crumbles", []],
      ["season=mar-may", [may.id]],
      ["season=dec-feb", [january.id]],
      ["season=jun-aug", []],
      ["season=never", [may.id, january.id]],
      ["eater=bo", []],
      [`search=${"x".repeat(300)}`, [may.id, january.id]],
      ["page=99", []],
    ] as const)
      expect(await found(`?${query}`), query).toEqual(ids);
    const said = { id: "t", eater: "bo", guest: null, served: "hot", isSettled: true, answer: { steps: { sweetness: -1 }, liking: 7, word: "" } };
    expect((await send(address, "POST", `/api/batches/${may.id}/tastings`, said)).status).toBe(201);
    expect(await found("?eater=bo")).toEqual([may.id]);
    expect(await found("?search=bo")).toEqual([may.id]);
    expect(await page("/logbook")).toContain("tasted once, liking 7 of 9");
    // It stands in the line of its sweet, with what was said.
    const line = await page(`/recipes/${kheer}/lineage`);
    for (const words of ["800 g", "1 tasted it, liking 7 of 9, 1 not sweet enough", "Rose_water"]) expect(line).toContain(words);

    // What is said months after teaches nothing.
    expect(await page("/logbook/learned")).not.toMatch(/>bo</);
    // Who does not eat here any more is still named in what they said.
    expect((await save(address, "/api/eaters", { eaters: eaters.slice(0, 1) }, 2)).status).toBe(200);
    expect((await send(address, "GET", `/api/batches/${may.id}/next-time`)).status).toBe(200);
    expect(await page(`/batches/${may.id}/taste`)).toMatch(/name[\\":]+bo\b/);
    expect(await found("?search=bo")).toEqual([may.id]);
    expect(await page(`/recipes/${kheer}/lineage`)).toContain("1 tasted it, liking 7 of 9");

    // Put back, what they said is theirs again.
    expect((await save(address, "/api/eaters", { eaters }, 3)).status).toBe(200);
    expect(await found("?eater=bo")).toEqual([may.id]);

    // As last time: begun as it came out, and of what is still on the stove there is no last time.
    const again = async (like: string) => await send(address, "POST", "/api/batches/as-last-time", { like });
    const next = (await again(may.id)).json as { readonly id: string; readonly without: readonly string[] };
    expect(next.without).toEqual([]);
    const told = JSON.parse(await page(`/api/batches/${next.id}/export?format=json`)) as {
      readonly planned: { readonly grams: number };
      readonly label: string;
    };
    expect(told.planned.grams).toBeCloseTo(800, 0);
    expect(told.label).toBe("As handed down, as last time");
    expect((await again(next.id)).status).toBe(409);
    expect((await again("nowhere")).status).toBe(404);
    expect((await send(address, "POST", "/api/batches/as-last-time", {})).status).toBe(422);
    // Who sat at its table is seated as they are now: what they leave out since is kept too.
    const table = JSON.parse(await page(`/api/recipes/${kheer}/table`)) as { readonly document: object; readonly revision: number };
    const bo = { eater: "bo", name: "bo", servings: 2, rules: [], limits: [], asked: "2026-10-01" };
    expect((await save(address, `/api/recipes/${kheer}/table`, { ...table.document, seats: [bo] }, table.revision)).status).toBe(200);
    const before = await enter(entry(kheer, { grams: 800 }));
    expect((await save(address, "/api/eaters", { eaters: eaters.map((each) => (each.id === "bo" ? { ...each, rules: ["no-milk"] } : each)) }, 4)).status).toBe(
      200,
    );
    const since = (await again(before.id)).json as { readonly id: string };
    expect(await page(`/batches/${since.id}`)).toMatch(/not for.{0,40}bo/is);
    for (const { id } of [before, since]) expect((await send(address, "DELETE", `/api/batches/${id}`)).status).toBe(204);
    // What is deleted is not found, and is when it is put back.
    expect((await send(address, "DELETE", `/api/batches/${may.id}`)).status).toBe(204);
    expect(await found("?search=kheer")).toEqual([next.id]);
    expect((await send(address, "POST", `/api/batches/${may.id}/restore`)).status).toBe(204);
    expect(await found("?search=kheer")).toEqual([next.id, may.id]);
  });
});
