"use client";

import { useSortable } from "@dnd-kit/sortable";
import { useState } from "react";
import type { RecipeComponent, RecipeStep } from "../../../core/recipe";
import { formatGrams } from "../../../core/units";
import type { ToldLine, ToldStep } from "../../../core/views";
import { Chevron, WhyMark } from "../../parts/marks";
import { RowMenu } from "../../parts/row-menu";
import { ledgerWords } from "./ledger-words";
import { StepPanel } from "./step-panel";
import { HEAT_WORDS, minutesWords, OPERATION_WORDS, takeWords } from "./step-words";

export interface StepRowProps {
  readonly step: RecipeStep;
  readonly number: number;
  readonly count: number;
  /** What it was read as; null while its text is empty, and in the moment before that is known. */
  readonly reading: ToldStep | null;
  readonly lines: readonly ToldLine[];
  readonly components: readonly RecipeComponent[];
  readonly onStep: (part: Partial<RecipeStep>, key?: string) => void;
  readonly onMove: (by: -1 | 1) => void;
  readonly onAddAfter: () => void;
  readonly onRemove: () => void;
}

/** One step: its text, what it was read as, what the pot holds after it. Moved by its handle, by keys on it, or by the menu. */
export function StepRow({ step, number, count, reading, lines, components, onStep, onMove, onAddAfter, onRemove }: StepRowProps) {
  const [open, setOpen] = useState(false);
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({ id: step.id });
  const moved = transform ? { transform: `translate3d(0, ${transform.y}px, 0)`, transition } : {};
  return (
    <li
      ref={setNodeRef}
      style={moved}
      className={`border-b border-line bg-sheet ${isDragging ? "relative z-10 outline-2 outline-ink" : ""}`}
      data-step={step.id}
    >
      <div className="grid grid-cols-[32px_minmax(0,1fr)_auto] gap-x-2 px-1 pt-1">
        <button
          type="button"
          ref={setActivatorNodeRef}
          className="no-print w-8 min-h-11 grid place-items-center text-ink2 touch-none cursor-grab hover:bg-pressed"
          {...attributes}
          {...listeners}
          aria-label={`Step ${number}: move it`}
          title="Drag it, or press space and then the arrows"
        >
          <span className="t-figure">{number}</span>
        </button>
        <textarea
          aria-label={`Step ${number}`}
          value={step.text}
          maxLength={5000}
          rows={1}
          placeholder="What is done, with what, until when"
          onChange={(event) => onStep({ text: event.target.value.replaceAll("\n", " ") }, `step ${step.id}`)}
          onKeyDown={(event) => {
            if (event.key === "Enter" && !event.shiftKey) {
              event.preventDefault();
              onAddAfter();
            }
          }}
          className="field-sizing-content bg-transparent border-b border-transparent hover:border-edge focus:border-edge w-full resize-none py-1.5 leading-snug"
        />
        <span className="no-print">
          <RowMenu
            label={`More for step ${number}`}
            actions={[
              ...(number > 1 ? [{ label: "Move up", run: () => onMove(-1) }] : []),
              ...(number < count ? [{ label: "Move down", run: () => onMove(1) }] : []),
              { label: "Add a step after it", run: onAddAfter },
              { label: "Take it out", run: onRemove, takesAway: true },
            ]}
          />
        </span>
      </div>
      <div className="flex flex-wrap items-baseline gap-x-3 pl-11 pr-3 pb-1.5">
        {reading && (
          <button
            type="button"
            aria-expanded={open}
            className="t-small text-ink2 text-left min-h-8 flex-1 min-w-52 hover:underline"
            onClick={() => setOpen(!open)}
          >
            <span className="text-ink font-[540]">{OPERATION_WORDS[reading.operation]}</span>
            {reading.heat && reading.operation !== "caramelise" ? `, ${HEAT_WORDS[reading.heat]}` : ""}
            {reading.covered ? ", under a lid" : ""}, {minutesWords(reading.minutes)}
            {reading.timed ? "" : " as usual"}, {reading.attention}
            {reading.takes.length > 0 && (
              <>
                ; in goes{" "}
                {reading.takes.map((take, i) => (
                  <span key={i} className={take.why === "not named" ? "text-saffron" : ""}>
                    {i > 0 ? ", " : ""}
                    {takeWords(take)}
                    {take.why === "not named" ? " (named in no step)" : ""}
                  </span>
                ))}
              </>
            )}{" "}
            <span className="inline-block no-print">
              <Chevron open={open} />
            </span>
          </button>
        )}
        {components.length > 0 && (
          <select
            aria-label={`Part that step ${number} makes`}
            value={step.component ?? ""}
            onChange={(event) => onStep({ component: event.target.value || undefined })}
            className="t-small bg-transparent border-b border-edge min-h-8 max-w-40"
          >
            <option value="">the sweet itself</option>
            {components.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        )}
        {reading && reading.after !== null && (
          <span className="t-small text-ink2 whitespace-nowrap">
            then <span className="t-figure text-ink">{formatGrams(reading.after)} g</span>
          </span>
        )}
      </div>
      {reading?.problems.map((problem, i) => (
        <p key={i} role="status" className="pl-11 pr-3 pb-1.5 t-small text-rose flex gap-1.5 items-baseline">
          <WhyMark kind="conflict" />
          {ledgerWords(problem)}
        </p>
      ))}
      {open && reading && (
        <StepPanel
          step={step}
          reading={reading}
          lines={lines}
          components={components}
          onChoice={(choice, key) => onStep({ choice }, key ? `${key} ${step.id}` : undefined)}
        />
      )}
    </li>
  );
}
