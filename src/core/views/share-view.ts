import { lineWithoutPraise, notesWithoutClaims, stepWithoutPraise, titleWithoutClaims } from "../cautions";
import { bodyHolds, type PropertyId } from "../evaluate";
import { type SharedIngredient, type SharedSweet, type ShareWishes } from "../exchange";
import { allergenClass, timeWords } from "../keep";
import type { Kitchen } from "../kitchen";
import { bodyWords } from "../models/texture";
import { yieldText, type LineId, type Recipe } from "../recipe";
import { capital, formatGrams, formatToSpread } from "../units";
import { asLastTime } from "./as-last-time";
import { groundOfBench } from "./bench-ground";
import { keepView, type KeepQuestion } from "./keep-view";
import { methodView } from "./method-view";
import { stoveStanding, type CookGround, type StoveStanding } from "./stove-standing";
import { sweetnessAtTable } from "./stove-aim";

/** A sweet that is sent on: what is kept, and what is wanted beside it. */
export interface ShareQuestion extends KeepQuestion {
  readonly label: string | null;
  /** Why the version was made; told with the notes. */
  readonly why: string;
  readonly wishes: ShareWishes;
}

/** From what it is made again where it goes: as it was cooked; as it was planned where nobody has cooked it. */
export const groundAsCooked = (question: KeepQuestion, label: string | null, kitchen: Kitchen): CookGround => asLastTime(question, label, null, kitchen).ground;

/** A sweet as it goes out of the house. */
export function shareView(question: ShareQuestion, kitchen: Kitchen): SharedSweet {
  const { wishes, label, why, eaters } = question;
  const { constants } = kitchen.reference;
  const ground = groundAsCooked(question, label, kitchen);
  const method = methodView(ground, kitchen);
  const { label: contents, book } = keepView(question, kitchen);
  const stands = stoveStanding(question, kitchen);
  const { recipe } = ground;
  const figures = sharedFigures(stands, question.table.serve, constants);
  const { times, thaw } = contents.storage;
  const sweet: SharedSweet = {
    title: titleWithoutClaims(question.title),
    version: wishes.rules ? label : null,
    servings: question.table.servings,
    makes: method.dishes
      ? `${capital(method.dishes.what)}${contents.grams === null ? "" : ` of about ${formatGrams(Math.round(method.dishes.grams))} g`}`
      : yieldWords(recipe, question.table.servings, contents.grams),
    ingredients: ingredientsOf(recipe, method, stands.unknown, wishes, kitchen, ground),
    steps: [...method.before, ...method.steps].map(({ text, part, minutes, cues, hazards }) => ({
      text: stepWithoutPraise(text),
      part,
      takes: minutes.usual > 0 ? `${Math.round(minutes.usual)} min` : "",
      cues: cues.slice(0, 2),
      hazards: hazards.map(({ what, mend }) => ({ what, mend })),
    })),
    figures: contents.nutrition.length > 0 ? figures : [],
    contains: contents.allergens.contains.map(({ allergen }) => allergenClass(allergen)),
    mayContain: contents.allergens.mayContain.map(({ allergen }) => allergenClass(allergen)),
    unread: contents.unread.map(lineWithoutPraise),
    keeping: [
      `Keeps, covered and clean: ${times
        .filter(({ place }) => place !== "warm room")
        .map(
          ({ place }) =>
            `${place === "room" ? "in a room up to 30 °C" : place === "fridge" ? "in the fridge" : "in the freezer"} ${timeWords(contents.storage, place)}`,
        )
        .join("; ")} (rules of thumb).`,
      thaw,
      ...(contents.storage.notSealed === null ? [] : ["Never sealed off from air in the room."]),
    ],
    cautions: contents.cautions.map(({ text }) => text),
    nutrition: contents.nutrition.find((each) => each.book === book) ?? null,
    whyNoNutrition: contents.whyNoNutrition,
    breaches: wishes.rules ? contents.breaches : [],
    whom: wishes.names ? contents.whom.map(({ name, may, why: reasons }) => ({ name, may, why: wishes.rules ? reasons : [] })) : [],
    notes: wishes.notes ? [recipe.notes ?? "", why].map(notesWithoutClaims).filter((text) => text !== "") : [],
    namesLeft: [],
  };
  return {
    ...sweet,
    namesLeft: wishes.names ? [] : namesIn(JSON.stringify(sweet), [...eaters.map(({ name }) => name), ...(question.table.seats ?? []).map(({ name }) => name)]),
  };
}

/** "2 jars, 36 servings, about 450 g": of as much as was made. */
function yieldWords({ makes, servings }: Recipe, made: number, grams: number | null): string {
  const here = makes && { ...makes, count: Math.max(1, Math.round((makes.count * made) / servings)) };
  return `${capital(yieldText({ servings: made, makes: here }))}${grams !== null && grams > 0 ? `, about ${formatGrams(Math.round(grams))} g` : ""}`;
}

/** Names that stand in a text, as words of their own. */
function namesIn(text: string, names: readonly string[]): readonly string[] {
  const escaped = (name: string) => name.trim().replace(/[.*+?^${}()|[\]\\]/g, "\\$&");
  return [...new Set(names)].filter((name) => name.trim().length > 1 && new RegExp(`(?<![\\p{L}\\p{N}])${escaped(name)}(?![\\p{L}\\p{N}])`, "iu").test(text));
}

/** What goes in, part by part, as the lines have it; what nobody could read stands as it is written. */
function ingredientsOf(
  recipe: Recipe,
  method: ReturnType<typeof methodView>,
  unknown: readonly string[],
  { rules }: ShareWishes,
  kitchen: Kitchen,
  ground: CookGround,
): SharedSweet["ingredients"] {
  const partOf = new Map<LineId, string>(recipe.lines.flatMap(({ id, component }) => (component === undefined ? [] : [[id, component] as const])));
  const names = new Map((recipe.components ?? []).map(({ id, name }) => [id, name] as const));
  const whyOf = new Map(method.bench.rows.map((row) => [row.id, row] as const));
  const { read } = groundOfBench(ground, kitchen);
  const told = new Set(method.ready.map(({ id }) => id));
  const items: readonly (SharedIngredient & { readonly part: string | null })[] = [
    ...method.ready.map(({ id, measure, grams, name }) => {
      const row = whyOf.get(id);
      const reason = rules && row && (row.change === "replaced" || row.change === "added") ? row.why : "";
      return { measure, grams, name: name.toLowerCase(), why: reason, part: names.get(partOf.get(id) ?? "") ?? null };
    }),
    ...recipe.lines
      .filter(({ id, choice }) => read.unresolved.includes(id) && !told.has(id) && !choice.leftOut)
      .map(({ id, text }) => ({ measure: "", grams: null, name: lineWithoutPraise(text), why: "", part: names.get(partOf.get(id) ?? "") ?? null })),
    ...unknown.map((name) => ({ measure: "", grams: null, name, why: "", part: null })),
  ];
  const parts = [...new Set(items.map(({ part }) => part))];
  return parts.map((part) => ({ part, items: items.filter((item) => item.part === part).map(({ part: _, ...item }) => item) }));
}

/** Figures that go with it, in words: as they are told at home. */
function sharedFigures(
  { figures, isBound }: StoveStanding,
  serve: KeepQuestion["table"]["serve"],
  constants: Kitchen["reference"]["constants"],
): SharedSweet["figures"] {
  const of = (id: PropertyId) => {
    const { value, low, high } = figures[id];
    return formatToSpread(value, (high - low) / 2);
  };
  const served = serve === "room" ? "at room heat" : serve;
  const body: PropertyId = serve === "chilled" || serve === "room" ? "body.chilled" : "body.hot";
  const amounts = [
    ["Energy", "serving.energy", (value: number) => `${Math.round(value / 4.184)} kcal`],
    ["Fat", "serving.fat", null],
    ["Saturated fat", "serving.saturatedFat", null],
    ["Carbohydrate", "serving.availableCarbohydrate", null],
    ["Sugars", "serving.totalSugars", null],
    ["Free sugars", "serving.freeSugarsUk", null],
    ["Fibre", "serving.fibre", null],
    ["Protein", "serving.protein", null],
  ] as const;
  return [
    { name: "Sweetness", value: `as ${of(sweetnessAtTable(serve))} g sugar`, per: `in 100 g, ${served}` },
    ...(isBound || !bodyHolds(figures) ? [] : [{ name: "Body", value: bodyWords(figures[body].value, constants), per: served }]),
    ...amounts.map(([name, id, words]) => ({ name, value: words ? words(figures[id].value) : `${of(id)} g`, per: "serving" })),
  ];
}
