"use client";

import type { Kitchen } from "../../core/kitchen";
import { kitchenOf } from "../../workers/client";
import { useHousehold } from "./household";
import { useHouseRulesDocument } from "./house-rules";
import { usePantryDocument } from "./pantry";

/** What this household computes from: the shipped tables with its own foods, weighings, pan and rules laid over. */
export function useKitchen(): Kitchen {
  return kitchenOf({ pantry: usePantryDocument().present, household: useHousehold(), house: useHouseRulesDocument().present });
}
