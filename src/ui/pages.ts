"use client";

import { soon } from "./shell/soon";

/** The tables that all of these compute from: the largest piece of their code. */
const tables = () => import("../workers/client");

export const PantryPage = soon(() => import("./pantry/pantry-page").then((page) => page.PantryPage), tables);
export const TableStation = soon(() => import("./table/table-station").then((page) => page.TableStation), tables);
export const RecipeStation = soon(() => import("./recipe/recipe-station").then((page) => page.RecipeStation), tables);
export const BenchStation = soon(() => import("./bench/bench-station").then((page) => page.BenchStation), tables);
export const FoodPage = soon(() => import("./pantry/food-page").then((page) => page.FoodPage), tables);
export const OwnFoodPage = soon(() => import("./pantry/own-food-page").then((page) => page.OwnFoodPage), tables);
export const MakerPage = soon(() => import("./pantry/maker-page").then((page) => page.MakerPage), tables);
export const ScalePage = soon(() => import("./recipe/scale-page").then((page) => page.ScalePage), tables);
export const HouseholdPage = soon(() => import("./household/household-page").then((page) => page.HouseholdPage), tables);
export const RulePage = soon(() => import("./household/rule-page").then((page) => page.RulePage), tables);
export const FirstSteps = soon(() => import("./household/first-steps").then((page) => page.FirstSteps), tables);
