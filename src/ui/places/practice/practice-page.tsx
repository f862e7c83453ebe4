"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { ENOUGH_GUESSES, type Eye, type NoticedDifference } from "../../../core/practice";
import type { Household } from "../../../core/household";
import { MEASURE_SHARE } from "../../../core/units";
import { ChartWithTable } from "../../panels/chart-with-table";
import type { ChartOf } from "../../panels/logged";
import { buttonClass } from "../../parts/button";
import { Pick } from "../../parts/pick";
import { useUndoKeys } from "../../parts/use-history";
import { Go } from "../../shell/go";
import { useHouseholdDocument } from "../../shell/household";
import { SaveNotice } from "../../shell/save-notice";
import { PageHead } from "../../shell/shell";
import { NOBODY, PRACTICE_WORDS, type PracticeKind } from "./practice-words";

interface PracticePageProps {
  readonly eaters: readonly { readonly id: string; readonly name: string }[];
  /** Who practises; null: nobody that is named. */
  readonly eater: string | null;
  readonly progress: readonly { readonly kind: Exclude<PracticeKind, "palate ladder">; readonly misses: readonly number[] }[];
  readonly eyes: readonly (Eye & { readonly name: string })[];
  readonly noticed: NoticedDifference;
  /** What is taken to be noticed of sweetness where a house has no figure of its own, as a share. */
  readonly usually: number;
  readonly names: Readonly<Record<string, string>>;
}

const KINDS = Object.keys(PRACTICE_WORDS) as readonly PracticeKind[];
const FEW = 3;
const percent = (share: number): string => `${Math.round(100 * share)} %`;

/** Ten minutes of practice: what there is, how far off somebody was so far, and what of it is used in the kitchen. */
export function PracticePage({ eaters, eater, progress, eyes, noticed, usually, names }: PracticePageProps) {
  const router = useRouter();
  const household = useHouseholdDocument();
  useUndoKeys(household);
  const { present, set } = household;
  const [shown, setShown] = useState<PracticeKind | null>(null);
  const query = eater === null ? "" : `?eater=${encodeURIComponent(eater)}`;
  const drawn = progress.filter(({ misses }) => misses.length >= 2);
  const chosen = drawn.find(({ kind }) => kind === shown) ?? drawn[0];
  const setEye = (food: string, share: number | null) =>
    set((now: Household) => {
      const { [food]: _, ...others } = now.measures.byEye ?? {};
      const byEye = share === null ? others : { ...others, [food]: Math.round(100 * share) / 100 };
      return { ...now, measures: { ...now.measures, byEye } };
    });
  const setNoticed = (share: number | null) =>
    set(({ noticed: _, ...now }: Household): Household => (share === null ? now : { ...now, noticed: Math.round(1000 * share) / 1000 }));
  // Of a guess or two nothing is told.
  const known = eyes.filter(({ guesses, food }) => guesses >= FEW || present.measures.byEye?.[food] !== undefined);
  const used = Object.entries(present.measures.byEye ?? {});
  return (
    <>
      <PageHead title="Practice" line="Ten minutes at a time, from the same models that the kitchen goes by">
        <span className="flex gap-4 items-center no-print">
          <SaveNotice document={household} />
          <Go href="/logbook" className="underline inline-flex items-center min-h-11">
            To the logbook
          </Go>
        </span>
      </PageHead>
      <main id="main" className="p-4 md:p-5 lg:grid lg:grid-cols-[minmax(0,1fr)_404px] lg:gap-8">
        <div>
          <Pick
            label="Who practises"
            value={eater ?? NOBODY}
            options={[[NOBODY, NOBODY] as const, ...eaters.map(({ id, name }) => [id, name] as const)]}
            onChange={(next) => router.push(next === NOBODY ? "/practice" : `/practice?eater=${encodeURIComponent(next)}`)}
          />
          <ul className="border-t border-ink mt-4">
            {KINDS.map((kind) => {
              const { title, line, path } = PRACTICE_WORDS[kind];
              const misses = progress.find((each) => each.kind === kind)?.misses ?? [];
              return (
                <li key={kind} className="border-b border-line py-3 flex flex-wrap gap-x-5 gap-y-2 items-center">
                  <span className="flex-1 basis-72 min-w-0">
                    <span className="t-new text-[18px]">{title}</span>
                    <span className="block t-ledger text-ink2">{line}</span>
                    <span className="block t-ledger">{kind === "palate ladder" ? noticed.words : soFar(kind, misses)}</span>
                  </span>
                  <Go href={`/practice/${path}${query}`} className={buttonClass("plain")}>
                    Begin<span className="sr-only">: {title}</span>
                  </Go>
                </li>
              );
            })}
          </ul>
        </div>
        <aside aria-label="So far" className="max-lg:mt-8 min-w-0">
          {chosen && (
            <>
              <h2 className="t-h2 mb-2">How far off, try by try</h2>
              {drawn.length > 1 && (
                <Pick label="Shown" value={chosen.kind} options={drawn.map(({ kind }) => [kind, PRACTICE_WORDS[kind].title] as const)} onChange={setShown} />
              )}
              <ChartWithTable chart={chartOf(chosen)} of="Try" />
            </>
          )}
          <h2 className="t-h2 mt-6 first:mt-0">Used in the kitchen</h2>
          <ul className="border-t border-ink mt-1 t-ledger">
            <li className="border-b border-line py-2 flex flex-wrap gap-x-4 gap-y-1 items-center justify-between">
              <span className="flex-1 basis-56">
                {present.noticed === undefined
                  ? `A difference in sweetness counts as noticed from ${percent(usually)} on, a rule of thumb.`
                  : `A difference in sweetness counts as noticed from ${percent(present.noticed)} on.`}
              </span>
              {noticed.isEnough && present.noticed !== Math.round(1000 * noticed.value) / 1000 && (
                <button type="button" className={buttonClass("plain")} onClick={() => setNoticed(noticed.value)}>
                  Use {percent(noticed.value)}
                </button>
              )}
              {present.noticed !== undefined && (
                <button type="button" className={buttonClass("quiet", "min-h-11")} onClick={() => setNoticed(null)}>
                  Back to {percent(usually)}
                </button>
              )}
            </li>
            {known.map((eye) => {
              const inUse = present.measures.byEye?.[eye.food];
              return (
                <li key={eye.food} className="border-b border-line py-2 flex flex-wrap gap-x-4 gap-y-1 items-center justify-between">
                  <span className="flex-1 basis-56">
                    <span className="font-[550]">{eye.name}</span>: {eye.guesses} {eye.guesses === 1 ? "guess" : "guesses"}, off by up to {percent(eye.share)},
                    8 times in 10
                    {Math.abs(eye.leans) >= 0.05 ? `; guessed ${percent(Math.abs(eye.leans))} too ${eye.leans > 0 ? "much" : "little"} on average` : ""}
                    {inUse !== undefined && <span className="block text-ink2">A handful of it counts as give or take {percent(inUse)}.</span>}
                  </span>
                  {inUse !== undefined ? (
                    <button type="button" className={buttonClass("quiet", "min-h-11")} onClick={() => setEye(eye.food, null)}>
                      As usual<span className="sr-only">, {eye.name}</span>
                    </button>
                  ) : eye.isEnough ? (
                    <button type="button" className={buttonClass("plain")} onClick={() => setEye(eye.food, eye.share)}>
                      Use it<span className="sr-only"> for {eye.name}</span>
                    </button>
                  ) : (
                    <span className="t-small text-ink2">{eye.guesses < ENOUGH_GUESSES ? "too few guesses yet" : "too far off to be used"}</span>
                  )}
                </li>
              );
            })}
            {used
              .filter(([food]) => !known.some((eye) => eye.food === food))
              .map(([food, share]) => (
                <li key={food} className="border-b border-line py-2 flex gap-4 items-center justify-between">
                  <span>
                    A handful of {(names[food] ?? food).toLowerCase()} counts as give or take {percent(share)}.
                  </span>
                  <button type="button" className={buttonClass("quiet", "min-h-11")} onClick={() => setEye(food, null)}>
                    As usual<span className="sr-only">, {names[food] ?? food}</span>
                  </button>
                </li>
              ))}
          </ul>
          {eyes.length > known.length && (
            <p className="t-ledger text-ink2 mt-1">
              {eyes.length - known.length === 1 ? "One food was" : `${eyes.length - known.length} foods were`} guessed once or twice: nothing is told of that.
            </p>
          )}
          <p className="t-small text-ink2 mt-2">
            What is measured by eye is usually taken as give or take {percent(MEASURE_SHARE.handful)}; who has guessed a food often enough can put their own in
            its place.
          </p>
        </aside>
      </main>
    </>
  );
}

/** How far off the last tries were, in the middle. */
function soFar(kind: Exclude<PracticeKind, "palate ladder">, misses: readonly number[]): string {
  if (misses.length === 0) return "Not tried yet.";
  const { off, places } = PRACTICE_WORDS[kind];
  const last = misses.slice(-10).map((miss) => shownMiss(kind, miss));
  const middle = last.toSorted((a, b) => a - b)[Math.floor((last.length - 1) / 2)] ?? 0;
  return `${misses.length === 1 ? "Once" : `${misses.length} times`}; ${last.length === 1 ? "off" : `the last ${last.length} in the middle off`} by ${middle.toFixed(places)} ${off}.`;
}
/** A guess is off by per cent. */
const shownMiss = (kind: PracticeKind, miss: number): number => (kind === "guess the grams" ? 100 * Math.abs(Math.expm1(miss)) : Math.abs(miss));

function chartOf({ kind, misses }: PracticePageProps["progress"][number]): ChartOf {
  const { title, off, places } = PRACTICE_WORDS[kind];
  return {
    ...{ of: "practice", name: title, unit: off, places },
    points: misses.map((miss, i) => ({
      id: String(i),
      day: String(i + 1),
      name: "",
      planned: null,
      got: shownMiss(kind, miss),
      low: null,
      high: null,
      said: null,
    })),
  };
}
