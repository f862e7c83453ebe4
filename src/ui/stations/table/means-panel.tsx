"use client";

import { useMemo } from "react";
import { cautionInput, cautionsFor, mistakes, saidClaims, vesselFindings } from "../../../core/cautions";
import { NO_EQUIPMENT } from "../../../core/household";
import type { Finding } from "../../../core/models/diet";
import type { ReadRecipe } from "../../../core/recipe";
import { judgedLines, partedPortions, ruleMeetings, standingOf, type AdaptationProblem, type StepFinding } from "../../../core/substitution";
import type { DiningTable } from "../../../core/table";
import { useKitchen } from "../../shell/use-kitchen";
import { CautionsPanel } from "./cautions-panel";
import { Findings, KeptHere, Meetings, Parted } from "./findings-panel";

const MOST_MISTAKEN = 4;

interface MeansPanelProps {
  readonly read: ReadRecipe;
  readonly problem: AdaptationProblem;
  readonly table: DiningTable;
  readonly found: readonly Finding[];
  readonly inSteps: readonly StepFinding[];
  readonly whose: ReadonlyMap<string, readonly string[]>;
  readonly today: string;
  readonly onRemove: (rule: string) => void;
}

/** What the wishes of a table mean for its sweet: what breaks which, what is parted, what to mind. It is read, not written in, and comes after what is. */
export function MeansPanel({ read, problem, table, found, inSteps, whose, today, onRemove }: MeansPanelProps) {
  const { reference, rules, cautions, lookAlikes, books, retention, household } = useKitchen();
  const equipment = household.equipment ?? NO_EQUIPMENT;
  const parted = useMemo(() => partedPortions(read, standingOf(problem, null), problem.rules), [read, problem]);
  const meetings = useMemo(() => ruleMeetings(problem), [problem]);
  const mind = useMemo(() => {
    const known = read.lines.map(({ food, grams }) => ({ food, grams }));
    const unweighed = judgedLines(read).flatMap(({ food }) => (food && !known.some((each) => each.food.id === food.id) ? [{ food, grams: 0 }] : []));
    const input = cautionInput(read, [...known, ...unweighed], read.recipe.servings, [...read.ledger.pressedIn.keys()]);
    return {
      cautions: cautionsFor({ ...input, table }, cautions),
      vessels: vesselFindings(read, table.servings / read.recipe.servings, table.serve === "chilled", equipment, problem.rules),
      mistaken: mistakes(read, table, lookAlikes, reference, problem.rules).slice(0, MOST_MISTAKEN),
    };
  }, [read, table, cautions, lookAlikes, reference, equipment, problem]);
  const said = useMemo(() => saidClaims(read, { rules, books, retention, constants: reference.constants }), [read, rules, books, retention, reference]);
  const ruleNames = useMemo(() => new Map(problem.rules.map((rule) => [rule.id, rule.name] as const)), [problem]);
  return (
    <aside className="lg:crease-l p-4 md:p-5 grid gap-6 content-start" aria-label="What breaks which wish">
      <KeptHere table={table} rules={problem.rules} whose={whose} onRemove={onRemove} />
      <section aria-labelledby="means-title">
        <h2 id="means-title" className="t-h2">
          What that means for this sweet
        </h2>
        {found.length + inSteps.length === 0 ? (
          <p className="t-ledger text-ink2 rule-t mt-2 pt-2">
            {table.rules.length + table.limits.length === 0
              ? "Nothing is asked of it yet. Choose above what this table leaves out."
              : "As handed down, it breaks none of these."}
          </p>
        ) : (
          <Findings found={found} inSteps={inSteps} read={read} whose={whose} today={today} />
        )}
      </section>
      <Parted portions={parted} read={read} whose={whose} />
      <Meetings meetings={meetings} whose={whose} />
      <CautionsPanel {...mind} said={said} names={ruleNames} whose={whose} />
    </aside>
  );
}
