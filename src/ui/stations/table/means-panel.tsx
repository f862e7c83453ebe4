"use client";

import { useMemo } from "react";
import type { DiningTable } from "../../../core/table";
import type { TableView } from "../../../core/views";
import { Go } from "../../shell/go";
import { CautionsPanel } from "./cautions-panel";
import { Findings, KeptHere, Meetings, Parted } from "./findings-panel";

interface MeansPanelProps {
  readonly recipeId: string;
  readonly view: TableView;
  /** It is of earlier wishes: what is not found yet may still be. */
  readonly isBehind: boolean;
  readonly table: DiningTable;
  readonly whose: ReadonlyMap<string, readonly string[]>;
  readonly today: string;
  readonly onRemove: (rule: string) => void;
}

/** What the wishes of a table mean for its sweet: what breaks which, what is parted, what to mind. It is read, not written in, and comes after what is. */
export function MeansPanel({ recipeId, view, isBehind, table, whose, today, onRemove }: MeansPanelProps) {
  const { kept, findings } = view;
  const ruleNames = useMemo(() => new Map(kept.map(({ id, name }) => [id, name] as const)), [kept]);
  return (
    <aside className="lg:crease-l" aria-label="What breaks which wish">
      {/* It stays in sight while the wishes beside it are scrolled. */}
      <div
        className="p-4 md:p-5 grid gap-6 content-start lg:sticky lg:top-0 lg:max-h-dvh lg:overflow-y-auto"
        tabIndex={0}
        role="group"
        aria-label="What the wishes mean"
      >
        <KeptHere table={table} rules={kept} whose={whose} onRemove={onRemove} />
        <section aria-labelledby="means-title" aria-busy={isBehind}>
          <h2 id="means-title" className="t-h2">
            What that means for this sweet
          </h2>
          {findings.length === 0 ? (
            <p className="t-ledger text-ink2 rule-t mt-2 pt-2">
              {table.rules.length + table.limits.length === 0
                ? "Nothing is asked of it yet. Choose above what this table leaves out."
                : isBehind
                  ? "Not worked out yet."
                  : "As handed down, it breaks none of these."}
            </p>
          ) : (
            <Findings found={findings} whose={whose} today={today} />
          )}
          {table.rules.length + table.limits.length > 0 && (
            <p className="no-print">
              <Go className="underline t-ledger inline-flex items-center min-h-11 md:min-h-8" href={`/recipes/suits?table=${recipeId}`}>
                Which of my recipes suits this table?
              </Go>
            </p>
          )}
        </section>
        <Parted portions={view.parted} whose={whose} />
        <Meetings meetings={view.meetings} whose={whose} />
        <CautionsPanel cautions={view.cautions} vessels={view.vessels} mistaken={view.mistaken} said={view.said} names={ruleNames} whose={whose} />
      </div>
    </aside>
  );
}
