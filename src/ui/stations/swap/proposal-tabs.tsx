"use client";

import { insideCount, type Progress } from "../../../core/substitution";
import type { ToldProposal } from "../../../core/views";
import { StateMark } from "../../parts/marks";

/** The proposals as tabs, each with what it is best at and how many beams lie inside; the last tab is the maker's own. */
export function ProposalTabs({
  proposals,
  chosen,
  ownLabel,
  working,
  onChoose,
  onByHand,
  onCancel,
}: {
  readonly proposals: readonly ToldProposal[];
  readonly chosen: number | null;
  readonly ownLabel: string | null;
  /** How far the search is; null where it does not run. */
  readonly working: Progress | null;
  readonly onChoose: (index: number) => void;
  readonly onByHand: () => void;
  readonly onCancel: () => void;
}) {
  const tab = "shrink-0 text-left px-3 py-2 min-w-[150px] max-w-[230px] border-t border-x -mb-px";
  const on = "bg-sheet border-ink relative z-10";
  const off = "border-transparent hover:bg-pressed";
  return (
    <div className="flex max-sm:flex-col-reverse min-h-[77px]" role="group" aria-label="Proposals">
      <div className="flex overflow-x-auto items-stretch min-w-0 flex-1">
        {proposals.map((proposal, i) => {
          const { inside, of } = insideCount(proposal.beams);
          const changed = proposal.bench.rows.filter((row) => row.change !== "as is").length;
          return (
            <button
              key={i}
              type="button"
              aria-pressed={chosen === i}
              className={`${tab} ${chosen === i ? on : off}`}
              onClick={() => onChoose(i)}
              title={proposal.reason}
            >
              <span className="t-h2 text-[15px] block truncate">{proposal.label}</span>
              <span className="flex gap-[3px] items-center py-1" aria-hidden="true">
                {proposal.beams.map((beam) => (
                  <StateMark key={beam.id} state={beam.deviation.state} size={11} />
                ))}
              </span>
              <span className="t-small text-ink2">
                {proposal.breaks !== null ? <span className="text-rose">breaks: {proposal.breaks}</span> : `${inside} of ${of} inside`} · {changed} changed
              </span>
            </button>
          );
        })}
        {ownLabel !== null && (
          <span className={`${tab} ${on}`}>
            <span className="t-h2 text-[15px] block truncate">{ownLabel}</span>
            <span className="t-small text-ink2">your own amounts</span>
          </span>
        )}
        {working && (
          <div className="flex-1 flex items-center gap-3 px-3 min-w-56" role="status">
            <div className="flex-1">
              <p className="t-h2 text-[15px]">Working out versions</p>
              <progress className="block w-full h-2 my-1" max={working.of} value={working.done} aria-label="Progress" />
              <p className="t-small text-ink2">
                {working.doing}, {Math.min(working.done + 1, working.of)} of {working.of}
              </p>
            </div>
            <button type="button" onClick={onCancel} className="border border-edge px-3 min-h-11 hover:bg-pressed">
              Stop
            </button>
          </div>
        )}
      </div>
      <button
        type="button"
        onClick={onByHand}
        className="no-print sm:self-center max-sm:text-left underline underline-offset-3 t-ledger px-3 min-h-11 shrink-0"
      >
        Start by hand
      </button>
    </div>
  );
}
