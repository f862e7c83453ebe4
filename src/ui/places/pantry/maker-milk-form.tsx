"use client";

import { AmountField } from "../../parts/amount-field";
import { Choice } from "../../parts/choice";
import { FoodSelect, problemOf, Row, type Of } from "./maker-form-parts";
import { usualMilk } from "./maker-model";

/** Material, soaking, water of each press, squeeze. */
export function MilkForm({ making, tables, foods, problems, onChange }: Of<"milk">) {
  const material = tables.milks.find(({ foodId }) => foodId === making.material);
  const soak = material?.soak ?? null;
  const water = making.presses.reduce((sum, each) => sum + each, 0);
  const setPress = (i: number, grams: number) => onChange({ ...making, presses: making.presses.map((each, at) => (at === i ? grams : each)) }, `press ${i}`);
  return (
    <>
      <Row label="Material">
        <FoodSelect
          label="Material"
          value={making.material}
          ids={tables.milks.map(({ foodId }) => foodId)}
          foods={foods}
          onChange={(id) => onChange({ ...usualMilk(id, making.grams, tables), squeeze: making.squeeze })}
        />
      </Row>
      <Row label="Dry mass" hint={material?.waterAsUsed ? "fresh, as it is grated" : undefined}>
        <AmountField
          label="Mass of the material, grams"
          value={making.grams}
          least={1}
          onChange={(grams) =>
            // The water keeps its ratio to the material until it is set by hand.
            onChange({ ...making, grams, presses: making.presses.map((each) => Math.round((each * grams) / making.grams)) }, "grams")
          }
        />
      </Row>
      {soak && (
        <Row
          label="Soaked"
          hint={
            making.soaked < soak.least
              ? soak.short
              : making.soaked > soak.most
                ? soak.over
                : `${hours(soak.least)} to ${hours(soak.most)}, usually ${hours(soak.usual)}`
          }
          doubtful={making.soaked < soak.least || making.soaked > soak.most}
        >
          <AmountField label="Hours of soaking" unit="h" value={making.soaked} most={96} onChange={(soaked) => onChange({ ...making, soaked }, "soaked")} />
        </Row>
      )}
      {making.presses.map((grams, i) => (
        <Row
          key={i}
          label={making.presses.length > 1 ? `Fresh water, press ${i + 1}` : "Fresh water"}
          problem={i === 0 ? problemOf(problems, "presses") : undefined}
        >
          {making.presses.length > 1 && (
            <button
              type="button"
              className="underline t-small mr-3 min-h-8"
              aria-label={`Without press ${i + 1}`}
              onClick={() => onChange({ ...making, presses: making.presses.filter((_, at) => at !== i) })}
            >
              leave out
            </button>
          )}
          <AmountField label={`Water of press ${i + 1}, grams`} value={grams} onChange={(next) => setPress(i, next)} />
        </Row>
      ))}
      <Row label={`1 part to ${(water / making.grams).toFixed(1)} of water`} quiet>
        {making.presses.length < 4 && (
          <button type="button" className="underline t-ledger min-h-8" onClick={() => onChange({ ...making, presses: [...making.presses, making.grams] })}>
            Press it once more
          </button>
        )}
      </Row>
      <Row label="Squeezed">
        <span className="flex gap-5">
          <Choice name="squeeze" label="hard" checked={making.squeeze === "hard"} onChange={() => onChange({ ...making, squeeze: "hard" })} />
          <Choice name="squeeze" label="loosely" checked={making.squeeze === "loose"} onChange={() => onChange({ ...making, squeeze: "loose" })} />
        </span>
      </Row>
    </>
  );
}

const hours = (value: number) => (value < 1 ? `${Math.round(value * 60)} min` : `${value} h`);
