"use client";

import { useEffect, useMemo, useState } from "react";
import type { StoredBench } from "../../../core/adaptation";
import type { Recipe } from "../../../core/recipe";
import { FAULTS, type Fault } from "../../../core/rescue";
import type { DiningTable } from "../../../core/table";
import { servingsText } from "../../../core/units";
import type { RescueView } from "../../../core/views";
import { useNotAtHand } from "../../panels/use-not-at-hand";
import { FAULT_WORDS, WaysOut } from "../../panels/ways-out";
import { Choice } from "../../parts/choice";
import { WhyMark } from "../../parts/marks";
import { PageColumns } from "../../parts/page-columns";
import { why as whyOf } from "../../parts/send";
import { useCompute } from "../../shell/computer";
import { Go } from "../../shell/go";
import { PageHead } from "../../shell/shell";
import { PotFields } from "./pot-fields";

interface RescuePageProps {
  readonly id: string;
  readonly recipe: Recipe;
  readonly table: DiningTable;
  readonly bench: StoredBench | null;
  /** What was cooked. */
  readonly of:
    | { readonly kind: "recipe" }
    | { readonly kind: "bench"; readonly label: string }
    | { readonly kind: "version"; readonly id: string; readonly label: string };
  readonly start: { readonly fault: Fault | null; readonly grams: number | null };
}

/** A pot that went wrong: what it is, what it weighs, and the ways out, computed from what is in it. */
export function RescuePage({ id, recipe, table, bench, of, start }: RescuePageProps) {
  const [fault, setFault] = useState(start.fault);
  const [grams, setGrams] = useState(start.grams);
  const [upTo, setUpTo] = useState<number | null>(null);
  const [celsius, setCelsius] = useState<number | null>(null);
  const [notAtHand, onMissing] = useNotAtHand();
  const compute = useCompute();
  const question = useMemo(
    () => (fault === null ? null : { recipe, table, bench, fault, grams, upTo, celsius, notAtHand }),
    [recipe, table, bench, fault, grams, upTo, celsius, notAtHand],
  );
  const [told, setTold] = useState<{ readonly of: typeof question; readonly view: RescueView | null; readonly why: string | null } | null>(null);
  useEffect(() => {
    if (!question) return;
    let isLeft = false;
    compute("rescue", question)
      .then((view) => !isLeft && setTold({ of: question, view, why: null }))
      .catch((error: unknown) => !isLeft && setTold({ of: question, view: null, why: whyOf(error, "It could not be worked out.") }));
    return () => {
      isLeft = true;
    };
  }, [compute, question]);
  useEffect(() => {
    const address = new URL(window.location.href);
    if (fault) address.searchParams.set("fault", fault);
    if (grams === null) address.searchParams.delete("grams");
    else address.searchParams.set("grams", String(grams));
    window.history.replaceState(null, "", address);
  }, [fault, grams]);
  const what = of.kind === "recipe" ? "As handed down" : of.kind === "version" ? `The version “${of.label}”` : `What lies on Swap, “${of.label}”`;
  return (
    <>
      <PageHead title="It went wrong" line={`${recipe.title}. ${what}, ${servingsText(table.servings)}`}>
        <Go
          href={of.kind === "version" ? `/versions/${of.id}` : `/recipes/${id}/${of.kind === "bench" ? "swap" : "recipe"}`}
          className="underline min-h-11 inline-flex items-center"
        >
          Back to {of.kind === "version" ? "the version" : recipe.title}
        </Go>
      </PageHead>
      <PageColumns>
        <aside className="lg:crease-l p-4 md:p-5 lg:order-2 no-print" aria-label="The pot">
          <fieldset>
            <legend className="t-h2">What is it?</legend>
            <div className="border-t border-ink mt-1 grid grid-cols-2 gap-x-4">
              {FAULTS.map((each) => (
                <Choice key={each} name="fault" label={FAULT_WORDS[each]} checked={fault === each} onChange={() => setFault(each)} />
              ))}
            </div>
          </fieldset>
          <PotFields recipe={recipe} grams={grams} upTo={upTo} celsius={celsius} onGrams={setGrams} onUpTo={setUpTo} onCelsius={setCelsius} />
        </aside>
        <section className="p-4 md:p-5 min-w-0" aria-label="Ways out" aria-live="polite" aria-busy={question !== null && told?.of !== question}>
          {fault === null ? (
            <p className="max-w-[60ch]">
              Say what is wrong with it. Every way out is computed from what is in the pot now: how much, how long, and what else it changes.
            </p>
          ) : told?.why ? (
            <p role="alert" className="flex gap-2">
              <WhyMark kind="conflict" />
              {told.why}
            </p>
          ) : told?.view ? (
            <WaysOut view={told.view} fault={FAULT_WORDS[told.of?.fault ?? fault]} isWeighed={told.of?.grams !== null} onMissing={onMissing} />
          ) : (
            <p className="t-ledger text-ink2">Working it out.</p>
          )}
        </section>
      </PageColumns>
    </>
  );
}
