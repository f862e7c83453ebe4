import { describe, expect, it } from "vitest";
import { save, send } from "../support/app";
import { ownApp } from "../support/own-app";

const app = ownApp();

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

describe("a triangle test", () => {
  it("is served blind by one who does not taste, of sweets that each may have, and tells nothing before it is over", async () => {
    const { address } = app;
    const [one, two, going] = [await cooked(), await cooked(), await cooked()];
    for (const batch of [one, two]) await end(batch);
    const test = (part: object = {}) => ({
      id: "first",
      batches: [one, two],
      aim: "different",
      tell: 0.5,
      planned: 3,
      served: "hot",
      server: { eater: "ana", name: "ana" },
      ...part,
    });
    const begin = async (part: object = {}) => (await send(address, "POST", "/api/triangles", test(part))).status;
    for (const bad of [{ batches: [one, one] }, { batches: [one] }, { planned: 2 }, { planned: 201 }, { tell: 1 }, { server: { eater: "nobody", name: "x" } }])
      expect(await begin(bad), JSON.stringify(bad)).toBe(422);
    expect(await begin({ batches: [one, "nowhere"] })).toBe(404);
    expect(await begin({ batches: [one, going] })).toBe(409);
    expect(await begin()).toBe(201);
    // Sent again it is the same test, coded as before.
    const sheets = async () => await (await fetch(`${address}/triangles/first/sheets`)).text();
    const before = await sheets();
    expect(await begin()).toBe(201);
    const rows = [...before.matchAll(/<th scope="row"[^>]*>(\d+)<\/th>(.*?)<\/tr>/gs)].map(([, place, cells = ""]) => {
      const codes = [...cells.matchAll(/>\s*(\d{3})/g)].map(([, code]) => code ?? "");
      return { place: Number(place), codes: codes.slice(0, 3), odd: codes[3] ?? "" };
    });
    expect(rows.map(({ place }) => place)).toEqual([1, 2, 3]);
    const page = async () => await (await fetch(`${address}/triangles/first`)).text();
    const shown = await page();
    // What tastes is given the codes of the next three cups, and nothing by which to tell them.
    for (const code of rows[0]?.codes ?? []) expect(shown).toContain(code);
    expect(shown).not.toMatch(/"odd"|"sample"|isRight|"seed"/);
    expect(shown).toMatch(/It is not for.*bo/s);

    const say = async (place: number, part: object = {}) => {
      const row = rows[place - 1];
      const body = { id: `a${count++}`, eater: "ed", guest: null, isSettled: true, place, code: row?.odd ?? "", ...part };
      const { status, json } = await send(address, "POST", "/api/triangles/first/answers", body);
      return { status, title: (json as { readonly title?: string } | null)?.title ?? "" };
    };
    expect((await say(1, { eater: "ana" })).title).toMatch(/serves, and knows/);
    expect((await say(1, { eater: null, guest: { name: " ANA ", rules: [], other: "" } })).status).toBe(422);
    expect((await say(1, { eater: "bo" })).title).toMatch(/not for bo/);
    expect((await say(1, { eater: null, guest: { name: "aunt", rules: ["no-milk"], other: "" } })).status).toBe(422);
    expect((await say(1, { isSettled: false })).title).toMatch(/to be settled/);
    expect((await say(1, { code: rows[1]?.codes[0] })).status).toBe(422);
    expect((await say(4)).status).toBe(422);
    expect((await say(1, { id: "same" })).status).toBe(204);
    expect((await say(1, { id: "same" })).status).toBe(204);
    expect((await say(1)).title).toMatch(/Set 1 is answered already/);
    // Of two at once one is taken.
    const both = await Promise.all([say(2), say(2, { eater: null, guest: { name: "aunt", rules: [], other: "" } })]);
    expect(both.map(({ status }) => status).sort()).toEqual([204, 409]);
    expect(await page()).not.toMatch(/told apart:|isRight/);
    expect((await say(3)).status).toBe(204);
    expect((await say(3)).title).toMatch(/over/);
    expect(await page()).toContain("They are told apart");
    // Who saw the codes does not count, and too few are left.
    expect((await send(address, "PUT", "/api/triangles/first/answers/same", { saw: true })).status).toBe(204);
    expect((await send(address, "PUT", "/api/triangles/first/answers/none", { saw: true })).status).toBe(404);
    expect(await page()).toMatch(/An answer is left out.*planned for 3 and ended after 2/s);

    const backup = await (await fetch(`${address}/api/backup`)).text();
    expect(backup).toContain('"table":"triangle_answer"');
    expect((await fetch(`${address}/api/backup`, { method: "PUT", headers: { "content-type": "application/jsonl" }, body: backup })).status).toBe(200);
    expect(await sheets()).toContain(rows[2]?.odd);
    expect(await page()).toMatch(/An answer is left out/);

    expect(await begin({ id: "early", planned: 12 })).toBe(201);
    // A batch that is taken up again, or deleted, is not served: the page says so, and what is over stays told.
    const early = async () => await (await fetch(`${address}/triangles/early`)).text();
    expect((await send(address, "POST", `/api/batches/${two}/events`, { events: [event({ kind: "taken up again" })] })).status).toBe(200);
    expect(await early()).toMatch(/One of the two cannot be served.*still on the stove/s);
    await end(two);
    expect(await early()).toContain("Who tastes it?");
    expect((await send(address, "DELETE", `/api/batches/${two}`)).status).toBe(204);
    expect(await early()).toMatch(/One of the two cannot be served/);
    expect((await fetch(`${address}/triangles/early/sheets`)).status).toBe(200);
    expect(await page()).toMatch(/An answer is left out/);
    expect((await send(address, "POST", `/api/batches/${two}/restore`)).status).toBe(204);
    expect((await send(address, "POST", "/api/triangles/early/end")).status).toBe(204);
    expect(await (await fetch(`${address}/triangles/early`)).text()).toContain("Nobody answered: nothing is known.");
    expect((await send(address, "DELETE", "/api/triangles/early")).status).toBe(204);
    expect((await send(address, "DELETE", "/api/triangles/early")).status).toBe(404);
    expect((await fetch(`${address}/triangles/early`)).status).toBe(404);
  });
});
