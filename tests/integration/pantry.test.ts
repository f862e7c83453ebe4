import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { benchOf } from "../support/bench";
import { EMPTY_PANTRY, type OwnFood } from "../../src/core/pantry";
import { tableOf } from "../support/kitchen";
import { newFolder, removeFolder, save, send, startApp, type RunningApp } from "../support/app";

let app: RunningApp;
beforeAll(async () => {
  app = await startApp(newFolder());
});
afterAll(async () => {
  await app.stop();
  removeFolder(app.folder);
});

let revision = 1;
const put = async (pantry: Partial<typeof EMPTY_PANTRY>) => {
  const answer = await save(app.address, "/api/pantry", { ...EMPTY_PANTRY, ...pantry }, revision);
  if (answer.status === 200) ({ revision } = answer.json as { revision: number });
  return answer;
};
const own = (id: string, name: string, made: OwnFood["made"]): OwnFood => ({
  id,
  name,
  synonyms: [],
  family: "drink",
  origin: "plant",
  allergens: [],
  traces: [],
  made,
  density: 1,
  note: "",
  revision: 1,
});
const mixture = (...ids: string[]): OwnFood["made"] => ({
  kind: "made",
  part: "whole",
  making: { kind: "mixture", parts: ids.map((foodId) => ({ foodId, grams: 100 })), finished: null },
});
const uses = (id: string) => send(app.address, "GET", `/api/pantry/uses?food=${encodeURIComponent(id)}`);
const paste = async (text: string) => ((await send(app.address, "POST", "/api/recipes", { text })).json as { id: string }).id;

describe("the pantry at the door", () => {
  it.each([
    ["made of a food that is not there", [own("own-a", "A", mixture("own-gone"))], "/document/foods/0/making"],
    ["made of one that stands after it", [own("own-a", "A", mixture("own-b")), own("own-b", "B", mixture("sugar"))], "/document/foods/0/made"],
    ["made of itself", [own("own-a", "A", mixture("own-a"))], "/document/foods/0/making"],
    ["a part that does not come out of it", [own("own-a", "A", { ...mixture("sugar"), part: "pulp" } as OwnFood["made"])], "/document/foods/0/part"],
    ["a name in use", [own("own-a", "Jaggery", mixture("sugar"))], "/document/foods/0/name"],
  ])("refuses a food %s, whole, with its place", async (_, foods, pointer) => {
    const { status, json } = await put({ foods });
    expect(status).toBe(422);
    expect((json as { errors: { pointer: string }[] }).errors[0]?.pointer).toBe(pointer);
  });
  it.each([
    ["a price below nothing", { prices: [{ foodId: "sugar", price: -1, amount: 1, unit: "kg", at: "" }] }],
    ["a making of no kind", { foods: [own("own-a", "A", { kind: "made", part: "whole", making: { kind: "spell" } } as never)] }],
    [
      "five presses",
      {
        foods: [
          own("own-a", "A", {
            kind: "made",
            part: "milk",
            making: {
              kind: "milk",
              material: "almond",
              grams: 1,
              soaked: 0,
              presses: [1, 1, 1, 1, 1],
              squeeze: "hard",
              holds: null,
              weighedMilk: null,
              weighedPulp: null,
            },
          }),
        ],
      },
    ],
    ["a name without words", { names: [{ words: "", foodId: "sugar", at: "" }] }],
  ])("refuses %s", async (_, pantry) => expect((await put(pantry as never)).status).toBe(422));
  it("takes a pantry as an earlier version kept it, without what it did not have", async () => {
    const answer = await save(app.address, "/api/pantry", { foods: [], weighings: [] }, revision);
    expect(answer.status).toBe(200);
    ({ revision } = answer.json as { revision: number });
    expect((await fetch(`${app.address}/pantry/sugar`)).status).toBe(200);
  });
});

describe("where a food of one's own is used", () => {
  it("is told by recipe and bench, whatever its name holds; others that only look like it are not", async () => {
    expect((await put({ foods: [own("own-odd", "100 % O'Neill_milk", mixture("cow-milk"))] })).status).toBe(200);
    const named = await paste("Named\n2 cups 100 % O'Neill_milk\n1 cup rice");
    await paste("Other\n2 cups 100 x O'NeillAmilk");
    const told = (await uses("own-odd")).json as { recipes: { id: string }[]; benches: { id: string }[]; more: boolean };
    // It may be read with the name's own figure as an amount; what counts is that nothing else is told.
    expect(told.recipes.map(({ id }) => id).filter((id) => id !== named)).toEqual([]);
    const plain = own("own-plain", "Cellar milk", mixture("cow-milk"));
    expect((await put({ foods: [plain] })).status).toBe(200);
    const id = await paste("Cellar cups\n2 cups cellar milk\n1 cup rice");
    const bench = benchOf([{ line: "l1", foodId: "own-plain", grams: 200, role: "liquid", change: "replaced" }], 6);
    expect((await save(app.address, `/api/recipes/demo-1/table`, tableOf({}))).status).toBe(200);
    expect((await save(app.address, `/api/recipes/demo-1/bench`, bench)).status).toBe(200);
    expect((await uses("own-plain")).json).toMatchObject({ recipes: [{ id }], more: false, benches: [{ id: "demo-1" }] });
    await send(app.address, "DELETE", `/api/recipes/${id}`);
    expect((await uses("own-plain")).json).toMatchObject({ recipes: [] });
  });
  it("is not told of what is not there", async () => expect((await uses("own-gone")).status).toBe(404));
});
