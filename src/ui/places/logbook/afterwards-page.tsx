"use client";

import { useRouter } from "next/navigation";
import { useCallback, type SubmitEvent } from "react";
import { HOLDS, type Holds } from "../../../core/cook";
import { readTyped } from "../../parts/amount-field";
import { buttonClass } from "../../parts/button";
import { Pick } from "../../parts/pick";
import { useSendOnce } from "../../parts/use-send-once";
import { WhyNote } from "../../parts/why-note";
import { Go } from "../../shell/go";
import { PageHead } from "../../shell/shell";
import { useDraft } from "../../shell/use-draft";

/** What can have been cooked: a recipe as handed down, and its kept versions. */
export interface CookableData {
  readonly recipeId: string;
  readonly title: string;
  readonly versions: readonly { readonly id: string; readonly label: string }[];
}
interface AfterwardsPageProps {
  readonly sweets: readonly CookableData[];
  /** The house's words for body, thin to thick, with where they stand from 0 to 10. */
  readonly bodies: readonly (readonly [body: number, words: string])[];
  /** Today, "2026-12-01". */
  readonly today: string;
}

const AS_HANDED_DOWN = "as handed down";
const NOT_SAID = "not said";
/** What is being entered, as it is typed. */
interface Entry {
  readonly sweet: string;
  readonly version: string;
  readonly day: string;
  readonly clock: string;
  readonly grams: string;
  readonly turned: string;
  readonly note: string;
}
const EMPTY: Entry = { sweet: "", version: AS_HANDED_DOWN, day: "", clock: "12:00", grams: "", turned: NOT_SAID, note: "" };
const isEntry = (found: unknown): found is Entry =>
  typeof found === "object" && found !== null && Object.keys(EMPTY).every((key) => typeof (found as Readonly<Record<string, unknown>>)[key] === "string");

const field = "block border border-edge bg-sheet px-3 min-h-11 text-ink text-[16px]";

/** A batch that was cooked without Threpsis: what, when, what it weighed, how it turned out. It is tasted and pictured like any other then. */
export function AfterwardsPage({ sweets, bodies, today }: AfterwardsPageProps) {
  const router = useRouter();
  const initial = useCallback((): Entry => ({ ...EMPTY, sweet: sweets[0]?.recipeId ?? "", day: today }), [sweets, today]);
  const { present, set, forget } = useDraft<Entry>("afterwards", initial, isEntry);
  const { sweet, version, day, clock, grams, turned, note } = present;
  const put = (part: Partial<Entry>) => set((now) => ({ ...now, ...part }));
  const { id, why, setWhy, isSending, sendIt } = useSendOnce("It could not be entered.");
  const of = sweets.find(({ recipeId }) => recipeId === sweet);
  const submit = async (event: SubmitEvent) => {
    event.preventDefault();
    if (!of) return setWhy("Choose what was cooked.");
    const at = new Date(`${day}T${clock || "12:00"}`);
    if (Number.isNaN(at.getTime())) return setWhy("On what day was it cooked?");
    const weighed = grams.trim() === "" ? { value: null } : readTyped(grams, 1);
    if ("why" in weighed) return setWhy(`What it weighed: ${weighed.why}`);
    const body = bodies.find(([, words]) => words === turned)?.[0] ?? null;
    const holds = HOLDS.find((each): each is Holds => each === turned) ?? null;
    const versionId = version === AS_HANDED_DOWN ? null : version;
    const entered = { id, recipeId: of.recipeId, versionId, at: at.getTime(), grams: weighed.value, body, holds, note: note.trim() };
    if (!(await sendIt("/api/batches/afterwards", entered))) return;
    forget();
    router.push(`/batches/${id}`);
  };
  return (
    <>
      <PageHead title="After the fact" line="A batch that was cooked without Threpsis">
        <Go href="/logbook" className="underline min-h-11 inline-flex items-center">
          To the logbook
        </Go>
      </PageHead>
      <main id="main" className="p-4 md:p-6 max-w-[760px]">
        {sweets.length === 0 ? (
          <p className="max-w-[60ch]">
            What was cooked is entered by its recipe, so that its figures can be told.{" "}
            <Go href="/recipes/new" className="underline">
              Paste the recipe first
            </Go>
          </p>
        ) : (
          <form noValidate onSubmit={(event) => void submit(event)} className="grid gap-4">
            <div className="flex flex-wrap gap-4">
              <Pick
                label="What"
                value={sweet}
                options={sweets.map(({ recipeId, title }) => [recipeId, title] as const)}
                onChange={(next) => put({ sweet: next, version: AS_HANDED_DOWN })}
              />
              {of && of.versions.length > 0 && (
                <Pick
                  label="Which"
                  value={version}
                  options={[[AS_HANDED_DOWN, AS_HANDED_DOWN] as const, ...of.versions.map(({ id, label }) => [id, label] as const)]}
                  onChange={(next) => put({ version: next })}
                />
              )}
            </div>
            <div className="flex flex-wrap gap-4">
              <label className="t-small text-ink2">
                Day
                <input type="date" className={field} max={today} value={day} onChange={(event) => put({ day: event.target.value })} />
              </label>
              <label className="t-small text-ink2">
                Begun at
                <input type="time" className={field} value={clock} onChange={(event) => put({ clock: event.target.value })} />
              </label>
              <label className="t-small text-ink2">
                What came of it, g
                <input
                  inputMode="decimal"
                  placeholder="not weighed"
                  className={`${field} w-36`}
                  value={grams}
                  onChange={(event) => put({ grams: event.target.value })}
                />
              </label>
            </div>
            <Pick
              label="How it turned out"
              value={turned}
              options={[
                [NOT_SAID, NOT_SAID] as const,
                ...bodies.map(([, words]) => [words, words] as const),
                ...HOLDS.map((each) => [each, `shaped: ${each}`] as const),
              ]}
              onChange={(next) => put({ turned: next })}
            />
            <label className="t-small text-ink2">
              A note
              <textarea className={`${field} w-full min-h-24 py-2`} maxLength={1000} value={note} onChange={(event) => put({ note: event.target.value })} />
            </label>
            <WhyNote why={why} />
            <p>
              <button type="submit" aria-busy={isSending} className={buttonClass("primary")}>
                Enter it
              </button>
            </p>
            <p className="t-small text-ink2 max-w-[64ch]">
              It teaches and is compared like any other batch. Nothing is taken off the stock for it. Who tasted it, and a picture, are added at the batch
              itself.
            </p>
          </form>
        )}
      </main>
    </>
  );
}
