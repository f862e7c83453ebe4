"use client";

import { useState, type SubmitEvent } from "react";
import { buttonClass } from "../../parts/button";
import { useSendOnce } from "../../parts/use-send-once";
import { WhyNote } from "../../parts/why-note";
import type { Taster } from "./taste-data";

interface TriangleCupsProps {
  readonly test: string;
  readonly taster: Taster;
  readonly place: number;
  readonly codes: readonly string[];
  /** Whether something was chosen and kept. */
  readonly onDone: (isKept: boolean) => void;
}

/** One set of three cups: which is other than the two? Who cannot tell guesses; whether it was right is told to nobody before the end. */
export function TriangleCups({ test, taster, place, codes, onDone }: TriangleCupsProps) {
  const [code, setCode] = useState<string | null>(null);
  const { id, why, setWhy, isSending, sendIt } = useSendOnce("It could not be kept.");
  const submit = async (event: SubmitEvent) => {
    event.preventDefault();
    if (code === null) return setWhy("Choose one of the three. Who cannot tell guesses.");
    const { eater, guest, isSettled } = taster;
    if (await sendIt(`/api/triangles/${test}/answers`, { id, eater, guest, isSettled, place, code })) onDone(true);
  };
  return (
    <form noValidate onSubmit={(event) => void submit(event)}>
      <p className="text-[20px] max-w-[52ch]">
        Ask for <strong className="font-[600]">set {place}</strong>. Taste the three from left to right, with a sip of water between. Two are the same.
      </p>
      <fieldset className="mt-5">
        <legend className="text-[22px] font-[600]">Which is other than the two?</legend>
        <div className="grid grid-cols-3 gap-3 mt-3 max-w-[560px]">
          {codes.map((each) => (
            <label
              key={each}
              className={`relative min-h-[120px] flex items-center justify-center cursor-pointer border-[1.5px] ${code === each ? "bg-ink text-sheet border-ink" : "bg-sheet border-edge hover:bg-pressed"}`}
            >
              <input
                type="radio"
                name="other"
                className="absolute inset-0 opacity-0 cursor-pointer peer"
                checked={code === each}
                onChange={() => {
                  setCode(each);
                  setWhy(null);
                }}
              />
              <span className="t-figure text-[34px] font-[600] peer-focus-visible:outline-2 outline-offset-4">{each}</span>
            </label>
          ))}
        </div>
      </fieldset>
      <WhyNote why={why} />
      <p className="mt-6 flex flex-wrap gap-3">
        <button type="submit" aria-busy={isSending} className={buttonClass("primary", "min-h-14")}>
          This one, hand it on
        </button>
        <button type="button" className={buttonClass("plain", "min-h-14")} onClick={() => onDone(false)}>
          Leave it
        </button>
      </p>
    </form>
  );
}
