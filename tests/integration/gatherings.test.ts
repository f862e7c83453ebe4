import ICAL from "ical.js";
import { describe, expect, it } from "vitest";
import { newGathering, type Gathering } from "../../src/core/plan";
import { momentAt } from "../../src/core/calendar";
import { send } from "../support/app";
import { ownApp } from "../support/own-app";

const app = ownApp();
const ask = async (method: "GET" | "POST" | "PUT" | "DELETE", path: string, body?: object) => {
  const { status, json } = await send(app.address, method, path, body);
  return {
    status,
    json: json as { readonly title?: string; readonly revision?: number; readonly errors?: readonly { readonly pointer: string }[] } & Record<string, unknown>,
  };
};
const page = async (path: string) => (await fetch(`${app.address}${path}`)).text();
const DAY = 86_400_000;
const dayIn = (days: number) => new Date(Date.now() + days * DAY).toISOString().slice(0, 10);
const KHEER =
  "Walnut kheer\nServes 4\n\n120 g walnuts\n700 ml milk\n40 g rice flour\n60 g sugar\n\n1. Soak the walnuts overnight, drain them, and grind them with a little milk.\n2. Simmer the milk with the rice flour, the walnuts and the sugar for 25 minutes, stirring.\n3. Chill it for 3 hours.";

let count = 0;
const recipe = async (text: string) => (await ask("POST", "/api/recipes", { text })).json.id as string;
const sweet = (of: string, part: Partial<Gathering["sweets"][number]> = {}) => ({
  id: `s${count++}`,
  recipe: of,
  version: null,
  title: "Walnut kheer",
  label: null,
  servings: 8,
  takeHome: 0,
  before: 0,
  ...part,
});
const gathering = (part: Partial<Gathering> = {}): Gathering => ({
  ...newGathering({ title: "Autumn supper", day: dayIn(3), hour: "19:30", timeZone: "Europe/Berlin" }),
  guests: [{ id: "g", name: "cousins", count: 4, rules: ["vegan"], isAsked: true }],
  burners: 2,
  ...part,
});
const kept = async (document: Gathering) => {
  const id = `gathering-${count++}`;
  const { status, json } = await ask("POST", "/api/gatherings", { id, document });
  expect([status, json]).toEqual([201, { id }]);
  return id;
};
interface Entry {
  readonly uid: string;
  readonly sequence: number;
  readonly start: number;
  readonly status: string;
  readonly summary: string;
  readonly rings: boolean;
}
async function calendar(id: string): Promise<readonly Entry[]> {
  const answer = await fetch(`${app.address}/api/gatherings/${id}/calendar`, {
    method: "POST",
    headers: { origin: app.address, "content-type": "application/json" },
    body: "{}",
  });
  expect([answer.status, answer.headers.get("content-type")]).toEqual([200, "text/calendar; charset=utf-8"]);
  const root = new ICAL.Component(ICAL.parse(await answer.text()) as unknown[]);
  return root.getAllSubcomponents("vevent").map((each) => {
    const event = new ICAL.Event(each);
    return {
      uid: event.uid,
      sequence: event.sequence,
      start: event.startDate.toUnixTime() * 1000,
      status: String(each.getFirstPropertyValue("status")),
      summary: event.summary,
      rings: each.getAllSubcomponents("valarm").length > 0,
    };
  });
}

describe("a gathering", () => {
  it("is kept once however often it is sent, saved over the revision that was read, deleted and put back", async () => {
    const document = gathering();
    const id = await kept(document);
    expect((await ask("POST", "/api/gatherings", { id, document })).status).toBe(201);
    const save = (revision: number, title: string) => ask("PUT", `/api/gatherings/${id}`, { document: { ...document, title }, revision });
    expect((await save(1, "Later supper")).json).toEqual({ revision: 2 });
    const other = await save(1, "Other supper");
    expect(other.status).toBe(409);
    expect(other.json.current).toMatchObject({ document: { title: "Later supper" }, revision: 2 });
    expect(await page("/plan")).toContain("Later supper");
    expect((await ask("DELETE", `/api/gatherings/${id}`)).status).toBe(204);
    expect((await fetch(`${app.address}/plan/${id}`)).status).toBe(404);
    expect((await ask("POST", `/api/gatherings/${id}/restore`)).status).toBe(204);
    expect(await page(`/plan/${id}/setup`)).toContain("Later supper");
  });
  it("says for whom its sweets are not, what is not read, and sums what is to be bought", async () => {
    const [one, two] = [
      await recipe(KHEER),
      await recipe("Plain kheer\nServes 4\n\n700 ml milk\n60 g sugar\nwhat the aunt dried\n\n1. Simmer it all for 25 minutes."),
    ];
    const id = await kept(gathering({ sweets: [sweet(one), sweet(two, { title: "Plain kheer" })] }));
    const setup = await page(`/plan/${id}/setup`);
    expect(setup).toMatch(/Not for.{0,80}cousins \(4\)/);
    const list = await page(`/plan/${id}/shopping`);
    expect(list).toContain("what the aunt dried");
    // Twice 700 ml for four, made for eight.
    expect(/Whole milk.{0,400}/.exec(list)?.[0]).toMatch(/2[,.]?[89]\d\d/);
  });
  it("buys what a milk is pressed from, not the milk that is made of it, and takes that of the stock", async () => {
    const pressed = await recipe(
      "Almond kheer\nServes 4\n\n120 g almonds\n700 ml water\n40 g rice flour\n60 g sugar\n\n1. Soak the almonds overnight, grind with the water and press through a cloth.\n2. Simmer it with the flour and sugar for 15 minutes.",
    );
    const id = await kept(gathering({ sweets: [sweet(pressed)] }));
    const list = await page(`/plan/${id}/shopping`);
    expect(list).not.toContain("pressed here");
    expect(/Almonds.{0,300}/.exec(list)?.[0]).toMatch(/240 g/);
    await ask("POST", "/api/stock", {
      id: `stock-${count++}`,
      foodId: "almond",
      name: "Almonds",
      kind: "bought",
      place: "cupboard",
      gotOn: dayIn(-2),
      useBy: dayIn(30),
      note: "",
      grams: 500,
    });
    const batch = (await ask("POST", "/api/batches", { recipeId: pressed, versionId: null })).json.id as string;
    const at = Date.now() - 10_000;
    const events = [
      { id: "a", at, kind: "started" },
      { id: "b", at: at + 5000, kind: "ended", grams: 700 },
    ];
    expect((await ask("POST", `/api/batches/${batch}/events`, { events })).status).toBe(200);
    const { items } = (await ask("GET", "/api/stock")).json as unknown as {
      readonly items: readonly { readonly foodId: string | null; readonly grams: number }[];
    };
    expect(items.find(({ foodId }) => foodId === "almond")?.grams).toBeCloseTo(380, 0);
    expect(await page("/pantry/stock/make")).toMatch(/Almond kheer.{0,900}almonds.{0,200}120/s);
  });
  it("passes over nobody: of who is not named in the household any more it asks", async () => {
    const id = await kept(gathering({ guests: [], eaters: ["gone-aunt"], sweets: [sweet(await recipe(KHEER))] }));
    const setup = await page(`/plan/${id}/setup`);
    expect(setup).toMatch(/To ask for.{0,80}not named in the household any more/);
    expect(setup).not.toContain("For all who come");
  });
  it("keeps what is ticked off by the latest word, whatever a device's clock says", async () => {
    const id = await kept(gathering());
    const tick = async (isDone: boolean, at: number) =>
      (await ask("POST", `/api/gatherings/${id}/ticks`, { ticks: [{ what: "buy milk", isDone, at }] })).json.ticks as { isDone: boolean }[];
    const now = Date.now();
    expect((await tick(true, now - 5000))[0]?.isDone).toBe(true);
    expect((await tick(false, now - 9000))[0]?.isDone).toBe(true);
    await tick(true, now + 9e9);
    await new Promise((resolve) => setTimeout(resolve, 20));
    expect((await tick(false, Date.now()))[0]?.isDone).toBe(false);
  });
  it("goes into a calendar: the same entries again, moved with a higher sequence, gone as cancelled; begun before night", async () => {
    const one = await recipe(KHEER);
    const document = gathering({ sweets: [sweet(one)] });
    const id = await kept(document);
    const first = await calendar(id);
    expect(first.map(({ status }) => status)).toEqual(first.map(() => "CONFIRMED"));
    expect(new Set(first.map(({ uid }) => uid)).size).toBe(first.length);
    expect(first.some(({ summary, rings }) => /Soak the walnuts/.test(summary) && rings)).toBe(true);
    expect(first.find(({ summary }) => summary === "Autumn supper")?.start).toBe(momentAt(document.day, "19:30", document));
    expect(await calendar(id)).toEqual(first);
    await ask("PUT", `/api/gatherings/${id}`, { document: { ...document, hour: "20:30" }, revision: 1 });
    const moved = await calendar(id);
    expect(moved.map(({ uid }) => uid).toSorted()).toEqual(first.map(({ uid }) => uid).toSorted());
    const served = moved.find(({ summary }) => summary === "Autumn supper");
    expect([served?.sequence, served?.start]).toEqual([1, momentAt(document.day, "20:30", document)]);
    await ask("PUT", `/api/gatherings/${id}`, { document: { ...document, sweets: [sweet(one, { id: "again" })] }, revision: 2 });
    const others = await calendar(id);
    expect(others.filter(({ status }) => status === "CANCELLED").length).toBeGreaterThan(3);
    expect(others.filter(({ status }) => status === "CONFIRMED").length).toBe(first.length);
  });
  it("is the same hour on the clocks over the night in which they are put back", async () => {
    const year = new Date().getUTCFullYear() + (new Date().getUTCMonth() >= 9 ? 1 : 0);
    const last = new Date(Date.UTC(year, 9, 31));
    const sunday = new Date(last.getTime() - last.getUTCDay() * DAY).toISOString().slice(0, 10);
    const document = gathering({ day: sunday, hour: "12:00", sweets: [sweet(await recipe(KHEER))] });
    const id = await kept(document);
    const entries = await calendar(id);
    const served = entries.find(({ summary }) => summary === "Autumn supper")?.start ?? 0;
    expect(new Date(served).toISOString()).toBe(`${sunday}T11:00:00.000Z`);
    const clock = new Intl.DateTimeFormat("en-GB", { timeZone: "Europe/Berlin", hour: "2-digit", minute: "2-digit" });
    for (const { start, summary } of entries)
      if (!/waited|take it out/.test(summary))
        expect(clock.format(start) >= "06:00" && clock.format(start) < "22:00", `${summary} ${clock.format(start)}`).toBe(true);
  });
  it.each([
    ["a day that is none", { day: "2026-02-30" }, "/document/day"],
    ["no time zone", { timeZone: "Moon/Base" }, "/document/timeZone"],
    ["an hour that is none", { hour: "25:00" }, "/document/hour"],
    ["nobody who cooks", { cooks: 0 }, "/document/cooks"],
    ["a rule that there is not", { guests: [{ id: "g", name: "x", count: 1, rules: ["no-such-rule"], isAsked: true }] }, "/document/guests/0/rules"],
    ["no guest", { guests: [{ id: "g", name: "x", count: 0, rules: [], isAsked: true }] }, "/document/guests/0/count"],
    ["a pin that is no hour", { pins: { a: "tomorrow" } }, "/document/pins"],
  ])("is refused with %s, in words and with the place", async (_, part, pointer) => {
    const { status, json } = await ask("POST", "/api/gatherings", { id: `bad-${count++}`, document: { ...gathering(), ...part } });
    expect([status, json.errors?.[0]?.pointer.startsWith(pointer)]).toEqual([422, true]);
  });
  it.each([
    ["its hour is past", { day: dayIn(-1) }, /Its hour is past/],
    [
      "200 guests",
      {
        guests: [
          { id: "g", name: "all of them", count: 150, rules: [], isAsked: true },
          { id: "h", name: "more", count: 51, rules: [], isAsked: true },
        ],
      },
      /201 people are more than a home kitchen feeds/,
    ],
    ["no burner", { burners: 0 }, /There is no burner/],
  ])("is kept though %s, and told why nothing can be planned", async (_, part, words) => {
    const id = await kept(gathering({ sweets: [sweet(await recipe(KHEER))], ...part }));
    expect(await page(`/plan/${id}`)).toMatch(words);
    expect((await ask("POST", `/api/gatherings/${id}/calendar`, {})).json.title).toMatch(words);
  });
  it("says what of it is gone, and goes with the backup", async () => {
    const one = await recipe(KHEER);
    const id = await kept(gathering({ sweets: [sweet(one), sweet("no-such-recipe", { title: "Lost halwa" })] }));
    expect(await page(`/plan/${id}`)).toMatch(/Lost halwa.{0,60}gone/);
    const file = await (await fetch(`${app.address}/api/backup`)).text();
    expect(file).toContain(`"${id}"`);
  });
});
