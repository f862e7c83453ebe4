"use client";

import { PIECES } from "../workers/client/pieces";
import { soon } from "./shell/soon";


export const PantryPage = soon(() => import("./pantry/pantry-page").then((page) => page.PantryPage), ...PIECES);
export const TableStation = soon(() => import("./table/table-station").then((page) => page.TableStation), ...PIECES);
export const RecipeStation = soon(() => import("./recipe/recipe-station").then((page) => page.RecipeStation), ...PIECES);
export const BenchStation = soon(() => import("./bench/bench-station").then((page) => page.BenchStation), ...PIECES);
export const FoodPage = soon(() => import("./pantry/food-page").then((page) => page.FoodPage), ...PIECES);
export const OwnFoodPage = soon(() => import("./pantry/own-food-page").then((page) => page.OwnFoodPage), ...PIECES);
export const MakerPage = soon(() => import("./pantry/maker-page").then((page) => page.MakerPage), ...PIECES);
export const ScalePage = soon(() => import("./recipe/scale-page").then((page) => page.ScalePage), ...PIECES);
export const HouseholdPage = soon(() => import("./household/household-page").then((page) => page.HouseholdPage), ...PIECES);
export const RulePage = soon(() => import("./household/rule-page").then((page) => page.RulePage), ...PIECES);
export const FirstSteps = soon(() => import("./household/first-steps").then((page) => page.FirstSteps), ...PIECES);
