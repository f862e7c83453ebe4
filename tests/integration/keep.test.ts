import { afterAll, describe, expect, it } from "vitest";
import { newFolder, removeFolder, save, send, startApp } from "../support/app";
import { ownApp } from "../support/own-app";

const app = ownApp();
const folders: string[] = [];
afterAll(() => folders.forEach(removeFolder));

let count = 0;
const event = (happening: object) => ({ id: `e${count++}`, at: Date.now() - 3_600_000 + count * 1000, ...happening });
const KHEER =
  "Healthy rice kheer\nServes 4\n\n1 litre milk\n80 g rice\n80 g sugar\n20 g cashews\n\nNote: Anamaria liked it.\n\n1. Simmer the rice in the milk for 40 minutes.\n2. Stir in the sugar and cashews and simmer for 2 minutes.";
const PULPY =
  "Almond kheer\nServes 4\n\n120 g almonds\n700 ml water\n40 g rice flour\n60 g sugar\n\n1. Soak the almonds overnight, grind with the water and press through a cloth.\n2. Simmer the milk with the flour and sugar for 15 minutes.";

type Json = Readonly<Record<string, unknown>>;
const add = async (batch: string, ...happenings: readonly object[]) => {
  const { status, json } = await send(app.address, "POST", `/api/batches/${batch}/events`, { events: happenings.map(event) });
  return { status, title: (json as { readonly title?: string }).title ?? "" };
};
async function cooked(text: string): Promise<string> {
  const made = (await send(app.address, "POST", "/api/recipes", { text })).json as { readonly id: string };
  const batch = ((await send(app.address, "POST", "/api/batches", { recipeId: made.id, versionId: null })).json as { readonly id: string }).id;
  await add(batch, { kind: "started" }, { kind: "put in", line: null, food: "saffron", name: "saffron", grams: 0.2, word: "" }, { kind: "ended", grams: 850 });
  return batch;
}
const day = (after: number) => new Date(Date.now() + after * 86_400_000).toISOString().slice(0, 10);
const shared = async (batch: string, query: string) => (await fetch(`${app.address}/api/batches/${batch}/share?${query}`)).text();

describe("what is kept of a batch", () => {
  it("is boxes with day, heat and sugar; what is left, and pulp by its own days; moved into the frost while it is good", async () => {
    const batch = await cooked(PULPY);
    expect((await add(batch, { kind: "set aside", name: "the aunt", grams: 150, day: day(1), serve: "chilled", sugar: 4 })).status).toBe(200);
    expect((await add(batch, { kind: "set aside", name: "the aunt", grams: 150, day: "tomorrow" })).status).toBe(422);
    const put = (part: object) => add(batch, { kind: "left over", grams: 100, place: "fridge", useBy: day(2), ...part });
    expect((await put({ what: "Something else" })).title).toMatch(/Nothing called “Something else”/);
    const page = await (await fetch(`${app.address}/batches/${batch}/keep`)).text();
    const [, pulp = ""] = /<b class="font-\[550\]">([^<]*pulp[^<]*)<\/b>/i.exec(page) ?? [];
    expect(pulp).toMatch(/pulp/i);
    expect((await put({ what: pulp, useBy: day(20) })).title).toMatch(/2 days in the fridge/);
    expect((await put({ what: pulp, useBy: day(1) })).status).toBe(200);
    expect((await put({ useBy: day(2) })).status).toBe(200);
    const stock = (await send(app.address, "GET", "/api/stock")).json as {
      readonly items?: readonly { readonly id: string; readonly name: string; readonly useBy: string }[];
    };
    const sweet = stock.items?.find(({ name }) => name === "Almond kheer");
    const said = { foodId: null, name: "Almond kheer", kind: "left over", gotOn: day(0), note: "" };
    const change = (part: object, revision: number) =>
      send(app.address, "PUT", `/api/stock/${encodeURIComponent(sweet?.id ?? "")}`, { document: { ...said, useBy: null, ...part }, revision });
    expect((await change({ place: "cupboard" }, 1)).json).toMatchObject({ title: expect.stringMatching(/2 hours/) as string });
    expect((await change({ place: "freezer", useBy: day(400) }, 1)).status).toBe(422);
    expect((await change({ place: "freezer" }, 1)).json).toEqual({ revision: 2 });
    // Called or dated otherwise, pulp keeps as long as pulp does, from the day it was pressed.
    const inStock = async () =>
      (
        (await send(app.address, "GET", "/api/stock")).json as {
          readonly items: readonly { readonly id: string; readonly name: string; readonly useBy: string }[];
        }
      ).items;
    const frozenUntil = async (id: string, before: readonly object[]) => {
      for (const [i, part] of [...before, { place: "freezer" }].entries())
        expect(
          (
            await send(app.address, "PUT", `/api/stock/${encodeURIComponent(id)}`, {
              document: { ...said, name: pulp, place: "fridge", useBy: i < before.length ? day(1) : null, ...part },
              revision: i + 1,
            })
          ).status,
        ).toBe(200);
      return (await inStock()).find((each) => each.id === id)?.useBy;
    };
    expect((await put({ what: pulp, useBy: day(1), grams: 50 })).status).toBe(200);
    const [one, two] = (await inStock()).filter(({ name }) => name === pulp).map(({ id }) => id);
    const until = await frozenUntil(one ?? "", []);
    expect(await frozenUntil(two ?? "", [{ name: "Flour", gotOn: day(-20) }])).toBe(until);
    expect(until).not.toBe((await inStock()).find(({ id }) => id === sweet?.id)?.useBy);
    expect((await change({ place: "fridge" }, 2)).json).toEqual({ revision: 3 });
  });
  it("is refused where the household would keep it longer than is usual, and shorter where it says so", async () => {
    const household = (part: object, revision: number) =>
      save(
        app.address,
        "/api/household",
        {
          measures: { cup: 240, katori: 150, tablespoon: 15, teaspoon: 5, words: "cups" },
          units: { energy: "kcal", temperature: "celsius", currency: "" },
          ...part,
        },
        revision,
      );
    const longer = await household({ keeping: { "wet pudding": { fridge: 9 } } }, 0);
    expect(longer.status).toBe(422);
    expect(JSON.stringify(longer.json)).toMatch(/3 days at the most/);
    expect((await household({ keeping: { "no such kind": { fridge: 1 } } }, 0)).status).toBe(422);
    expect((await household({ keeping: { "wet pudding": { fridge: 1 } }, labelBook: "us" }, 1)).status).toBe(200);
    const batch = await cooked(KHEER);
    expect((await add(batch, { kind: "left over", grams: 100, place: "fridge", useBy: day(3) })).title).toMatch(/a day in the fridge at the most/);
  });
});

describe("what goes out", () => {
  it("is the same recipe and version in another Threpsis; names, rules, notes and claims stay", async () => {
    const eaters = [{ id: "a", name: "Anamaria", rules: ["no-cashew"], limits: [], note: "", asked: "2026-10-01" }];
    expect((await save(app.address, "/api/eaters", { eaters }, 1)).status).toBe(200);
    const batch = await cooked(KHEER);
    const [sweet, text, jsonld, file] = await Promise.all([
      shared(batch, "format=sweet"),
      shared(batch, "format=text"),
      shared(batch, "format=jsonld"),
      shared(batch, "format=threpsis"),
    ]);
    for (const each of [sweet, text, jsonld, file]) {
      expect(each).not.toMatch(/Anamaria|no-cashew|Healthy|liked it/);
      expect(each).toMatch(/rice kheer/i);
    }
    expect(text).toMatch(/Contains: NUTS \(CASHEW\), MILK/);
    expect(await shared(batch, "format=text&names=yes")).toMatch(/Not for Anamaria/);
    expect((await fetch(`${app.address}/api/batches/${batch}/share?format=doc`)).status).toBe(404);

    const folder = newFolder();
    folders.push(folder);
    const other = await startApp(folder);
    try {
      const read = await fetch(`${other.address}/api/recipes/read?name=kheer.threpsis.json`, {
        method: "POST",
        headers: { "content-type": "text/plain" },
        body: file,
      });
      const { recipes, versions } = (await read.json()) as { readonly recipes: readonly Json[]; readonly versions: readonly { readonly snapshot: Json }[] };
      expect(versions).toHaveLength(1);
      const { ids } = (await send(other.address, "POST", "/api/recipes/import", { recipes, versions })).json as { readonly ids: readonly string[] };
      expect(ids).toHaveLength(1);
      const back = (await send(other.address, "GET", `/api/recipes/${ids[0]}`)).json as {
        readonly recipe?: { readonly title: string; readonly lines: readonly unknown[] };
      };
      expect(back.recipe).toMatchObject({ title: "Rice kheer" });
      const page = await (await fetch(`${other.address}/recipes/${ids[0]}/lineage`)).text();
      expect(/As it was sent/.exec(page)?.[0]).toBeDefined();
      // What does not fit is refused, with where.
      const bad = await send(other.address, "POST", "/api/recipes/import", {
        recipes,
        versions: [{ recipe: 0, snapshot: { ...versions[0]?.snapshot, rows: "none" } }],
      });
      expect([bad.status, JSON.stringify(bad.json)]).toEqual([422, expect.stringMatching(/versions\/0\/snapshot/) as string]);
      expect((await send(other.address, "POST", "/api/recipes/import", { recipes, versions: [{ recipe: 5, snapshot: {} }] })).status).toBe(422);
    } finally {
      await other.stop();
    }
  });
});

describe("a sealed copy of everything", () => {
  it("is opened with its passphrase alone", async () => {
    const sealed = await fetch(`${app.address}/api/backup/sealed`, {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify({ passphrase: "four plain words" }),
    });
    expect(sealed.headers.get("content-disposition")).toMatch(/\.sealed"/);
    const text = await sealed.text();
    expect(text).not.toMatch(/Anamaria|kheer/);
    const open = (passphrase: string, file = text) =>
      fetch(`${app.address}/api/backup/sealed`, {
        method: "PUT",
        headers: { "content-type": "text/plain" },
        body: `${JSON.stringify({ passphrase })}\n${file}`,
      });
    expect((await send(app.address, "POST", "/api/backup/sealed", { passphrase: "short" })).status).toBe(422);
    expect((await open("four plain wards")).status).toBe(422);
    expect(await (await fetch(`${app.address}/api/backup`, { method: "PUT", headers: { "content-type": "application/jsonl" }, body: text })).text()).toMatch(
      /sealed/,
    );
    expect((await open("four plain words", "no seal")).status).toBe(422);
    expect((await open("four plain words")).status).toBe(200);
    const household = (await (await fetch(`${app.address}/household`)).text()).replaceAll("<!-- -->", "");
    expect(/1 person who eats here, by name; of 1 what they leave out/.exec(household)?.[0]).toBeDefined();
  });
});
