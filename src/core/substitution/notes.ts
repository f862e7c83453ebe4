import { INDEX, type Food } from "../food";
import { sucroseEquivalentPerGram } from "../models/sweetness";
import { capital, formatGrams, lowerFirst, weighable } from "../units";
import { evaluatePoint, isEatenFrozen, type Figures } from "../evaluate";
import type { AdaptationProblem } from "./problem";
import { questionWords, standingOf } from "./verdict";
import type { Version } from "./version";

/** Something to know before cooking a version; `kind` says how to take it. */
export interface Note {
  readonly kind: "breaks" | "ask" | "watch" | "know";
  readonly text: string;
}

/** Notes on a version: open questions, clashes in the pot, sweetener limits, slumping fat, new allergens, the schools of free sugars. */
export function versionNotes(problem: AdaptationProblem, version: Version, figures: Figures): Note[] {
  const notes: Note[] = [];
  const held = version.rows.flatMap((row) =>
    row.food && row.grams > 0 ? [{ food: row.food, grams: row.grams, fresh: row.change === "replaced" || row.change === "added" }] : [],
  );
  const has = (id: string) => held.some(({ food }) => food.id === id);
  const share = (test: (food: Food) => boolean) =>
    held.filter(({ food }) => test(food)).reduce((sum, { grams }) => sum + grams, 0) / Math.max(1, figures.yield.value);

  const { breaches, questions } = standingOf(problem, version, figures);
  for (const { short, reason, limit } of breaches) if (limit === null) notes.push({ kind: "breaks", text: `Breaks “${short}”: ${reason}.` });
  for (const text of questionWords(questions)) notes.push({ kind: "ask", text: `Ask: ${text}` });
  for (const {
    foods: [a, b],
    why,
  } of problem.tables.clashes)
    if (has(a) && has(b)) notes.push({ kind: "watch", text: `${capital(why)}: stir it in off the heat, below 60 °C.` });

  const erythritol = share((food) => food.id === "erythritol");
  if (erythritol > 0.12) notes.push({ kind: "watch", text: "Erythritol above 12 % of the sweet grains when chilled." });
  else if (erythritol > 0.03) notes.push({ kind: "know", text: "Erythritol cools the mouth a little, and may grain once cold." });
  if (figures["serving.polyols"].value > 5)
    notes.push({
      kind: "know",
      text: `${figures["serving.polyols"].value.toFixed(0)} g of polyols a serving: laxative in excess${has("xylitol") ? "; xylitol is poisonous to dogs" : ""}.`,
    });
  const ice = iceNote(problem, figures);
  if (ice) notes.push({ kind: "know", text: ice });
  const back = heldBack(problem, held, figures);
  if (back) notes.push({ kind: "know", text: back });
  const stevia = held.find(({ food }) => food.id === "stevia");
  if (stevia) {
    const milligrams = (stevia.grams * (stevia.food.per100g[INDEX.steviolGlycosides] ?? 0) * 10_000) / Math.max(1, figures.yield.value);
    const { maximum, half, bitterAbove } = problem.reference.constants.rebaudioside.value;
    if ((maximum * milligrams) / (half + milligrams) > bitterAbove) notes.push({ kind: "watch", text: "So much stevia tastes bitter to many." });
    notes.push({ kind: "know", text: "Weigh stevia as pure extract; a blend from a shop is far weaker." });
  }
  if (problem.archetype === "flour halwa" && share((food) => food.id === "coconut-oil") > 0.06)
    notes.push({ kind: "watch", text: "Coconut oil melts near 25 °C: it sets when chilled, and slumps in a warm room." });
  const recipeFats = problem.lines.some((line) => line.food.solidFat > 0.1 && line.role === "richness");
  if (recipeFats && problem.archetype === "flour halwa" && held.some(({ food, fresh }) => fresh && food.family === "fat" && food.solidFat === 0))
    notes.push({ kind: "know", text: "A liquid oil stays liquid when cold: softer, and without the taste of ghee." });
  if (held.some(({ food, fresh }) => fresh && food.sugarClass === "puréed fruit")) {
    const { who, uk } = { who: figures["serving.freeSugarsWho"].value, uk: figures["serving.freeSugarsUk"].value };
    notes.push({
      kind: "know",
      text: `Fruit paste is no free sugar by WHO (${who.toFixed(1)} g a serving) and all of it by the stricter school (${uk.toFixed(1)} g).`,
    });
  }
  if (held.some(({ food, fresh }) => fresh && food.sugarClass === "cooked fruit pieces"))
    notes.push({ kind: "know", text: "Keep the fruit in pieces: cooked to a purée, all its sugars count as free by the stricter school." });
  const own = new Set(problem.lines.flatMap((line) => line.food.allergens));
  const brought = new Map<string, string>();
  for (const { food, fresh } of held) if (fresh) for (const allergen of food.allergens) if (!own.has(allergen)) brought.set(allergen, food.name);
  for (const [allergen, by] of brought)
    notes.push({ kind: "know", text: `Brings ${allergen.replace("-", " ")} (${by.toLowerCase()}), which the recipe did not hold.` });
  for (const { food, fresh } of held)
    if (fresh && food.note && !["dates", "stevia", "erythritol", "xylitol", "sugar"].includes(food.id))
      notes.push({ kind: "know", text: `${food.name}: ${lowerFirst(food.note)}` });
  return [...new Map(notes.map((note) => [note.text, note])).values()].sort((a, b) => ORDER[a.kind] - ORDER[b.kind]);
}

/** What to do about a frozen sweet that is harder or softer to the spoon than as handed down; null where it is not told from it. */
function iceNote(problem: AdaptationProblem, { ice }: Figures): string | null {
  if (!isEatenFrozen({ ice })) return null;
  const { constants } = problem.reference;
  const own = evaluatePoint(problem, constants).ice.value;
  if (Math.abs(ice.value - own) <= constants.noticeable.value.ice) return null;
  const told = `${ice.value.toFixed(0)} % of its water is ice at −${constants.freezing.value.servedAt} °C, ${own.toFixed(0)} % as handed down`;
  return ice.value > own
    ? `Harder than as handed down (${told}): let it stand 10 to 15 minutes before it is served (rule of thumb).`
    : `Softer than as handed down (${told}): it melts sooner. Serve it straight from the coldest place.`;
}

/** As much of the main sweetener as is just noticed, to go in only once it was tasted; null where sweetness is as in the recipe. */
function heldBack(
  { serve, reference: { constants }, lines }: AdaptationProblem,
  held: readonly { readonly food: Food; readonly grams: number; readonly fresh: boolean }[],
  figures: Figures,
): string | null {
  const sweet = held
    .map(({ food, grams }) => ({ food, grams, gives: grams * sucroseEquivalentPerGram(food, food.per100g, constants.temperatures[serve], constants) }))
    .sort((a, b) => b.gives - a.gives)[0];
  const isAsBefore = held.every(
    ({ food, grams, fresh }) =>
      food.role !== "sweetener" || (!fresh && lines.some((line) => line.food.id === food.id && Math.abs(line.grams - grams) < 0.005 * grams)),
  );
  if (!sweet || isAsBefore || sweet.food.role !== "sweetener" || sweet.gives <= 0) return null;
  const noticed = (constants.noticeable.value.sweetness * figures[`sweetness.${serve}`].value * figures.yield.value) / 100;
  const grams = Math.min((noticed / sweet.gives) * sweet.grams, sweet.grams / 3);
  if (grams < 1) return null;
  return `Hold back ${formatGrams(weighable(grams))} g of the ${(sweet.food.name.split(",")[0] ?? "").toLowerCase()} until you have tasted it ${serve === "hot" ? "hot" : serve === "chilled" ? "chilled" : "as it is served"}: it is about as much as is just noticed (rule of thumb).`;
}

const ORDER: Readonly<Record<Note["kind"], number>> = { breaks: 0, ask: 1, watch: 2, know: 3 };
