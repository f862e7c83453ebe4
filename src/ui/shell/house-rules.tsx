"use client";

import { createContext, useContext, type ReactNode } from "react";
import { HOUSE_RULE_KEYS, type HouseRules } from "../../core/models/diet";
import type { Revised } from "./documents";
import { useDocument, type Document } from "./use-document";

const HouseRulesContext = createContext<Document<HouseRules> | null>(null);
const same = (rules: HouseRules): HouseRules => rules;
/** Saved once each set has a name. */
const named = (rules: HouseRules): HouseRules | null => (rules.own.some(({ name }) => name.trim() === "") ? null : rules);

/** The household's own rule sets and its answers, for every page, as they are at the moment. */
export function HouseRulesProvider({ given, children }: { readonly given: Revised<HouseRules>; readonly children: ReactNode }) {
  return <HouseRulesContext value={useDocument("/api/house-rules", given, same, named, HOUSE_RULE_KEYS)}>{children}</HouseRulesContext>;
}

export function useHouseRulesDocument(): Document<HouseRules> {
  const rules = useContext(HouseRulesContext);
  if (!rules) throw new Error("useHouseRules belongs inside HouseRulesProvider");
  return rules;
}
