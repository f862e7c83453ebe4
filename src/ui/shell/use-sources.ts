"use client";

import { useMemo } from "react";
import type { KitchenSources } from "../../core/kitchen";
import { useHousehold } from "./household";
import { useLearned } from "./learned";
import { useHouseRulesDocument } from "./house-rules";
import { usePantryDocument } from "./pantry";

/** What this household has told of itself and its batches have taught, as it is at the moment. */
export function useSources(): KitchenSources {
  const [pantry, household, house] = [usePantryDocument().present, useHousehold(), useHouseRulesDocument().present];
  const learned = useLearned();
  return useMemo(() => ({ pantry, household, house, learned }), [pantry, household, house, learned]);
}
