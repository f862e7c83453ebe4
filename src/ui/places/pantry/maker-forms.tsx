"use client";

import type { Making } from "../../../core/making";
import { AmountField } from "../../parts/amount-field";
import { Choice } from "../../parts/choice";
import { FoodPicker } from "../../panels/food-picker";
import { Finished, FoodSelect, problemOf, Row, type FormProps, type Of } from "./maker-form-parts";
import { MilkForm } from "./maker-milk-form";
import { CaramelForm, SyrupForm } from "./maker-sweet-forms";

/** What goes in, of the kind of making at hand. */
export function MakerForm(props: FormProps<Making>) {
  const { making } = props;
  switch (making.kind) {
    case "milk":
      return <MilkForm {...props} making={making} />;
    case "paste":
      return <PasteForm {...props} making={making} />;
    case "syrup":
      return <SyrupForm {...props} making={making} />;
    case "caramel":
      return <CaramelForm {...props} making={making} />;
    case "roast":
      return <RoastForm {...props} making={making} />;
    case "mixture":
      return <MixtureForm {...props} making={making} />;
  }
}

function PasteForm({ making, tables, foods, problems, onChange }: Of<"paste">) {
  const paste = tables.pastes.find(({ foodId }) => foodId === making.fruit);
  return (
    <>
      <Row label="Fruit">
        <FoodSelect
          label="Fruit"
          value={making.fruit}
          ids={tables.pastes.map(({ foodId }) => foodId)}
          foods={foods}
          onChange={(fruit) => {
            const next = tables.pastes.find(({ foodId }) => foodId === fruit);
            onChange({ ...making, fruit, water: Math.round(making.grams * (next?.water ?? 0.25)) });
          }}
        />
      </Row>
      <Row label="Fruit, stoned" problem={problemOf(problems, "grams")}>
        <AmountField
          label="Fruit, grams"
          value={making.grams}
          least={1}
          onChange={(grams) => onChange({ ...making, grams, water: Math.round((making.water * grams) / making.grams) }, "grams")}
        />
      </Row>
      <Row
        label="Water"
        hint={`fruit to water ${(making.grams / Math.max(1, making.water)).toFixed(1)} to 1; usually ${(1 / (paste?.water ?? 1)).toFixed(1)} to 1`}
      >
        <AmountField label="Water, grams" value={making.water} onChange={(water) => onChange({ ...making, water }, "water")} />
      </Row>
      <Finished
        making={making}
        problems={problems}
        onChange={(finished) => onChange({ ...making, finished }, "finished")}
        hint="only where it was cooked down"
      />
    </>
  );
}

function RoastForm({ making, tables, foods, problems, onChange }: Of<"roast">) {
  return (
    <>
      <Row label={foods.get(making.flour)?.name ?? "A flour"}>
        <span className="w-60 max-w-full">
          <FoodPicker label="another flour, seed or nut" onPick={({ id }) => onChange({ ...making, flour: id })} />
        </span>
      </Row>
      <Row label="Roast">
        <AmountField label="Flour, grams" value={making.grams} least={1} onChange={(grams) => onChange({ ...making, grams }, "grams")} />
      </Row>
      <fieldset className="border-b border-line py-1">
        <legend className="t-ledger pt-1.5">until it is</legend>
        {tables.roasts.map(({ id, moisture, cue }) => (
          <div key={id} className="flex flex-wrap items-baseline gap-x-3">
            <Choice name="roast" label={id} checked={making.stage === id} onChange={() => onChange({ ...making, stage: id })} />
            <span className="t-small text-ink2">
              {cue}; about {moisture} % of moisture left
            </span>
          </div>
        ))}
      </fieldset>
      <Finished
        making={making}
        problems={problems}
        onChange={(finished) => onChange({ ...making, finished }, "finished")}
        hint="if you weighed it, that wins"
      />
    </>
  );
}

function MixtureForm({ making, foods, problems, onChange }: Of<"mixture">) {
  return (
    <>
      {making.parts.map(({ foodId, grams }, i) => (
        <Row key={`${foodId} ${i}`} label={foods.get(foodId)?.name ?? foodId}>
          <button
            type="button"
            className="underline t-small mr-3 min-h-8"
            aria-label={`Without ${foods.get(foodId)?.name ?? foodId}`}
            onClick={() => onChange({ ...making, parts: making.parts.filter((_, at) => at !== i) })}
          >
            leave out
          </button>
          <AmountField
            label={`${foods.get(foodId)?.name ?? foodId}, grams`}
            value={grams}
            least={0.01}
            onChange={(next) => onChange({ ...making, parts: making.parts.map((part, at) => (at === i ? { ...part, grams: next } : part)) }, `part ${i}`)}
          />
        </Row>
      ))}
      <div className="py-2 border-b border-line">
        <FoodPicker
          label={making.parts.length === 0 ? "Find the first food in it" : "Find another food in it"}

          onPick={({ id }) => onChange({ ...making, parts: [...making.parts, { foodId: id, grams: 100 }] })}
        />
        {problemOf(problems, "parts") && <p className="t-small text-ink2 mt-1">{problemOf(problems, "parts")?.why} Water too, where there is any.</p>}
      </div>
      <Finished making={making} problems={problems} onChange={(finished) => onChange({ ...making, finished }, "finished")} hint="if some boiled away" />
    </>
  );
}
