"use client";

import { useMemo } from "react";
import type { KitchenSources } from "../../core/kitchen";
import { useHousehold } from "./household";
import { useHouseRulesDocument } from "./house-rules";
import { usePantryDocument } from "./pantry";

/** What this household has told of itself, as it is at the moment. */
export function useSources(): KitchenSources {
  const [pantry, household, house] = [usePantryDocument().present, useHousehold(), useHouseRulesDocument().present];
  return useMemo(() => ({ pantry, household, house }), [pantry, household, house]);
}
