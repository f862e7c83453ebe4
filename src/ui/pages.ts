"use client";

import { soon } from "./shell/soon";

export const PantryPage = soon(() => import("./pantry/pantry-page").then((page) => page.PantryPage));
export const TableStation = soon(() => import("./table/table-station").then((page) => page.TableStation));
export const RecipeStation = soon(() => import("./recipe/recipe-station").then((page) => page.RecipeStation));
export const BenchStation = soon(() => import("./bench/bench-station").then((page) => page.BenchStation));
export const FoodPage = soon(() => import("./pantry/food-page").then((page) => page.FoodPage));
export const OwnFoodPage = soon(() => import("./pantry/own-food-page").then((page) => page.OwnFoodPage));
export const MakerPage = soon(() => import("./pantry/maker-page").then((page) => page.MakerPage));
export const ScalePage = soon(() => import("./recipe/scale-page").then((page) => page.ScalePage));
