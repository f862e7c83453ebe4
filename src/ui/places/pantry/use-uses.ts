"use client";

import { useEffect, useState } from "react";
import type { Recipe } from "../../../core/recipe";

/** Where a food is used, as the server tells it. */
export interface Uses {
  readonly recipes: readonly { readonly id: string; readonly recipe: Recipe }[];
  readonly more: boolean;
  readonly benches: readonly { readonly id: string; readonly title: string }[];
}

export async function fetchUses(foodId: string): Promise<Uses> {
  const response = await fetch(`/api/pantry/uses?food=${encodeURIComponent(foodId)}`);
  if (!response.ok) throw new Error(`The server answered ${response.status}.`);
  return (await response.json()) as Uses;
}

/** Asked for once the page is there; null while it is on the way, or where it cannot be told. */
export function useUses(foodId: string): Uses | null {
  const [uses, setUses] = useState<Uses | null>(null);
  useEffect(() => {
    let current = true;
    fetchUses(foodId).then(
      (told) => current && setUses(told),
      () => undefined,
    );
    return () => {
      current = false;
    };
  }, [foodId]);
  return uses;
}
