"use client";

import type { MakingTables } from "../../../core/making";
import { boilingPoint, percentAtBoiling } from "../../../core/process";
import { temperatureText, celsius } from "../../../core/units";
import { AmountField } from "../../parts/amount-field";
import { Choice } from "../../parts/choice";
import { useHousehold } from "../../shell/household";
import { FoodSelect, problemOf, Row, type Of } from "./maker-form-parts";

/** A sugar, its water, and how strong it is boiled: by per cent, thermometer or sign. */
export function SyrupForm({ making, tables, foods, problems, onChange }: Of<"syrup">) {
  const { temperature } = useHousehold().units;
  const boilsAt = boilingPoint(making.percent, tables.boiling);
  const degrees = temperature === "celsius" ? boilsAt : boilsAt * 1.8 + 32;
  return (
    <>
      <Row label="Of">
        <FoodSelect
          label="Sugar"
          value={making.sugar}
          ids={tables.syrups.map(({ foodId }) => foodId)}
          foods={foods}
          onChange={(sugar) => onChange({ ...making, sugar })}
        />
      </Row>
      <Row label="Dissolve">
        <AmountField label="Sugar, grams" value={making.grams} least={1} onChange={(grams) => onChange({ ...making, grams }, "grams")} />
      </Row>
      <Row label="in water" problem={problemOf(problems, "water")}>
        <AmountField label="Water, grams" value={making.water} onChange={(water) => onChange({ ...making, water }, "water")} />
      </Row>
      <Row label="Filter it">
        <label className="flex gap-2 items-center min-h-11 t-ledger">
          <input type="checkbox" checked={making.filtered} onChange={() => onChange({ ...making, filtered: !making.filtered })} className="size-5 accent-ink" />
          through a cloth
        </label>
      </Row>
      <Row label="Boil it to a strength of" problem={problemOf(problems, "percent")}>
        <AmountField
          label="Strength, per cent of solids"
          unit="%"
          value={making.percent}
          least={5}
          most={99}
          onChange={(percent) => onChange({ ...making, percent }, "percent")}
        />
      </Row>
      <Row label="which boils at" hint="at the height that the household tells, the thermometer clear of the pan">
        <AmountField
          label={`Boiling point, ${temperature === "celsius" ? "°C" : "°F"}`}
          unit={temperature === "celsius" ? "°C" : "°F"}
          value={degrees}
          shownAs={String(Math.round(degrees))}
          most={320}
          onChange={(at) => {
            const percent = percentAtBoiling(celsius(temperature === "celsius" ? at : (at - 32) / 1.8), tables.boiling);
            onChange({ ...making, percent: Math.min(99, Math.max(5, Math.round(percent * 10) / 10)) }, "percent");
          }}
        />
      </Row>
      <fieldset className="pt-2">
        <legend className="t-small text-ink2">or by its signs</legend>
        <div className="flex flex-wrap gap-x-5">
          {tables.syrupStages.slice(1, 8).map(({ from, name }) => (
            <Choice
              key={from}
              name="stage"
              label={name}
              checked={stageAt(making.percent, tables) === from}
              onChange={() => onChange({ ...making, percent: from })}
            />
          ))}
        </div>
      </fieldset>
    </>
  );
}

const stageAt = (percent: number, { syrupStages }: MakingTables) => [...syrupStages].reverse().find(({ from }) => percent >= from)?.from;

export function CaramelForm({ making, tables, foods, problems, onChange }: Of<"caramel">) {
  const { temperature } = useHousehold().units;
  return (
    <>
      <Row label="Of">
        <FoodSelect label="Sugar" value={making.sugar} ids={tables.caramelSugars} foods={foods} onChange={(sugar) => onChange({ ...making, sugar })} />
      </Row>
      <Row label="Melt">
        <AmountField label="Sugar, grams" value={making.grams} least={1} onChange={(grams) => onChange({ ...making, grams }, "grams")} />
      </Row>
      <fieldset className="border-b border-line py-1">
        <legend className="t-ledger pt-1.5">until it is</legend>
        {tables.caramel.map(({ id, celsius, colour, cue }) => (
          <div key={id} className="flex flex-wrap items-baseline gap-x-3">
            <Choice name="caramel" label={colour} checked={making.stage === id} onChange={() => onChange({ ...making, stage: id })} />
            <span className="t-small text-ink2">
              {cue}, {temperatureText(celsius, temperature)}
            </span>
          </div>
        ))}
      </fieldset>
      <Row label="Let it down with hot water" problem={problemOf(problems, "water")}>
        <AmountField label="Water, grams" value={making.water} onChange={(water) => onChange({ ...making, water }, "water")} />
      </Row>
    </>
  );
}
