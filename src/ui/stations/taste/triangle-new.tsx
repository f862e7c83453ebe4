"use client";

import { useRouter } from "next/navigation";
import { useState, type SubmitEvent } from "react";
import { SERVING_TEMPERATURES, type ServingTemperature } from "../../../core/food";
import { MOST_TESTS, testsNeeded, triangleFinds, type TriangleAim } from "../../../core/sensory";
import { readTyped } from "../../parts/amount-field";
import { buttonClass } from "../../parts/button";
import { Pick } from "../../parts/pick";
import { useSendOnce } from "../../parts/use-send-once";
import { WhyNote } from "../../parts/why-note";
import { Go } from "../../shell/go";
import { PageHead } from "../../shell/shell";
import { SERVED_WORDS } from "./taste-data";
import { sampleWords, type SampleData } from "./triangle-data";

interface TriangleNewProps {
  readonly sample: SampleData;
  /** What it can be held against: batches that are done, of its recipe first. */
  readonly others: readonly SampleData[];
  /** Whom it is not for first: they can serve. */
  readonly eaters: readonly { readonly id: string; readonly name: string }[];
  readonly serve: ServingTemperature;
}

const SHARES = [0.3, 0.4, 0.5, 0.6] as const;
const AIMS: readonly (readonly [TriangleAim, string])[] = [
  ["different", "whether anybody tells them apart"],
  ["alike", "that hardly anybody does"],
];
const SOMEBODY = "somebody else";
/** Cups can stand in so many orders. */
const ORDERS = 6;

/** A triangle test is set up: against what, what is to be found out, how many tests that takes, and who serves. */
export function TriangleNew({ sample, others, eaters, serve }: TriangleNewProps) {
  const router = useRouter();
  const [other, setOther] = useState(others[0]?.batch ?? "");
  const [aim, setAim] = useState<TriangleAim>("different");
  const [tell, setTell] = useState<number>(0.5);
  const [typed, setTyped] = useState<string | null>(null);
  const [served, setServed] = useState(serve);
  const [server, setServer] = useState(eaters[0]?.id ?? SOMEBODY);
  const [name, setName] = useState("");
  const { id, why, setWhy, isSending, sendIt } = useSendOnce("The test could not be begun.");
  const tests = typed ?? String(testsFor(tell, aim));
  const read = readTyped(tests, 3, MOST_TESTS);
  const planned = "value" in read && Number.isInteger(read.value) ? read.value : null;
  const submit = async (event: SubmitEvent) => {
    event.preventDefault();
    if (other === "") return setWhy("Choose what it is held against.");
    if (planned === null) return setWhy(`How many tests? A whole number from 3 to ${MOST_TESTS}.`);
    if (server === SOMEBODY && name.trim() === "") return setWhy("Who serves? Who serves knows the cups, and does not taste.");
    const by = server === SOMEBODY ? { eater: null, name: name.trim() } : { eater: server, name: eaters.find((each) => each.id === server)?.name ?? "" };
    if (await sendIt("/api/triangles", { id, batches: [sample.batch, other], aim, tell, planned, served, server: by })) router.push(`/triangles/${id}`);
  };
  const share = (of: number) => `${Math.round(100 * of)} %`;
  return (
    <>
      <PageHead title="Can anybody tell?" line={sampleWords(sample)}>
        <Go href={`/batches/${sample.batch}/taste`} className="underline min-h-11 inline-flex items-center no-print">
          To tasting
        </Go>
      </PageHead>
      <main id="main" className="p-4 md:p-6 max-w-[860px]">
        <p className="max-w-[64ch]">
          Each taster gets three cups, two alike and one of the other sweet, and says which is the other. Who guesses is right once in three: so it takes a
          number of tests before anything is known.
        </p>
        {others.length === 0 ? (
          <p className="mt-4 bg-saffron-wash px-3 py-2">There is no other batch that is done. Cook the other one first: both have to be there to be served.</p>
        ) : (
          <form noValidate onSubmit={(event) => void submit(event)} className="mt-5 grid gap-5 max-w-[640px]">
            <Pick label="Against" value={other} options={others.map((each) => [each.batch, sampleWords(each)] as const)} onChange={setOther} />
            <Pick label="To find out" value={aim} options={AIMS} onChange={setAim} />
            <fieldset>
              <legend className="t-small text-ink2">
                {aim === "different" ? "How many who can tell would matter?" : "How many who can tell would you put up with?"}
              </legend>
              <div className="grid grid-cols-4 border border-edge mt-1">
                {SHARES.map((each) => (
                  <label
                    key={each}
                    className={`relative min-h-14 flex flex-col items-center justify-center cursor-pointer border-r border-line last:border-r-0 ${tell === each ? "bg-ink text-sheet" : "bg-sheet hover:bg-pressed"}`}
                  >
                    <input
                      type="radio"
                      name="tell"
                      className="absolute inset-0 opacity-0 cursor-pointer peer"
                      checked={tell === each}
                      onChange={() => {
                        setTell(each);
                        setTyped(null);
                      }}
                    />
                    <span className="t-figure text-[18px] peer-focus-visible:outline-2 outline-offset-4">{share(each)}</span>
                    <span className="t-small">{testsFor(each, aim)} tests</span>
                  </label>
                ))}
              </div>
            </fieldset>
            <label className="t-small text-ink2">
              Tests
              <input
                inputMode="numeric"
                className="block border border-edge bg-sheet px-2 min-h-11 text-ink text-[18px] w-28"
                value={tests}
                aria-describedby="triangle-finds"
                onChange={(event) => setTyped(event.target.value)}
              />
            </label>
            <p id="triangle-finds" role="status" className="t-ledger max-w-[64ch]">
              {planned === null
                ? `A whole number from 3 to ${MOST_TESTS}.`
                : `${
                    aim === "different"
                      ? `Where ${share(tell)} can tell, ${planned} tests show it ${outOfTen(triangleFinds(aim, planned, tell))}.`
                      : `Where nobody can tell, ${planned} tests show that no more than ${share(tell)} can ${outOfTen(triangleFinds(aim, planned, tell))}.`
                  } ${planned % ORDERS === 0 ? "" : `With a multiple of 6, as ${ORDERS * Math.ceil(planned / ORDERS)}, each order of the cups comes as often as the others. `}One taster may answer more than once; then it holds for those who tasted.`}
            </p>
            <div className="flex flex-wrap gap-5">
              <Pick
                label="Who serves, and does not taste"
                value={server}
                options={[...eaters.map((each) => [each.id, each.name] as const), [SOMEBODY, "somebody else"] as const]}
                onChange={setServer}
              />
              {server === SOMEBODY && (
                <label className="t-small text-ink2">
                  Name
                  <input
                    className="block border border-edge bg-sheet px-2 min-h-11 md:min-h-9 text-ink text-[16px]"
                    maxLength={60}
                    value={name}
                    onChange={(event) => setName(event.target.value)}
                  />
                </label>
              )}
              <Pick
                label="Both are served"
                value={served}
                options={SERVING_TEMPERATURES.map((each) => [each, SERVED_WORDS[each]] as const)}
                onChange={setServed}
              />
            </div>
            <WhyNote why={why} />
            <p>
              <button type="submit" aria-busy={isSending} className={buttonClass("primary")}>
                Code the cups
              </button>
            </p>
          </form>
        )}
      </main>
    </>
  );
}

/** As many as find it 8 times in 10, and all six orders equally often. */
const testsFor = (tell: number, aim: TriangleAim): number => ORDERS * Math.ceil((testsNeeded(tell, 0.2, aim) ?? MOST_TESTS) / ORDERS);
const outOfTen = (share: number): string => (share >= 0.95 ? "nearly always" : share < 0.05 ? "hardly ever" : `${Math.round(10 * share)} times in 10`);
