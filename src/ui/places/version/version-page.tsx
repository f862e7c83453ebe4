"use client";

import { PrintButton } from "../../parts/print-button";
import { Cautions } from "../../parts/cautions";
import { Go } from "../../shell/go";
import { useRouter } from "next/navigation";
import { useCallback } from "react";
import type { Caution } from "../../../core/cautions";
import { isEatenFrozen } from "../../../core/evaluate";
import type { Constants } from "../../../core/food";
import type { Snapshot } from "../../../core/adaptation";
import { kitchenMeasure } from "../../../core/recipe";
import type { FigureOf, ToldFigures } from "../../../core/views";
import { beamReadings } from "../../../core/substitution";
import { formatGrams, gramsBeside, capital, servingsText } from "../../../core/units";
import { USUAL_HOUSEHOLD } from "../../../core/household";
import { BeamsPanel } from "../../panels/beams-panel";
import { VerdictStamp } from "../../panels/standing-line";
import { StepsPanel } from "../../panels/steps-panel";
import { CookIt } from "../../panels/cook-it";
import { buttonClass } from "../../parts/button";
import { WhyMark } from "../../parts/marks";
import { FigureButton, WorkingProvider } from "../../panels/working";
import { FigureSheet } from "../../panels/figure-sheet";
import { PageHead } from "../../shell/shell";
import { VersionStory, WorkOnFrom } from "./version-story";
import { useDelete } from "../../shell/use-delete";
import { PageColumns } from "../../parts/page-columns";

interface VersionPageProps {
  readonly id: string;
  readonly title: string;
  readonly story: { readonly label: string; readonly why: string; readonly whom: string };
  readonly recipeId: string | null;
  readonly kept: string;
  readonly snapshot: Snapshot;
  readonly movedOn: readonly string[];
  readonly cautions: readonly Caution[];
  readonly ruleNames: readonly string[];
  readonly told: { readonly before: ToldFigures; readonly after: ToldFigures };
  readonly constants: Pick<Constants, "noticeable" | "bodyAnchors">;
}

/** A kept version, exactly as it was kept: its lines, steps and figures are the stored ones. */
export function VersionPage({ id, title, story, recipeId, kept, snapshot, movedOn, cautions, ruleNames, told, constants }: VersionPageProps) {
  // The cups and spoons of the day it was kept: its steps speak of them.
  const measures = snapshot.measures ?? USUAL_HOUSEHOLD.measures;
  const router = useRouter();
  const { remove } = useDelete();
  const { asHandedDown: before, forThisTable: after, table } = snapshot;
  const beams = beamReadings(before.figures, after.figures, table.limits, table.serve, constants);
  const sweet = useCallback((of: string): FigureOf => ({ kind: "kept", input: (of === "as handed down" ? before : after).input }), [before, after]);
  const wishes = [
    ...ruleNames,
    ...table.limits.map((limit) => (limit.id === "freeSugars" ? `free sugars at most ${limit.most} g` : `${limit.id} at most ${limit.most}`)),
  ];
  return (
    <WorkingProvider anchors={constants} sweet={sweet}>
      <PageHead
        title={title}
        line={`${story.label}, kept ${kept}. ${wishes.length ? capital(wishes.join(", ")) : "No wishes"}; ${servingsText(table.servings)}, served ${isEatenFrozen(before.figures) ? "frozen" : table.serve}.`}
      >
        <span className="flex flex-wrap gap-2 no-print">
          <PrintButton />
          <Go className={buttonClass("plain")} href={`/versions/${id}/keep`}>
            Keep, label, send
          </Go>
          {recipeId && (
            <>
              <Go className={buttonClass("plain")} href={`/plan?version=${id}`}>
                Plan and shop
              </Go>
              <Go className={buttonClass("plain")} href={`/recipes/${recipeId}/lineage`}>
                Lineage
              </Go>
              <Go className={buttonClass("plain")} href={`/recipes/${recipeId}/rescue?version=${id}`}>
                It went wrong
              </Go>
              <WorkOnFrom id={id} className={buttonClass("plain")} />
              <CookIt recipeId={recipeId} words="Cook it" version={async () => id} />
            </>
          )}
        </span>
      </PageHead>
      <PageColumns aside="wide">
        <div className="p-4 md:p-5 min-w-0">
          {movedOn.length > 0 && (
            <p className="bg-saffron-wash px-3 py-2 t-ledger mb-4">
              Since this was kept, these have moved on: {movedOn.join(", ")}. The figures, cups and spoons here are the ones it was kept with.
              {recipeId && (
                <>
                  {" "}
                  <Go className="underline" href={`/recipes/${recipeId}/swap`}>
                    Compute it again on the bench
                  </Go>
                  .
                </>
              )}
            </p>
          )}
          <VerdictStamp verdict={snapshot.verdict} />
          <section aria-label="Ingredients" className="bg-sheet border border-ink">
            <h2 className="t-h2 px-3 py-2 border-b border-ink">For this table</h2>
            <ul>
              {snapshot.rows.map((row, i) => (
                <li
                  key={i}
                  className="grid grid-cols-[minmax(0,1fr)_auto_62px] sm:grid-cols-[minmax(0,1fr)_90px_62px_minmax(0,1.1fr)] gap-x-3 px-3 py-1.5 border-b border-line items-baseline"
                >
                  <span className={row.change === "as is" || row.change === "amount" ? "t-ledger" : row.food ? "t-new" : "t-ledger text-rose"}>
                    {row.food ? (
                      row.food.name
                    ) : (
                      <>
                        {row.recipeFood} <span className="t-small">left out</span>
                      </>
                    )}
                  </span>
                  <span className="t-figure text-ink2 text-right t-frac">{row.food ? kitchenMeasure(row.food, row.grams, measures)?.text : ""}</span>
                  <span className="t-figure text-right">
                    {row.food ? gramsBeside(row.grams, kitchenMeasure(row.food, row.grams, measures)?.text ?? "") : ""}
                  </span>
                  <span className="t-small text-ink2 col-span-3 sm:col-span-1 flex gap-1.5 items-baseline">
                    {row.change === "replaced" && (
                      <>
                        <WhyMark kind="replaced" />
                        {row.why}: {row.recipeText}
                      </>
                    )}
                    {row.change === "added" && (
                      <>
                        <WhyMark kind="added" />
                        {row.why}
                      </>
                    )}
                    {row.change === "left out" && (
                      <>
                        <WhyMark kind="left out" />
                        {row.why}: {row.recipeText}
                      </>
                    )}
                    {row.change === "amount" && row.recipeGrams !== null && <>was {formatGrams(row.recipeGrams)} g</>}
                  </span>
                </li>
              ))}
            </ul>
            <p className="rule-double px-3 py-2 t-ledger">
              <FigureButton figure={after.figures.yield} id="yield" of="for this table" className="font-[600]!" /> finished, {servingsText(table.servings)} of{" "}
              <FigureButton figure={after.figures.servingMass} id="servingMass" of="for this table" />
            </p>
          </section>
          <section className="mt-6" aria-label="Steps">
            <h2 className="t-h2">Steps</h2>
            {snapshot.ways && <p className="t-ledger text-ink2">Made your way: {snapshot.ways.map(({ what }) => what).join(" · ")}.</p>}
            <StepsPanel steps={snapshot.steps} hazards={snapshot.hazards ?? []} />
          </section>
          {cautions.length > 0 && <Cautions cautions={cautions} />}
          <VersionStory key={`${story.label} ${story.why} ${story.whom}`} id={id} story={story} />
          <div className="mt-8 no-print">
            <button
              type="button"
              className="underline text-ink2 min-h-11"
              onClick={() => remove("versions", id, `${title}, ${story.label}`, () => router.push("/versions"))}
            >
              Delete this version
            </button>
          </div>
        </div>
        <aside className="lg:crease-l p-4 md:p-4" aria-label="Figures">
          <BeamsPanel beams={beams} notes={snapshot.notes} before={told.before} after={told.after} />
          <div className="mt-6">
            <FigureSheet {...told.after} unread={0} of="for this table" more={`/versions/${id}/nutrition`} />
          </div>
          <p className="t-small text-ink2 mt-4">Computed with model version {snapshot.modelVersion}. Nutrition is computed from tables, not analysed.</p>
        </aside>
      </PageColumns>
    </WorkingProvider>
  );
}
