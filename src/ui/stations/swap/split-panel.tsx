"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import type { Recipe } from "../../../core/recipe";
import { formatGrams, formatNumber, gramsBeside, servingsText } from "../../../core/units";
import { latestSplit, type LatestSplit, type SplitPortion, type SplitView } from "../../../core/views";
import { Button } from "../../parts/button";
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

const split = ({ at, compute, solver, signal, onProgress }: Work): Promise<LatestSplit> =>
  latestSplit({
    plan: () => compute("split plan", at),
    problem: (before, group) => compute("split problem", { ...at, before, group }),
    solve: (problem) => solver.versions(problem, { signal }),
    view: (before, endings) => compute("split", { ...at, before, endings }),
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
      {({ plan, view }) =>
        view ? (
          <Split id={id} recipe={at.recipe} view={view} />
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

function Split({ id, recipe, view }: { readonly id: string; readonly recipe: Recipe; readonly view: SplitView }) {
  const at = recipe.steps[view.before]?.text ?? "";
  const further = view.portions.length - 1;
  return (
    <div className="mt-2 grid gap-3">
      <p className="t-ledger">
        Together up to step {view.before}; part it before step {view.before + 1}, “{at.length > 90 ? `${at.slice(0, 88).trimEnd()} …` : at}”, each portion into
        a clean pan of its own, with a spoon, board and grinder of its own. {further === 1 ? "The second portion" : `The ${further} further portions`}: about{" "}
        {formatNumber(Math.round(view.twice))} minutes more beside the stove.
      </p>
      <details>
        <summary className="t-ledger underline min-h-11 md:min-h-8 flex items-center cursor-pointer">The steps together</summary>
        <Steps texts={view.together} from={1} />
      </details>
      <ul className="grid gap-3 lg:grid-cols-2">
        {view.portions.map((portion) => (
          <Portion key={portion.eaters.join(" ")} id={id} portion={portion} before={view.before} from={view.together.length + 1} />
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

function Portion({ id, portion, before, from }: { readonly id: string; readonly portion: SplitPortion; readonly before: number; readonly from: number }) {
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
        {portion.needs.length === 0 ? "Goes on as handed down." : `${portion.exchanges}.`} <span className="text-ink2">{portion.fit}.</span>
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
