import { stored, type StoredBench } from "../adaptation";
import type { Kitchen } from "../kitchen";
import { insideCount, type TradeOff, type TradeOffPoint } from "../substitution";
import { groundFor, withBatch, type BenchGround } from "./bench-ground";
import { keepsItself } from "./bench-ending";

/** A version of a trade-off, ready to be laid on the bench. */
export interface ToldPoint extends Omit<TradeOffPoint, "proposal"> {
  readonly bench: StoredBench;
  /** What it exchanges, with grams. */
  readonly exchanges: string;
  readonly inside: number;
  readonly of: number;
}
export interface TradeOffView {
  readonly points: readonly ToldPoint[];
  readonly recipe: TradeOff["recipe"];
}

/** The versions of a trade-off as they are shown; one whose own steps come to something else is left out. */
export function tradeOffView({ found, ...at }: BenchGround & { readonly found: TradeOff }, kitchen: Kitchen): TradeOffView {
  const ground = groundFor(at, kitchen);
  return {
    recipe: found.recipe,
    points: found.points
      .filter(({ proposal }) => keepsItself(proposal, ground, at.table, kitchen))
      .map(({ proposal, ...point }) => {
        const label = `Sweetness ${Math.round(point.sweetness)} g, free sugars ${point.freeSugars.toFixed(1)} g`;
        return {
          ...point,
          ...insideCount(proposal.beams),
          exchanges: proposal.reason.split("; ")[0] ?? "",
          bench: stored(withBatch({ label, version: proposal.version, byHand: true }, ground), ground.read, at.table),
        };
      }),
  };
}
