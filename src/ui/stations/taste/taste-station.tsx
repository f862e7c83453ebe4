"use client";

import { useRouter } from "next/navigation";
import { lazy, Suspense, useState } from "react";
import type { ServingTemperature } from "../../../core/food";
import type { MayTaste } from "../../../core/views";
import { buttonClass } from "../../parts/button";
import { Go } from "../../shell/go";
import { PageHead } from "../../shell/shell";
import { AnswerForm } from "./answer-form";
import { Guest } from "./guest";
import type { Taster, TastingData } from "./taste-data";
import { Who } from "./who";

// What it counts with comes when it is asked for.
const Said = lazy(() => import("./said").then((module) => ({ default: module.Said })));

interface TasteStationProps {
  readonly id: string;
  readonly title: string;
  readonly label: string | null;
  readonly serve: ServingTemperature;
  readonly isBound: boolean;
  readonly may: readonly MayTaste[];
  /** What a guest is asked about, each with its rule. */
  readonly allergies: readonly { readonly name: string; readonly rule: string }[];
  readonly tastings: readonly TastingData[];
  /** Triangle tests that it is one sample of. */
  readonly triangles: readonly { readonly id: string; readonly words: string; readonly isOver: boolean }[];
}

/** A batch is tasted, one after the other on a device that is handed round: who may, what each says, and, once that is asked for, what all said. */
export function TasteStation({ id, title, label, serve, isBound, may, allergies, tastings, triangles }: TasteStationProps) {
  const router = useRouter();
  const [on, setOn] = useState<Taster | "a guest" | "what was said" | null>(null);
  const [thanks, setThanks] = useState<string | null>(null);
  const [served, setServed] = useState(serve);
  const choose = (next: typeof on) => {
    setThanks(null);
    setOn(next);
  };
  const isAsking = on !== null && typeof on === "object";
  return (
    <>
      <PageHead
        title={isAsking ? on.name : title}
        line={
          isAsking
            ? `${title}: what do you say?`
            : `${label === null ? "As handed down" : `“${label}”`}, ${tastings.length === 0 ? "not tasted yet" : tastings.length === 1 ? "tasted once" : `tasted ${tastings.length} times`}`
        }
      >
        {!isAsking && (
          <Go href={`/batches/${id}`} className="underline min-h-11 inline-flex items-center no-print">
            To the batch
          </Go>
        )}
      </PageHead>
      <main id="main" className="p-4 md:p-6 max-w-[860px]">
        {isAsking ? (
          <AnswerForm
            key={on.eater ?? on.name}
            batch={id}
            taster={on}
            isBound={isBound}
            served={served}
            onServed={setServed}
            onDone={(isKept) => {
              setThanks(isKept ? `Thank you, ${on.name}. Hand it to the next.` : null);
              setOn(null);
              router.refresh();
            }}
          />
        ) : on === "a guest" ? (
          <Guest ask={`/api/batches/${id}/guests`} allergies={allergies} onAsk={choose} onBack={() => choose(null)} />
        ) : on === "what was said" ? (
          <Suspense fallback={<p role="status">One moment.</p>}>
            <Said batch={id} tastings={tastings} onBack={() => choose(null)} />
          </Suspense>
        ) : (
          <>
            {thanks && (
              <p role="status" className="bg-saffron-wash px-3 py-2 mb-4 text-[20px]">
                {thanks}
              </p>
            )}
            <Who may={may} tasted={tastings.map(({ eaterId }) => eaterId)} onAsk={choose} onGuest={() => choose("a guest")} />
            {triangles.length > 0 && (
              <section aria-labelledby="tests-head" className="mt-8">
                <h2 id="tests-head" className="t-h2">
                  Can anybody tell?
                </h2>
                <ul className="border-t border-ink mt-1">
                  {triangles.map((each) => (
                    <li key={each.id} className="border-b border-line">
                      <Go href={`/triangles/${each.id}`} className="flex flex-wrap gap-x-4 py-2 min-h-11 items-center hover:bg-pressed">
                        <span className="flex-1">{each.words}</span>
                        <span className="t-ledger text-ink2">{each.isOver ? "over" : "under way"}</span>
                      </Go>
                    </li>
                  ))}
                </ul>
              </section>
            )}
            <p className="mt-5 no-print">
              <Go href={`/triangles/new?batch=${id}`} className={buttonClass("plain")}>
                Can anybody tell it from another?
              </Go>
            </p>
            {tastings.length > 0 && (
              <p className="mt-5 no-print">
                <button type="button" className={buttonClass("plain")} onClick={() => choose("what was said")}>
                  See what was said
                </button>
                <span className="block t-small text-ink2 mt-1">Once all have tasted: who has not would know what the others think.</span>
              </p>
            )}
          </>
        )}
      </main>
    </>
  );
}
