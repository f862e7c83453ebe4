"use client";

import { createContext, useContext, type ReactNode } from "react";
import { completeHousehold, type Household } from "../../core/household";
import type { Revised } from "./documents";
import { useDocument, type Document } from "./use-document";

const HouseholdContext = createContext<Document<Household> | null>(null);
const same = (household: Household): Household => household;

/** The household's measures and units, for every page, as they are set at the moment. */
export function HouseholdProvider({ given, children }: { readonly given: Revised<Household>; readonly children: ReactNode }) {
  return <HouseholdContext value={useDocument("/api/household", given, completeHousehold, same)}>{children}</HouseholdContext>;
}

export function useHouseholdDocument(): Document<Household> {
  const household = useContext(HouseholdContext);
  if (!household) throw new Error("useHousehold belongs inside HouseholdProvider");
  return household;
}

export const useHousehold = (): Household => useHouseholdDocument().present;
