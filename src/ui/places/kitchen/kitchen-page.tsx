"use client";

import { formatNumber, servingsText } from "../../../core/units";
import type { Household } from "../../../core/household";
import type { Archetype } from "../../../core/recipe";
import { buttonClass } from "../../parts/button";
import { Arrow } from "../../parts/marks";
import { Go } from "../../shell/go";
import { useHouseholdDocument } from "../../shell/household";
import { PageHead } from "../../shell/shell";
import { useFresh } from "../../shell/use-fresh";
import { nextStep, STATIONS_TO_KEEP, type Progress } from "../../shell/next-step";
import { NextGathering, type NextGatheringData } from "./next-gathering";
import { UseFirst, type DueData } from "./use-first";
import { Vessel } from "./vessel";
import { BatchList, type BatchRow } from "../../panels/batch-list";
import { WayOfWork } from "../../panels/way-of-work";
import { PageColumns } from "../../parts/page-columns";

export interface GoingData extends Progress {
  readonly id: string;
  readonly title: string;
  readonly kind: Archetype;
  readonly touched: string;
  readonly versionCount: number;
}

export interface ShelfData {
  readonly id: string;
  readonly title: string;
  readonly label: string;
  readonly kept: string;
  /** Null where what is stored of it cannot be read. */
  readonly whole: { readonly kind: Archetype; readonly servings: number; readonly fit: string } | null;
}

interface KitchenPageProps {
  readonly today: string;
  /** When this was put together, ms. */
  readonly at: number;
  readonly going: readonly GoingData[];
  readonly goingTotal: number;
  readonly kept: readonly ShelfData[];
  readonly keptTotal: number;
  readonly recipeTotal: number;
  /** What is on the stove, and what was cooked last. */
  readonly batches: readonly BatchRow[];
  /** What in stock is to be used soon, or is past its last day, the first first. */
  readonly due: readonly DueData[];
  /** The next gathering, and when its cooking begins by plan; null where none is to come. */
  readonly gathering: NextGatheringData | null;
}

const FEW = 3;

/** The Kitchen: what is next, what is on the go, what was kept last. */
export function KitchenPage({ today, at, going, goingTotal, kept, keptTotal, recipeTotal, batches, due, gathering }: KitchenPageProps) {
  useFresh(at);
  const {
    present: { setUp },
    set,
  } = useHouseholdDocument();
  const [first, second] = going;
  const asked = going.filter((each) => each.asked > 0);
  const wishes = new Map<string, string[]>();
  for (const each of going) for (const wish of each.wishes) wishes.set(wish, [...(wishes.get(wish) ?? []), each.title]);
  return (
    <>
      <PageHead
        title="Kitchen"
        line={`${today}. ${goingTotal === 0 ? "Nothing on the go" : `${formatNumber(goingTotal)} on the go`}, ${formatNumber(keptTotal)} kept.`}
      >
        <Go href="/recipes/new" className={buttonClass(first ? "plain" : "primary")}>
          Paste a recipe
        </Go>
      </PageHead>
      <PageColumns>
        <div className="p-4 md:p-5 min-w-0">
          {gathering && <NextGathering {...gathering} />}
          {batches.length > 0 && (
            <section aria-labelledby="batches-head" className="mb-6">
              <h2 id="batches-head" className="t-h2">
                {batches.some(({ isOn }) => isOn) ? "On the stove" : "Cooked last"}
              </h2>
              <BatchList batches={batches} />
              <Go href="/logbook" className="underline t-ledger inline-flex items-center min-h-11 md:min-h-8">
                Logbook
              </Go>
            </section>
          )}
          {due.length > 0 && <UseFirst due={due} />}
          {recipeTotal === 0 && !setUp && (
            <section aria-label="First steps" className="bg-saffron-wash px-4 py-3 mb-6 flex flex-wrap gap-x-5 gap-y-2 items-center max-w-[62ch]">
              <span className="t-ledger flex-1 min-w-60">
                Say in three short steps who eats with you, what you measure with, and where you are. Or begin at once: it can all be said later.
              </span>
              <Go href="/start" className={buttonClass("plain")}>
                Three first steps
              </Go>
              <button type="button" className="underline t-small min-h-11" onClick={() => set((now: Household) => ({ ...now, setUp: true }))}>
                Not now
              </button>
            </section>
          )}
          {first ? (
            <section aria-label="Next" className="grid sm:grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)] border-b-[1.5px] border-ink">
              <Next item={first} primary />
              {second && <Next item={second} />}
            </section>
          ) : (
            <section aria-label="Next" className="max-w-[62ch]">
              <h2 className="t-h1">{recipeTotal === 0 ? "Start with a recipe" : "Nothing is waiting"}</h2>
              <p className="mt-2">
                {recipeTotal === 0
                  ? "Copy one from a notebook or a message and paste it as it is: a title, ingredient lines in cups and spoons, steps. Then say who eats, and see the version for them."
                  : "Whatever was worked on in the last three weeks has its version kept. Open a recipe to work on it again, or paste another."}
              </p>
              <p className="mt-4 flex flex-wrap gap-3">
                <Go href="/recipes/new" className={buttonClass("primary")}>
                  Paste a recipe
                </Go>
                {recipeTotal > 0 && (
                  <Go href="/recipes" className={buttonClass("plain")}>
                    Open a recipe
                  </Go>
                )}
              </p>
            </section>
          )}
          {going.length > 0 && (
            <Shelf
              title="On the go"
              note={goingTotal > going.length ? `the latest ${going.length} of ${formatNumber(goingTotal)}` : "filled as far as it is done"}
            >
              {going.map((item) => {
                const { state, station, done } = nextStep(item);
                return (
                  <OnShelf
                    key={item.id}
                    href={`/recipes/${item.id}/${station}`}
                    title={item.title}
                    line={
                      item.servings === null
                        ? `${item.kind}, changed ${item.touched}`
                        : `${item.wishes.length} ${item.wishes.length === 1 ? "wish" : "wishes"}, ${servingsText(item.servings)}`
                    }
                    word={state}
                    figure={`${done} of ${STATIONS_TO_KEEP} done`}
                    vessel={<Vessel kind={item.kind} fill={done / STATIONS_TO_KEEP} />}
                  />
                );
              })}
            </Shelf>
          )}
          {kept.length > 0 && (
            <Shelf
              title="Kept"
              note={keptTotal > kept.length ? `the latest ${kept.length} of ${formatNumber(keptTotal)}` : "versions, as they were"}
              more={keptTotal > kept.length ? "/versions" : undefined}
            >
              {kept.map((version) => (
                <OnShelf
                  key={version.id}
                  href={`/versions/${version.id}`}
                  title={version.title}
                  line={`${version.label}, ${version.kept}`}
                  word={version.whole ? servingsText(version.whole.servings) : "Damaged"}
                  figure={version.whole ? version.whole.fit : "cannot be read"}
                  vessel={<Vessel kind={version.whole?.kind ?? "pudding"} fill={version.whole ? 0.9 : 0} />}
                />
              ))}
            </Shelf>
          )}
          {recipeTotal <= FEW && <WayOfWork />}
        </div>
        <aside className="lg:crease-l p-4 md:p-5" aria-label="At a glance">
          <h2 className="t-h2 flex justify-between items-baseline">
            To ask <span className="t-small text-ink2 [font-stretch:92%]">lines not read yet</span>
          </h2>
          <ul className="rule-t mt-1">
            {asked.map((each) => (
              <li key={each.id} className="border-b border-line">
                <Go href={`/recipes/${each.id}/recipe`} className="flex justify-between gap-3 py-1.5 t-ledger hover:underline">
                  {each.title} <span className="t-figure whitespace-nowrap">{each.asked === 1 ? "1 line" : `${each.asked} lines`}</span>
                </Go>
              </li>
            ))}
            {asked.length === 0 && <li className="py-1.5 t-ledger text-ink2">Every line is a food and grams.</li>}
          </ul>
          <h2 className="t-h2 mt-6">What the tables ask</h2>
          <ul className="rule-t mt-1">
            {[...wishes].map(([wish, titles]) => (
              <li key={wish} className="border-b border-line py-1.5 t-ledger grid grid-cols-[minmax(0,2fr)_minmax(0,3fr)] gap-3">
                <span className="font-[550]">{wish.charAt(0).toUpperCase() + wish.slice(1)}</span>
                <span className="text-ink2">{titles.join(", ")}</span>
              </li>
            ))}
            {wishes.size === 0 && <li className="py-1.5 t-ledger text-ink2">No table is set yet: no diet, no allergy, no limit.</li>}
          </ul>
          <h2 className="t-h2 mt-6">Elsewhere</h2>
          <ul className="rule-t mt-1 t-ledger">
            {[
              ["/versions", "All kept versions", formatNumber(keptTotal)],
              ["/recipes/deleted", "Deleted lately", "can be put back"],
              ["/household#backup", "A copy of everything", "backup"],
            ].map(([href = "", name, note]) => (
              <li key={href} className="border-b border-line">
                <Go href={href} className="flex justify-between gap-3 py-1.5 hover:underline">
                  {name} <span className="text-ink2">{note}</span>
                </Go>
              </li>
            ))}
          </ul>
        </aside>
      </PageColumns>
    </>
  );
}

function Next({ item, primary = false }: { readonly item: GoingData; readonly primary?: boolean }) {
  const { verb, station, state } = nextStep(item);
  return (
    <div className={`pb-4 ${primary ? "sm:pr-5" : "max-sm:border-t border-line max-sm:pt-3 sm:border-l sm:border-ink sm:pl-4"}`}>
      <p className="t-ledger text-ink2">
        {primary ? "Next" : "Then"}, {item.title}
      </p>
      <p className={primary ? "text-[30px] font-[640] [font-stretch:108%] leading-tight" : "text-[22px] font-[620] [font-stretch:108%] leading-tight"}>
        {verb}
      </p>
      <p className="mt-3 flex flex-wrap gap-x-4 gap-y-2 items-center">
        <Go href={`/recipes/${item.id}/${station}`} className={buttonClass(primary ? "primary" : "plain")}>
          {station === "recipe" ? "Open the recipe" : station === "table" ? "Open the table" : "Open the bench"} <Arrow />
          <span className="sr-only">of {item.title}</span>
        </Go>
        <span className="t-ledger text-ink2 leading-tight">
          {state}
          <br />
          changed {item.touched}
        </span>
      </p>
    </div>
  );
}

function Shelf({
  title,
  note,
  more,
  children,
}: {
  readonly title: string;
  readonly note: string;
  readonly more?: string | undefined;
  readonly children: React.ReactNode;
}) {
  return (
    <section className="mt-5" aria-label={title}>
      <h2 className="t-h2 flex gap-3 items-baseline">
        {title} <span className="t-small text-ink2 [font-stretch:92%]">{note}</span>
        {more && (
          <Go href={more} className="ml-auto t-ledger underline">
            All
          </Go>
        )}
      </h2>
      <ul className="grid grid-cols-[repeat(auto-fit,minmax(190px,1fr))] max-sm:grid-cols-1">{children}</ul>
    </section>
  );
}

function OnShelf({
  href,
  title,
  line,
  word,
  figure,
  vessel,
}: {
  readonly href: string;
  readonly title: string;
  readonly line: string;
  readonly word: string;
  readonly figure: string;
  readonly vessel: React.ReactNode;
}) {
  return (
    <li>
      <Go href={href} className="block group pt-3">
        <span className="rule-shelf flex items-end gap-4 pl-2">
          {vessel}
          <span className="pb-2 leading-tight">
            <span className="block t-small text-ink2">{word}</span>
            <span className="block text-[20px] font-[540] [font-stretch:84%] tabular-nums">{figure}</span>
          </span>
        </span>
        <span className="block pl-1 pr-3 pt-1.5 pb-2">
          <span className="block t-new group-hover:underline">{title}</span>
          <span className="block t-small text-ink2">{line}</span>
        </span>
      </Go>
    </li>
  );
}
