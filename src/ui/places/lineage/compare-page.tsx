"use client";

import { lazy, Suspense, useCallback, useMemo, useSyncExternalStore } from "react";
import type { Compared } from "../../../core/adaptation";
import { bodyHolds, propertyOf, KEPT_PROPERTY_IDS, type KeptPropertyId } from "../../../core/evaluate";
import type { Constants } from "../../../core/food";
import { beamReadings } from "../../../core/substitution";
import type { DiningTable } from "../../../core/table";
import type { FigureOf } from "../../../core/views";
import { formatGrams, servingsText } from "../../../core/units";
import { PrintButton } from "../../parts/print-button";
import { Beam } from "../../parts/beam";
import { buttonClass } from "../../parts/button";
import { figureText, isBody, rangeText } from "../../parts/figure-words";
import { StateMark, stateColour } from "../../parts/marks";
import { FigureButton, useWorking, WorkingProvider } from "../../panels/working";
import { Go } from "../../shell/go";
import { PageHead } from "../../shell/shell";
import type { DeviationRow } from "./deviation-chart";
import { ColumnHead, RowHead } from "../../parts/table-heads";

const DeviationChart = lazy(() => import("./deviation-chart"));

interface ComparePageProps {
  readonly id: string;
  readonly title: string;
  readonly items: readonly Compared[];
  readonly table: DiningTable | null;
  /** Why nothing can be held side by side. */
  readonly refused: string | null;
  readonly constants: Pick<Constants, "noticeable" | "bodyAnchors">;
}

/** Shown at a glance, before all the rest. */
const GLANCE: readonly KeptPropertyId[] = [
  "sweetness.hot",
  "sweetness.chilled",
  "body.hot",
  "body.chilled",
  "richness",
  "serving.energy",
  "serving.freeSugarsUk",
  "serving.saturatedFat",
  "serving.protein",
  "serving.fibre",
  "serving.glycaemicLoad",
];
const REST = KEPT_PROPERTY_IDS.filter((id) => !GLANCE.includes(id));

/** Names that tell them apart: of two that are called the same the second is numbered. */
function named(items: readonly Compared[]): readonly Compared[] {
  return items.map((item, i) => {
    const before = items.slice(0, i).filter(({ name }) => name === item.name).length;
    return before === 0 ? item : { ...item, name: `${item.name} (${before + 1})` };
  });
}

/** Two to four of a recipe and its versions, held against the first: a chart, beams and all figures, the lines. */
export function ComparePage({ id, title, items: given, table, refused, constants }: ComparePageProps) {
  const items = useMemo(() => named(given), [given]);
  const [first, ...others] = items;
  const sweet = useCallback(
    (of: string): FigureOf | null => {
      const item = items.find(({ name }) => name.toLowerCase() === of);
      return item ? { kind: "kept", input: item.input } : null;
    },
    [items],
  );
  return (
    <WorkingProvider anchors={constants} sweet={sweet}>
      <PageHead title={`${title}, side by side`} line={first ? `Each is held against the first: ${first.name.toLowerCase()}.` : ""}>
        <span className="flex gap-2 no-print">
          <PrintButton />
          <Go className={buttonClass("plain")} href={`/recipes/${id}/lineage`}>
            Choose others
          </Go>
        </span>
      </PageHead>
      <main id="main" className="p-4 md:p-5">
        {first && table ? (
          <Comparison first={first} others={others} items={items} table={table} constants={constants} />
        ) : (
          <p role="alert" className="bg-rose-wash text-rose px-3 py-2 t-ledger">
            {refused}{" "}
            <Go className="underline" href={`/recipes/${id}/lineage`}>
              Choose from the lineage
            </Go>
          </p>
        )}
      </main>
    </WorkingProvider>
  );
}

function Comparison({
  first,
  others,
  items,
  table,
  constants,
}: {
  readonly first: Compared;
  readonly others: readonly Compared[];
  readonly items: readonly Compared[];
  readonly table: DiningTable;
  readonly constants: Pick<Constants, "noticeable" | "bodyAnchors">;
}) {
  const { manner } = useWorking();
  const readings = useMemo(
    () => others.map((other) => beamReadings(first.figures, other.figures, [], table.serve, constants)),
    [first, others, table, constants],
  );
  const rows = useMemo(
    () =>
      GLANCE.filter((id) => !isBody(id) || bodyHolds(first.figures)).map((id): DeviationRow => {
        const base = first.figures[id].value;
        const wedge = readings[0]?.find((reading) => reading.id === id)?.deviation.wedge ?? 0;
        return {
          name: propertyOf(id).name,
          unnoticed: wedge > 0 ? 100 * wedge : null,
          away: others.map(({ figures }) => (base > 0.01 ? 100 * (figures[id].value / base - 1) : null)),
          told: others.map(
            ({ figures, name }) => `${name}, ${figureText(figures[id], id, manner)}; ${first.name.toLowerCase()} ${figureText(first.figures[id], id, manner)}`,
          ),
        };
      }),
    [first, others, readings, manner],
  );
  const names = useMemo(() => others.map(({ name }) => name), [others]);
  return (
    <>
      <section aria-label="At a glance">
        <h2 className="t-h2">At a glance</h2>
        <p className="t-small text-ink2">
          How far each lies from the first, in per cent of it. Grey: nobody would notice. Beyond +120 % it is drawn at the edge.
        </p>
        <Drawn rows={rows} names={names} />
      </section>
      <PropertyTable caption="On the tongue and in a serving" ids={GLANCE} items={items} readings={readings} />
      <LinesTable items={items} />
      <details className="mt-6">
        <summary className="t-h2 min-h-11 flex items-center">All other figures</summary>
        <PropertyTable caption="All other figures" ids={REST} items={items} readings={readings} />
      </details>
    </>
  );
}

const nothing = () => () => undefined;

function Drawn({ rows, names }: { readonly rows: readonly DeviationRow[]; readonly names: readonly string[] }) {
  // Drawn by the browser alone: the table below says the same.
  const here = useSyncExternalStore(
    nothing,
    () => true,
    () => false,
  );
  return (
    <div className="h-[420px] max-w-[860px] mt-1" role="img" aria-label="Chart of how far each lies from the first; the table below has the figures.">
      {here && (
        <Suspense fallback={null}>
          <DeviationChart rows={rows} names={names} />
        </Suspense>
      )}
    </div>
  );
}

function Heads({ items, of }: { readonly items: readonly Compared[]; readonly of: string }) {
  return (
    <thead>
      <tr className="border-b border-ink align-bottom">
        <ColumnHead className="t-small text-ink2 py-1">{of}</ColumnHead>
        {items.map(({ id, name, about }) => (
          <th key={id} scope="col" className="text-left pl-4 t-new">
            {name}
            <span className="block t-small text-ink2">{about}</span>
          </th>
        ))}
      </tr>
    </thead>
  );
}

function PropertyTable({
  caption,
  ids,
  items,
  readings,
}: {
  readonly caption: string;
  readonly ids: readonly KeptPropertyId[];
  readonly items: readonly Compared[];
  readonly readings: readonly ReturnType<typeof beamReadings>[];
}) {
  const { manner } = useWorking();
  return (
    <div className="overflow-x-auto mt-5" tabIndex={0} role="group" aria-label={caption}>
      <table className="t-ledger rule-t min-w-[520px]">
        <caption className="sr-only">{caption}</caption>
        <Heads items={items} of="property" />
        <tbody>
          {ids.map((id) => (
            <tr key={id} className="border-b border-line align-top">
              <RowHead className="py-1.5 min-w-28 sm:min-w-36">
                {propertyOf(id).name}
                <span className="block t-small text-ink2">{propertyOf(id).per}</span>
              </RowHead>
              {items.map(({ id: item, name, figures }, i) => {
                const deviation = i === 0 ? undefined : readings[i - 1]?.find((reading) => reading.id === id)?.deviation;
                if (isBody(id) && !bodyHolds(figures))
                  return (
                    <td key={item} className="pl-4 py-1.5 t-small text-ink2">
                      bound: not on this scale
                    </td>
                  );
                return (
                  <td key={item} className="pl-4 py-1.5 min-w-32 sm:min-w-40">
                    <span className="flex items-center gap-2">
                      <FigureButton figure={figures[id]} id={id} of={name.toLowerCase()} className="font-[560]!" />
                      {deviation && deviation.state !== "free" && (
                        <>
                          <span className="w-[54px] shrink-0">
                            <Beam deviation={deviation} label={null} small />
                          </span>
                          <span className={`t-small flex items-center gap-1 ${stateColour(deviation.state)}`}>
                            <StateMark state={deviation.state} />
                            {deviation.state}
                          </span>
                        </>
                      )}
                    </span>
                    <span className="block t-small text-ink2">{rangeText(figures[id], id, manner)}</span>
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** Line by line, all for the servings of the first. */
function LinesTable({ items }: { readonly items: readonly Compared[] }) {
  const servings = items[0]?.servings ?? 1;
  const keys = [...new Set(items.flatMap(({ lines }) => lines.map(({ key }) => key)))];
  return (
    <div className="overflow-x-auto mt-6" tabIndex={0} role="group" aria-label="Line by line">
      <h2 className="t-h2">Line by line, for {servingsText(servings)}</h2>
      <table className="t-ledger rule-t mt-1 min-w-[520px]">
        <caption className="sr-only">Line by line</caption>
        <Heads items={items} of="line" />
        <tbody>
          {keys.map((key) => {
            const cells = items.map((item) => ({ id: item.id, line: item.lines.find((each) => each.key === key), factor: servings / item.servings }));
            const base = cells[0]?.line;
            return (
              <tr key={key} className="border-b border-line">
                <RowHead className="py-1.5 min-w-28 sm:min-w-36">{base?.name ?? <span className="text-ink2">new</span>}</RowHead>
                {cells.map(({ id, line, factor }, i) => {
                  const same = i > 0 && base && line && line.foodId === base.foodId && Math.abs(line.grams * factor - base.grams) < 0.005 * base.grams + 0.005;
                  return (
                    <td key={id} className="pl-4 py-1.5 min-w-32 sm:min-w-40">
                      {!line ? (
                        <span className="text-ink3">none</span>
                      ) : same ? (
                        <span className="text-ink2">as is</span>
                      ) : (
                        <>
                          {i > 0 && line.foodId !== base?.foodId && <span className="t-new">{line.name} </span>}
                          <span className="t-figure whitespace-nowrap">{formatGrams(line.grams * factor)} g</span>
                        </>
                      )}
                    </td>
                  );
                })}
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
