import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { context, food, read, tableOf } from "../../../tests/support/kitchen";
import { WRITTEN_RECIPES } from "../../../tests/golden/written-recipes";
import { DEMO_RECIPES, HANDLING, REFERENCE } from "../../data";
import { methodFor, readAgain } from "../adaptation";
import { readRecipe, readRecipeText, readStep, withAllLines, type ReadRecipe, type Recipe } from "../recipe";
import { scaledFor, type Version, type VersionRow } from "../substitution";
import type { Handled } from "../food";
import { minutesToDone } from "./handling";
import { withoutFoods } from "./sentences";
import { namedLines, textOf, type Method, type OwnSteps, type StepWords } from ".";
import { mentionsOfLines } from "./names";

const kheer = (...steps: readonly string[]): ReadRecipe =>
  read(`Kheer\nServes 4\n\nIngredients\n1000 g full-cream milk\n100 g sugar\n20 g cashews, broken\n\nMethod\n${steps.join("\n")}`);
const asIs = (of: ReadRecipe): VersionRow[] =>
  scaledFor(of, of.recipe.servings).lines.map((line) => ({
    id: line.id,
    line: line.id,
    food: line.food,
    grams: line.grams,
    role: line.role,
    change: "as is",
    why: "",
  }));
/** The rows of a recipe with some changed, by the recipe's food, and some added. */
const rowsOf = (
  of: ReadRecipe,
  changed: Readonly<Record<string, Partial<VersionRow>>>,
  ...added: readonly (readonly [string, number, string])[]
): VersionRow[] => [
  ...asIs(of).map((row) => ({ ...row, ...changed[row.food?.id ?? ""] })),
  ...added.map(([id, grams, why], i): VersionRow => ({ id: `added-${i + 1}`, line: null, food: food(id), grams, role: food(id).role, change: "added", why })),
];
const made = (
  of: ReadRecipe,
  rows: readonly VersionRow[],
  evaporation = of.evaporation.grams.value,
): { readonly method: Method; readonly words: readonly StepWords[] } =>
  methodFor(of, { rows, evaporation }, tableOf({ servings: of.recipe.servings }), { handling: HANDLING, constants: REFERENCE.constants });
const opened = (recipe: Recipe): ReadRecipe => readRecipe(withAllLines(recipe, context), context, REFERENCE.constants);
const told = (words: readonly StepWords[]) =>
  words.map(({ segments }) => segments.map((segment) => (segment.kind === "removed" ? `-${segment.text}-` : segment.text)).join(""));
const takes = ({ steps }: Method) => steps.map((step) => step.takes.map(({ of, share }) => `${of.id} ${share}`));

describe("a version's method", () => {
  it("is the recipe's own where nothing changed, step by step what each does and takes", () => {
    const of = kheer("Boil the milk for 20 minutes until it thickens.", "Stir in the sugar.", "Fry the cashews and scatter them over.");
    const { method, words } = made(of, asIs(of));
    expect(told(words)).toEqual(of.recipe.steps.map(({ text }) => text));
    expect(method.steps[0]).toMatchObject({
      operation: "simmer",
      minutes: { usual: 20 },
      cue: "it thickens",
      origin: { kind: "recipe", step: "s1" },
      reasons: [],
    });
    expect(takes(method)).toEqual([["l1 1"], ["l2 1"], ["l3 1"]]);
  });
  it("writes a new food in, with its whole amount once, and its reason", () => {
    const of = kheer("Warm the milk.", "Add more milk and the sugar.");
    const { method, words } = made(of, rowsOf(of, { "cow-milk": { food: food("soy-milk"), grams: 900, change: "replaced", why: "no dairy" } }));
    expect(told(words)).toEqual(["Warm the soya milk (3 2/3 cups, 900 g in all).", "Add more soya milk and the sugar."]);
    expect(words.map(({ why }) => why)).toEqual(["no dairy", "no dairy"]);
    expect(takes(method)[0]).toContain("l1 1");
  });
  it("begins a sentence with a capital, whatever stands there now", () => {
    const of = kheer("Milk first. Sugar goes in last, cashews over it.");
    const { words } = made(of, rowsOf(of, { "cow-milk": { food: food("soy-milk"), grams: 900, change: "replaced", why: "no dairy" } }));
    expect(told(words)[0]).toMatch(/^Soya milk \(.*\) first\. Sugar goes in last, cashews over it\.$/);
  });
  it("strikes out what is left out, takes it no more, and does not touch other nuts", () => {
    const of = kheer("Warm the milk and sugar.", "Fry the cashews until they smell of nuts.");
    const { method, words } = made(of, rowsOf(of, { cashew: { food: null, grams: 0, change: "left out", why: "no cashew" } }));
    expect(told(words)[1]).toBe("-Fry the cashews until they smell of nuts.-");
    expect(method.needless).toEqual([{ step: "s2", why: "needless: no cashew" }]);
    expect(takes(method)).toHaveLength(1);
  });
  it("calls by their names what a step calls by its class, where one of them is changed", () => {
    const of = read(
      "Pinni\nMakes 10 pieces\n\n250 g whole wheat flour\n130 g ghee\n40 g almonds\n40 g cashews\n130 g icing sugar\n\n1. Roast the flour in the ghee.\n2. Stir in the chopped nuts and let it cool.\n3. Work in the icing sugar and shape 10 balls.",
    );
    expect(of.steps[1]?.takes.map(({ of: taken }) => taken.id)).toEqual(["l3", "l4"]);
    expect(told(made(of, asIs(of)).words)[1]).toBe("Stir in the chopped nuts and let it cool.");
    const gone = { food: null, grams: 0, change: "left out", why: "no nuts" } as const;
    const { method, words } = made(of, rowsOf(of, { almond: { food: food("pumpkin-seeds"), grams: 60, change: "replaced", why: "no nuts" }, cashew: gone }));
    expect(told(words)[1]).toMatch(/pumpkin seeds \(.*60 g in all\)/);
    expect(
      told(words)
        .join(" ")
        .replace(/-[^-]*-/g, ""),
    ).not.toMatch(/\b(?:nuts|almonds|cashew)/);
    expect(takes(method)[1]).toEqual(["l3 1"]);
    const none = made(of, rowsOf(of, { almond: gone, cashew: gone })).words;
    expect(
      told(none)
        .join(" ")
        .replace(/-[^-]*-/g, ""),
    ).not.toMatch(/\b(?:nuts|almonds|cashew)/);
  });
  it("takes no name of one food, no smell and no seed of a pod for a class", () => {
    const lines = "1 litre milk\n80 g sugar\n20 g cashews\n30 g sesame seeds\n20 g pumpkin seeds\n2 cardamom pods";
    const namedIn = (step: string) =>
      read(`Kheer\nServes 4\n\n${lines}\n\n1. Boil the milk with the sugar.\n2. ${step}`).steps[1]?.takes.flatMap(({ of, why }) =>
        why === "named" ? [of.id] : [],
      );
    expect(namedIn("Stir in the pumpkin seeds.")).toEqual(["l5"]);
    expect(namedIn("Simmer until it smells of nuts.")).toEqual([]);
    expect(namedIn("Crush the cardamom pods, and stir in the seeds.")).toEqual(["l6"]);
    expect(namedIn("Stir in the chopped nuts and the toasted seeds.")).toEqual(["l3", "l4", "l5"]);
    expect(namedIn("Stir in all of the dry fruits.")).toEqual(["l3"]);
  });
  it("puts into the pot what was tipped in along with what is gone", () => {
    const of = read(
      "Kheer\nServes 4\n\n1 litre milk\n80 g sugar\n20 g cashews\n1 tbsp ghee\n1 tsp ground cardamom\n\n1. Boil the milk with the sugar.\n2. Fry the cashews in the ghee until they take colour and tip both into the milk with the ground cardamom.",
    );
    const { method, words } = made(of, rowsOf(of, { cashew: { food: null, grams: 0, change: "left out", why: "no cashew" } }));
    expect(told(words)[1]).toMatch(/Stir in the ghee and the ground cardamom\.$/);
    expect(takes(method)[1]).toEqual(["l4 1", "l5 1"]);
  });
  it("takes what is added beside the first food of its role, got ready beforehand", () => {
    const of = kheer("Boil the milk.", "Stir in the sugar.", "Scatter the cashews over.");
    const { method, words } = made(of, rowsOf(of, { sugar: { grams: 20, change: "amount" } }, ["erythritol", 60, "gives sweetness"]));
    expect(told(words)[0]).toMatch(/^Grind 60 g erythritol/);
    expect(told(words)[2]).toBe("Stir in the sugar (20 g in all) and erythritol (5 tbsp, 60 g).");
    expect(words[2]?.why).toBe("gives sweetness");
    expect(method.steps[0]).toMatchObject({ operation: "grind", origin: { kind: "prepares", line: "added-1" }, takes: [] });
    expect(takes(method)[2]).toEqual(["l2 1", "added-1 1"]);
  });
  it("puts what is added where most of its role goes in, not into two spoonfuls kept for the saffron", () => {
    const of = kheer("Rub the saffron into two spoonfuls of the milk.", "Boil the rest of the milk with the sugar.", "Scatter the cashews over.");
    const { method, words } = made(of, rowsOf(of, {}, ["water", 60, "keeps it moist"]));
    expect(told(words)[0]).toBe("Rub the saffron into two spoonfuls of the milk.");
    expect(told(words)[1]).toMatch(/^Boil the rest of the milk and water \(.*60 g\)/);
    expect(takes(method)[1]).toContain("added-1 1");
  });
  it("gives a thickener a step of its own before the sweetener goes in", () => {
    const of = kheer("Boil the milk.", "Stir in the sugar.", "Scatter the cashews over.");
    const { method, words } = made(of, rowsOf(of, {}, ["cornflour", 20, "gives body"]));
    expect(words.map((step) => step.from)).toEqual(["s1", null, "s2", "s3"]);
    expect(told(words)[1]).toMatch(/Slake 20 g cornflour/);
    expect(method.steps[1]).toMatchObject({
      operation: "simmer",
      operations: ["simmer", "slake"],
      heat: "simmer",
      minutes: { usual: 4 },
      reasons: ["gives body"],
    });
    expect(takes(method)[1]).toEqual(["added-1 1"]);
  });
  it.each(["pudding", "flour halwa", "vegetable halwa", "ladoo", "set pudding", "fruit-bound"] as const)(
    "gives a %s that tells no steps the usual ones, marked as ours, each row once",
    (archetype) => {
      const plain = read(
        "A sweet\nServes 4\n\n500 ml milk\n100 g semolina\n100 g sugar\n50 g ghee\n300 g carrots\n5 g agar\n20 g cashews\n½ tsp cardamom\n1 pinch salt",
      );
      const of = { ...plain, archetype };
      expect(of.steps).toHaveLength(0);
      const { method, words } = made(of, asIs(of));
      const taken = method.steps.flatMap(({ takes: all }) => all.map(({ of: what }) => what.id));
      expect([...taken].sort()).toEqual(of.lines.map(({ id }) => id).sort());
      for (const each of words) {
        expect(textOf(each)).not.toMatch(/\{|undefined/);
        expect(each.why).toMatch(/tells no steps/);
      }
    },
  );
  it("heats egg and cooks grain as long as it needs in the usual steps", () => {
    for (const archetype of ["pudding", "set pudding", "flour halwa", "vegetable halwa"] as const) {
      const of = { ...read("A sweet\nServes 4\n\n500 ml milk\n100 g black rice\n100 g sugar\n2 eggs\n5 g agar\n20 g cornflour"), archetype };
      const { method } = made(of, asIs(of));
      const stepOf = (id: string) =>
        method.steps.find(({ takes: all }) => all.some(({ of: what }) => what.id === of.lines.find(({ food: { id: each } }) => each === id)?.id));
      for (const id of ["egg", "agar", "cornflour"]) expect(stepOf(id)?.heat ?? stepOf(id)?.operation, `${archetype} ${id}`).toMatch(/simmer|roast/);
      expect(stepOf("egg")?.heat).toBe("simmer");
      if (archetype === "pudding") expect(stepOf("black-rice")?.minutes.usual).toBeGreaterThan(60);
    }
  });
  it("never cooks egg, fruit or grain for a shorter time, however little is to boil away", () => {
    for (const [line, id] of [
      ["4 egg yolks", "egg-yolk"],
      ["300 g carrots, grated", "carrot"],
      ["60 g rice", "white-rice"],
      ["100 g chana dal", "chana-dal"],
    ] as const) {
      const of = read(`Sweet\nServes 4\n\n1 litre milk\n${line}\n80 g sugar\n\n1. Warm the milk.\n2. Stir in the rest and simmer for 40 minutes.`);
      expect(of.lines.map(({ food: { id: each } }) => each)).toContain(id);
      const { method, words } = made(of, asIs(of), 40);
      const step = method.steps.find(({ cooking }) => cooking);
      expect((step?.cooking?.open ?? 0) + (step?.cooking?.covered ?? 0), id).toBe(40);
      expect(words.map(textOf).join(" ")).toMatch(/with the lid ajar on the lowest flame/);
    }
  });
  it.each([
    "until reduced to half",
    "until it is reduced by a third, about 30 minutes",
    "until about 600 ml is left",
    "down to 700 ml",
    "until only two thirds is left",
    "leaving about 650 g",
  ])("boils a pot down to the level that the version is worked out to: %s", (level) => {
    const of = kheer(`Simmer the milk ${level}.`, "Stir in the sugar and the cashews and simmer 5 minutes.");
    for (const [grams, evaporation] of [
      [700, 150],
      [880, 380],
      [1100, 640],
    ] as const) {
      const rows = rowsOf(of, { "cow-milk": { food: food("soy-milk"), grams, change: "replaced", why: "no dairy" } });
      const { words } = made(of, rows, evaporation);
      expect(words.map(textOf).join(" ")).not.toMatch(/ in the pot (?:is|are) left|undefined|NaN/);
      const whole = grams + 120 - evaporation;
      const again = readAgain(of, { rows, evaporation }, words, tableOf({ servings: 4 }), whole, opened, REFERENCE.constants);
      expect(Math.abs(again?.off ?? 1), `${grams} g, ${evaporation} g off: ${words.map(textOf).join(" ")}`).toBeLessThan(0.06);
    }
  });
  it("greases a dish with what stands for the butter, and pours no fat in for it", () => {
    const buttered = read(
      "Sweet\nServes 4\n1 litre milk\n60 g rice\n10 g butter\n\n1. Butter the dish.\n2. Simmer the milk and the rice for 20 minutes, and pour it in.",
    );
    const words = (change: Partial<VersionRow>) => textOf(made(buttered, rowsOf(buttered, { butter: change })).words[0] ?? expect.fail("no step"));
    expect(words({ food: food("coconut-oil"), change: "replaced", why: "vegan" })).toBe("Grease the dish with coconut oil.");
    expect(words({ food: null, grams: 0, change: "left out", why: "vegan" })).toBe("Line the dish.");
    const bread = read(
      "Sweet\nServes 4\n1 litre milk\n200 g white bread\n30 g butter\n\n1. Butter the bread and cut it up.\n2. Simmer it in the milk for 20 minutes.",
    );
    const spread = (change: Partial<VersionRow>) => textOf(made(bread, rowsOf(bread, { butter: change })).words[0] ?? expect.fail("no step"));
    expect(spread({ food: food("coconut-oil"), grams: 30, change: "replaced", why: "vegan" })).toMatch(
      /^Spread coconut oil \(.*30 g in all\) on the bread and cut it up\.$/,
    );
    expect(spread({ food: null, grams: 0, change: "left out", why: "vegan" })).toBe("Take the bread and cut it up.");
  });
  it("puts what has to simmer where the pot simmers, and what may not boil when it has come off the fire", () => {
    const of = kheer("Bring the milk to a simmer.", "Add the rice and cook for 20 minutes.", "Stir in the sugar and cook for 5 minutes.", "Chill it.");
    const added = (id: string): VersionRow => ({ id: "added-1", line: null, food: food(id), grams: 20, role: "setting", change: "added", why: "gives body" });
    const placeOf = (id: string) => made(of, [...rowsOf(of, {}), added(id)]).method.steps.findIndex(({ origin }) => origin.kind === "adds");
    const wetBefore = (id: string) =>
      made(of, [...rowsOf(of, {}), added(id)])
        .method.steps.slice(0, placeOf(id))
        .filter(({ heat }) => heat !== null).length;
    expect(wetBefore("fox-nut-flour")).toBeGreaterThan(0);
    expect(wetBefore("arrowroot")).toBe(made(of, [...rowsOf(of, {}), added("arrowroot")]).method.steps.filter(({ heat }) => heat !== null).length);
  });
  it("says when it is to be cooked down less", () => {
    const of = kheer("Boil the milk and sugar for 60 minutes.", "Scatter the cashews over.");
    const { method, words } = made(of, rowsOf(of, { "cow-milk": { food: food("soy-milk"), grams: 900, change: "replaced", why: "no dairy" } }), 90);
    expect(told(words).join(" ")).toMatch(/for 10 minutes \(to about 910 g in the pot\)/);
    expect(method.steps.find(({ cooking }) => cooking)).toMatchObject({
      cooking: { open: 10, covered: 0 },
      minutes: { usual: 10 },
      reasons: expect.arrayContaining(["less is to boil away"]) as unknown,
    });
  });
  it("takes at a later step what went in at one that fell away", () => {
    const of = read(DEMO_RECIPES[14]?.text ?? "");
    const pressed = of.readings[0]?.line.id ?? "";
    const rows = asIs(of).map((row): VersionRow => (row.line === pressed ? { ...row, food: food("soy-milk"), change: "replaced", why: "no oats" } : row));
    const { method } = made(of, rows);
    expect(method.needless.map(({ step }) => step)).toEqual(of.ledger.pressedIn.get(pressed));
    expect(method.steps.flatMap(({ takes: all }) => all).filter(({ of: { id } }) => id === pressed)).toEqual([{ of: { kind: "line", id: pressed }, share: 1 }]);
  });
  it("asks how a food is handled that nobody has described, and goes by the answer", () => {
    const of = kheer("Bring the milk to a simmer.", "Stir in the sugar and cook for 5 minutes.");
    const unknown = { ...food("oat-flour"), id: "own-1", name: "Packet mix", nature: null };
    const row = (handled?: Handled): VersionRow => ({
      id: "added-1",
      line: null,
      food: { ...unknown, ...(handled ? { handled } : {}) },
      grams: 40,
      role: "body",
      change: "added",
      why: "gives body",
    });
    expect(made(of, [...asIs(of), row()]).method.asked).toEqual(["added-1"]);
    const told_ = (handled: Handled) => {
      const { method, words } = made(of, [...asIs(of), row(handled)]);
      expect(method.asked).toEqual([]);
      return words.filter(({ from }) => from === null).map(textOf);
    };
    expect(told_({ state: "ready", texture: "dry", minutes: 0 })).toEqual(["Off the heat stir in packet mix (6 tbsp, 40 g)."]);
    expect(told_({ state: "raw", texture: "dry", minutes: 15 })[0]).toMatch(/^Stir packet mix \(6 tbsp, 40 g\) into the simmering pot; simmer for 15 minutes/);
  });
  it("cooks what is raw until it is done, whatever stood there before", () => {
    const of = read(
      "Kheer\nServes 4\n\n1 litre milk\n60 g vermicelli\n80 g sugar\n\n1. Bring the milk to a simmer.\n2. Stir in the vermicelli and simmer for 8 minutes.\n3. Stir in the sugar.",
    );
    for (const id of ["white-rice", "barnyard-millet", "sago", "pearl-millet"]) {
      const { method } = made(of, rowsOf(of, { vermicelli: { food: food(id), change: "replaced", why: "no gluten" } }));
      const from = method.steps.findIndex(({ takes: all }) => all.some(({ of: what }) => what.id === "l2"));
      const wet = method.steps
        .slice(from)
        .reduce((sum, step) => sum + (step.cooking ? step.cooking.open + step.cooking.covered : step.heat ? step.minutes.usual : 0), 0);
      expect(wet, id).toBeGreaterThanOrEqual(0.8 * minutesToDone(food(id), REFERENCE.constants));
    }
  });
  it("survives words that are patterns elsewhere", () => {
    const of = read("X\nServes 4\n\nIngredients\n100 g milk (2% fat) [c+]\n10 g sugar\n\nMethod\nAdd (a+b)* [milk] $& $1.");
    expect(told(made(of, rowsOf(of, { "cow-milk": { food: food("soy-milk"), grams: 10, change: "replaced", why: "x" } })).words)[0]).toMatch(/\$& \$1/);
  });
});

describe("steps that foods bring with them", () => {
  const steps = [
    ...[...HANDLING.foods].flatMap(([id, { prepare, add }]) => [prepare, add].flatMap((step) => (step ? [{ id, step }] : []))),
    ...[...Object.entries(HANDLING.kinds), ...Object.entries(HANDLING.withoutPot)].map(([id, step]) => ({ id, step })),
  ];
  it.each(steps)("$id: the words say what the step is", ({ step }) => {
    const words = readStep(
      {
        id: "s",
        text: step.words
          .replace(/\{grams[*\d.]{0,6}\}/g, "100")
          .replace("{food}", "this")
          .replace("{minutes}", String(step.minutes.usual)),
        choice: {},
      },
      REFERENCE.constants.process.value,
    );
    expect(words.operations).toEqual(expect.arrayContaining([...(step.operations[0] === "mix" ? [] : step.operations)]));
    if (words.timed) expect(words.minutes).toEqual(step.minutes);
    for (const tool of step.tools ?? []) expect(words.equipment).toContain(tool);
    expect(words.cue ?? "").toContain(step.cue ?? "");
  });
});

describe("any version of any recipe", () => {
  const recipes = [...DEMO_RECIPES.map(({ text }) => text), ...WRITTEN_RECIPES.map(({ text }) => text)].flatMap((text) =>
    readRecipeText(text).ok ? [read(text)] : [],
  );
  const foods = [...REFERENCE.foods.values()];
  const versions = fc.constantFrom(...recipes).chain((of) => {
    const rows = asIs(of);
    const changes = fc.tuple(
      ...rows.map(() =>
        fc.tuple(fc.constantFrom("as is", "as is", "amount", "replaced", "left out"), fc.constantFrom(...foods), fc.integer({ min: 1, max: 500 })),
      ),
    );
    const added = fc.array(fc.tuple(fc.constantFrom(...foods), fc.integer({ min: 1, max: 200 })), { maxLength: 4 });
    return fc
      .record({ of: fc.constant(of), changes, added, evaporation: fc.integer({ min: 0, max: 800 }) })
      .map(({ changes: each, added: more, evaporation }) => ({
        of,
        version: {
          evaporation,
          rows: [
            ...rows.map((row, i): VersionRow => {
              const [change = "as is", other, grams = 1] = each[i] ?? [];
              if (change === "left out") return { ...row, food: null, grams: 0, change, why: "left out" };
              if (change === "replaced" && other) return { ...row, food: other, grams, change, why: "instead" };
              return change === "amount" ? { ...row, grams, change, why: "more" } : row;
            }),
            ...more.map(([each_, grams], i): VersionRow => ({
              id: `added-${i + 1}`,
              line: null,
              food: each_,
              grams,
              role: each_.role,
              change: "added",
              why: "gives",
            })),
          ],
        } satisfies Version,
      }));
  });

  it("takes each row once in all, nothing that is no row, and says every step", () =>
    fc.assert(
      fc.property(versions, ({ of, version }) => {
        const { method, words } = methodFor(of, version, tableOf({ servings: of.recipe.servings }), { handling: HANDLING, constants: REFERENCE.constants });
        const rows = new Map(version.rows.map((row) => [row.id, row] as const));
        const shares = new Map<string, number>();
        for (const { takes: all } of method.steps)
          for (const { of: what, share } of all) {
            if (what.kind === "part") continue;
            expect(rows.get(what.id)?.food, what.id).toBeTruthy();
            shares.set(what.id, (shares.get(what.id) ?? 0) + share);
          }
        if (of.steps.length > 0) for (const { id, food: holds } of version.rows) if (holds) expect(shares.get(id) ?? 0, id).toBeCloseTo(1, 5);
        expect(new Set(method.steps.map(({ id }) => id)).size).toBe(method.steps.length);
        expect(words.map(({ step }) => step).sort()).toEqual([...method.steps.map(({ id }) => id), ...method.needless.map(({ step }) => step)].sort());
        for (const each of words) if (!method.needless.some(({ step }) => step === each.step)) expect(textOf(each).trim()).not.toBe("");
      }),
      { numRuns: 300 },
    ));

  it("speaks of no simmering pot where nothing simmers, and cooks what is raw all the same", () =>
    fc.assert(
      fc.property(fc.constantFrom(...REFERENCE.foods.values()), (each) => {
        const of = read(
          "Ladoo\nMakes 10\n\n200 g besan\n80 g ghee\n100 g icing sugar\n\n1. Roast the besan in the ghee for 15 minutes.\n2. Let it cool and work in the sugar.\n3. Shape into balls.",
        );
        const row: VersionRow = { id: "added-1", line: null, food: each, grams: 40, role: each.role, change: "added", why: "gives" };
        const { method, words } = made(of, [...asIs(of), row]);
        expect(method.simmers).toBe(false);
        expect(words.map(textOf).join(" ")).not.toMatch(/simmering pot|pot simmers/);
        const step = method.steps.find(({ takes: all }) => all.some(({ of: what }) => what.id === "added-1"));
        if (minutesToDone(each, REFERENCE.constants) > 0)
          expect(["roast", "fry", "simmer", "steam", "bake"], each.id).toEqual(expect.arrayContaining([step?.operation]));
      }),
      { numRuns: 300 },
    ));
  it("is the same in another order of the lines, and under another name", () => {
    const other: Readonly<Record<string, string>> = {
      "cow-milk": "soy-milk",
      ghee: "coconut-oil",
      cashew: "pumpkin-seeds",
      "white-rice": "sago",
      vermicelli: "barnyard-millet",
    };
    const wordsOfText = (text: string) => {
      const of = read(text);
      const rows = asIs(of).map((row): VersionRow => {
        const id = other[row.food?.id ?? ""];
        return id === undefined ? row : { ...row, food: food(id), change: "replaced", why: "vegan" };
      });
      return methodFor(of, { rows, evaporation: of.evaporation.grams.value }, tableOf({ servings: of.recipe.servings }), {
        handling: HANDLING,
        constants: REFERENCE.constants,
      }).words.map(textOf);
    };
    for (const { text } of DEMO_RECIPES) {
      const { recipe } = read(text);
      // In parts the order of lines tells what belongs together.
      if ((recipe.components ?? []).length > 0) continue;
      const steps = recipe.steps.map((step, i) => `${i + 1}. ${step.text}`);
      const written = (title: string, lines: readonly string[]) =>
        [title, `Serves ${recipe.servings}`, "", "Ingredients", ...lines, "", "Method", ...steps].join("\n");
      const lines = recipe.lines.map((line) => line.text);
      const plain = wordsOfText(written(recipe.title, lines));
      expect(wordsOfText(written(recipe.title, [...lines].reverse())).join("\n"), recipe.title).toBe(plain.join("\n"));
      expect(wordsOfText(written(`My ${recipe.title}`, lines)).join("\n"), recipe.title).toBe(plain.join("\n"));
    }
  });
  it("names no food that is not there, and leaves whole sentences", () =>
    fc.assert(
      fc.property(versions, ({ of, version }) => {
        const { words, method } = methodFor(of, version, tableOf({ servings: of.recipe.servings }), { handling: HANDLING, constants: REFERENCE.constants });
        const find = mentionsOfLines(namedLines(of));
        const gone = new Set([...method.outOfPlace, ...version.rows.flatMap(({ line, food: holds }) => (line !== null && holds === null ? [line] : []))]);
        for (const each of words) {
          if (method.needless.some(({ step }) => step === each.step)) continue;
          for (const { kind, text } of each.segments)
            if (kind === "plain")
              expect(
                find(text).filter(({ key }) => gone.has(key)),
                text,
              ).toEqual([]);
          expect(textOf(each)).not.toMatch(/ {2}|undefined|\{|\(\)| ,|, ?,|,\.|\band [,.]|\bthe [,.]|\b(?:and|the|with|in) *$|^[,.;]/);
        }
      }),
      { numRuns: 300 },
    ));
});

describe("steps of the maker's own", () => {
  const of = kheer("Boil the milk for 20 minutes.", "Stir in the sugar.", "Fry the cashews and scatter them over.");
  const rows = rowsOf(of, { "cow-milk": { food: food("soy-milk"), grams: 900, change: "replaced", why: "no dairy" } });
  const set = (own: OwnSteps) =>
    methodFor(of, { rows, evaporation: of.evaporation.grams.value }, tableOf({ servings: 4 }), { handling: HANDLING, constants: REFERENCE.constants }, own);
  it("stand as they are written, and are told what stands against them", () => {
    const { words } = set({ texts: [{ step: "s1", text: "Bring the milk to the boil and let it rise twice." }], order: null });
    expect(words[0]).toMatchObject({ isOwn: true, why: "", segments: [{ text: "Bring the milk to the boil and let it rise twice.", kind: "plain" }] });
    expect(words[0]?.conflicts).toEqual(["they name milk, which is not in this version", "they do not name soya milk, which goes in here"]);
    expect(set({ texts: [{ step: "s1", text: "Boil the soya milk, stirring." }], order: null }).words[0]?.conflicts?.join()).not.toMatch(/not name/);
  });
  it("are kept where the recipe's step is gone, and moved with what comes after them", () => {
    const { words } = set({ texts: [{ step: "gone", text: "Sing." }], order: ["s3", "s1", "s2"] });
    expect(words.map(({ step }) => step)).toEqual(["s3", "gone", "s1", "s2"]);
    expect(words[1]?.conflicts).toEqual(["the recipe's step that they were written for is no longer needed"]);
  });
  it("are weighed against order and heat as any others are", () => {
    const lemon = read(
      "Sweet\nServes 4\n\n1 litre milk\n80 g sugar\n40 g lemon juice\n\n1. Stir the lemon juice into the sugar.\n2. Simmer the milk for 20 minutes.\n3. Let it cool until lukewarm.",
    );
    const at = (order: OwnSteps["order"]) =>
      methodFor(
        lemon,
        { rows: asIs(lemon), evaporation: 200 },
        tableOf({ servings: 4 }),
        { handling: HANDLING, constants: REFERENCE.constants },
        { texts: [], order },
      ).hazards.map(({ family }) => family);
    expect(at(["s2", "s3", "s1"])).not.toContain("casein curdles");
    expect(at(["s2", "s1", "s3"])).toContain("casein curdles");
  });
});

describe("a sentence without a food", () => {
  it("keeps what stands beside it by a name that no line has", () => {
    const without = (text: string) =>
      [...(withoutFoods(text, [{ key: "ghee", words: "ghee", at: text.indexOf("ghee") }], () => true) ?? [])].reduceRight(
        (left, { from, to, instead }) => left.slice(0, from) + instead + left.slice(to),
        text,
      );
    for (const together of ["the ghee and the seeds", "the seeds and the ghee"])
      expect(without(`Stir in ${together}, and roll out on a board.`)).toBe("Stir in the seeds, and roll out on a board.");
    expect(without("Stir in the ghee, and roll out on a board.")).toBe("Roll out on a board.");
  });
});
