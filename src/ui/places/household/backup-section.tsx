"use client";

import type { AboutPeople } from "../../../core/household";
import { formatNumber } from "../../../core/units";
import { lazy, Suspense, useEffect, useRef, useState } from "react";
import { Button, buttonClass } from "../../parts/button";
import { send, why as whyOf } from "../../parts/send";
import { letGo } from "../../shell/documents";
import { useSaving } from "../../shell/saving";
import { toast } from "../../shell/messages";
import { AboutPeopleList } from "./about-people";
import { Passphrase, SealCopy } from "./seal-copy";

const Confirm = lazy(() => import("../../parts/confirm"));
const DONE = "threpsis.restored";
type State =
  | { readonly kind: "ready" }
  | { readonly kind: "asked"; readonly file: File; readonly isSealed: boolean }
  | { readonly kind: "busy"; readonly words: string }
  | { readonly kind: "refused"; readonly why: string };

/** Everything as one file, out and in. A file that does not fit is refused whole, and what was replaced can be had back. */
export function BackupSection({ canGoBack, people }: { readonly canGoBack: boolean; readonly people: AboutPeople }) {
  const { flush, waiting } = useSaving();
  const [state, setState] = useState<State>({ kind: "ready" });
  const [opening, setOpening] = useState("");
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => {
    const done = sessionStorage.getItem(DONE);
    if (done) toast(done);
    sessionStorage.removeItem(DONE);
  }, []);

  const put = async (work: () => Promise<unknown>) => {
    // What is told of it after it has ended tells of nothing any more.
    let going = true;
    const busy = (words: string) => {
      if (going) setState({ kind: "busy", words });
    };
    busy("Saving what was typed");
    const asking = setInterval(() => {
      // Where nothing is told of it, the words stay as they are.
      void send("GET", "/api/backup/progress").then(
        (told) => busy(progressWords(told)),
        () => undefined,
      );
    }, ASK_MS);
    try {
      await flush();
      busy("Sending the copy");
      const { recipes, versions, made } = (await work()) as { recipes: number; versions: number; made: string };
      letGo();
      const day = new Date(made).toLocaleDateString("en-GB", { day: "numeric", month: "long", year: "numeric" });
      sessionStorage.setItem(DONE, `In place, as of ${day}: ${count(recipes, "recipe")}, ${count(versions, "version")}.`);
      // Everything was replaced beneath the page: it starts anew.
      window.location.reload();
    } catch (error) {
      going = false;
      clearInterval(asking);
      setState({ kind: "refused", why: whyOf(error, "It could not be put in place.") });
    }
  };
  return (
    <section id="backup" aria-labelledby="backup-title" className="scroll-mt-4 no-print">
      <h2 id="backup-title" className="t-h2">
        A copy of everything
      </h2>
      <div className="border-t border-ink mt-1 pt-3 grid gap-4">
        <p className="t-ledger max-w-[70ch]">
          Recipes, tables, versions, batches and these settings in one file, of text that can be read without Threpsis, with a checksum. Keep it on another
          device.
        </p>
        <AboutPeopleList people={people} />
        <div className="flex flex-wrap gap-3 items-center">
          <a
            href="/api/backup"
            download
            className={buttonClass("plain")}
            onClick={(event) => {
              if (!waiting()) return;
              // Not before what was typed is in it; where it cannot be saved, the notice says so.
              const { currentTarget } = event;
              event.preventDefault();
              void flush().then(() => {
                if (!waiting()) currentTarget.click();
              });
            }}
          >
            Save a copy
          </a>
          <Button onClick={() => field.current?.click()} disabled={state.kind === "busy"}>
            Put a copy in place
          </Button>
          <input
            ref={field}
            type="file"
            accept=".jsonl,.sealed,application/jsonl,text/plain"
            aria-label="The file of a copy"
            tabIndex={-1}
            className="sr-only"
            onChange={(event) => {
              const [file] = event.target.files ?? [];
              event.target.value = "";
              if (!file) return;
              setOpening("");
              void file
                .slice(0, SEALED.length)
                .text()
                .then((start) => setState({ kind: "asked", file, isSealed: start === SEALED }));
            }}
          />
          {canGoBack && state.kind !== "busy" && (
            <button type="button" className="underline t-ledger min-h-11" onClick={() => void put(() => send("POST", "/api/backup/undo"))}>
              Back to what was here before the last one
            </button>
          )}
        </div>
        <SealCopy isBusy={state.kind === "busy"} />
        <p role="status" className="t-ledger">
          {state.kind === "busy" && `${state.words}. You can go on reading meanwhile; what is changed now would be replaced.`}
        </p>
        {state.kind === "refused" && (
          <p role="alert" className="bg-rose-wash text-rose px-3 py-2 t-ledger">
            {state.why}
          </p>
        )}
      </div>
      {state.kind === "asked" && (
        <Suspense>
          <Confirm
            title="Put this copy in place?"
            action="Put it in place"
            leave="Leave all as it is"
            onLeave={() => setState({ kind: "ready" })}
            onAction={() => {
              const { file, isSealed } = state;
              void put(async () =>
                isSealed
                  ? send("PUT", "/api/backup/sealed", `${JSON.stringify({ passphrase: opening })}\n${await file.text()}`, { type: "text/plain" })
                  : send("PUT", "/api/backup", await file.text(), { type: "application/jsonl" }),
              );
            }}
          >
            {state.isSealed && (
              <div className="mb-3">
                <Passphrase label="It is sealed. Its passphrase:" value={opening} isNew={false} onChange={setOpening} />
              </div>
            )}
            <p>
              What “{state.file.name}” holds takes the place of every recipe, table and version here. What is here now is kept beside it, and one step brings it
              back.
            </p>
          </Confirm>
        </Suspense>
      )}
    </section>
  );
}

const SEALED = '{"format":"threpsis-sealed"';
const ASK_MS = 500;
const STAGES: Readonly<Record<string, string>> = { reading: "Reading the copy", checking: "Checking it", "laying beside": "Laying it beside what is here" };

/** How far it is, as the server tells it: "Checking it, 1,250 of 5,000". */
function progressWords(told: unknown): string {
  const { stage, done, of } = told as { readonly stage: string; readonly done: number; readonly of: number };
  const words = STAGES[stage] ?? "Putting it in place";
  return of > 0 && done < of ? `${words}, ${formatNumber(done)} of ${formatNumber(of)}` : words;
}

const count = (number: number, word: string) => `${formatNumber(number)} ${word}${number === 1 ? "" : "s"}`;
