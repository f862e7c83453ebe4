"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import type { LineageRevision, LineageVersion } from "../../../core/adaptation";
import type { Recipe } from "../../../core/recipe";
import { BatchCharts } from "../../panels/batch-charts";
import { Button, buttonClass } from "../../parts/button";
import { send, why as whyOf } from "../../parts/send";
import { noteSave } from "../../shell/documents";
import { Go } from "../../shell/go";
import { failed, toast } from "../../shell/messages";
import { PageHead } from "../../shell/shell";
import { useFresh } from "../../shell/use-fresh";
import { servingsText } from "../../../core/units";
import { CookedOf, Pictures, type LineBatch } from "./cooked-of";

interface LineagePageProps {
  readonly id: string;
  readonly title: string;
  readonly servings: number;
  /** The recipe's revision as it stands: what is brought back is saved over it. */
  readonly revision: number;
  readonly versions: readonly LineageVersion[];
  readonly revisions: readonly LineageRevision[];
  /** What was cooked of it and of its versions, the latest first. */
  readonly batches: readonly LineBatch[];
  readonly at: number;
}

const HANDED_DOWN = "now";
const MOST = 4;

/** The line of a sweet: its versions, where they come from, what was cooked of each and what was said of it; and the choice of two to four to hold side by side. */
export function LineagePage({ id, title, servings, revision, versions, revisions, batches, at }: LineagePageProps) {
  useFresh(at);
  const [chosen, setChosen] = useState<readonly string[]>([HANDED_DOWN]);
  const toggle = (which: string) => setChosen((now) => (now.includes(which) ? now.filter((each) => each !== which) : [...now, which]));
  const enough = chosen.length >= 2 && chosen.length <= MOST;
  const childrenOf = (parent: string | null) => versions.filter(({ parentId }) => parentId === parent).toReversed();
  const known = new Set(versions.map((version) => version.id));
  // What was cooked of a version that is not there any more stands with the recipe.
  const cookedOf = (version: string | null) => batches.filter(({ versionId }) => (versionId !== null && known.has(versionId) ? versionId : null) === version);
  const pick = (which: string, name: string) => (
    <label className="flex items-center gap-2 min-h-11 md:min-h-9 shrink-0">
      <input type="checkbox" className="size-5" aria-label={`Hold ${name} side by side`} checked={chosen.includes(which)} onChange={() => toggle(which)} />
    </label>
  );
  const branch = (parent: string | null) => {
    const children = childrenOf(parent);
    if (children.length === 0) return null;
    return (
      <ul className="ml-2.5 pl-5 border-l-[1.5px] border-dashed border-edge">
        {children.map((version) => (
          <li key={version.id} className="pt-2" data-version={version.id}>
            <div className="flex gap-3 items-start bg-sheet border border-line px-3 py-1.5">
              {pick(version.id, version.label)}
              <div className="min-w-0 flex-1 py-1">
                <Go href={`/versions/${version.id}`} className="t-new hover:underline">
                  {version.label}
                </Go>
                <p className="t-small text-ink2">
                  kept {version.kept}
                  {version.whom && <>, for {version.whom}</>}
                  {version.servings !== null && `; ${servingsText(version.servings)}, ${version.fit}`}
                </p>
                {version.why && <p className="t-ledger">{version.why}</p>}
                <Changes changes={version.changes} from={version.parentId === null ? "as handed down" : "what it came from"} />
              </div>
            </div>
            <CookedOf batches={cookedOf(version.id)} />
            {branch(version.id)}
          </li>
        ))}
      </ul>
    );
  };
  return (
    <>
      <PageHead title={`${title}, lineage`} line="As handed down, the versions made of it, what was cooked of each, and what was said of it.">
        <span className="flex flex-wrap gap-x-4 gap-y-2 no-print">
          <Go className="underline inline-flex items-center min-h-11" href={`/logbook/new?recipe=${id}`}>
            Enter a batch
          </Go>
          <Go className={buttonClass("plain")} href={`/recipes/${id}/recipe`}>
            Back
          </Go>
          {enough ? (
            <Go className={buttonClass("primary")} href={`/recipes/${id}/compare?with=${chosen.join(",")}`}>
              Side by side
            </Go>
          ) : (
            <Button kind="primary" disabled title={`Choose two to ${MOST}`}>
              Side by side
            </Button>
          )}
        </span>
      </PageHead>
      <main id="main" className="p-4 md:p-5 lg:grid lg:grid-cols-[minmax(0,1fr)_404px] lg:gap-8">
        <section aria-label="Versions">
          <p className="t-small text-ink2 mb-2" role="status">
            {chosen.length > MOST
              ? `At most ${MOST} can be held side by side; ${chosen.length} are chosen.`
              : enough
                ? `${chosen.length} chosen.`
                : `Choose two to ${MOST} to hold them side by side.`}
          </p>
          <div className="flex gap-3 items-center bg-sheet border border-ink px-3 py-1.5">
            {pick(HANDED_DOWN, "the recipe as handed down")}
            <Go href={`/recipes/${id}/recipe`} className="t-new hover:underline">
              As handed down
            </Go>
            <span className="t-small text-ink2">{servingsText(servings)}</span>
          </div>
          <CookedOf batches={cookedOf(null)} />
          {branch(null) ?? (
            <p className="t-ledger text-ink2 mt-3">
              Nothing has been kept yet.{" "}
              <Go className="underline" href={`/recipes/${id}/swap`}>
                To the bench
              </Go>
            </p>
          )}
        </section>
        <div className="max-lg:mt-8 min-w-0">
          {batches.length > 0 && (
            <section aria-labelledby="came-out" className="mb-8">
              <h2 id="came-out" className="t-h2 mb-2">
                How it came out
              </h2>
              <BatchCharts rows={batches} isOneSweet least={1} />
            </section>
          )}
          <Pictures batches={batches} />
          <section aria-label="The recipe as it was">
            <h2 className="t-h2">The recipe as it was</h2>
            {revisions.length === 0 ? (
              <p className="t-ledger text-ink2 rule-t pt-2 mt-1">
                It has not been changed since it was written down. When it is, what was there stays here; versions keep what they were made from in any case.
              </p>
            ) : (
              <ul className="rule-t mt-1">
                {revisions.map((each) => (
                  <li key={each.revision} className="border-b border-line py-1.5 flex gap-3 items-start justify-between">
                    <div className="min-w-0">
                      <span className="t-ledger">until {each.until}</span>
                      <Changes changes={each.changes} from="then to now" />
                    </div>
                    <BringBack id={id} revision={revision} recipe={each.recipe} />
                  </li>
                ))}
              </ul>
            )}
          </section>
        </div>
      </main>
    </>
  );
}

function Changes({ changes, from }: { readonly changes: readonly string[]; readonly from: string }) {
  if (changes.length === 0) return <p className="t-small text-ink2">no line differs, {from}</p>;
  return (
    <details className="t-small">
      <summary className="min-h-6 text-ink2">
        {changes.length} {changes.length === 1 ? "line differs" : "lines differ"}, {from}
      </summary>
      <ul className="pl-4 t-ledger">
        {changes.map((change) => (
          <li key={change}>{change}</li>
        ))}
      </ul>
    </details>
  );
}

function BringBack({ id, revision, recipe }: { readonly id: string; readonly revision: number; readonly recipe: Recipe }) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const bring = async () => {
    setBusy(true);
    try {
      await send("PUT", `/api/recipes/${id}`, { document: recipe, revision });
      noteSave();
      toast("It is as it was then. What was there until now stays in this list.");
      router.refresh();
    } catch (error) {
      failed(whyOf(error, "It could not be brought back."), () => void bring());
    } finally {
      setBusy(false);
    }
  };
  return (
    <button type="button" disabled={busy} className="underline t-small min-h-11 md:min-h-8 shrink-0 no-print" onClick={() => void bring()}>
      Bring it back
    </button>
  );
}
