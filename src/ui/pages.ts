"use client";

import { READING, TABLES } from "../workers/client/pieces";
import { soon } from "./shell/soon";

export const TableStation = soon(() => import("./table/table-station").then((page) => page.TableStation), READING);
export const RecipeStation = soon(
  () => import("./recipe/recipe-station").then((page) => page.RecipeStation),
  [...READING, [() => import("./recipe/lines-editor")], [() => import("./recipe/steps-editor")]],
);
export const BenchStation = soon(() => import("./bench/bench-station").then((page) => page.BenchStation), READING);
export const ScalePage = soon(() => import("./recipe/scale-page").then((page) => page.ScalePage), READING);
export const PantryPage = soon(() => import("./pantry/pantry-page").then((page) => page.PantryPage), TABLES);
export const FoodPage = soon(() => import("./pantry/food-page").then((page) => page.FoodPage), TABLES);
export const OwnFoodPage = soon(() => import("./pantry/own-food-page").then((page) => page.OwnFoodPage), TABLES);
export const MakerPage = soon(() => import("./pantry/maker-page").then((page) => page.MakerPage), TABLES);
export const HouseholdPage = soon(() => import("./household/household-page").then((page) => page.HouseholdPage), TABLES);
export const RulePage = soon(() => import("./household/rule-page").then((page) => page.RulePage), TABLES);
export const FirstSteps = soon(() => import("./household/first-steps").then((page) => page.FirstSteps), TABLES);
