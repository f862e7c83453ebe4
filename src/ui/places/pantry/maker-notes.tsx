"use client";

import { lazy, Suspense, useState } from "react";
import type { Food } from "../../../core/food";
import { foodsIn, holdsOf, seenHolds, soakedGrams, syrupStage, type Made, type Making, type MakingTables, type MilkMaking } from "../../../core/making";
import type { MakingTerm } from "../../../core/making";
import { formatGrams, formatToSpread, grams, moneyText } from "../../../core/units";
import { Button } from "../../parts/button";
import { toast } from "../../shell/messages";
import { useHousehold } from "../../shell/household";
import { usePantryDocument } from "../../shell/pantry";
import { Row, WeighedField } from "./maker-form-parts";
import type { MadeFood } from "./maker-model";
import { PriceField } from "./price-field";

/** Two weighings of one pressing are one. */
const SAME = 1e-6;
const DevicePanel = lazy(() => import("../../devices/device-panel"));

interface NotesProps {
  readonly making: Making;
  readonly made: Made;
  readonly out: readonly MadeFood[];
  readonly tables: MakingTables;
  readonly foods: ReadonlyMap<string, Food>;
  readonly onChange: (making: Making, key?: string) => void;
}

/** What to know beside the figures: how it is done, how it keeps, what it costs, and how it is reckoned. */
export function MakerNotes({ making, made, out, tables, foods }: Omit<NotesProps, "onChange">) {
  return (
    <>
      <Handling making={making} tables={tables} />
      <Cost making={making} out={out} tables={tables} foods={foods} />
      <details className="mt-5">
        <summary className="t-h2 cursor-pointer">How it is reckoned</summary>
        <dl className="rule-t mt-1 t-ledger">
          {made.working.map((term) => (
            <div key={term.name} className="flex justify-between gap-3 border-b border-line py-1">
              <dt>{term.name}</dt>
              <dd className="t-figure whitespace-nowrap">{termText(term)}</dd>
            </div>
          ))}
        </dl>
        <p className="t-small text-ink2 mt-1">{sourceOf(making, tables)}</p>
      </details>
    </>
  );
}

const termText = ({ value, unit }: MakingTerm) => (unit === "g" ? `${formatGrams(value)} g` : `${formatToSpread(value, value / 20)} ${unit}`);

function sourceOf(making: Making, tables: MakingTables): string {
  if (making.kind === "milk") {
    const likeness = tables.milks.find(({ foodId }) => foodId === making.material)?.basis === "likeness";
    return `${sentence(tables.extractionSource)}.${likeness ? " For this material they are taken from one like it: weigh its pulp to know." : ""}`;
  }
  if (making.kind === "syrup") return `${sentence(tables.boilingSource)}.`;
  if (making.kind === "caramel") return `${sentence(tables.caramelSource)}.`;
  if (making.kind === "roast") return `${sentence(tables.roastSource)}.`;
  return "The sum of what went in, nutrient by nutrient, over what it weighs; only water boils away.";
}

const sentence = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** Weights of what came out take the place of the predicted ones, and teach what this household's pulp holds. */
export function MilkWeights({ making, made, tables, foods, onChange }: Omit<NotesProps, "out" | "making"> & { readonly making: MilkMaking }) {
  const pantry = usePantryDocument();
  const [scale, setScale] = useState<"weighedMilk" | "weighedPulp" | null>(null);
  const material = tables.milks.find(({ foodId }) => foodId === making.material);
  const food = foods.get(making.material);
  if (!material || !food) return null;
  const seen = seenHolds(making, food, material, tables);
  const mine = pantry.present.pressings.filter((each) => each.material === making.material && each.squeeze === making.squeeze);
  const wrong = (field: string) => made.problems.find((problem) => problem.field === field);
  const remember = () => {
    if (seen === null) return;
    const pressing = { id: crypto.randomUUID(), material: making.material, squeeze: making.squeeze, holds: seen, at: new Date().toISOString() };
    pantry.set((now) => ({ ...now, pressings: [...now.pressings, pressing] }));
    toast(`Kept: your ${food.name.toLowerCase()} pulp holds ${seen.toFixed(1)} g of liquid a gram. The next pressing starts from it.`, {
      label: "Undo",
      run: () => pantry.set((now) => ({ ...now, pressings: now.pressings.filter(({ id }) => id !== pressing.id) })),
    });
  };
  const field = (key: "weighedMilk" | "weighedPulp", label: string) => (
    <Row label={label} problem={wrong(key)}>
      <button type="button" className="underline t-small mr-3 min-h-8" aria-expanded={scale === key} onClick={() => setScale(scale === key ? null : key)}>
        from the scale
      </button>
      <WeighedField label={`${label}, grams`} value={making[key]} onChange={(grams) => onChange({ ...making, [key]: grams }, key)} />
    </Row>
  );
  return (
    <section aria-label="Weigh what came out" className="mt-6">
      <h2 className="t-h2">Weigh what came out</h2>
      <p className="t-small text-ink2 rule-t pt-1">The milk’s weight and the pulp’s take the place of the predicted ones.</p>
      {field("weighedMilk", "Milk")}
      {field("weighedPulp", "Wet pulp")}
      {scale && (
        <Suspense fallback={null}>
          <DevicePanel id="scale" onTake={(grams) => onChange({ ...making, [scale]: Math.round(grams) }, scale)} />
        </Suspense>
      )}
      {seen !== null && !wrong("weighedPulp")?.grave && !mine.some(({ holds }) => Math.abs(holds - seen) < SAME) && (
        <p className="mt-2">
          <Button onClick={remember}>Remember what my pulp holds</Button>
        </p>
      )}
      {mine.length > 0 && (
        <p className="t-small text-ink2 mt-1">
          Seen {mine.length === 1 ? "once" : `${mine.length} times`} with this squeeze: {mine.map(({ holds }) => holds.toFixed(1)).join(", ")} g of liquid a
          gram, usually {holdsOf({ ...making, holds: null }, material, tables).toFixed(1)}.{" "}
          <button
            type="button"
            className="underline"
            onClick={() => pantry.set((now) => ({ ...now, pressings: now.pressings.filter((each) => !mine.includes(each)) }))}
          >
            Forget it
          </button>
        </p>
      )}
      {material.soak && making.soaked > 0 && (
        <p className="t-small text-ink2 mt-2">
          Soaked {making.soaked} h, drained: about {formatGrams(soakedGrams(material, grams(Math.max(0, making.grams)), making.soaked))} g.
        </p>
      )}
    </section>
  );
}

function Handling({ making, tables }: { readonly making: Making; readonly tables: MakingTables }) {
  const rows = handlingOf(making, tables);
  return rows.length === 0 ? null : (
    <section aria-label="How to, and how it keeps">
      <h2 className="t-h2">How to, and how it keeps</h2>
      <dl className="rule-t mt-1 t-ledger">
        {rows.map(([name, text]) => (
          <div key={name} className="border-b border-line py-1.5">
            <dt className="t-small text-ink2">{name}</dt>
            <dd>{text}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

function handlingOf(making: Making, tables: MakingTables): readonly (readonly [string, string])[] {
  switch (making.kind) {
    case "milk": {
      const material = tables.milks.find(({ foodId }) => foodId === making.material);
      return material
        ? [
            ["heat", material.heat],
            ["the milk keeps", material.keeps],
            ["the pulp is good for", `${sentence(material.uses.join("; "))}.`],
            ["the pulp keeps", tables.pulpKeeps],
          ]
        : [];
    }
    case "paste": {
      const paste = tables.pastes.find(({ foodId }) => foodId === making.fruit);
      return paste
        ? [
            ["how", paste.soak],
            ["it keeps", paste.keeps],
          ]
        : [];
    }
    case "syrup": {
      const sugar = tables.syrups.find(({ foodId }) => foodId === making.sugar);
      const stage = syrupStage(making.percent, tables);
      return [
        ...(stage ? [["it shows", `${sentence(stage.name)}: ${stage.cue}.`] as const] : []),
        ["mind", tables.syrupCare],
        ...(sugar ? [["it keeps", sugar.keeps] as const] : []),
      ];
    }
    case "caramel": {
      const stage = tables.caramel.find(({ id }) => id === making.stage);
      return stage
        ? [
            ["colour", stage.colour],
            ["sweetness lost", `${Math.round(stage.lost * 100)} % of the sugar’s`],
            ["bitterness", stage.bitterness],
            ["mind", tables.caramelCare],
            ["it keeps", tables.caramelKeeps],
          ]
        : [];
    }
    case "roast":
      return [
        ["how", tables.roastHow],
        ["it keeps", tables.roastKeeps],
      ];
    case "mixture":
      return [];
  }
}

function Cost({ making, out, tables, foods }: Pick<NotesProps, "making" | "out" | "tables" | "foods">) {
  const { currency } = useHousehold().units;
  const material = making.kind === "milk" ? tables.milks.find(({ foodId }) => foodId === making.material) : undefined;
  const packed = material?.packed ? foods.get(material.packed) : undefined;
  const sources = [...new Set(foodsIn(making).map(({ foodId }) => foodId))].flatMap((id) => (id === "water" ? [] : (foods.get(id) ?? [])));
  const main = out[0];
  const each = main?.food.pricePerGram ?? null;
  const unit = making.kind === "milk" ? "a litre" : "100 g";
  const of = (food: Food, perGram: number) => moneyText(perGram * (making.kind === "milk" ? 1000 * (food.density ?? 1.02) : 100), currency);
  return sources.length === 0 ? null : (
    <section aria-label="What it costs" className="no-print">
      <h2 className="t-h2 mt-5">What it costs</h2>
      <p className="rule-t pt-1 t-ledger">
        {main && each !== null ? (
          <>
            <span className="t-figure font-[560]">{of(main.food, each)}</span> {unit}
            {packed?.pricePerGram != null && (
              <>
                , packed <span className="t-figure">{of(packed, packed.pricePerGram)}</span>
              </>
            )}
            <span className="block t-small text-ink2">in what it is made of; fuel and your time are not in it</span>
          </>
        ) : (
          <span className="t-small text-ink2">Say what you pay, and its cost follows here and in recipes.</span>
        )}
      </p>
      <ul className="mt-1">
        {[...sources, ...(packed ? [packed] : [])].map((food) => (
          <li key={food.id} className="border-b border-line py-1.5">
            <span className="t-small text-ink2 block">
              {food.name}
              {food === packed && ", packed"}
            </span>
            <PriceField food={food} />
          </li>
        ))}
      </ul>
    </section>
  );
}
