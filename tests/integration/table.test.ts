import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { newFolder, removeFolder, save, send, startApp, type RunningApp } from "../support/app";

let app: RunningApp;
beforeAll(async () => {
  app = await startApp(newFolder());
});
afterAll(async () => {
  await app.stop();
  removeFolder(app.folder);
});

const recipe = {
  "@type": "Recipe",
  name: "Bowl",
  recipeYield: 4,
  recipeIngredient: ["½ cup barnyard millet", "1 cup semolina", "1 litre milk", "½ cup sugar", "1 tsp icing sugar", "¼ tsp salt"],
};
interface Adapted {
  readonly findings: readonly { readonly line: number; readonly rule: string; readonly verdict: string; readonly school: string }[];
}
const findings = async (diets: readonly object[]) => {
  const { status, json } = await send(app.address, "POST", "/api/v1/adapt", { recipe, diets, maxProposals: 1 });
  expect(status).toBe(200);
  return (json as Adapted).findings.map(({ line, verdict }) => [line, verdict]);
};

describe("diets and fasts by the open interface", () => {
  it("judge by the school that is asked for", async () => {
    expect(await findings([{ id: "ekadashi" }])).toEqual([
      [1, "avoid"],
      [4, "ask"],
      [5, "avoid"],
    ]);
    expect(await findings([{ id: "ekadashi", school: "vaishnava" }])).toContainEqual([0, "avoid"]);
    expect(await findings([{ id: "vegan", school: "white-sugar" }])).toContainEqual([3, "ask"]);
    expect(await findings([{ id: "blood-sugar-aware" }])).not.toEqual([]);
  });
  it.each([
    [{ diets: [{ id: "moonfast" }] }, "/diets/0/id"],
    [{ diets: [{ id: "vegan" }, { id: "ekadashi", school: "lunar" }] }, "/diets/1/school"],
    [{ diets: [{ id: "ekadashi/vaishnava" }] }, "/diets/0/id"],
  ])("refuse %j with its place", async (part, pointer) => {
    const { status, json } = await send(app.address, "POST", "/api/v1/adapt", { recipe, ...part });
    expect([status, JSON.stringify(json).includes(`"${pointer}"`)]).toEqual([422, true]);
  });
});

describe("a day at the household's place", () => {
  const day = async (query: string) => send(app.address, "GET", `/api/calendar?day=${query}`);
  const household = (place: object | null) => ({
    measures: { cup: 240, katori: 150, tablespoon: 15, teaspoon: 5, words: "cups" },
    units: { energy: "kcal", temperature: "celsius", currency: "crowns" },
    place,
  });
  it("tells sun, moon and the fasts on it, and follows the place", async () => {
    expect(await day("2026-11-27")).toMatchObject({
      status: 200,
      json: {
        sunrise: "06:34",
        fasts: [
          { name: "Nativity fast, Orthodox", rule: "orthodox-nativity" },
          { name: "Fast until moonrise (Sankashti)", ends: { what: "moonrise", at: "20:25" } },
        ],
      },
    });
    expect(((await day("2027-03-06")).json as { fasts: readonly { name: string }[] }).fasts.map(({ name }) => name)).toContain("Great Shivaratri");
    expect((await save(app.address, "/api/household", household({ latitude: 69.65, longitude: 18.96, timeZone: "Europe/Oslo" }), 1)).status).toBe(200);
    expect(await day("2026-12-20")).toMatchObject({ status: 200, json: { sunrise: null, sunset: null } });
    expect((await save(app.address, "/api/household", household(null), 2)).status).toBe(200);
    expect((await day("2026-12-20")).status).toBe(409);
  });
  it("refuses what is no day, and a place that cannot be", async () => {
    for (const wrong of ["", "2026-02-30", "tomorrow", "2026-13-01", "9999-12-31", "0001-01-01"]) expect((await day(wrong)).status, wrong).toBe(422);
    expect((await day("%00")).status).toBe(400);
    const wrong = await save(app.address, "/api/household", household({ latitude: 20, longitude: 20, timeZone: "Moon/Sea" }), 3);
    expect([wrong.status, JSON.stringify(wrong.json)]).toEqual([422, expect.stringContaining("/document/place/timeZone") as string]);
  });
});
