"use client";

import { knowledgeOf, type Knowledge } from "../../workers/client";
import { useHousehold } from "../shell/household";
import { useHouseRulesDocument } from "../shell/house-rules";
import { usePantryDocument } from "../shell/pantry";

/** What this kitchen computes from: the shipped tables, its own foods, weighings, pan and rules. */
export function useKnowledge(): Knowledge {
  return knowledgeOf(usePantryDocument().present, useHousehold(), useHouseRulesDocument().present);
}
