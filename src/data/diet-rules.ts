import { ALLERGENS, TREE_NUTS, type Allergen, type Origin } from "../core/food";
import type { Rule } from "../core/models/diet";

const CODEX = "Codex CXS 1-1985, foods known to cause hypersensitivity";
const rule = (id: string, name: string, short: string, parts: Partial<Rule>): Rule => ({
  id, name, short, school: "usual", avoidsOrigins: [], avoidsAllergens: [], asksAllergens: [], source: CODEX, ...parts,
});

/** Cross-reactive pairs: the other of a pair is avoided until the household has cleared it. */
const CROSS_REACTIVE: Readonly<Partial<Record<Allergen, Allergen>>> = { cashew: "pistachio", pistachio: "cashew", walnut: "pecan", pecan: "walnut" };

/** Rule that avoids one allergen and its cross-reactive kin. */
export function allergenRule(allergen: Allergen): Rule {
  const kin = CROSS_REACTIVE[allergen];
  const words = allergen.replace("-", " ");
  return rule(`no-${allergen}`, `No ${words}`, `no ${words}`, {
    avoidsAllergens: kin ? [allergen, kin] : [allergen],
    school: kin ? `with ${kin}, which often cross-reacts` : "usual",
  });
}

const ANIMAL: readonly Origin[] = ["dairy", "egg", "honey", "gelatin"];

/** The diets a table can ask for; tree nuts one by one are `no-cashew` and so on. */
export const DIETS: readonly Rule[] = [
  rule("vegan", "Vegan", "vegan", { avoidsOrigins: ANIMAL, avoidsAllergens: ["milk", "egg"], source: "ISO 23662:2021" }),
  rule("dairy-free", "Dairy-free", "no dairy", { avoidsOrigins: ["dairy"], avoidsAllergens: ["milk"] }),
  rule("egg-free", "Egg-free", "no egg", { avoidsOrigins: ["egg"], avoidsAllergens: ["egg"] }),
  rule("gluten-free", "Gluten-free", "no gluten", { avoidsAllergens: ["wheat", "barley", "rye"], asksAllergens: ["oats"], source: "Codex CXS 118-1979" }),
  rule("nut-free", "Free of tree nuts", "no nuts", { avoidsAllergens: [...TREE_NUTS], asksAllergens: ["coconut"] }),
  rule("soy-free", "Soya-free", "no soya", { avoidsAllergens: ["soy"] }),
  rule("peanut-free", "Peanut-free", "no peanut", { avoidsAllergens: ["peanut"] }),
  rule("sesame-free", "Sesame-free", "no sesame", { avoidsAllergens: ["sesame"] }),
];

/** All rules by id: diets and single allergens. */
export const RULES: ReadonlyMap<string, Rule> = new Map([...DIETS, ...ALLERGENS.map(allergenRule)].map((each) => [each.id, each]));
