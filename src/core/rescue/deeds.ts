import { asTreated, INDEX, type Food } from "../food";
import { bodyHolds, evaluatePoint, valueOf, type EvaluationInput, type Figures } from "../evaluate";
import { minutesToDone } from "../method";
import { formatGrams, weighable } from "../units";
import type { AdaptationProblem } from "../substitution";
import { STICKS, type Fault } from "./faults";
import { partOf, waterIn, withMore } from "./pot";
import type { Mender, WayOut } from "./way";

interface DeedQuestion {
  readonly fault: Fault;
  readonly input: EvaluationInput;
  readonly grams: number;
  readonly water: Food | null;
  readonly menders: readonly (Mender & { readonly food: Food })[];
  readonly problem: AdaptationProblem;
}

/** Starch that holds what has split, and a paste that does; salt and lemon that wake up what is bland: shares of the pot. */
const HOLDS_STARCH = 0.005;
const HOLDS_PASTE = 0.02;
const PINCH = 0.0004;
const SOUR = 0.004;
/** Erythritol above this share of a sweet grains when it is cold. */
const GRAINS = 0.12;
/** Sugar that a gram of warm water holds without graining when it cools. */
const DISSOLVES = 2;
/** Of a pot that caught, what can be lifted off without the burnt taste. */
const LIFTED = 0.85;

/** What is done about a fault that no figure tells, or beside what is computed: rules of practice, with their amounts and what comes of them. */
export function deedsFor(question: DeedQuestion): readonly WayOut[] {
  const { fault, grams, menders } = question;
  switch (fault) {
    case "lumpy":
      return [
        deed(question, "Take it off the heat, press it through a sieve, and blend what stays behind with a ladle of the pot.", 5),
        deed(question, "Blend it in the pan with a stick blender for half a minute, then simmer for a minute, stirring one way.", 3),
      ];
    case "split":
      if (question.input.lines.some(({ food, grams: held }) => food.thickening.egg !== undefined && held > 0))
        return [
          deed(
            question,
            "It is egg that has come together: take it off the heat at once, stand the pan in cold water, press it through a sieve, and blend what stays behind.",
            5,
          ),
          deed(question, "Baked and gone to crumbs, it stays so: chill it and serve it spooned, under fruit or a sauce.", 0),
        ];
      return [
        ...menders.map((mender) => added(question, mender, (mender.water > 0 ? HOLDS_STARCH : HOLDS_PASTE) * grams)),
        deed(
          question,
          "Take it off the heat and blend it for half a minute: what is held by starch or nuts comes together again. Egg that is in crumbs does not; sieve it.",
          3,
        ),
      ];
    case "gritty":
      return grit(question);
    case "scorched":
      return [
        deed(
          question,
          `Do not stir or scrape. Lift the top into a clean pan, about ${formatGrams(weighable(LIFTED * grams))} g of it, and taste: go on with it only if it does not taste of burning.`,
          3,
          evaluatedScaled(question, LIFTED),
        ),
        {
          ...deed(question, "If the top tastes burnt too, throw it away: nothing covers it, and no figure tells how far it went.", 0),
          kind: "throw away",
          change: 1,
        },
      ];
    case "bitter caramel":
      return caramelAgain(question);
    case "raw taste":
      return cookOn(question);
    case "bland":
      return menders.map((mender) => added(question, mender, (mender.food.family === "salt" ? PINCH : SOUR) * grams));
    case "too soft to slice":
      if (!bodyHolds(asIs(question).figures))
        return [
          deed(question, "Let it cool through, and an hour in the fridge: fat and sugar set as they cool.", 60),
          deed(
            question,
            "Still soft: put it back into the pan and cook it on over a low flame, stirring, until it leaves the sides and a drop holds its shape on a cold plate; press it out again.",
            8,
          ),
        ];
      return [deed(question, "Chill it longer first: what sets goes on setting for some hours, deep dishes overnight. Cut it cold, with a wet knife.", 180)];
    case "crumbles":
      return [
        // What sticks by itself is bound by more of the same; how much, no figure tells.
        ...(sticks(question) ? menders.map((mender) => added(question, mender, DRIES * grams)) : []),
        deed(question, "Warm the mixture until the fat in it is soft, and press a ball again before anything goes in.", 3),
      ];
    case "greasy":
      return [
        // What sticks by itself is dried by what takes it up; how much, no figure tells.
        ...(sticks(question) ? menders.map((mender) => added(question, mender, DRIES * grams)) : []),
        deed(question, "Let it cool until the fat sets, 20 minutes in the fridge, and shape it then; press off what has come out with paper.", 20),
      ];
    default:
      return [];
  }
}

const sticks = ({ input, problem }: DeedQuestion): boolean => valueOf(input, "binding", problem.reference.constants) > STICKS;
/** Of what dries or binds a sweet that sticks by itself, a share of it to begin with. */
const DRIES = 0.05;

/** What it can still be, where nothing mends it: as it is in the pot. */
export function turnedInto(fault: Fault, input: EvaluationInput, figures: Figures, problem: AdaptationProblem): readonly WayOut[] {
  const words = INTO[fault];
  const isPressed = fault !== "too thick" || figures["body.chilled"].value >= PRESSED;
  return words === undefined || !isPressed
    ? []
    : [{ ...deed({ fault, input, grams: 1, water: null, menders: [], problem }, words, 0), kind: "turn into", change: 1 }];
}
/** From this body on it is pressed and cut, cold. */
const PRESSED = 6.5;
const INTO: Readonly<Partial<Record<Fault, string>>> = {
  "too thin": "Serve it as a drink or a sauce, warm or chilled: its figures are those of the pot.",
  "too thick": "Press it into a tray, chill it and cut it: its figures are those of the pot.",
  "too soft to slice": "Spoon it into cups as a pudding: its figures are those of the pot.",
  crumbles: "Serve it loose, as a mix by the spoonful: its figures are those of the pot.",
  greasy: "Press it into a tray on paper, chill it and cut it thin: its figures are those of the pot.",
  "too sweet": "Serve less of it, over plain fruit or yogurt that this table takes: its figures are those of the pot.",
  "not sweet enough": "Pass a syrup at the table: each takes what they like.",
};

/** The pot as it is, figures and all. */
function asIs({ input, problem }: DeedQuestion): WayOut["after"] {
  return { input, figures: evaluatePoint(input, problem.reference.constants) };
}
function evaluatedScaled({ input, problem }: DeedQuestion, by: number): WayOut["after"] {
  const part = partOf(input, by);
  return { input: part, figures: evaluatePoint(part, problem.reference.constants) };
}
const deed = (question: DeedQuestion, words: string, minutes: number, after = asIs(question)): WayOut => ({
  kind: "deed",
  words,
  adds: [],
  or: [],
  boilOff: null,
  minutes,
  after,
  allergens: [],
  over: [],
  change: 0,
});

/** Something that goes in by a rule of practice, evaluated again. */
function added(question: DeedQuestion, mender: DeedQuestion["menders"][number], about: number): WayOut {
  const { input, grams, water, problem } = question;
  const { food } = mender;
  const amount = weighable(about);
  const lines = [
    { food, grams: amount, sd: 0, role: food.role },
    ...(mender.water > 0 && water ? [{ food: water, grams: mender.water * amount, sd: 0, role: water.role }] : []),
  ];
  const after = withMore(input, lines);
  return {
    kind: "deed",
    words: mender.words.replaceAll("{grams}", formatGrams(amount)),
    adds: lines.map((line) => ({ food: line.food, grams: line.grams, low: line.grams / 2, high: line.grams * 2 })),
    or: [],
    boilOff: null,
    minutes: mender.minutes,
    after: { input: after, figures: evaluatePoint(after, problem.reference.constants) },
    allergens: food.allergens.filter((allergen) => !input.lines.some((line) => line.food.allergens.includes(allergen))),
    over: [],
    change: lines.reduce((sum, line) => sum + line.grams, 0) / grams,
  };
}

/** Sugar that has come out of its water, erythritol that grains, grain that is not done. */
function grit(question: DeedQuestion): readonly WayOut[] {
  const { input, grams, water, problem } = question;
  const sum = (index: number) => input.lines.reduce((all, line) => all + (line.grams * (line.food.per100g[index] ?? 0)) / 100, 0);
  const [sucrose, erythritol, there] = [sum(INDEX.sucrose), sum(INDEX.erythritol), Math.max(0, waterIn(input))];
  const withWater = (more: number, words: (amount: string) => string): WayOut => {
    const amount = weighable(Math.max(1, more));
    const after = water ? withMore(input, [{ food: water, grams: amount, sd: 0, role: water.role }]) : withMore(input, [], -amount);
    return {
      ...deed(question, words(formatGrams(amount)), 6),
      adds: water ? [{ food: water, grams: amount, low: amount / 2, high: 1.5 * amount }] : [],
      after: { input: after, figures: evaluatePoint(after, problem.reference.constants) },
      change: amount / grams,
    };
  };
  if (!bodyHolds(asIs(question).figures))
    return [
      deed(question, "Grind it once more, finest first, and sieve the sugar before it goes in: in a dry sweet nothing dissolves.", 5),
      deed(question, "Let it stand covered for some hours: what grain and flour there is draws the little water that there is.", 180),
    ];
  const missing = sucrose / DISSOLVES - there;
  return [
    ...(erythritol > GRAINS * grams
      ? [
          withWater(
            erythritol / GRAINS - grams,
            (amount) => `It holds more erythritol than stays dissolved when cold: warm it with ${amount} g of hot water until clear, and serve it warm.`,
          ),
        ]
      : []),
    ...(missing > 0.02 * grams
      ? [
          withWater(
            missing,
            (amount) =>
              `There is too little water for its sugar: stir in ${amount} g of hot water, warm it gently until it is clear, and do not stir as it cools.`,
          ),
        ]
      : [deed(question, "Warm it to about 60 °C and stir until the grains are gone: its water holds its sugar.", 6)]),
    ...cookOn(question),
    deed(question, "Blend it for a minute: what is ground finer is not felt.", 3),
  ];
}

/** What is raw in it longest, and how much longer it needs; a dry mix is roasted on. */
function cookOn(question: DeedQuestion): readonly WayOut[] {
  const { input, grams, problem } = question;
  const { constants } = problem.reference;
  if (!bodyHolds(asIs(question).figures))
    return [
      deed(
        question,
        "Roast it on over a low flame, stirring without a stop, 5 to 8 minutes, until the raw smell is gone; let it cool before anything sweet goes in.",
        7,
      ),
    ];
  const slowest = input.lines
    .filter((line) => line.grams > LEAST_SHARE * grams)
    .map((line) => ({ name: line.food.name.toLowerCase(), minutes: minutesToDone(asTreated(line.food, line.treated), constants) }))
    .sort((a, b) => b.minutes - a.minutes)[0];
  if (!slowest || slowest.minutes === 0)
    return question.fault === "raw taste"
      ? [deed(question, "Nothing in it is raw by its minutes: simmer it on for 5 minutes, stirring, and taste again; raw spice and raw flour go off so.", 5)]
      : [];
  const had = input.cookMinutes ?? 0;
  const more = Math.max(LEAST_MORE, Math.ceil(slowest.minutes - had));
  const after = { ...input, cookMinutes: had + more };
  return [
    deed(
      question,
      `Cook it on under a lid, on the lowest flame and stirring, for ${more} minutes: by then ${slowest.name} is cooked through. A spoonful of hot water now and then keeps it as thick as it is.`,
      more,
      { input: after, figures: evaluatePoint(after, constants) },
    ),
  ];
}
const LEAST_SHARE = 0.01;
/** Raw by the tongue, though its minutes are over: so many more, and taste. */
const LEAST_MORE = 5;

/** Bitter caramel is made again: nothing takes the bitterness out. */
function caramelAgain(question: DeedQuestion): readonly WayOut[] {
  const { input, problem } = question;
  const own = new Set(problem.lines.filter(({ inCaramel }) => inCaramel).map(({ food }) => food.id));
  const sugars = input.lines.filter(({ food, role }) => (own.size > 0 ? own.has(food.id) : role === "sweetener") && food.family === "sweetener");
  const grams = sugars.reduce((sum, line) => sum + line.grams, 0);
  const name = sugars[0]?.food.name.toLowerCase() ?? "sugar";
  const throwAway: WayOut = {
    ...deed(
      question,
      grams > 0
        ? `Throw the caramel away: nothing takes the bitterness out. Start again with ${formatGrams(weighable(grams))} g ${name}, and take it off the flame at the colour of honey.`
        : "Throw the caramel away: nothing takes the bitterness out.",
      8,
    ),
    kind: "throw away",
    change: 1,
  };
  return [deed(question, "Taste one drop, cooled on a plate: dark and a little bitter carries a sweet pudding; sharp and burnt does not.", 1), throwAway];
}
