import { GLUTEN_CEREALS, TREE_NUTS, type Allergen } from "../food";
import type { FoodFinder } from "../recipe";

/** Words that packets say allergens by; what stands before or after that makes another thing of them is excepted. */
const WORDS: readonly (readonly [RegExp, readonly Allergen[]])[] = [
  [
    /\b(?:tree )?nuts?\b(?! free)(?<!\b(?:coco|pea|ground|tiger|pine|hazel|wal|cashew|brazil|pistachio|pecan|macadamia|almond|queensland|soya?|corn|dough|water|chest) ?nuts?)/i,
    TREE_NUTS,
  ],
  [/\balmonds?\b/i, ["almond"]],
  [/\bbrazil ?nuts?\b/i, ["brazil-nut"]],
  [/\bcashews?\b/i, ["cashew"]],
  [/\b(?:hazel ?nuts?|filberts?|praline|gianduja)\b/i, ["hazelnut"]],
  [/\b(?:macadamias?|queensland nuts?)\b/i, ["macadamia"]],
  [/\bpecans?\b/i, ["pecan"]],
  [/\bpistachios?\b/i, ["pistachio"]],
  [/\bwal ?nuts?\b/i, ["walnut"]],
  [/\b(?:wheat|spelt|kamut|khorasan|durum|bulgh?ur|couscous|farro|einkorn|emmer|triticale|seitan|semolina|maida|atta)\b/i, ["wheat"]],
  [/\b(?:barley|malt(?:ed)?)\b/i, ["barley"]],
  [/\brye\b/i, ["rye"]],
  [/\boat(?:s|meal|flour)?\b/i, ["oats"]],
  [
    /\b(?:lactose|whey|casein(?:ate)?s?|lactalbumin|ghee|curds?|paneer|khoya|mawa|dairy|yogh?urt|cheese)\b(?![- ]?free)|(?<!\b(?:coconut|almond|oats?|soy|soya|rice|cashew|hemp|nut|plant|pea|millet|sesame|poppy)[- ])\bmilk\b(?! thistle|[- ]free)|(?<!\b(?:cocoa|cacao|shea|peanut|almond|cashew|nut|mango|plant|vegan|apple|kokum|sesame)[- ])\bbutter(?:milk|fat)?\b(?! bean|nut|scotch flavou?r)|(?<!\b(?:coconut|oat|soya?|vegan|plant|cashew)[- ])\bcream\b(?! of tartar| of coconut)/i,
    ["milk"],
  ],
  [/\b(?:eggs?|albumen|albumin|ovalbumin|egg ?white|egg ?yolk|mayonnaise|lysozyme)\b(?![- ]free)/i, ["egg"]],
  [/\b(?:soy|soya|soja)\w*\b(?![- ]free)|\b(?:tofu|edamame|miso|tempeh|okara)\b/i, ["soy"]],
  [/\b(?:peanuts?|ground ?nuts?|arachis|monkey nuts?)\b/i, ["peanut"]],
  [/\b(?:sesame|tahini|tahina|gingelly|til)\b/i, ["sesame"]],
  [/\bmustard\b/i, ["mustard"]],
  [/\bceler(?:y|iac)\b/i, ["celery"]],
  [/\blupins?e?\b/i, ["lupin"]],
  [/\b(?:sul(?:ph|f)ites?|sul(?:ph|f)ur dioxide|\w*bisul(?:ph|f)ites?|so2)\b/i, ["sulphites"]],
  [/\b(?:fish|anchov(?:y|ies)|cod|tuna|salmon|isinglass)\b/i, ["fish"]],
  [/\b(?:crustaceans?|shrimps?|prawns?|crabs?|lobsters?|shellfish)\b/i, ["crustaceans"]],
  [/\b(?:molluscs?|mollusks?|oysters?|mussels?|clams?|squid|shellfish)\b/i, ["molluscs"]],
  [/\bcoconuts?\b(?! (?:palm )?(?:sugar|blossom|nectar|aminos))/i, ["coconut"]],
];
const GLUTEN = /\bgluten\b(?![- ]?free)/i;
const CEREALS = new Set<Allergen>(GLUTEN_CEREALS);

/** Allergens that a text of a packet names: in the packet's own words and by foods that it names. "Gluten" where no cereal is named is of any. */
export function allergensNamed(text: string, find: FoodFinder): readonly Allergen[] {
  const found = new Set<Allergen>(
    find(text)
      .filter(({ meant }) => meant)
      .flatMap(({ food }) => food.allergens),
  );
  for (const [pattern, allergens] of WORDS) if (pattern.test(text)) for (const allergen of allergens) found.add(allergen);
  if (GLUTEN.test(text) && ![...found].some((each) => CEREALS.has(each))) for (const cereal of GLUTEN_CEREALS) found.add(cereal);
  return [...found];
}

/** Whether a word is only what an allergen is called by: "gluten", "nuts" behind what holds it. */
export const isAllergenWord = (words: string): boolean =>
  /^(?:contains? )?(?:from |of )?(?:gluten|(?:tree )?nuts?|milk|dairy|lactose|soya?|soy(?:a)?beans?|wheat|egg|sesame|sulphites?|peanuts?|allergens?)$/i.test(
    words.trim(),
  );
