import type { Constants, Food } from "../food";
import type { PantryTables } from "../pantry";
import { formatGrams } from "../units";
import type { ComponentProblem, Structure } from "./components";
import { Pot, type PotItem } from "./pot";
import type { Pressed } from "./pressing";
import type { LineReading } from "./read-line";
import type { ReadStepWithTakes } from "./read-steps";
import type { LineId, Recipe } from "./recipe";
import { treatmentOfLine } from "./treat";

export type LedgerProblem =
  | ComponentProblem
  | { readonly kind: "not yet made"; readonly step: number; readonly component: string }
  | { readonly kind: "used twice"; readonly step: number; readonly name: string; readonly share: number }
  | { readonly kind: "more water than there is"; readonly step: number; readonly asked: number; readonly there: number }
  | { readonly kind: "end and minutes differ"; readonly step: number; readonly byEnd: number; readonly byMinutes: number }
  | { readonly kind: "cooking not told"; readonly step: number; readonly usual: number }
  | { readonly kind: "end not reached"; readonly step: number; readonly why: string }
  | { readonly kind: "weighs more"; readonly step: number; readonly weighed: number; readonly there: number }
  | { readonly kind: "weighs less than dry"; readonly step: number; readonly weighed: number; readonly dry: number }
  | { readonly kind: "cannot be pressed"; readonly step: number; readonly why: string };

export type Line = Extract<LineReading, { kind: "read" }>;

/** All that a walk over the steps carries along. */
export interface Walk {
  readonly recipe: Recipe;
  readonly readings: readonly LineReading[];
  readonly byLine: ReadonlyMap<LineId, LineReading>;
  readonly steps: readonly ReadStepWithTakes[];
  readonly structure: Structure;
  readonly constants: Constants;
  readonly pantry: { readonly foods: ReadonlyMap<string, Food>; readonly tables: PantryTables };
  readonly pots: Map<string, Pot>;
  /** Of lines that are peeled: the share that goes as peel. */
  readonly wastes: Map<LineId, number>;
  readonly pressings: Map<LineId, Pressed & { readonly until: number; readonly component: string | undefined }>;
  /** Share of each component that was poured into another pot. */
  readonly poured: Map<string, number>;
  readonly used: Map<string, number>;
  readonly problems: LedgerProblem[];
  openMinutes: number;
  known: boolean;
  takenUp: number;
}

export const SWEET = "";

/** The pot of a component; one that is not there is made in the sweet itself. */
export function potOf({ pots, structure }: Walk, component: string | undefined): Pot {
  const key = component !== undefined && structure.components.has(component) ? component : SWEET;
  const pot = pots.get(key) ?? new Pot();
  pots.set(key, pot);
  return pot;
}

export const hasSteps = ({ steps }: Walk, component: string) => steps.some(({ step }) => step.component === component);

/** A group of lines without steps of its own: as much of it as is used goes in, beside the sweet where it is served apart. */
export function straightIn(walk: Walk, group: string, pot: Pot): { readonly share: number; readonly pot: Pot } {
  const { components, into, share, apart } = walk.structure;
  let root = group;
  while (apart.has(group) && components.get(root)?.use.kind !== "apart") root = into.get(root) ?? group;
  return { share: share.get(group) ?? 1, pot: apart.has(group) ? potOf(walk, root) : pot };
}

/** Puts a share of a line into a pot, with the water that came with it where it was cooked before; what is told of that. */
export function putLine(walk: Walk, pot: Pot, line: Line, share: number, waste = 0): { readonly item: PotItem; readonly told: string } {
  if (waste > 0) walk.wastes.set(line.line.id, waste);
  const item = pot.put(line.line.id, line.food, line.grams.value * share * (1 - waste), line.grams.sd * share * (1 - waste));
  item.treated = treatmentOfLine(line);
  const { water, food } = line;
  if (!water) return { item, told: "" };
  pot.drive(-water.value * share, water.sd * share);
  walk.takenUp += water.value * share;
  return { item, told: `${formatGrams(water.value * share)} g of water came with ${food.name.toLowerCase()}, cooked before` };
}

export function roleOf({ byLine }: Pick<Walk, "byLine">, line: LineId) {
  const reading = byLine.get(line);
  return reading && "role" in reading ? reading.role : null;
}
