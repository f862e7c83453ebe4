"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { send, why as whyOf } from "../../parts/send";
import { ColumnHead, RowHead } from "../../parts/table-heads";
import { failed } from "../../shell/messages";
import type { ChosenData, OverData } from "./triangle-data";

/** What a test came to: in a sentence, what that rests on and what takes from it; each answer, which can be left out. */
export function TriangleResult({ test, over: { told, answers } }: { readonly test: string; readonly over: OverData }) {
  const router = useRouter();
  // As it was pressed, before the server says so.
  const [pressed, setPressed] = useState<Readonly<Record<string, boolean>>>({});
  const sawOf = ({ id, saw }: ChosenData) => pressed[id] ?? saw;
  const mark = async ({ id }: ChosenData, saw: boolean) => {
    setPressed((now) => ({ ...now, [id]: saw }));
    try {
      await send("PUT", `/api/triangles/${test}/answers/${id}`, { saw });
      router.refresh();
    } catch (error) {
      setPressed((now) => ({ ...now, [id]: !saw }));
      failed(whyOf(error, "It could not be changed."));
    }
  };
  return (
    <section aria-labelledby="triangle-result">
      <h2 id="triangle-result" className="text-[26px] font-[600] leading-tight max-w-[30ch]">
        {told.verdict}
      </h2>
      <p className="mt-2 max-w-[68ch]">{told.rests}</p>
      {told.but.length > 0 && (
        <ul className="mt-2 list-disc pl-5 max-w-[66ch]">
          {told.but.map((each) => (
            <li key={each}>{each}</li>
          ))}
        </ul>
      )}
      {answers.length > 0 && (
        <table className="w-full mt-5 max-w-[640px]">
          <caption className="sr-only">Answers</caption>
          <thead>
            <tr className="border-b border-ink t-small text-ink2">
              <ColumnHead>Set</ColumnHead>
              <ColumnHead>Who</ColumnHead>
              <ColumnHead>Chose</ColumnHead>
              <ColumnHead>Saw the codes</ColumnHead>
            </tr>
          </thead>
          <tbody>
            {answers.map((answer) => (
              <tr key={answer.id} className={`border-b border-line t-ledger ${sawOf(answer) ? "text-ink3" : ""}`}>
                <RowHead className="t-figure">{answer.place}</RowHead>
                <td className="py-1">{answer.name}</td>
                <td>
                  <span className="t-figure">{answer.code}</span>, {answer.isRight ? "the other one" : "one of the two"}
                </td>
                <td>
                  <label className="min-h-11 md:min-h-9 flex items-center gap-2">
                    <input
                      type="checkbox"
                      className="size-5 accent-ink"
                      aria-label={`${answer.name}, set ${answer.place}, saw the codes`}
                      checked={sawOf(answer)}
                      onChange={(event) => void mark(answer, event.target.checked)}
                    />
                    {sawOf(answer) ? "left out" : ""}
                  </label>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <p className="t-small text-ink2 mt-4 max-w-[72ch]">
        Triangle test after ISO 4120: exact binomial with a chance of one in three; called told where guessing comes to it in at most one test in twenty; the
        limit of who can tell is exact (Clopper and Pearson), less those who guess.
      </p>
    </section>
  );
}
