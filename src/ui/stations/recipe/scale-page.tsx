"use client";

import { openRecipe } from "../../../core/kitchen";
import { useRouter } from "next/navigation";
import { useMemo, useState } from "react";
import type { Role } from "../../../core/food";
import { scaleRecipe, stepTexts, type LineId, type Recipe, type ScaleProblem } from "../../../core/recipe";
import type { DiningTable, LimitId } from "../../../core/table";
import { formatGrams, formatNumber, servingsText } from "../../../core/units";
import { PrintButton } from "../../parts/print-button";
import { Button, buttonClass } from "../../parts/button";
import { Choice } from "../../parts/choice";
import { send, why as whyOf } from "../../parts/send";
import { useKitchen } from "../../shell/use-kitchen";
import { latest, noteSave, type Revised } from "../../shell/documents";
import { Go } from "../../shell/go";
import { useHousehold } from "../../shell/household";
import { failed, toast } from "../../shell/messages";
import { PageHead } from "../../shell/shell";
import { GoalFields, goalOf, KINDS, type Fields, type Kind } from "../../panels/scale-goal";
import { PageColumns } from "../../parts/page-columns";
import { ColumnHead } from "../../parts/table-heads";

/** Roles of which more may break a limit. */
const COUNTED: Readonly<Record<LimitId, readonly Role[]>> = {
  freeSugars: ["sweetener"],
  energy: ["sweetener", "richness"],
  saturatedFat: ["richness", "liquid"],
  glycaemicLoad: ["sweetener", "body"],
  sodium: ["seasoning"],
};
/** A recipe made larger or smaller, by servings, pieces, a pan, or what there is of one ingredient; the recipe itself stays. */
export function ScalePage({
  id,
  recipe: given,
  table: givenTable,
}: {
  readonly id: string;
  readonly recipe: Revised<Recipe>;
  readonly table: Revised<DiningTable>;
}) {
  const router = useRouter();
  const recipe = useMemo(() => latest(`/api/recipes/${id}`, given).document, [id, given]);
  const { limits } = useMemo(() => latest(`/api/recipes/${id}/table`, givenTable).document, [id, givenTable]);
  const { measures, equipment } = useHousehold();
  const kitchen = useKitchen();
  const read = useMemo(() => openRecipe(recipe, kitchen), [recipe, kitchen]);
  const [kind, setKind] = useState<Kind>("servings");
  const [busy, setBusy] = useState(false);
  const first = read.lines[0];
  const [fields, setFields] = useState<Fields>(() => ({
    servings: recipe.servings * 2,
    pieces: 20,
    pieceGrams: 30,
    diameter: 20,
    height: 3,
    moulds: 1,
    line: first?.id ?? "",
    grams: Math.round(first?.grams ?? 100),
  }));
  const foods = read.readings.flatMap((each) => (each.kind === "read" ? [{ line: each.line.id, name: each.food.name }] : []));
  const set = (part: Partial<Fields>) => setFields((now) => ({ ...now, ...part }));
  const goal = goalOf(kind, fields);
  // What a limit of the table counts is rounded down, so that rounding breaks none.
  const scaled = scaleRecipe(read, goal, measures, ({ role }) => limits.some((limit) => COUNTED[limit.id].includes(role)));
  const keep = async () => {
    if (!scaled.ok) return;
    setBusy(true);
    try {
      const made = scaledRecipe(recipe, scaled.value.servings, scaled.value.lines, scaled.value.factor);
      const { ids } = (await send("POST", "/api/recipes/import", { recipes: [made] })) as { readonly ids: readonly string[] };
      noteSave();
      toast(`“${made.title}” is a recipe of its own.`);
      router.push(`/recipes/${ids[0]}/recipe`);
      router.refresh();
    } catch (error) {
      failed(whyOf(error, "It could not be kept."), () => void keep());
      setBusy(false);
    }
  };
  return (
    <>
      <PageHead title={`${recipe.title}, for another quantity`} line={`As handed down for ${servingsText(recipe.servings)}. The recipe itself stays as it is.`}>
        <span className="flex flex-wrap gap-2 no-print">
          <PrintButton />
          <Go className={buttonClass("plain")} href={`/recipes/${id}/recipe`}>
            Back
          </Go>
        </span>
      </PageHead>
      <PageColumns>
        <div className="p-4 md:p-5 min-w-0">
          {read.unresolved.length > 0 && (
            <p className="bg-saffron-wash px-3 py-2 t-ledger mb-4">
              {read.unresolved.length} {read.unresolved.length === 1 ? "line is" : "lines are"} not read yet and not in it: answer{" "}
              {read.unresolved.length === 1 ? "it" : "them"} at the Recipe station.
            </p>
          )}
          <fieldset className="no-print">
            <legend className="t-h2">How much of it</legend>
            <div className="rule-t mt-1">
              {KINDS.map(([each, name]) => (
                <div key={each} className="flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-line py-0.5">
                  <Choice name="by" label={name} checked={kind === each} onChange={() => setKind(each)} />
                  {kind === each && <GoalFields kind={each} fields={fields} foods={foods} pans={equipment?.pans ?? []} onChange={set} />}
                </div>
              ))}
            </div>
          </fieldset>
          {scaled.ok ? (
            <table className="w-full t-ledger mt-5 rule-t">
              <caption className="sr-only">Amounts as handed down and for this quantity</caption>
              <thead className="t-small text-ink2">
                <tr className="border-b border-ink">
                  <ColumnHead className="py-1">food</ColumnHead>
                  <ColumnHead right>as handed down</ColumnHead>
                  <ColumnHead right className="pl-3 max-sm:hidden">
                    in measures
                  </ColumnHead>
                  <ColumnHead right className="pl-3">
                    now
                  </ColumnHead>
                </tr>
              </thead>
              <tbody>
                {scaled.value.lines.map(({ id: line, food, before, grams, measure, choice }) => (
                  <tr key={line} className="border-b border-line">
                    <th scope="row" className="text-left font-[550] py-1.5">
                      {food.name}
                      {choice && <span className="block t-small text-saffron font-[430]">{choice}</span>}
                      {measure && <span className="block t-small text-ink2 t-frac sm:hidden">{measure}</span>}
                    </th>
                    <td className="text-right t-figure text-ink2 whitespace-nowrap">{formatGrams(before)} g</td>
                    <td className="text-right t-frac pl-3 max-sm:hidden whitespace-nowrap">{measure}</td>
                    <td className="text-right t-figure font-[560] pl-3 whitespace-nowrap">{formatGrams(grams)} g</td>
                  </tr>
                ))}
              </tbody>
            </table>
          ) : (
            <p role="alert" className="bg-rose-wash text-rose px-3 py-2 t-ledger mt-5">
              {problemWords(scaled.error)}
            </p>
          )}
          {scaled.ok && recipe.steps.length > 0 && (
            <section className="mt-6" aria-label="Steps">
              <h2 className="t-h2">Steps, as handed down</h2>
              <ol className="rule-t mt-1">
                {stepTexts(recipe).map((step, i) => (
                  <li key={i} className="flex gap-3 border-b border-line py-1.5">
                    <span className="t-figure text-ink2 w-5">{i + 1}</span>
                    <span>{step}</span>
                  </li>
                ))}
              </ol>
            </section>
          )}
        </div>
        <aside className="lg:crease-l p-4 md:p-5" aria-label="What it comes to">
          <h2 className="t-h2">What it comes to</h2>
          {scaled.ok && (
            <>
              <dl className="rule-t mt-1 t-ledger">
                {(
                  [
                    ["times as much", `${Number(scaled.value.factor.toPrecision(3))}`],
                    ["servings", formatNumber(Math.round(scaled.value.servings * 10) / 10)],
                    ["finished", `${formatGrams(scaled.value.finished)} g`],
                    ["times of roasting, boiling and cooling", `about ${Number(scaled.value.time.toPrecision(2))} times as long`],
                  ] as const
                ).map(([name, figure]) => (
                  <div key={name} className="flex justify-between gap-3 border-b border-line py-1.5">
                    <dt>{name}</dt>
                    <dd className="t-figure whitespace-nowrap">{figure}</dd>
                  </div>
                ))}
              </dl>
              <p className="t-small text-ink2 mt-2">
                Amounts are rounded to what a kitchen can weigh; eggs come in wholes. Times in the same pan grow as the mass to the power 0.8 (rule of thumb):
                go by the cue, not the clock. A mould is filled to its brim, the sweet taken at 1.1 g per ml.
              </p>
              <p className="mt-4 no-print">
                <Button kind="primary" disabled={busy} onClick={() => void keep()}>
                  Make it a recipe of its own
                </Button>
              </p>
            </>
          )}
        </aside>
      </PageColumns>
    </>
  );
}

function problemWords(problem: ScaleProblem): string {
  switch (problem.kind) {
    case "nothing read":
      return "No line of the recipe is read yet: answer them at the Recipe station first.";
    case "no such line":
      return "Choose an ingredient that the recipe holds.";
    case "out of bounds":
      return `That would be ${Number(problem.factor.toPrecision(3))} times the recipe; between a twentieth and fifty times can be reckoned.`;
  }
}

/** The scaled recipe as one of its own: the lines with their new grams, the steps as they are. */
function scaledRecipe(recipe: Recipe, servings: number, lines: readonly { readonly id: LineId; readonly grams: number }[], factor: number): Recipe {
  return {
    ...recipe,
    title: `${recipe.title}, for ${Math.round(servings)}`.slice(0, 200),
    servings: Math.max(1, Math.round(servings)),
    lines: recipe.lines.map((line) => {
      const grams = lines.find(({ id }) => id === line.id)?.grams;
      return grams === undefined || line.choice.ratio ? line : { ...line, choice: { ...line.choice, grams } };
    }),
    evaporation: recipe.evaporation === null ? null : Math.round(recipe.evaporation * factor),
  };
}
