"use client";

import { createContext, useContext, type ReactNode } from "react";
import { EMPTY_PANTRY, PANTRY_KEYS, type PantryDocument } from "../../core/pantry";
import type { Revised } from "./documents";
import { useDocument, type Document } from "./use-document";

const PantryContext = createContext<Document<PantryDocument> | null>(null);
const complete = (stored: PantryDocument): PantryDocument => ({ ...EMPTY_PANTRY, ...stored });
const same = (pantry: PantryDocument): PantryDocument => pantry;

/** The household's own foods and weighings, for every page, as they are at the moment. */
export function PantryProvider({ given, children }: { readonly given: Revised<PantryDocument>; readonly children: ReactNode }) {
  return <PantryContext value={useDocument("/api/pantry", given, complete, same, PANTRY_KEYS)}>{children}</PantryContext>;
}

export function usePantryDocument(): Document<PantryDocument> {
  const pantry = useContext(PantryContext);
  if (!pantry) throw new Error("usePantry belongs inside PantryProvider");
  return pantry;
}
