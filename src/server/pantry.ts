import type { Family, Food } from "../core/food";
import { REFERENCE } from "../data";

export const findFood = (id: string): Food | null => REFERENCE.foods.get(id) ?? null;

const MOST_KIN = 8;

/** Some other foods of the same family. */
export const kinOf = (food: Food): Food[] =>
  [...REFERENCE.foods.values()].filter((other) => other.family === food.family && other.id !== food.id).slice(0, MOST_KIN);

/** Foods that show what the sizes of a household come to: a flour, a liquid, a sweetener, a spice. */
export const shownFoods = (): Food[] => ["semolina", "cow-milk", "sugar", "cardamom"].flatMap((id) => REFERENCE.foods.get(id) ?? []);

export const shippedConstants = () => REFERENCE.constants;

/** Whether a word is the name of a family that any food belongs to. */
export const isFamily = (word: string): word is Family => [...REFERENCE.foods.values()].some((food) => food.family === word);
