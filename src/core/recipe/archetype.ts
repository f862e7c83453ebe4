import { INDEX } from "../food";
import type { Archetype, BalancedLine } from "./recipe";

export interface ArchetypeGuess {
  readonly archetype: Archetype;
  readonly why: string;
}

type GuessedLine = Pick<BalancedLine, "food" | "grams" | "role">;

/** What of a sweet tells its kind: names first, then what is done in the end, then what is in it. */
interface Evidence {
  readonly title: string;
  readonly steps: string;
  readonly share: (test: (line: GuessedLine) => boolean) => number;
  readonly water: number;
}

const isPulse = ({ food }: GuessedLine): boolean => food.family === "pulse";
const isVegetable = ({ food }: GuessedLine): boolean => food.family === "vegetable" || food.family === "root";
const isFruit = ({ food }: GuessedLine): boolean => food.family === "fruit" || food.sugarClass.includes("fruit");
const isFlour = ({ food }: GuessedLine): boolean =>
  food.thickening.starch?.grain === "ground" && food.thickening.starch.form === "flour" && food.family !== "drink";
const isMilk = ({ role, food }: GuessedLine): boolean => role === "liquid" && food.family !== "water";

/** Which halwa it is goes by what there is most of that is neither milk, fat nor sugar. */
function halwaOf({ share }: Evidence): Archetype {
  // A fruit that flavours it does not lead it: there is meal or flour to be roasted.
  const meal = share(({ food }) => food.thickening.starch?.grain === "ground" && food.family !== "drink" && food.family !== "pulse");
  const fruit = share((line) => isFruit(line));
  if (meal > 0.08 && meal > 0.3 * fruit && share(isVegetable) < meal) return "flour halwa";
  if (share((line) => isVegetable(line) || (isFruit(line) && line.food.nature?.processing !== "dried")) > 0.25) return "vegetable halwa";
  return share((line) => isPulse(line) && line.food.nature?.form !== "flour") > 0.08 ? "pulse halwa" : "flour halwa";
}

/** What is shaped into balls is bound by its fruit, or by fat and sugar. */
const ballsOf = ({ share, water }: Evidence): Archetype => (share(isFruit) > 0.4 && water < 0.35 ? "fruit-bound" : "ladoo");

/** Kinds by the names that sweets have. */
const BY_NAME: readonly (readonly [words: RegExp, kind: Archetype | ((of: Evidence) => Archetype)])[] = [
  [/\b(?:ladd?oos?|laddus?|ladus?|energy balls?|bliss balls?|truffles?)\b/i, ballsOf],
  [/\b(?:kulfi|ice[- ]?creams?|sorbets?|gelato|granita|popsicles?|ice lollies|frozen)\b/i, "frozen"],
  [/\b(?:barfis?|burfis?|katli|pedas?|chikki|brittle|fudge|mysore pak|squares)\b/i, "barfi"],
  [/\b(?:halwas?|halvas?|sheera|kesari|lapsi)\b/i, halwaOf],
  [/\b(?:shrikhand|mishti doi|yogh?urts?|curd sweet)\b/i, "cultured"],
  [/\b(?:sauces?|spreads?|syrups?)$/i, "sauce"],
  [/\b(?:custards?|jell(?:y|ies)|panna ?cotta|blancmange|flans?|mousse)\b/i, "set pudding"],
  [/\b(?:kheer|payasams?|phirni|firni|pradhaman|rabri|basundi|porridge|puddings?)\b/i, (of) => (setsIn(of) ? "set pudding" : "pudding")],
  [/\b(?:rolls?)$/i, (of) => (of.share(isFruit) > 0.4 ? "fruit-bound" : kindByContent(of).archetype)],
  [/\b(?:chivda|trail mix|granola|panjiri|panjeeri|loose mix)\b|\bmix(?:ture)?$/i, (of) => (of.water < 0.2 ? "loose mix" : kindByContent(of).archetype)],
];

/** What something that sets does to a milk: egg that is baked or steamed, or a gel that is chilled. */
const setsIn = ({ share, steps }: Evidence): boolean =>
  share(({ food }) => food.role === "setting") > 0.002 &&
  (/\b(?:bake|baked|steam|set|sets|unmould|moulds?)\b/i.test(steps) ||
    share(({ food }) => food.thickening.agar === true || food.thickening.gelatine === true) > 0.001);

/** Kinds by what is done in the end. */
const BY_STEPS: readonly (readonly [words: RegExp, holds: (of: Evidence) => boolean, kind: Archetype | ((of: Evidence) => Archetype), why: string])[] = [
  [/\b(?:freeze|freezer|frozen)\b/i, ({ water }) => water > 0.3, "frozen", "it is frozen"],
  [
    /\b(?:shape|roll|form|make|press|into)\b[^.]{0,60}\b(?:balls?|ladd?oos?|laddus?|\d{1,3} balls)\b/i,
    ({ water }) => water < 0.35,
    ballsOf,
    "it is shaped into balls",
  ],
  [/\bcut (?:it |them )?(?:in|into)\b[^.]{0,40}\b(?:squares?|diamonds?|bars?|lozenges?)\b/i, ({ water }) => water < 0.45, "barfi", "it is cut into squares"],
  [
    /\b(?:hang|hung)\b[^.]{0,60}\b(?:cloth|muslin|overnight)\b/i,
    ({ share }) => share(({ food }) => food.thickening.cultured === true) > 0.3,
    "cultured",
    "yogurt is hung",
  ],
];

function kindByContent({ share, water }: Evidence): ArchetypeGuess {
  const flour = share(isFlour);
  const freeFat = share(({ food }) => food.freeOil >= 0.9);
  const milk = share(isMilk);
  if (share(({ food }) => food.thickening.cultured === true) > 0.5) return { archetype: "cultured", why: "more than half is yogurt or curd" };
  if (share(isFruit) > 0.4 && water < 0.35) return { archetype: "fruit-bound", why: "more than two fifths is fruit, with little water" };
  if (water < 0.2) return { archetype: "ladoo", why: "under a fifth of it is water" };
  if (share(({ food }) => food.role === "setting") > 0.002 && milk > 0.4) return { archetype: "set pudding", why: "a milk with something that sets it" };
  if (flour > 0.07 && freeFat > 0.25 * flour) return { archetype: "flour halwa", why: "flour or semolina with at least a quarter of its weight in fat" };
  if (share(isVegetable) > 0.3) return { archetype: "vegetable halwa", why: "three tenths or more is vegetable" };
  return { archetype: "pudding", why: "mostly milk or another liquid" };
}

/**
 * Tells the kind of sweet from its name, else from what is done with it in the end, else from what is in it: shares of the mass put
 * in. Rules of thumb; the maker can change it. Name and steps go first, so that a line that is answered changes no kind by itself.
 */
export function guessArchetype(lines: readonly GuessedLine[], title = "", steps: readonly string[] = []): ArchetypeGuess {
  const total = lines.reduce((sum, line) => sum + line.grams, 0) || 1;
  const of: Evidence = {
    title,
    steps: steps.join(" "),
    share: (test) => lines.filter(test).reduce((sum, line) => sum + line.grams, 0) / total,
    water: lines.reduce((sum, line) => sum + (line.grams * (line.food.per100g[INDEX.water] ?? 0)) / 100, 0) / total,
  };
  const named = BY_NAME.find(([words]) => words.test(title));
  if (named) return { archetype: typeof named[1] === "string" ? named[1] : named[1](of), why: "its name says so" };
  const done = BY_STEPS.find(([words, holds]) => words.test(of.steps) && holds(of));
  if (!done) return kindByContent(of);
  const [, , kind, why] = done;
  return { archetype: typeof kind === "string" ? kind : kind(of), why };
}
