import { cache } from "react";
import type { Kitchen } from "../../core/kitchen";
import { kitchenOf } from "../../data";
import { getTaught } from "../cook/learned";
import { getHousehold, getHouseRules, getPantry } from "./sources";

let last: { readonly key: string; readonly kitchen: Kitchen } | null = null;

/** What this household computes from, as it is stored now; put together anew only when something of it was saved. */
export const getKitchen = cache(async (): Promise<Kitchen> => {
  const [pantry, household, house, { learned, mark }] = await Promise.all([getPantry(), getHousehold(), getHouseRules(), getTaught()]);
  const key = `${pantry.revision} ${household.revision} ${house.revision} ${mark}`;
  if (last?.key !== key) last = { key, kitchen: kitchenOf({ pantry: pantry.document, household: household.document, house: house.document, learned }) };
  return last.kitchen;
});
