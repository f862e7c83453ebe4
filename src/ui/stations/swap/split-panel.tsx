"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import type { Recipe } from "../../../core/recipe";
import { formatGrams, formatNumber, gramsBeside, lowerFirst, servingsText } from "../../../core/units";
import { splitsOf, type SplitPortion, type Splits, type SplitView } from "../../../core/views";
import { Button } from "../../parts/button";
import { Choice } from "../../parts/choice";
import { WhyMark } from "../../parts/marks";
import { send, why as whyOf } from "../../parts/send";
import { noteSave } from "../../shell/documents";
import { failed } from "../../shell/messages";
import { useSaving } from "../../shell/saving";
import { useWorkedOut, type Work, type WorkedFor } from "./use-worked-out";
import { WorkedOutSection } from "./worked-out-section";

interface SplitPanelProps extends WorkedFor {
  readonly id: string;
}

const split = ({ at, compute, solver, signal, onProgress }: Work): Promise<Splits> =>
  splitsOf({
    plan: (base) => compute("split plan", { ...at, base }),
    problem: (before, group, base) => compute("split problem", { ...at, base, before, group }),
    baseProblem: (before) => compute("split base problem", { ...at, before }),
    base: (before, ending) => compute("split base", { ...at, before, ending }),
    solve: (problem) => solver.versions(problem, { signal }),
    view: (before, endings, base) => compute("split", { ...at, base, before, endings }),
    onPlace: (done, of) => onProgress({ done, of, doing: "Looking for the latest place" }),
  });

/** One base for several at the table, parted before what divides them. */
export function SplitPanel({ id, ...at }: SplitPanelProps) {
  const work = useWorkedOut(at, split);
  if ((at.table.seats ?? []).length < 2) return null;
  return (
    <WorkedOutSection
      id="split-title"
      title="Or split the pot"
      line="one base for all, parted before what divides who sits here: each portion with its own amounts and steps"
      ask="See where it parts"
      work={work}
    >
      {({ plan, views }) =>
        views.length > 0 ? (
          <Splitting id={id} recipe={at.recipe} views={views} />
        ) : plan ? (
          <p className="t-ledger mt-2">
            It does not part: what {names(plan.groups.filter(({ needs }) => needs.length > 0).flatMap((group) => group.names))} may not have goes in from the
            first, or leaves its traces, or nothing fit takes its place from there on. Make one version for all, or two pots from the start.
          </p>
        ) : (
          <p className="t-ledger mt-2">All who sit here need the same of it: there is nothing to part.</p>
        )
      }
    </WorkedOutSection>
  );
}

const names = (all: readonly string[]): string => (all.length > 1 ? `${all.slice(0, -1).join(", ")} and ${all.at(-1)}` : (all[0] ?? ""));

/** The base as handed down and the one that is changed for all, where there are both: the better one first. */
function Splitting({ id, recipe, views }: { readonly id: string; readonly recipe: Recipe; readonly views: readonly SplitView[] }) {
  const [at, setAt] = useState(0);
  const view = views[at] ?? views[0];
  return (
    <>
      {views.length > 1 && (
        <fieldset className="mt-2 no-print">
          <legend className="t-small text-ink2">The base</legend>
          <div className="flex flex-wrap gap-x-6">
            {views.map(({ base, before }, i) => (
              <Choice
                key={before}
                name="split-base"
                label={`${base === null ? "as handed down" : "changed for all"}, parted before step ${before + 1}`}
                checked={i === at}
                onChange={() => setAt(i)}
              />
            ))}
          </div>
        </fieldset>
      )}
      {view && <Split id={id} recipe={recipe} view={view} />}
    </>
  );
}

function Split({ id, recipe, view }: { readonly id: string; readonly recipe: Recipe; readonly view: SplitView }) {
  const at = recipe.steps[view.before]?.text ?? "";
  const further = view.portions.length - 1;
  return (
    <div className="mt-2 grid gap-3">
      <p className="t-ledger">
        Together up to step {view.before} of the recipe; part it before its step {view.before + 1}, “{at.length > 90 ? `${at.slice(0, 88).trimEnd()} …` : at}”,
        each portion into a clean pan of its own, with a spoon, board and grinder of its own.{" "}
        {further === 1 ? "The second portion" : `The ${further} further portions`}: about {formatNumber(Math.round(view.twice))} minutes more beside the stove.
      </p>
      {view.base !== null && <p className="t-ledger">In the base, for all: {lowerFirst(view.base)}.</p>}
      <details>
        <summary className="t-ledger underline min-h-11 md:min-h-8 flex items-center cursor-pointer">The steps together</summary>
        <Steps texts={view.together} from={1} />
      </details>
      <ul className="grid gap-3 lg:grid-cols-2">
        {view.portions.map((portion) => (
          <Portion
            key={portion.eaters.join(" ")}
            id={id}
            portion={portion}
            isChanged={view.base !== null}
            before={view.before}
            from={view.together.length + 1}
          />
        ))}
      </ul>
    </div>
  );
}

const Steps = ({ texts, from }: { readonly texts: readonly string[]; readonly from: number }) => (
  <ol start={from} className="list-decimal pl-6 t-ledger grid gap-1">
    {texts.map((text, i) => (
      <li key={i} className="t-frac">
        {text}
      </li>
    ))}
  </ol>
);

interface PortionProps {
  readonly id: string;
  readonly portion: SplitPortion;
  /** The base is other than as handed down. */
  readonly isChanged: boolean;
  readonly before: number;
  /** The number of its first step. */
  readonly from: number;
}

function Portion({ id, portion, isChanged, before, from }: PortionProps) {
  const router = useRouter();
  const { flush } = useSaving();
  const [busy, setBusy] = useState(false);
  const keep = async () => {
    setBusy(true);
    try {
      await flush();
      const answer = (await send("POST", "/api/versions", { recipeId: id, bench: portion.bench, portion: { eaters: portion.eaters, before } })) as {
        readonly id: string;
      };
      noteSave();
      router.push(`/versions/${answer.id}`);
      router.refresh();
    } catch (error) {
      setBusy(false);
      failed(whyOf(error, "The portion could not be kept."));
    }
  };
  return (
    <li className="border border-ink bg-sheet p-3 grid gap-2 content-start">
      <h3 className="t-h2 text-[15px]">
        {names(portion.names)}
        <span className="block t-small text-ink2 font-[430]">
          {servingsText(portion.servings)}
          {portion.base !== null && `; about ${formatGrams(portion.base)} g of the base`}
        </span>
      </h3>
      <p className="t-ledger">
        {portion.needs.length === 0 ? (isChanged ? "Goes on from the base as handed down." : "Goes on as handed down.") : `${portion.exchanges}.`}{" "}
        <span className="text-ink2">{portion.fit}.</span>
      </p>
      {portion.questions.length > 0 && (
        <ul className="t-small">
          {portion.questions.map((text) => (
            <li key={text} className="flex gap-2">
              <WhyMark kind="ask" />
              {text}
            </li>
          ))}
        </ul>
      )}
      <p className="t-small text-ink2">
        {portion.allergens.length > 0 ? `Holds ${portion.allergens.join(", ")}.` : "Holds none of the allergens that are known here."}
      </p>
      <ul className="border-t border-ink t-ledger" aria-label="Still goes in">
        {portion.amounts.map(({ name, grams, measure }) => (
          <li key={name} className="border-b border-line flex justify-between gap-3 py-0.5">
            <span>{name}</span>
            <span className="whitespace-nowrap">
              <span className="t-frac text-ink2">{measure}</span> <span className="t-figure">{gramsBeside(grams, measure)}</span>
            </span>
          </li>
        ))}
      </ul>
      <Steps texts={portion.steps} from={from} />
      {portion.bench && (
        <p>
          <Button disabled={busy} onClick={() => void keep()}>
            Keep this portion as a version
          </Button>
        </p>
      )}
    </li>
  );
}
