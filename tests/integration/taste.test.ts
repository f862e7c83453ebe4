import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { newFolder, removeFolder, save, send, startApp, type RunningApp } from "../support/app";

const folder = newFolder();
let app: RunningApp;
beforeAll(async () => void (app = await startApp(folder)));
afterAll(async () => {
  await app.stop();
  removeFolder(folder);
});

let count = 0;
const event = (happening: object) => ({ id: `e${count++}`, at: Date.now() - 3_600_000 + count * 1000, ...happening });
const eater = (id: string, rules: readonly string[], part: object = {}) => ({ id, name: id, rules, limits: [], note: "", asked: "2026-10-01", ...part });
const KHEER =
  "Rice kheer\nServes 4\n\n1 litre milk\n80 g rice\n80 g sugar\n\n1. Simmer the rice in the milk for 40 minutes.\n2. Stir in the sugar and simmer for 2 minutes.";

async function cooked(): Promise<string> {
  const made = (await send(app.address, "POST", "/api/recipes", { text: KHEER })).json as { readonly id: string };
  const batch = ((await send(app.address, "POST", "/api/batches", { recipeId: made.id, versionId: null })).json as { readonly id: string }).id;
  expect((await send(app.address, "POST", `/api/batches/${batch}/events`, { events: [event({ kind: "started" })] })).status).toBe(200);
  return batch;
}
const end = (batch: string) => send(app.address, "POST", `/api/batches/${batch}/events`, { events: [event({ kind: "ended", grams: 850 })] });
const tasting = (part: object = {}) => ({
  id: `t${count++}`,
  eater: "ana",
  guest: null,
  served: "hot",
  isSettled: false,
  answer: { steps: { sweetness: -1, body: 0 }, liking: 7, word: "of cardamom" },
  ...part,
});

describe("a tasting", () => {
  it("is of who may eat of it, once it is done; each once, and nothing of what a guest avoids is kept", async () => {
    const { address } = app;

    const eaters = [eater("ana", []), eater("bo", ["no-milk"]), eater("ed", [], { asked: undefined })];
    const saved = await save(address, "/api/eaters", { eaters }, 1);
    expect(saved.status).toBe(200);
    const batch = await cooked();
    const say = async (part: object = {}, of = batch) => {
      const { status, json } = await send(address, "POST", `/api/batches/${of}/tastings`, tasting(part));
      return { status, title: (json as { readonly title?: string }).title ?? "", id: (json as { readonly id?: string }).id ?? "" };
    };
    expect((await say()).title).toMatch(/still on the stove/);
    await end(batch);
    const first = await say({ id: "once" });
    expect(first).toMatchObject({ status: 201, id: "once" });
    expect((await say({ id: "once" })).status).toBe(201);

    expect(await say({ eater: "bo" })).toMatchObject({ status: 422, title: expect.stringMatching(/not for bo/) as string });
    // Nor where somebody says that it is settled.
    expect((await say({ eater: "bo", isSettled: true })).status).toBe(422);
    expect((await say({ eater: "ed" })).title).toMatch(/to be settled/);
    expect((await say({ eater: "ed", isSettled: true })).status).toBe(201);
    const guest = (rules: readonly string[], other = "", name = "the neighbour's aunt") => ({ eater: null, guest: { name, rules, other } });
    expect((await say(guest(["no-milk"]))).status).toBe(422);
    expect((await say(guest(["no-such-rule"]))).status).toBe(422);
    expect((await say(guest([]))).status).toBe(201);
    // Who eats here is no guest, by whatever is said; and what no rule knows is asked first.
    expect((await say(guest([], "", " Bo"))).title).toMatch(/eats here/);
    expect((await say(guest([], "kiwi"))).title).toMatch(/“kiwi” is in it, no rule tells.*It holds .*rice/);
    expect((await say({ ...guest([], "kiwi"), isSettled: true })).status).toBe(201);
    expect((await say({ ...guest(["no-milk"], "kiwi"), isSettled: true })).status).toBe(422);
    for (const bad of [
      { eater: "nobody" },
      { eater: null },
      { eater: "ana", ...{ guest: { name: "two", rules: [], other: "" } } },
      { answer: { steps: {}, liking: null, word: " " } },
      { answer: { steps: { sweetness: 3 }, liking: 7, word: "" } },
      { answer: { steps: { colour: 1 }, liking: 7, word: "" } },
      { answer: { steps: {}, liking: 10, word: "" } },
      { served: "lukewarm" },
    ])
      expect((await say(bad)).status, JSON.stringify(bad)).toBe(422);
    const asked = await send(address, "POST", `/api/batches/${batch}/guests`, {
      guests: [
        { name: "one", rules: ["no-milk"], other: "" },
        { name: "two", rules: [], other: "" },
      ],
    });
    expect((asked.json as { readonly may: readonly { readonly may: string }[] }).may.map(({ may }) => may)).toEqual(["no", "yes"]);
    expect((await say({}, "nowhere")).status).toBe(404);

    // What is proposed for next time is laid on the bench as it is proposed, and nothing else.
    interface Told {
      readonly changes: readonly { readonly attribute: string; readonly ways: readonly { readonly food: string; readonly grams: number }[] }[];
    }
    const told = (await send(address, "GET", `/api/batches/${batch}/next-time`)).json as Told;
    const sugar = told.changes.find(({ attribute }) => attribute === "sweetness")?.ways.find(({ food }) => food === "sugar");
    expect(sugar?.grams).toBeGreaterThan(0);
    const lay = (body: object) => send(address, "POST", `/api/batches/${batch}/next-time`, body);
    expect((await lay({ attribute: "sweetness", food: "salt" })).status).toBe(409);
    expect((await lay({ attribute: "aroma", food: null })).status).toBe(422);
    const laid = (await lay({ attribute: "sweetness", food: "sugar" })).json as { readonly recipeId: string; readonly revisions: { readonly bench: number } };
    expect(laid.revisions.bench).toBeGreaterThan(0);
    expect(await (await fetch(`${address}/recipes/${laid.recipeId}/swap`)).text()).toContain("found it not sweet enough");

    const backup = await (await fetch(`${address}/api/backup`)).text();
    expect(backup).toContain("of cardamom");
    expect(backup.split("\n").filter((row) => row.includes('"table":"tasting"') && /no-milk|kiwi/.test(row))).toEqual([]);
    expect(backup).toContain('"table":"tasting"');
    expect((await send(address, "DELETE", `/api/batches/${batch}/tastings/once`)).status).toBe(204);
    expect((await send(address, "DELETE", `/api/batches/${batch}/tastings/once`)).status).toBe(404);
    expect((await fetch(`${address}/api/backup`, { method: "PUT", headers: { "content-type": "application/jsonl" }, body: backup })).status).toBe(200);
    expect((await send(address, "DELETE", `/api/batches/${batch}/tastings/once`)).status).toBe(204);
    const page = await (await fetch(`${address}/batches/${batch}/taste`)).text();
    expect(page).toContain("Who tastes it?");
    expect(page).toContain("It is not for");
  });
});
