"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { ATTRIBUTE_WORDS, counted, isAllOneEnd, penalties, PENALTY_FROM, type Attribute, type TastingAnswer } from "../../../core/sensory";
import { buttonClass } from "../../parts/button";
import { send, why as whyOf } from "../../parts/send";
import { spanText } from "../../parts/span-text";
import { NextTime } from "./next-time";
import { SERVED_WORDS, type TastingData } from "./taste-data";

interface SaidProps {
  readonly batch: string;
  readonly tastings: readonly TastingData[];
  readonly onBack: () => void;
}

/** What all said: plain counts, and from twenty answers on what it costs that something is not just right. */
export function Said({ batch, tastings, onBack }: SaidProps) {
  const router = useRouter();
  const [why, setWhy] = useState<string | null>(null);
  const answers = tastings.map(({ answer }) => answer);
  const counts = counted(answers);
  const likings = answers.flatMap(({ liking }) => liking ?? []).sort((a, b) => a - b);
  const told = penalties(answers);
  const oneEnded = tastings.filter(({ answer }) => isAllOneEnd(answer)).map(({ name }) => name);
  const remove = async (id: string) => {
    try {
      await send("DELETE", `/api/batches/${batch}/tastings/${id}`);
      setWhy(null);
      router.refresh();
    } catch (error) {
      setWhy(whyOf(error, "It could not be taken back."));
    }
  };
  return (
    <>
      <h2 className="text-[26px] font-[600]">What was said</h2>
      {counts.length > 0 && (
        <table className="w-full mt-2 t-ledger border-t border-ink">
          <thead className="t-small text-ink2">
            <tr>
              <th scope="col" className="text-left font-[400] py-1">
                {tastings.length === 1 ? "one tasting" : `${tastings.length} tastings`}
              </th>
              <th scope="col" className="text-right font-[400]">
                too little
              </th>
              <th scope="col" className="text-right font-[400]">
                just right
              </th>
              <th scope="col" className="text-right font-[400]">
                too much
              </th>
            </tr>
          </thead>
          <tbody>
            {counts.map(({ attribute, little, right, much }) => (
              <tr key={attribute} className="border-t border-line">
                <th scope="row" className="text-left font-[550] py-2">
                  {ATTRIBUTE_WORDS[attribute].name}
                </th>
                {[
                  [little, ATTRIBUTE_WORDS[attribute].little],
                  [right, ""],
                  [much, ATTRIBUTE_WORDS[attribute].much],
                ].map(([count, words], i) => (
                  <td key={i} className={`text-right t-figure ${i === 1 ? "font-[600]" : ""}`}>
                    {count === 0 ? "0" : count}
                    {count !== 0 && words !== "" && <span className="block t-small text-ink2">{words}</span>}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {likings.length > 0 && (
        <p className="mt-3">
          Liking, of 9: {likings.join(", ")}
          {likings.length > 1 ? `; in the middle ${middleOf(likings)}` : ""}.
        </p>
      )}
      {told.length > 0 ? (
        <ul className="mt-3 t-ledger list-disc pl-5">
          {told.map(({ attribute, end, share, answers: all, drop }) => (
            <li key={`${attribute} ${end}`}>
              {Math.round(100 * share)} % of {all} find it {endWords(attribute, end)}; they like it {drop.value.toFixed(1)} of 9 less ({drop.low.toFixed(1)} to{" "}
              {drop.high.toFixed(1)}, 8 times in 10).
            </li>
          ))}
        </ul>
      ) : (
        <p className="t-small text-ink2 mt-2 max-w-[64ch]">
          Below {PENALTY_FROM} answers with a liking these are counts, and no more: what it costs that something is off cannot be told from so few.
        </p>
      )}
      {oneEnded.length > 0 && (
        <p className="t-ledger mt-2 bg-saffron-wash px-3 py-2">
          {oneEnded.join(", ")} said the same end of everything: that may be of the day more than of the sweet.
        </p>
      )}
      <NextTime batch={batch} tastings={tastings.length} />
      <section aria-labelledby="each-head" className="mt-6">
        <h3 id="each-head" className="t-h2">
          One by one
        </h3>
        {why && (
          <p role="alert" className="bg-rose-wash text-rose px-3 py-2 my-2">
            {why}
          </p>
        )}
        <ul className="border-t border-ink mt-1">
          {tastings.map(({ id, name, isGuest, served, when, after, answer }) => (
            <li key={id} className="border-b border-line py-2 t-ledger flex gap-4 items-baseline">
              <span className="flex-1">
                <span className="font-[550]">{name}</span>
                {isGuest ? ", a guest" : ""}, {SERVED_WORDS[served]}, {when}, {afterWords(after)}: {wordsOf(answer)}
              </span>
              <button type="button" className="underline min-h-11 no-print" onClick={() => void remove(id)}>
                Take back<span className="sr-only"> what {name} said</span>
              </button>
            </li>
          ))}
        </ul>
      </section>
      <p className="mt-6 no-print">
        <button type="button" className={buttonClass("plain")} onClick={onBack}>
          Back
        </button>
      </p>
    </>
  );
}

const endWords = (attribute: Attribute, end: "too little" | "too much"): string => ATTRIBUTE_WORDS[attribute][end === "too little" ? "little" : "much"];

function wordsOf({ steps, liking, word }: TastingAnswer): string {
  const off = (Object.entries(steps) as [Attribute, number][]).flatMap(([attribute, step]) =>
    step === 0 ? [] : [`${Math.abs(step) === 2 ? "much " : ""}${endWords(attribute, step < 0 ? "too little" : "too much")}`],
  );
  const right = Object.values(steps).length > 0 && off.length === 0 ? ["all just right"] : off;
  return [...right, ...(liking === null ? [] : [`liking ${liking} of 9`]), ...(word === "" ? [] : [`“${word}”`])].join(", ");
}

/** How long after it was done: to the minute on the day, to the day later. */
const afterWords = (minutes: number): string =>
  minutes < 2
    ? "as it was done"
    : minutes < 48 * 60
      ? `${spanText(minutes < 60 ? minutes : 10 * Math.round(minutes / 10))} after`
      : `${Math.round(minutes / (24 * 60))} days after`;

/** The middle of sorted whole numbers; between two of them their mean. */
function middleOf(sorted: readonly number[]): string {
  const half = sorted.length / 2;
  const middle = ((sorted[Math.ceil(half) - 1] ?? 0) + (sorted[Math.floor(half)] ?? 0)) / 2;
  return Number.isInteger(middle) ? String(middle) : middle.toFixed(1);
}
