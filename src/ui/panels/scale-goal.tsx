"use client";

import type { LineId, ScaleGoal } from "../../core/recipe";
import { formatNumber } from "../../core/units";
import { panVolume, type Pan } from "../../core/household";
import { AmountField } from "../parts/amount-field";

/** By what a recipe is made larger or smaller. */
export const KINDS = [
  ["servings", "for so many servings"],
  ["pieces", "for so many pieces"],
  ["mould", "for a pan or mould"],
  ["ingredient", "by what there is of one ingredient"],
] as const;

export type Kind = (typeof KINDS)[number][0];

/** What is typed for each of them, so that nothing is lost between two. */
export interface Fields {
  readonly servings: number;
  readonly pieces: number;
  readonly pieceGrams: number;
  readonly diameter: number;
  readonly height: number;
  readonly moulds: number;
  readonly line: LineId;
  readonly grams: number;
}

/** The fields of one way of asking for a quantity. */
export function GoalFields({
  kind,
  fields,
  foods,
  pans,
  onChange,
}: {
  readonly kind: Kind;
  readonly fields: Fields;
  /** Of the lines that are read. */
  readonly foods: readonly { readonly line: LineId; readonly name: string }[];
  /** The household's own. */
  readonly pans: readonly Pan[];
  readonly onChange: (part: Partial<Fields>) => void;
}) {
  switch (kind) {
    case "servings":
      return <AmountField label="Servings" unit="" value={fields.servings} least={0.5} most={1000} onChange={(servings) => onChange({ servings })} />;
    case "pieces":
      return (
        <>
          <AmountField label="Pieces" unit="" value={fields.pieces} least={1} most={2000} onChange={(pieces) => onChange({ pieces })} />
          <span className="t-ledger">of</span>
          <AmountField label="Grams of a piece" value={fields.pieceGrams} least={1} most={2000} onChange={(pieceGrams) => onChange({ pieceGrams })} />
        </>
      );
    case "mould":
      return (
        <>
          <AmountField label="How many pans or moulds" unit="×" value={fields.moulds} least={1} most={100} onChange={(moulds) => onChange({ moulds })} />
          <AmountField label="Diameter, centimetres" unit="cm" value={fields.diameter} least={2} most={80} onChange={(diameter) => onChange({ diameter })} />
          <span className="t-ledger ml-3">across,</span>
          <AmountField
            label="Height it is filled to, centimetres"
            unit="cm"
            value={fields.height}
            least={0.5}
            most={30}
            onChange={(height) => onChange({ height })}
          />
          <span className="t-small text-ink2 ml-3">high; {formatNumber(Math.round(volumeOf(fields)))} ml</span>
          {pans.map((pan) => (
            <button
              key={pan.id}
              type="button"
              className="underline t-small min-h-11 md:min-h-8 ml-3"
              onClick={() => onChange({ diameter: pan.diameter, height: pan.depth, moulds: 1 })}
            >
              {pan.name.trim() || `pan of ${formatNumber(pan.diameter)} cm`}
            </button>
          ))}
        </>
      );
    case "ingredient":
      return (
        <>
          <select
            aria-label="Which ingredient"
            value={fields.line}
            onChange={(event) => onChange({ line: event.target.value })}
            className="border border-edge bg-sheet px-2 min-h-11 max-w-56"
          >
            {foods.map(({ line, name }) => (
              <option key={line} value={line}>
                {name}
              </option>
            ))}
          </select>
          <AmountField label="Grams there are of it" value={fields.grams} least={0.1} onChange={(grams) => onChange({ grams })} />
        </>
      );
  }
}

const volumeOf = ({ diameter, height, moulds }: Fields) => moulds * panVolume({ diameter, depth: height });

/** The quantity that is asked for. */
export function goalOf(kind: Kind, fields: Fields): ScaleGoal {
  switch (kind) {
    case "servings":
      return { kind, servings: fields.servings };
    case "pieces":
      return { kind, pieces: fields.pieces, grams: fields.pieceGrams };
    case "mould":
      return { kind, millilitres: volumeOf(fields) };
    case "ingredient":
      return { kind, line: fields.line, grams: fields.grams };
  }
}
