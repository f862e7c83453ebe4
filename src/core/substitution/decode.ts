import type { Role } from "../food";
import { judge } from "../models/diet";
import type { LineId } from "../recipe";
import type { Built } from "./build";
import type { Opening } from "./open-roles";
import { LIMIT_NAMES } from "../table";
import type { AdaptationProblem, SourceLine } from "./problem";
import type { Slot } from "./slots";
import { newRowId, type Version, type VersionRow } from "./version";

export interface Amount {
  readonly slot: Slot;
  readonly grams: number;
}

/** The foods a solution uses and their grams; traces under a thousandth of a gram are nothing. */
export function amountsOf(built: Built, values: ArrayLike<number>): Amount[] {
  return built.slots.flatMap((slot, i) => {
    const grams = values[built.x[i] ?? -1] ?? 0;
    return grams > 1e-3 ? [{ slot, grams }] : [];
  });
}

const GIVES: Readonly<Record<Role, string>> = {
  liquid: "keeps it moist",
  sweetener: "gives sweetness",
  body: "gives body",
  richness: "gives fat",
  binder: "binds",
  thickener: "gives body",
  bulk: "gives creaminess",
  aroma: "gives aroma",
  colour: "gives colour",
  crunch: "gives crunch",
  seasoning: "seasons",
  acid: "gives acid",
  setting: "sets it",
};

/** Turns a solution into the ledger: each line as it is, changed, replaced or left out, then what is new. */
export function decode(problem: AdaptationProblem, opening: Opening, amounts: readonly Amount[], evaporation: number): Version {
  const rows: VersionRow[] = [];
  const fresh = amounts.filter(({ slot }) => slot.source === null);
  const taken = new Set<Amount>();
  const gone = problem.lines.filter((line) => !amounts.some(({ slot }) => slot.source?.id === line.id)).sort((a, b) => b.grams - a.grams);
  const replacement = new Map<LineId, Amount>();
  for (const line of gone) {
    // Water stands for a milk only where nothing else does.
    const found = fresh
      .filter((amount) => !taken.has(amount) && amount.slot.role === line.role)
      .sort((a, b) => Number(a.slot.food.id === "water") - Number(b.slot.food.id === "water") || b.grams - a.grams)[0];
    if (!found) continue;
    taken.add(found);
    replacement.set(line.id, found);
  }
  for (const line of problem.lines) {
    const kept = amounts.find(({ slot }) => slot.source?.id === line.id);
    const swapped = replacement.get(line.id);
    if (kept) {
      const same = Math.abs(kept.grams - line.grams) <= Math.max(0.005 * line.grams, 0.001);
      rows.push({
        id: line.id,
        line: line.id,
        food: kept.slot.food,
        grams: same ? line.grams : kept.grams,
        role: line.role,
        change: same ? "as is" : "amount",
        why: same ? "" : "keeps the balance",
      });
    } else if (swapped)
      rows.push({
        id: line.id,
        line: line.id,
        food: swapped.slot.food,
        grams: swapped.grams,
        role: line.role,
        change: "replaced",
        why: whyGone(problem, opening, line),
      });
    else rows.push({ id: line.id, line: line.id, food: null, grams: 0, role: line.role, change: "left out", why: whyGone(problem, opening, line) });
    for (const amount of fresh) {
      if (taken.has(amount) || amount.slot.role !== line.role) continue;
      taken.add(amount);
      rows.push(addedRow(rows, amount));
    }
  }
  for (const amount of fresh) if (!taken.has(amount)) rows.push(addedRow(rows, amount));
  return { rows, evaporation };
}

const addedRow = (rows: readonly VersionRow[], { slot: { food, role }, grams }: Amount): VersionRow => ({
  id: newRowId(rows),
  line: null,
  food,
  grams,
  role,
  change: "added",
  why: GIVES[role],
});

function whyGone(problem: AdaptationProblem, opening: Opening, line: SourceLine): string {
  const rule = problem.rules.find((each) => judge(line.food, each).verdict === "avoid");
  if (opening.banned.has(line.id) && rule) return rule.short;
  if (opening.banned.has(line.id)) return "not wanted";
  const limit = opening.passed[0];
  if (limit) return `${LIMIT_NAMES[limit.id].short} over ${limit.most} ${LIMIT_NAMES[limit.id].unit}`.trim();
  return "not needed";
}
