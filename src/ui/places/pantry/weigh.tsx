"use client";

import { lazy, Suspense, useState } from "react";
import type { Food } from "../../../core/food";
import { WEIGHED_UNITS, weighedMeasures, type Weighing } from "../../../core/pantry";
import { formatGrams } from "../../../core/units";
import { AmountField } from "../../parts/amount-field";
import { Button } from "../../parts/button";
import { UndoButtons } from "../../parts/undo-buttons";
import { useUndoKeys } from "../../parts/use-history";
import { toast } from "../../shell/messages";
import { usePantryDocument } from "../../shell/pantry";
import { SaveNotice } from "../../shell/save-notice";

const DevicePanel = lazy(() => import("../../devices/device-panel"));

/** Weigh it once: what the household's own cup, spoon or handful of a food weighs, so that all recipes follow. */
export function Weigh({ food }: { readonly food: Food }) {
  const pantry = usePantryDocument();
  useUndoKeys(pantry);
  const { present, set } = pantry;
  const mine = present.weighings.filter(({ foodId }) => foodId === food.id);
  const units = [...new Set([...WEIGHED_UNITS, ...food.counted.map(({ unit }) => unit)])];
  const forms = ["", "heaped", "packed", "loose", ...Object.keys(food.forms), "chopped", "grated", "ground"].filter((form, i, all) => all.indexOf(form) === i);
  const [unit, setUnit] = useState<string>(food.density === null ? "piece" : "cup");
  const [form, setForm] = useState("");
  const [grams, setGrams] = useState(0);
  const [scale, setScale] = useState(false);
  const add = (weighed: number) => {
    const weighing: Weighing = { id: crypto.randomUUID(), foodId: food.id, unit, form, grams: Math.round(weighed * 10) / 10, at: new Date().toISOString() };
    set((now) => ({ ...now, weighings: [...now.weighings, weighing] }));
    setGrams(0);
    toast(`A ${unit} of it weighs ${formatGrams(weighed)} g here. All recipes follow.`);
  };
  const measures = weighedMeasures(mine);
  return (
    <section className="no-print" aria-label="Weigh it once">
      <h2 className="t-h2 mt-5">Weigh it once</h2>
      <p className="t-small text-ink2 rule-t pt-1">
        Your own cup, spoon or handful, filled as you fill it. All recipes follow; a second weighing tells how far they spread.
      </p>
      {measures.length > 0 && (
        <dl className="t-ledger mt-1">
          {measures.map((measure) => (
            <div key={`${measure.unit} ${measure.form}`} className="flex justify-between gap-3 border-b border-line py-1.5">
              <dt>
                1 {measure.unit}
                {measure.form && `, ${measure.form}`}
                <span className="block t-small text-ink2">
                  {measure.times === 1 ? "weighed once" : `weighed ${measure.times} times`}, {new Date(measure.at).toISOString().slice(0, 10)}, ±{" "}
                  {Math.round(measure.share * 100)} %
                </span>
              </dt>
              <dd className="t-figure font-[560]">{formatGrams(measure.grams)} g</dd>
            </div>
          ))}
        </dl>
      )}
      <div className="flex flex-wrap gap-x-3 gap-y-2 items-end mt-2">
        <label className="t-ledger">
          <span className="t-small text-ink2 block">Measure</span>
          <select value={unit} onChange={(event) => setUnit(event.target.value)} className="border border-edge bg-sheet px-2 min-h-11">
            {units.map((each) => (
              <option key={each}>{each}</option>
            ))}
          </select>
        </label>
        <label className="t-ledger">
          <span className="t-small text-ink2 block">Filled</span>
          <select value={form} onChange={(event) => setForm(event.target.value)} className="border border-edge bg-sheet px-2 min-h-11">
            {forms.map((each) => (
              <option key={each} value={each}>
                {each || "level, as it is"}
              </option>
            ))}
          </select>
        </label>
        <span>
          <span className="t-small text-ink2 block">Weighs</span>
          <AmountField label={`Grams of one ${unit}`} value={grams} most={20_000} onChange={setGrams} className="min-h-11 justify-center" />
        </span>
        <Button disabled={grams <= 0} onClick={() => add(grams)}>
          Keep it
        </Button>
      </div>
      <div className="mt-1 flex flex-wrap gap-x-4 items-center">
        <button type="button" className="underline t-ledger min-h-8" aria-expanded={scale} onClick={() => setScale(!scale)}>
          {scale ? "Put the scale away" : "Read it from the scale"}
        </button>
        {mine.length > 0 && (
          <button
            type="button"
            className="underline t-ledger min-h-8"
            onClick={() => set((now) => ({ ...now, weighings: now.weighings.filter(({ foodId }) => foodId !== food.id) }))}
          >
            Forget these weighings
          </button>
        )}
        <UndoButtons undo={pantry.undo} redo={pantry.redo} />
        <SaveNotice document={pantry} />
      </div>
      {scale && (
        <Suspense fallback={null}>
          <DevicePanel id="scale" onTake={add} />
        </Suspense>
      )}
    </section>
  );
}
