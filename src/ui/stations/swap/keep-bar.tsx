"use client";

import type { AllergyState, BeamReading } from "../../../core/substitution";
import { capital } from "../../../core/units";
import { Button } from "../../parts/button";
import { Arrow, StateMark } from "../../parts/marks";
import { UndoButtons } from "../../parts/undo-buttons";
import { SaveNotice } from "../../shell/save-notice";
import type { Document } from "../../shell/use-document";
import { AllergyLine } from "../../panels/standing-line";

interface KeepBarProps {
  readonly beams: readonly BeamReading[];
  /** Lines that are not as handed down. */
  readonly changed: number;
  /** The verdict in few words. */
  readonly fit: string;
  /** It breaks a rule of its table. */
  readonly notFor: boolean;
  readonly states: readonly AllergyState[];
  /** Who was never asked about allergies. */
  readonly unasked: readonly { readonly name: string }[];
  readonly edited: Pick<Document<unknown>, "theirs" | "acceptTheirs" | "overwriteTheirs">;
  readonly undo: (() => void) | null;
  readonly redo: (() => void) | null;
  readonly busy: boolean;
  readonly onKeep: () => void;
}

/** How the version on the bench stands, and what keeps it: always in reach of a thumb. */
export function KeepBar({ beams, changed, fit, notFor, states, unasked, edited, undo, redo, busy, onKeep }: KeepBarProps) {
  return (
    <div className="fixed md:static bottom-[50px] inset-x-0 z-20 bg-ground border-t border-ink md:border-0 px-4 py-2 md:p-0 md:mt-3 flex gap-x-4 items-center no-print">
      <span className="md:hidden flex-1 t-ledger">
        <span className="flex gap-[3px] items-center" aria-hidden="true">
          {beams.map((beam) => (
            <StateMark key={beam.id} state={beam.deviation.state} size={11} />
          ))}
        </span>
        <span className={notFor ? "text-rose font-[600]" : undefined}>{capital(fit)}</span>
        <AllergyLine states={states} unasked={unasked} />
      </span>
      <span className="hidden md:block t-ledger text-ink2 flex-1">
        {changed} {changed === 1 ? "line" : "lines"} changed, <span className={notFor ? "text-rose font-[600]" : undefined}>{fit}</span>.
        <AllergyLine states={states} unasked={unasked} />
      </span>
      <span className="hidden md:flex gap-3 items-center">
        <SaveNotice document={edited} />
        <UndoButtons undo={undo} redo={redo} />
      </span>
      <Button kind="primary" disabled={busy} onClick={onKeep}>
        {notFor ? `Keep as ${fit}` : "Keep as a version"} <Arrow />
      </Button>
    </div>
  );
}
