import { saveCollection } from "./collections";
import { getPantry, PANTRY } from "./sources";
import type { Constants, Family, Food } from "../../core/food";
import { EMPTY_PANTRY, kitchenFoods, namesOf, ownFoodProblems, type PantryDocument } from "../../core/pantry";
import { foodsIn } from "../../core/making";
import { USUAL_HOUSEHOLD } from "../../core/household";
import { PANTRY_TABLES, REFERENCE } from "../../data";
import { checkedRevised } from "../http/checked";
import { getKitchen } from "./kitchen";
import { Refusal } from "../http/problems";
import { validatePantry } from "../http/schemas/pantry";

/** Saves them; refused whole where an own food cannot be. */
export async function savePantry(body: unknown): Promise<number> {
  const sent = checkedRevised(validatePantry, body);
  const whole = { ...sent, document: { ...EMPTY_PANTRY, ...sent.document } };
  checkOwnFoods(whole.document);
  return saveCollection(PANTRY, whole, getPantry);
}

function checkOwnFoods(pantry: PantryDocument): void {
  const names = namesOf(REFERENCE.foods.values());
  const foods = kitchenFoods(REFERENCE.foods, pantry, USUAL_HOUSEHOLD.measures, PANTRY_TABLES);
  const before = new Set(REFERENCE.foods.keys());
  for (const [i, own] of pantry.foods.entries()) {
    const refuse = (field: string, why: string): never => {
      throw new Refusal(422, `“${own.name}” cannot be saved. ${why}`, [{ pointer: `/document/foods/${i}/${field}`, detail: why }]);
    };
    const [problem] = ownFoodProblems(own, names, foods, REFERENCE.constants, PANTRY_TABLES).filter(({ grave }) => grave);
    if (problem) refuse(problem.field, problem.why);
    const missing = own.made.kind === "made" ? foodsIn(own.made.making).find(({ foodId }) => !before.has(foodId)) : undefined;
    if (missing)
      refuse("made", `It is made of “${pantry.foods.find(({ id }) => id === missing.foodId)?.name ?? missing.foodId}”, which has to stand before it.`);
    names.set(own.name.trim().toLowerCase(), own.id);
    before.add(own.id);
  }
}

export const findFood = async (id: string): Promise<Food | null> => (await getKitchen()).reference.foods.get(id) ?? null;

const MOST_KIN = 8;

/** Some other foods of the same family. */
export async function kinOf(food: Food): Promise<Food[]> {
  const { foods } = (await getKitchen()).reference;
  return [...foods.values()].filter((other) => other.family === food.family && other.id !== food.id).slice(0, MOST_KIN);
}

/** Foods that one is often taken for, with what tells them apart. */
export async function lookAlikesOf(food: Food): Promise<Food[]> {
  const { foods } = (await getKitchen()).reference;
  return food.lookAlikes.flatMap((id) => foods.get(id) ?? []);
}

/** Foods that show what the sizes of a household come to: a flour, a liquid, a sweetener, a spice. */
export async function shownFoods(): Promise<Food[]> {
  const { foods } = (await getKitchen()).reference;
  return ["semolina", "cow-milk", "sugar", "cardamom"].flatMap((id) => foods.get(id) ?? []);
}

export const shippedConstants = (): Constants => REFERENCE.constants;

/** Whether a word is the name of a family that any food belongs to. */
export const isFamily = (word: string): word is Family => [...REFERENCE.foods.values()].some((food) => food.family === word);
