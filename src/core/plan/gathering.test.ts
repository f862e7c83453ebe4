import { describe, expect, it } from "vitest";
import { plannedSweet, plansOf } from "../../../tests/support/gatherings";
import { breachesOf } from "../../../tests/support/plans";
import { clockTime, momentAt } from "../calendar";
import { NO_EQUIPMENT, type Equipment } from "../household";
import {
  askedFor,
  behindOf,
  entriesOf,
  forecastOf,
  gatheringProblem,
  gatheringProblems,
  givenNow,
  newGathering,
  planKey,
  readyAt,
  shoppingList,
  shortWords,
  solvePlan,
  type Gathering,
} from ".";
import { goesOn } from "./sweet-tasks";
import { windowsOf } from "./gathering";

const GATHERING: Gathering = { ...newGathering({ title: "Supper", day: "2026-12-05", hour: "19:40", timeZone: "Asia/Kolkata" }), eaters: ["ana"] };
const KITCHEN: Equipment = {
  ...NO_EQUIPMENT,
  burners: [1, 2].map((i) => ({ id: `b${i}`, name: `burner ${i}`, kind: "gas" as const, power: 2 })),
  pans: [18, 20, 24, 28].map((diameter) => ({ id: `p${diameter}`, name: `${diameter} cm`, diameter, depth: 10, mass: null, sharedWith: [] })),
};
const hours = (of: number) => of * 60;
const NOW = momentAt("2026-12-04", "15:00", GATHERING);

describe("the hour of a gathering", () => {
  it("has a night that is an hour longer where clocks are put back", () => {
    const berlin = { ...GATHERING, day: "2026-10-25", hour: "12:00", timeZone: "Europe/Berlin" };
    const { nights } = windowsOf(berlin, momentAt("2026-10-24", "18:00", berlin));
    expect(nights.map(({ from, to }) => to - from)).toContain(hours(9));
  });
});

describe("what stands in the way of a gathering", () => {
  const kinds = (part: Partial<Gathering>, burners = 2) => gatheringProblems({ ...GATHERING, ...part }, NOW, { burners, steps: 30 }).map(({ field }) => field);
  const sweet = { id: "s", recipe: "r", version: null, title: "Halwa", label: null, servings: 8, takeHome: 0, before: 0 };
  it("is named: its hour past, too many people, no burner, more taken home than is made, begun too late", () => {
    expect(kinds({})).toEqual([]);
    expect(kinds({ day: "2026-12-03" })).toEqual(["day"]);
    expect(kinds({ guests: [{ id: "g", name: "all", count: 200, rules: [], isAsked: true }] })).toEqual(["people"]);
    expect(kinds({ sweets: [sweet] }, 0)).toEqual(["burners"]);
    expect(kinds({ sweets: [{ ...sweet, takeHome: 9 }] })).toEqual(["takeHome"]);
    expect(kinds({ begin: { day: "2026-12-05", hour: "20:00" } })).toEqual(["begin"]);
    expect(gatheringProblems(GATHERING, NOW, { burners: 2, steps: 401 }).map(({ field }) => field)).toEqual(["steps"]);
  });
});

describe("steps as tasks of a plan", () => {
  it.each([
    ["Soak the almonds overnight, slip off their skins, and grind them to a paste.", "Slip off their skins, and grind them to a paste."],
    ["Soak the figs in hot water for 20 minutes, drain them well, and chop.", "Drain them well, and chop."],
    ["Steam them for 25 minutes until a knife goes through, then peel and mash them.", "Peel and mash them."],
    ["Chill it for 2 hours, then cut it into 20 slices.", "Cut it into 20 slices."],
    ["Let it stand for 5 minutes.", null],
    ["Off the heat, stir in the cardamom. Pour into bowls and chill for 3 hours.", null],
    ["Leave it to cool for 20 minutes, until a finger bears it.", null],
  ])("%s goes on to: %s", (text, rest) => expect(goesOn(text)).toBe(rest));
  it("say in few words what is done", () => {
    expect(shortWords("Chill it for 2 hours, then cut it into 20 slices.")).toBe("Chill it for 2 hours");
    expect(shortWords("Stir".padEnd(200, " and stir")).length).toBeLessThanOrEqual(50);
  });
  it("of every sweet of the demo keep the recipe's order where they share a food, and are placed whole in a kitchen that has enough", () => {
    for (const { id, plan, tasks } of plansOf(GATHERING.title)) {
      const gathering = {
        ...GATHERING,
        sweets: [{ id, recipe: id, version: null, title: plan.title, label: null, servings: plan.servings, takeHome: 0, before: 0 }],
      };
      const problem = gatheringProblem(gathering, [tasks], { equipment: KITCHEN, now: NOW, done: new Set() });
      const place = new Map(problem.tasks.map((task, i) => [task.id, i] as const));
      for (const task of problem.tasks)
        for (const before of task.after) expect(place.get(before) ?? Infinity, `${plan.title}: ${task.words}`).toBeLessThan(place.get(task.id) ?? 0);
      const { laid, bounds } = solvePlan(problem, { seed: 1, rounds: 100, goOn: () => true });
      expect(laid.failed, plan.title).toEqual([]);
      expect(breachesOf(problem, laid.placed), plan.title).toEqual([]);
      expect(Math.min(...laid.placed.map(({ start }) => start))).toBeLessThanOrEqual(bounds.latestStart);
      // Nothing works at night, and what soaks overnight is begun before it.
      for (const { id: task, start } of laid.placed) {
        const clock = clockTime(readyAt(gathering) + start * 60_000, gathering);
        expect(clock >= "06:00" && clock < "22:00", `${plan.title} ${task} at ${clock}`).toBe(true);
      }
    }
  });
  it("heat the oven shortly before it is baked, set what waits by itself though it is told beside work, and begin a day before where it has to ferment at night", () => {
    const placed = (text: string, part: Partial<Gathering> = {}) => {
      const { tasks } = plannedSweet("s", text);
      const problem = gatheringProblem({ ...GATHERING, ...part }, [tasks], { equipment: KITCHEN, now: NOW, done: new Set() });
      const { laid } = solvePlan(problem, { seed: 1, rounds: 100, goOn: () => true });
      expect([laid.failed, breachesOf(problem, laid.placed)]).toEqual([[], []]);
      return (words: RegExp) => {
        const task = problem.tasks.find((each) => words.test(each.words));
        const row = laid.placed.find(({ id }) => id === task?.id);
        if (!task || !row) throw new Error(String(words));
        return { ...task, ...row };
      };
    };
    const cake = placed(
      "Cake\nServes 8\n\n300 g semolina\n200 g yogurt\n150 g sugar\n\n1. Heat the oven to 180 C.\n2. Whisk everything.\n3. Bake for 35 minutes.",
    );
    expect(cake(/Bake/).start - cake(/Heat/).end).toBeLessThanOrEqual(20);
    const barfi = placed(
      "Barfi\nMakes 20\n\n250 g pistachios\n180 g sugar\n\n1. Grind the pistachios with the sugar.\n2. Press into a tin and leave to set for 1 hour.",
    );
    expect(barfi(/Press/)).toMatchObject({ attention: "unattended", handsFirst: 2 });
    // Nobody holds in hand what is done after it has stood; what is watched on a fire is.
    const tart = placed(
      "Tart\nServes 8\n\n250 g dates\n100 g almonds\n80 g sugar\n\n1. Mash the dates with the almonds and press into a ring.\n2. Caramelise the sugar, 8 minutes, and stop once cool enough.\n3. Turn it out once it is firm, after 40 minutes.",
    );
    expect(tart(/Turn/)).toMatchObject({ attention: "unattended", minutes: 40 });
    expect(tart(/Caramelise/).attention).not.toBe("unattended");
    const appam = placed(
      "Appam\nMakes 20\n\n200 g rice\n1 banana\n120 g jaggery\n50 ml water\n60 g ghee\n\n1. Soak the rice 4 to 5 hours, drain and grind with the banana to a thick batter.\n2. Melt the jaggery in the water, strain and mix into the batter.\n3. Ferment overnight in a warm place.\n4. Fry in the ghee in batches.",
      { away: [{ id: "w", day: GATHERING.day, from: "09:00", to: "16:00" }] },
    );
    expect(appam(/Ferment/).start).toBeLessThan(-20 * 60);
    expect(appam(/Drain/).start).toBeGreaterThanOrEqual(appam(/Soak/).end);
  });
  it("have one key while nothing of them changes, another where hours, pins or steps do", () => {
    const [one, two] = plansOf("");
    if (!one || !two) throw new Error("no sweets");
    const key = (part: Partial<Gathering>, tasks = [one.tasks]) => planKey({ ...GATHERING, ...part }, tasks, KITCHEN);
    expect(key({ title: "Other", note: "x" })).toBe(key({}));
    expect(new Set([key({}), key({ hour: "20:00" }), key({ pins: { a: "2026-12-05T10:00" } }), key({ cooks: 2 }), key({}, [two.tasks])]).size).toBe(5);
  });
  it("move what follows where something is late, and say how late the sweet is", () => {
    const [one] = plansOf("");
    if (!one) throw new Error("no sweet");
    const problem = gatheringProblem(GATHERING, [one.tasks], { equipment: KITCHEN, now: NOW, done: new Set() });
    const { laid } = solvePlan(problem, { seed: 1, rounds: 50, goOn: () => true });
    const first = Math.min(...laid.placed.map(({ start }) => start));
    expect(forecastOf(problem, laid.placed, first).map(({ late }) => late)).toEqual([0]);
    expect(forecastOf(problem, laid.placed, first + 25).map(({ late }) => late)).toEqual([25]);
    const begun = laid.placed.find(({ start }) => start === first);
    expect(forecastOf(problem, laid.placed, first + 1, { [begun?.id ?? ""]: first }).map(({ late }) => late)).toEqual([0]);
    // What has not begun is behind after a while; once it goes on, the rest of it begins now and all that follows comes after.
    const at = first + 15;
    const seen = { done: new Set<string>(), going: {}, isFollowed: () => true };
    expect([first + 5, at].map((now) => behindOf(laid.placed, now, seen)[0])).toEqual([undefined, begun?.id]);
    // Where it is ticked off by hand alone it may be going on: it is behind once it should be done.
    const byHand = { ...seen, isFollowed: () => false };
    const end = begun?.end ?? 0;
    expect([end + 5, end + 6].map((now) => behindOf(laid.placed, now, byHand).includes(begun?.id ?? ""))).toEqual([false, true]);
    const going = { [begun?.id ?? ""]: first };
    expect(behindOf(laid.placed, at, { ...seen, going })).not.toContain(begun?.id);
    const now = readyAt(GATHERING) + 60_000 * at;
    const rest = gatheringProblem(GATHERING, [one.tasks], { equipment: KITCHEN, now, done: new Set(), going });
    expect(rest.pinned[begun?.id ?? ""]).toBe(at);
    expect(rest.tasks.find(({ id }) => id === begun?.id)?.minutes).toBe(Math.max(1, (begun?.end ?? 0) - at));
    // Too late for its hour it finds no place; served later it does.
    expect(solvePlan(rest, { seed: 1, rounds: 50, goOn: () => true }).score.failed).toBeGreaterThan(0);
    const later = gatheringProblem(GATHERING, [one.tasks], { equipment: KITCHEN, now, done: new Set(), going, late: { [one.tasks.sweet.id]: 15 } });
    expect(solvePlan(later, { seed: 1, rounds: 50, goOn: () => true }).laid).toMatchObject({
      failed: [],
      placed: expect.arrayContaining([expect.objectContaining({ id: begun?.id, start: at })]) as unknown[],
    });
  });
});

describe("a shopping list", () => {
  const need = (sweet: string, food: string, grams: number) => ({ sweet, food, name: food, family: "nut", grams });
  const stock = (food: string, grams: number, useBy: string | null) => ({
    id: `${food} ${useBy ?? ""}`,
    foodId: food,
    name: food,
    kind: "bought" as const,
    place: "cupboard" as const,
    gotOn: "2026-11-01",
    useBy,
    note: "",
    grams,
  });
  const list = (grams: number, there: ReturnType<typeof stock>[]) =>
    shoppingList([need("a", "almond", grams), need("b", "almond", 100), need("b", "saffron", 0.5)], there, "2026-12-05", {
      soldIn: (food) => (food === "almond" ? { grams: 250, words: "250 g", price: 4 } : null),
      asks: (food) => (food === "saffron" ? ["may hold gluten"] : []),
    });
  it("sums by food, takes off what is good until then, and counts whole packets", () => {
    const [almond, saffron] = list(300, [stock("almond", 120, "2026-12-31"), stock("almond", 500, "2026-12-01")]).rows;
    expect(almond).toMatchObject({ grams: 400, inStock: 120, toBuy: 280, packets: { count: 2, left: 220 }, cost: 8 });
    expect(saffron).toMatchObject({ toBuy: 0.5, packets: null, cost: null, asks: ["may hold gluten"] });
  });
  it("costs each sweet by what goes in, and says what has no price", () => {
    const { bySweet, unpriced, toPay } = list(300, []);
    expect(bySweet).toEqual([
      { sweet: "a", cost: 4.8, unpriced: [] },
      { sweet: "b", cost: 1.6, unpriced: ["saffron"] },
    ]);
    expect([toPay, unpriced]).toEqual([8, ["saffron"]]);
  });
  it.each([
    [0.4, 1],
    [4, 4],
    [61, 65],
    [121, 130],
    [700, 700],
    [701, 750],
  ])("asks for %s g as %s", (grams, asked) => expect(askedFor(grams)).toBe(asked));
});

describe("calendar entries", () => {
  it("ring where something has waited, keep their sequence while nothing changes, raise it where it does, and are cancelled where they are gone", () => {
    const [one] = plansOf("soak");
    if (!one) throw new Error("no sweet");
    const problem = gatheringProblem(GATHERING, [one.tasks], { equipment: KITCHEN, now: NOW, done: new Set() });
    const { laid } = solvePlan(problem, { seed: 1, rounds: 50, goOn: () => true });
    const entries = entriesOf(problem.tasks, laid.placed, new Map(), { title: "Supper", at: 0 });
    expect(entries.filter(({ id, rings }) => id.endsWith("/end") && !rings)).toEqual([]);
    expect(entries.at(-1)?.id).toBe("served");
    const first = givenNow(entries, {});
    expect(givenNow(entries, first)).toEqual(first);
    const moved = givenNow(entries.map((entry) => (entry.id === "served" ? { ...entry, start: 30 } : entry)).slice(1), first);
    expect(moved.served).toMatchObject({ sequence: 1, start: 30, isCancelled: false });
    const gone = entries[0]?.id ?? "";
    expect(moved[gone]).toMatchObject({ sequence: 1, isCancelled: true });
    expect(givenNow(entries.slice(1), moved)[gone]).toEqual(moved[gone]);
    expect(givenNow(entries, moved)[gone]).toMatchObject({ sequence: 2, isCancelled: false });
  });
});
