"use client";

import { useRouter } from "next/navigation";
import { lazy, Suspense, useState } from "react";
import type { MayTaste } from "../../../core/views";
import { buttonClass } from "../../parts/button";
import { send, why as whyOf } from "../../parts/send";
import { Go } from "../../shell/go";
import { failed } from "../../shell/messages";
import { PageHead } from "../../shell/shell";
import { Guest } from "./guest";
import { SERVED_WORDS, type Taster } from "./taste-data";
import { TriangleCups } from "./triangle-cups";
import { SAMPLES, sampleWords, type OverData, type SampleData } from "./triangle-data";
import { TriangleResult } from "./triangle-result";
import { Who } from "./who";

// Comes when it is asked for.
const Confirm = lazy(() => import("../../parts/confirm"));

interface TriangleStationProps {
  readonly id: string;
  /** A, then B. */
  readonly samples: readonly SampleData[];
  readonly aim: "different" | "alike";
  readonly planned: number;
  readonly served: keyof typeof SERVED_WORDS;
  readonly server: string;
  /** Who may taste, and the next set of cups; why nobody can; null once it is over. */
  readonly open:
    | { readonly may: readonly MayTaste[]; readonly next: { readonly place: number; readonly codes: readonly string[] } | null }
    | { readonly why: string }
    | null;
  readonly allergies: readonly { readonly name: string; readonly rule: string }[];
  readonly answered: readonly (string | null)[];
  readonly over: OverData | null;
}

/** A triangle test on one device that is handed round: who is next, their three cups, and what it came to once all have chosen. */
export function TriangleStation({ id, samples, aim, planned, served, server, open, allergies, answered, over }: TriangleStationProps) {
  const router = useRouter();
  const first = samples[0]?.batch ?? "";
  const next = open && "next" in open ? open.next : null;
  const [on, setOn] = useState<Taster | "a guest" | null>(null);
  const [thanks, setThanks] = useState<string | null>(null);
  const [asking, setAsking] = useState<"end" | "delete" | null>(null);
  const choose = (taster: typeof on) => {
    setThanks(null);
    setOn(taster);
  };
  const tasting = on !== null && typeof on === "object" && next !== null ? on : null;
  const act = async (what: "end" | "delete") => {
    setAsking(null);
    try {
      await (what === "end" ? send("POST", `/api/triangles/${id}/end`) : send("DELETE", `/api/triangles/${id}`));
      if (what === "delete") router.push(`/batches/${first}/taste`);
      router.refresh();
    } catch (error) {
      failed(whyOf(error, "It could not be done."), () => void act(what));
    }
  };
  return (
    <>
      <PageHead
        title={tasting ? tasting.name : "Can anybody tell?"}
        line={
          over
            ? `${answered.length} answers, ${server} served`
            : tasting
              ? "Three cups, one of them other than the two"
              : `${answered.length} of ${planned} answered, ${server} serves, ${SERVED_WORDS[served]}`
        }
      >
        {!tasting && (
          <Go href={`/batches/${first}/taste`} className="underline min-h-11 inline-flex items-center no-print">
            To tasting
          </Go>
        )}
      </PageHead>
      <main id="main" className="p-4 md:p-6 max-w-[860px]">
        {tasting && next ? (
          <TriangleCups
            key={`${next.place} ${tasting.name}`}
            test={id}
            taster={tasting}
            place={next.place}
            codes={next.codes}
            onDone={(isKept) => {
              setThanks(isKept ? `Thank you, ${tasting.name}. Hand it to the next.` : null);
              setOn(null);
              router.refresh();
            }}
          />
        ) : on === "a guest" ? (
          <Guest ask={`/api/triangles/${id}/guests`} allergies={allergies} onAsk={choose} onBack={() => choose(null)} />
        ) : (
          <>
            {thanks && (
              <p role="status" className="bg-saffron-wash px-3 py-2 mb-4 text-[20px]">
                {thanks}
              </p>
            )}
            {over && <TriangleResult test={id} over={over} />}
            {open &&
              ("why" in open ? (
                <p className="bg-saffron-wash px-3 py-2">{open.why}</p>
              ) : (
                <Who may={open.may} tasted={answered} onAsk={choose} onGuest={() => choose("a guest")} />
              ))}
            <section aria-labelledby="triangle-samples" className="mt-8">
              <h2 id="triangle-samples" className="t-h2">
                {aim === "different" ? "Are they told apart?" : "Are they as good as alike?"}
              </h2>
              <ul className="border-t border-ink mt-1">
                {samples.map((sample, i) => (
                  <li key={sample.batch} className="border-b border-line py-1.5">
                    <Go href={`/batches/${sample.batch}`} className="underline inline-flex items-center min-h-9">
                      {SAMPLES[i]}: {sampleWords(sample)}
                    </Go>
                  </li>
                ))}
              </ul>
              <p className="flex flex-wrap gap-3 mt-4 no-print">
                <Go href={`/triangles/${id}/sheets`} className={buttonClass("plain")}>
                  Sheets, for {server} only
                </Go>
                {!over && answered.length > 0 && (
                  <button type="button" className={buttonClass("plain")} onClick={() => setAsking("end")}>
                    End it here
                  </button>
                )}
                <button type="button" className={buttonClass("quiet", "min-h-11")} onClick={() => setAsking("delete")}>
                  Delete this test
                </button>
              </p>
              {!over && (
                <p className="t-small text-ink2 mt-2 max-w-[70ch]">
                  The sheets say what is in each cup: who sees them does not taste. What was chosen, and by whom rightly, is shown when the test is over.
                </p>
              )}
            </section>
          </>
        )}
        {asking && (
          <Suspense fallback={null}>
            <Confirm
              title={asking === "end" ? `End it after ${answered.length} of ${planned}?` : "Delete this test?"}
              action={asking === "end" ? "End it" : "Delete it"}
              leave="Leave it as it is"
              onAction={() => void act(asking)}
              onLeave={() => setAsking(null)}
            >
              <p>
                {asking === "end"
                  ? "No more answers are taken then, and it is told what it came to. A test that ends early shows less than was planned."
                  : `The ${answered.length === 1 ? "answer goes" : `${answered.length} answers go`} with it, and cannot be brought back.`}
              </p>
            </Confirm>
          </Suspense>
        )}
      </main>
    </>
  );
}
