import Ajv from "ajv";
import fc from "fast-check";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { benchOf } from "../support/bench";
import type { Role } from "../../src/core/food";
import { newFolder, removeFolder, send, startApp, type RunningApp, save } from "../support/app";

interface Figure {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}
interface Answer {
  readonly scale: { readonly factor: number };
  readonly recipe: {
    readonly lines: readonly { readonly text: string; readonly food: { readonly id: string }; readonly grams: Figure; readonly role: string }[];
    readonly unresolved: readonly { readonly line: number; readonly guesses: readonly { readonly id: string }[] }[];
    readonly properties: Properties;
  };
  readonly findings: readonly {
    readonly line: number | null;
    readonly step?: number;
    readonly reason: string;
    readonly rule: string;
    readonly verdict: string;
    readonly school: string;
  }[];
  readonly proposals: readonly {
    readonly label: string;
    readonly lines: readonly { readonly food: { readonly id: string }; readonly change?: string }[];
    readonly steps: readonly { readonly text: string }[];
    readonly properties: Properties;
    readonly notes: readonly { readonly kind: string; readonly text: string }[];
    readonly deviations: readonly { readonly property: string; readonly relative: Figure }[];
  }[];
  readonly ending: { readonly kind: string; readonly clashes: readonly { readonly limit: string; readonly given: number; readonly needed: number }[] };
}
interface Properties {
  readonly yield_g: Figure;
  readonly servings: number;
  readonly sweetness: Record<string, Figure>;
  readonly body: Record<string, Figure>;
  readonly perServing: Record<string, Figure> & { readonly freeSugars_g: Record<"who" | "uk", Figure> };
}

let app: RunningApp;
beforeAll(async () => {
  app = await startApp(newFolder());
});
afterAll(async () => {
  await app.stop();
  removeFolder(app.folder);
});

const recipe = {
  "@context": "https://schema.org",
  "@type": "Recipe",
  name: "Semolina sweet",
  recipeYield: "Serves 5",
  recipeIngredient: ["1 cup semolina", "½ cup butter", "¾ cup sugar", "3 cups water", "2 tbsp walnuts", "½ tsp cinnamon"],
  recipeInstructions: [
    {
      "@type": "HowToSection",
      itemListElement: [
        { "@type": "HowToStep", text: "Roast the semolina in the butter." },
        { "@type": "HowToStep", text: "Add the water and the sugar and cook for 6 minutes." },
      ],
    },
  ],
};
const adapt = (body: unknown) => send(app.address, "POST", "/api/v1/adapt", body);
const answer = async (body: unknown): Promise<Answer> => {
  const { status, json } = await adapt(body);
  expect(status, JSON.stringify(json)).toBe(200);
  return json as Answer;
};

describe("POST /api/v1/adapt", () => {
  it("answers as its own description says it will", async () => {
    const { json: description } = await send(app.address, "GET", "/api/v1/openapi.json");
    const { components } = description as { components: object };
    const validate = new Ajv({ strict: false }).compile({ $ref: "#/components/schemas/AdaptResponse", components });
    const full = await answer({
      recipe,
      diets: [{ id: "vegan" }, { id: "low-free-sugars", school: "who" }],
      avoidAllergens: ["walnut"],
      servings: 10,
      serve: "chilled",
    });
    expect(validate(full), JSON.stringify(validate.errors)).toBe(true);
    expect(validate({ ...full, ending: { kind: "made up" } })).toBe(false);
  });

  it("judges what a line is made ready in and what a step uses beside the list", async () => {
    const made = {
      ...recipe,
      recipeIngredient: ["1 cup besan, roasted in ghee", "½ cup sugar", "1 cup water"],
      recipeInstructions: ["Simmer for 10 minutes.", "Grease a tray with butter and pour it in."],
    };
    const full = await answer({ recipe: made, diets: [{ id: "dairy-free" }] });
    expect(full.findings).toMatchObject([
      { line: 0, rule: "dairy-free", verdict: "avoid", reason: "Ghee: is dairy, and the line names it" },
      { line: null, step: 1, rule: "dairy-free", verdict: "avoid" },
    ]);
  });
  it("reads, judges and adapts: every figure with its interval, every change with its reason", async () => {
    const full = await answer({ recipe: { "@graph": [{ "@type": "WebPage" }, recipe] }, diets: [{ id: "vegan" }], avoidAllergens: ["walnut"] });
    expect(full.recipe.lines.map((line) => line.food.id)).toEqual(["semolina", "butter", "sugar", "water", "walnut", "cinnamon"]);
    expect(full.findings.map(({ line, rule, verdict }) => [line, rule, verdict])).toEqual([
      [1, "vegan", "avoid"],
      [4, "no-walnut", "avoid"],
    ]);
    expect(full.ending.kind).toBe("proposals");
    for (const proposal of full.proposals) {
      const ids = proposal.lines.map((line) => line.food.id);
      for (const banned of ["butter", "ghee", "walnut", "pecan"]) expect(ids).not.toContain(banned);
      expect(proposal.steps.map((step) => step.text).join(" ")).not.toMatch(/the butter/);
      const { value, low, high } = proposal.properties.sweetness.hot ?? { value: 0, low: 0, high: 0 };
      expect(low < value && value < high).toBe(true);
    }
    expect(full.recipe.properties.yield_g.value).toBeGreaterThan(800);
  });

  it("says what it cannot tell, with the answers it wants; a breach in a step is to be changed by hand", async () => {
    const open = { ...recipe, recipeIngredient: [...recipe.recipeIngredient, "1 tbsp zibibbo", "2 tbsp coconut oil or ghee"] };
    const asked = await answer({ recipe: open, diets: [{ id: "egg-free" }] });
    expect(asked.ending).toMatchObject({ kind: "cannot-tell" });
    expect(asked.proposals).toEqual([]);
    const { answers } = asked.ending as unknown as { answers: { line: number | null; question: string }[] };
    expect([...new Set(answers.map(({ line }) => line))]).toEqual([6, 7]);
    expect(answers.map(({ question }) => question).join(" ")).toMatch(/zibibbo.*choice is left/s);
    const step = await answer({
      recipe: { ...recipe, recipeInstructions: ["Simmer for 10 minutes.", "Glaze it with egg wash."] },
      diets: [{ id: "egg-free" }],
    });
    expect(step.ending).toMatchObject({ kind: "change-by-hand", answers: [] });
  });
  it("scales to the servings and returns the factor", async () => {
    const [five, ten] = [await answer({ recipe }), await answer({ recipe, servings: 10 })];
    expect([five.scale.factor, ten.scale.factor]).toEqual([1, 2]);
    expect(ten.recipe.properties.yield_g.value / five.recipe.properties.yield_g.value).toBeCloseTo(2, 6);
    expect(ten.recipe.properties.perServing.energy_kJ?.value).toBeCloseTo(five.recipe.properties.perServing.energy_kJ?.value ?? 0, 6);
    expect(five.ending.kind).toBe("nothing-to-change");
  });

  it("keeps limits in every version, and names what clashes where none fits", async () => {
    const met = await answer({ recipe, limits: { freeSugars: { max_g: 10 }, sodium: { max_mg: 200 } } });
    for (const proposal of met.proposals) expect(proposal.properties.perServing.freeSugars_g.uk.value).toBeLessThanOrEqual(10.01);
    expect(met.findings).toContainEqual(expect.objectContaining({ line: 2, rule: "limit-freeSugars", school: "uk" }));
    const none = await answer({ recipe, limits: { energy: { max_kJ: 100 } } });
    expect(none.ending).toMatchObject({ kind: "no-version-fits", clashes: [{ limit: "energy", given: 100 }] });
    expect(none.ending.clashes[0]?.needed).toBeGreaterThan(300);
    expect(none.proposals).toEqual([]);
  });

  it("leaves an unread line unresolved, with guesses, and makes what hangs on it a question", async () => {
    const full = await answer({
      recipe: { ...recipe, recipeIngredient: [...recipe.recipeIngredient, "1 tin mystery creem", "ghee as needed"] },
      diets: [{ id: "vegan" }],
    });
    expect(full.recipe.unresolved.map((each) => each.line)).toEqual([6, 7]);
    expect(full.recipe.unresolved[1]?.guesses.length).toBeGreaterThan(0);
    expect(full.findings.filter((finding) => (finding.line ?? 0) >= 6).map(({ line, verdict }) => [line, verdict])).toEqual([
      [6, "ask"],
      [7, "avoid"],
    ]);
    expect(full.proposals[0]?.notes.some((note) => note.kind === "ask" && note.text.includes("mystery"))).toBe(true);
  });

  it.each([
    ["an unknown diet", { recipe, diets: [{ id: "carnivore" }] }, "/diets/0/id"],
    ["an unknown allergen", { recipe, avoidAllergens: ["sunshine"] }, "/avoidAllergens/0"],
    ["a school a diet does not have", { recipe, diets: [{ id: "vegan", school: "uk" }] }, "/diets/0/school"],
    ["no servings", { recipe, servings: 0 }, "/servings"],
    ["too many proposals", { recipe, maxProposals: 6 }, "/maxProposals"],
    ["a negative limit", { recipe, limits: { energy: { max_kJ: -1 } } }, "/limits/energy/max_kJ"],
    ["over 100 lines", { recipe: { ...recipe, recipeIngredient: Array(101).fill("1 cup milk") } }, "/recipe/recipeIngredient"],
    ["nothing that can be read", { recipe: { ...recipe, recipeIngredient: ["dragon scales", "🎉"] } }, "/recipe/recipeIngredient/0"],
    ["no recipe", { recipe: { "@type": "Person" } }, "/recipe"],
    ["an empty object", {}, ""],
  ])("refuses %s with 422 and a pointer", async (_, body, pointer) => {
    const { status, json, type } = await adapt(body);
    expect([status, type]).toEqual([422, "application/problem+json"]);
    expect((json as { errors: { pointer: string; detail: string }[] }).errors.map((error) => error.pointer)).toContain(pointer);
  });

  it("refuses what is not JSON (400), not sent as JSON (415), and over 2 MB (413)", async () => {
    const post = (body: string, type: string) => fetch(`${app.address}/api/v1/adapt`, { method: "POST", headers: { "content-type": type }, body });
    const statuses = [
      await post("{not json", "application/json"),
      await post("{}", "text/plain"),
      await post(JSON.stringify({ recipe, padding: "x".repeat(2_100_000) }), "application/json"),
    ];
    expect(statuses.map((response) => response.status)).toEqual([400, 415, 413]);
    for (const response of statuses) expect(response.headers.get("content-type")).toBe("application/problem+json");
  });

  it("answers whatever it is sent with 200 or 422, never with an error of its own", async () => {
    const words = fc.constantFrom(
      "1 cup milk",
      "½ cup sugar",
      "-1 kg ghee",
      "1/0 tsp salt",
      "🙂",
      "<script>",
      "",
      "as needed",
      "2 cups dragon",
      "100 g semolina",
      "x".repeat(300),
    );
    const anything = fc.record(
      {
        recipe: fc.oneof(
          fc.jsonValue(),
          fc.record({
            "@type": fc.constant("Recipe"),
            recipeIngredient: fc.array(fc.oneof({ weight: 5, arbitrary: words }, fc.jsonValue()), { maxLength: 6 }),
            recipeYield: fc.oneof(fc.integer({ min: -2, max: 9 }), fc.constantFrom("Serves 4", "")),
            recipeInstructions: fc.jsonValue(),
          }),
        ),
        diets: fc.oneof(fc.jsonValue(), fc.array(fc.record({ id: fc.constantFrom("vegan", "gluten-free", "low-free-sugars", "toString") }), { maxLength: 2 })),
        servings: fc.oneof(fc.integer({ min: -1, max: 12 }), fc.jsonValue()),
        serve: fc.constantFrom("hot", "room", "lukewarm"),
      },
      { requiredKeys: ["recipe"] },
    );
    await fc.assert(
      fc.asyncProperty(anything, async (body) => {
        const { status, json } = await adapt(body);
        expect([200, 422], JSON.stringify(json)).toContain(status);
      }),
      { numRuns: 120, seed: 7 },
    );
  }, 90_000);

  it("answers 503 when too many wait, and still answers the others", async () => {
    const all = await Promise.all(Array.from({ length: 16 }, () => adapt({ recipe, diets: [{ id: "vegan" }, { id: "gluten-free" }], maxProposals: 1 })));
    const statuses = all.map((each) => each.status);
    expect(new Set(statuses)).toEqual(new Set([200, 503]));
    expect((await adapt({ recipe, diets: [{ id: "vegan" }], maxProposals: 1 })).status).toBe(200);
  });
});

describe("POST /api/v1/rescue", () => {
  const milk = {
    "@context": "https://schema.org",
    "@type": "Recipe",
    name: "Rice kheer",
    recipeYield: "Serves 6",
    recipeIngredient: ["1 litre milk", "90 g rice", "110 g sugar", "20 g cashews"],
    recipeInstructions: ["Simmer the rice in the milk for 40 minutes.", "Stir in the sugar and the cashews and cook for 5 minutes."],
  };
  const ask = (body: object) => send(app.address, "POST", "/api/v1/rescue", { recipe: milk, ...body });
  it("answers as its own description says it will: ways out with amounts, or what has to be asked first", async () => {
    const { json: description } = await send(app.address, "GET", "/api/v1/openapi.json");
    const { components } = description as { components: object };
    const validate = new Ajv({ strict: false }).compile({ $ref: "#/components/schemas/RescueResponse", components });
    const { status, json } = await ask({ fault: "too thin", pot: { grams: 1050 }, avoidAllergens: ["cashew"] });
    expect(status).toBe(200);
    expect(validate(json), JSON.stringify(validate.errors)).toBe(true);
    const { waysOut, notAtThisTable, pot_g } = json as {
      waysOut: readonly { readonly adds: readonly { readonly food: { readonly id: string } }[]; readonly boilOff_g: Figure | null }[];
      notAtThisTable: readonly { readonly name: string }[];
      pot_g: number;
    };
    expect((json as { readonly breaks: readonly string[] }).breaks.join(" ")).toMatch(/cashew/);
    expect(pot_g).toBeCloseTo(1050, 0);
    // Up to the first step neither sugar nor cashews are in: what is not in breaks nothing yet.
    const early = (await ask({ fault: "not sweet enough", pot: { upToStep: 1 }, avoidAllergens: ["cashew"] })).json as {
      readonly breaks: readonly string[];
      readonly stillToGoIn: readonly { readonly name: string }[];
    };
    expect(early.stillToGoIn.map(({ name }) => name)).toEqual(["Sugar", "Cashew nuts"]);
    expect(early.breaks).toEqual([]);
    expect(waysOut.some(({ boilOff_g }) => boilOff_g !== null)).toBe(true);
    expect(waysOut.flatMap(({ adds }) => adds.map(({ food }) => food.id))).not.toContain("cashew-paste");
    expect(notAtThisTable.map(({ name }) => name)).toContain("Cashew paste, soaked");
    for (const body of [
      { fault: ["too thin", "too sweet"] },
      { fault: "too thin", pot: { grams: 0 } },
      { fault: "greasy" },
      { fault: "too thin", pot: { grams: 9000 } },
    ]) {
      const asked = (await ask(body)).json as { readonly kind: string; readonly reason: string };
      expect(validate(asked), JSON.stringify(validate.errors)).toBe(true);
      expect(asked.kind, JSON.stringify(body)).toBe("question");
    }
  });
  it("refuses what does not fit with its place", async () => {
    for (const [body, pointer] of [
      [{ fault: "on fire" }, "/fault"],
      [{}, ""],
      [{ fault: "too thin", pot: { grams: -5 } }, "/pot/grams"],
      [{ fault: "too thin", pot: { upToStep: 9 } }, "/pot/upToStep"],
      [{ fault: "too thin", diets: [{ id: "vegan", school: "none such" }] }, "/diets/0/school"],
    ] as const) {
      const { status, json } = await ask(body);
      expect(status, JSON.stringify(body)).toBe(422);
      expect((json as { readonly errors: readonly { readonly pointer: string }[] }).errors.map((each) => each.pointer)).toContain(pointer);
    }
  });
});

describe("the app's own doors", () => {
  it("take a pasted recipe, keep a version, and give it back after a kill exactly as it was kept", async () => {
    const { json: made } = await send(app.address, "POST", "/api/recipes", {
      text: "Plain halwa\nServes 4\n1 cup semolina\n½ cup ghee\n1 cup sugar\n3 cups water\n\n1. Cook for 5 minutes.",
    });
    const { id } = made as { id: string };
    const row = (line: string, foodId: string, grams: number, role: Role, change: "as is" | "replaced" = "as is") => ({ line, foodId, grams, role, change });
    const bench = benchOf(
      [
        row("l1", "semolina", 167, "body"),
        row("l2", "coconut-oil", 110, "richness", "replaced"),
        row("l3", "sugar", 203, "sweetener"),
        row("l4", "water", 720, "liquid"),
      ],
      4,
      { label: "Closest", evaporation: 50, madeFor: { rules: ["vegan"], limits: [], servings: 4, serve: "hot" } },
    );
    expect((await save(app.address, `/api/recipes/${id}/table`, { rules: ["vegan"], limits: [], servings: 4, serve: "hot" })).json).toEqual({ revision: 1 });
    // With a breach it is kept only where it is said whom it is not for.
    const broken = { ...bench, rows: bench.rows.map((each) => (each.line === "l2" ? { ...each, foodId: "ghee" } : each)) };
    const refused = await send(app.address, "POST", "/api/versions", { recipeId: id, bench: broken });
    expect(refused).toMatchObject({ status: 422, json: { title: expect.stringMatching(/not for who keeps “vegan”: vegan: Ghee: is dairy/) as string } });
    const said = await send(app.address, "POST", "/api/versions", { recipeId: id, bench: broken, notFor: true });
    expect(said.status).toBe(201);
    const stamped = await (await fetch(`${app.address}/versions/${(said.json as { id: string }).id}`)).text();
    expect(stamped).toMatch(/Not for[^<]*(?:<!-- -->)?who keeps “vegan”/);
    expect(await (await fetch(`${app.address}/`)).text()).toContain("not for who keeps “vegan”");
    // What was worked out for another table is looked at again first.
    const before7 = { ...bench, madeFor: { ...bench.madeFor, servings: 7 } };
    expect(await send(app.address, "POST", "/api/versions", { recipeId: id, bench: before7 })).toMatchObject({
      status: 409,
      json: { title: expect.stringMatching(/7 servings, now 4/) as string },
    });
    const { status, json } = await send(app.address, "POST", "/api/versions", { recipeId: id, bench });
    expect(status).toBe(201);
    const page = async () =>
      (await (await fetch(`${app.address}/versions/${(json as { id: string }).id}`)).text())
        .match(/<main[\s\S]*<\/main>/)?.[0]
        .replace(/headlessui-[^"]*/g, "");
    const before = await page();
    expect(before).toMatch(/Coconut oil/);
    await app.stop("SIGKILL");
    app = await startApp(app.folder);
    expect(await page()).toBe(before);
    // Another cup in the house: the version keeps to the cups it was kept with, and says so.
    const household = { measures: { cup: 300, katori: 150, tablespoon: 15, teaspoon: 5, words: "cups" }, units: { energy: "kcal", temperature: "celsius" } };
    expect((await save(app.address, "/api/household", household, 1)).status).toBe(200);
    const after = (await page())?.replace(/<!-- -->/g, "") ?? "";
    expect(after).toContain("the cup (240 ml then, 300 ml now)");
    const measures = (html: string) => [...html.matchAll(/t-frac">([^<]*)</g)].map((match) => match[1]);
    expect(measures(after)).toEqual(measures(before ?? ""));
  });
  it("refuse what does not fit, and write nothing", async () => {
    expect((await send(app.address, "POST", "/api/recipes", { text: "" })).json).toMatchObject({
      status: 422,
      title: expect.stringMatching(/nothing to read/) as string,
    });
    expect((await send(app.address, "POST", "/api/recipes", { text: "1 cup milk\n".repeat(5000) })).json).toMatchObject({
      status: 422,
      title: expect.stringMatching(/5,000 lines/) as string,
    });
    expect((await save(app.address, "/api/recipes/demo-1/table", { rules: ["vegan"], limits: [], servings: 0, serve: "hot" })).json).toMatchObject({
      status: 422,
      errors: [{ pointer: "/document/servings" }],
    });
    expect((await save(app.address, "/api/recipes/nowhere/table", { rules: [], limits: [], servings: 1, serve: "hot" })).status).toBe(404);
    expect(
      (
        await send(app.address, "POST", "/api/versions", {
          recipeId: "demo-1",
          bench: benchOf([{ line: "l1", foodId: "nothing", grams: 1, role: "body", change: "as is" }], 6),
        })
      ).json,
    ).toMatchObject({ status: 422, errors: [{ pointer: "/bench/rows/0/foodId" }] });
  });
  it("tell the second of two windows that a recipe has moved on", async () => {
    const { json } = await send(app.address, "POST", "/api/recipes", { text: "Two windows\n1 cup milk" });
    const { id } = json as { id: string };
    const recipe = (title: string) => ({
      title,
      servings: 2,
      lines: [{ id: "l1", text: "1 cup milk", choice: {} }],
      steps: [],
      evaporation: null,
      archetype: null,
    });
    const put = (title: string, revision: number) => save(app.address, `/api/recipes/${id}`, recipe(title), revision);
    expect((await put("First", 1)).json).toEqual({ revision: 2 });
    // What is there comes with the refusal; the same document again is no conflict.
    expect((await put("Second", 1)).json).toMatchObject({ status: 409, current: { document: { title: "First" }, revision: 2 } });
    expect((await put("First", 1)).json).toEqual({ revision: 2 });
    expect((await put("Third", 2)).json).toEqual({ revision: 3 });
  });
});
