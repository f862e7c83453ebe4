import type { Food } from "../../../core/food";
import { Z80 } from "../../../core/numeric";
import { foodMeasures } from "../../../core/recipe";
import { formatGrams, type HouseholdMeasures } from "../../../core/units";
import { ColumnHead, RowHead } from "../../parts/table-heads";

const SHORT = { cup: "cup", katori: "katori", tablespoon: "tbsp", teaspoon: "tsp" } as const;

/** What cups, spoons and pieces of a food weigh, by how they are filled and how it is cut. */
export function Measures({ food, measures }: { readonly food: Food; readonly measures: HouseholdMeasures }) {
  const rows = foodMeasures(food, measures);
  const units = rows[0]?.of.map(({ unit }) => unit) ?? [];
  const byWeighing = food.weighed.some(({ form }) => form === "");
  return (
    <section aria-label="What it weighs">
      <h2 className="t-h2 mt-5">What it weighs</h2>
      {rows.length === 0 && food.counted.length === 0 && <p className="rule-t mt-1 py-1.5 t-ledger text-ink2">Only by the scale: no measure is known.</p>}
      {rows.length > 0 && (
        <table className="w-full t-ledger rule-t mt-1">
          <caption className="sr-only">Grams of one measure, with half the width of its 80 % interval</caption>
          <thead className="t-small text-ink2">
            <tr className="border-b border-ink">
              <ColumnHead className="py-1">filled, cut</ColumnHead>
              {units.map((unit) => (
                <th key={unit} scope="col" className="text-right font-[430]">
                  {SHORT[unit]} <span className="whitespace-nowrap">{measures[unit]} ml</span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(({ form, of }) => (
              <tr key={form} className="border-b border-line">
                <RowHead className="py-1">
                  {form} <span className="t-small text-ink2">± {Math.round((100 * Z80 * (of[0]?.grams.sd ?? 0)) / (of[0]?.grams.value ?? 1))} %</span>
                </RowHead>
                {units.map((unit) => {
                  const grams = of.find((each) => each.unit === unit)?.grams;
                  return (
                    <td key={unit} className="text-right t-figure whitespace-nowrap">
                      {grams ? `${formatGrams(grams.value)} g` : ""}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {food.counted.length > 0 && (
        <dl className={`t-ledger ${rows.length === 0 ? "rule-t mt-1" : ""}`}>
          {food.counted.map((unit) => (
            <div key={unit.unit} className="flex justify-between gap-3 border-b border-line py-1">
              <dt>
                1 {unit.unit} <span className="t-small text-ink2">± {Math.round(unit.share * 100)} %</span>
              </dt>
              <dd className="t-figure">{formatGrams(unit.grams)} g</dd>
            </div>
          ))}
        </dl>
      )}
      {rows.length > 0 && (
        <p className="t-small text-ink2 mt-1">
          {byWeighing ? "From your own weighing" : "Usual household weights, the spread that of two careful people"}
          {rows.length > 1 && "; how it is filled and cut by usual shares of that (rule of thumb)"}
          {food.cooked && `. Cooked, a gram of it comes to ${food.cooked.gain.toFixed(1)} g`}. Weigh yours to know.
        </p>
      )}
    </section>
  );
}
