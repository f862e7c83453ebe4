"use client";

import { buttonClass } from "../../parts/button";
import { PrintButton } from "../../parts/print-button";
import { UndoButtons } from "../../parts/undo-buttons";
import { SaveNotice } from "../../shell/save-notice";
import type { GatheringState } from "./use-gathering";

/** Above each part of a gathering: how far its planning is, what can be done with the plan, undo, whether all is saved. */
export function GatheringBar({ of, withPlan }: { readonly of: GatheringState; readonly withPlan: boolean }) {
  const { state, edited, undo, redo } = of;
  const { share } = state;
  return (
    <div className="flex flex-wrap justify-end items-center gap-3 mb-3 no-print">
      {share !== null && (
        <span role="status" className="inline-flex items-center gap-3 t-small mr-auto">
          Planning
          <progress value={share} max={1} aria-label="Planning" className="w-32 h-1.5" />
          <button type="button" className="underline min-h-8" onClick={state.stop}>
            Stop
          </button>
        </span>
      )}
      {withPlan && (
        <div className="mr-auto max-md:hidden">
          <PlanActions of={of} />
        </div>
      )}
      <UndoButtons undo={undo} redo={redo} />
      <SaveNotice document={edited} />
    </div>
  );
}

/** What can be done with a plan that is there. */
export function PlanActions({ of: { flat, state, calendar, isBegun, late, anew } }: { readonly of: GatheringState }) {
  if (flat.length === 0 || state.share !== null) return null;
  return (
    <span className="flex flex-wrap gap-2 no-print">
      <button type="button" className={buttonClass("plain")} onClick={calendar}>
        Into the calendar
      </button>
      <PrintButton />
      {isBegun && late.length === 0 && (
        <button type="button" className={buttonClass("plain")} onClick={anew}>
          Plan anew from now
        </button>
      )}
    </span>
  );
}
