import type { LinearModel } from "../numeric";
import type { Opening } from "./open-roles";
import type { AdaptationProblem } from "./problem";
import { clashRows, diversityRows } from "./programme/between-rows";
import { closenessRows, massRows } from "./programme/closeness-rows";
import { goalRows } from "./programme/goal-rows";
import { countRows, fatRows, leadRows, milkRows, moderationRows, pieceRows, settingRows } from "./programme/kitchen-rows";
import { freeSugarRows, limitRows } from "./programme/limit-rows";
import { begin, evaporationRows, type Programme } from "./programme/programme";
import { slotRows } from "./programme/slot-rows";
import type { Run } from "./run";
import type { Slot } from "./slots";
import type { Targets } from "./targets";

export interface Built {
  readonly model: LinearModel;
  readonly slots: readonly Slot[];
  readonly x: readonly number[];
  readonly y: readonly number[];
  readonly e: number;
}

/** What must hold and what should, in the order in which the rows are written. */
const ROWS: readonly ((programme: Programme) => void)[] = [
  slotRows,
  massRows,
  evaporationRows,
  closenessRows,
  goalRows,
  limitRows,
  freeSugarRows,
  countRows,
  leadRows,
  settingRows,
  fatRows,
  milkRows,
  pieceRows,
  moderationRows,
  clashRows,
  diversityRows,
];

/** Builds the mixed-integer programme of one run: columns for grams and use, rows for what must hold, costs for what should. */
export function build(problem: AdaptationProblem, opening: Opening, targets: Targets, run: Run): Built {
  const programme = begin(problem, opening, targets, run);
  for (const rows of ROWS) rows(programme);
  const { builder, all, x, y, e } = programme;
  return { model: builder.build(), slots: all, x, y, e };
}
