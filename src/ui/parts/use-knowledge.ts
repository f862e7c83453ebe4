"use client";

import { knowledgeOf, type Knowledge } from "../../workers/client";
import { useHousehold } from "../shell/household";
import { usePantryDocument } from "../shell/pantry";

/** What this kitchen computes from: the shipped tables, its own foods, its own weighings. */
export function useKnowledge(): Knowledge {
  return knowledgeOf(usePantryDocument().present, useHousehold().measures);
}
