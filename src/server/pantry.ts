import type { Family, Food } from "../core/food";
import { REFERENCE } from "../data";

export const findFood = (id: string): Food | null => REFERENCE.foods.get(id) ?? null;

/** Whether a word is the name of a family that any food belongs to. */
export const isFamily = (word: string): word is Family => [...REFERENCE.foods.values()].some((food) => food.family === word);
