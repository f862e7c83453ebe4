"use client";

import { formatGrams, formatNumber } from "../../../core/units";
import type { StoveView } from "../../../core/views";
import { inHouseUnit } from "../../parts/figure-words";
import { WhyMark } from "../../parts/marks";
import { useHousehold } from "../../shell/household";

interface AsItStandsProps {
  readonly view: StoveView;
  readonly isBehind: boolean;
  readonly why: string | null;
  /** What still waits, in words; empty where nothing does. */
  readonly waits: string;
  /** What came of it, where it is done: by weight, or nobody weighed it. */
  readonly end: "weighed" | "not weighed" | null;
}

const digitsOf = (id: string): number => (id === "yield" || id === "serving.energy" ? 0 : id === "binding" ? 2 : 1);

/** The whole batch in figures: as it stands, beside as it was meant; and what is known of it at its table. */
export function AsItStands({ view, isBehind, why, waits, end }: AsItStandsProps) {
  const { energy } = useHousehold().units;
  const { verdict, unknown } = view;
  return (
    <section aria-label={end === null ? "As it stands" : "As it came out"} aria-busy={isBehind} className="mb-6">
      <h2 className="t-h2">{end === null ? "As it stands" : "As it came out"}</h2>
      <p className="t-ledger text-ink2">
        {end === "weighed" ? "By what went in and what came of it" : "The whole batch, cooked down as it should be"}
        {waits === "" ? "" : `, without ${waits}`}.
      </p>
      {why && (
        <p role="alert" className="t-ledger text-rose">
          {why}
        </p>
      )}
      <table className="w-full t-ledger border-t border-ink mt-1">
        <thead>
          <tr className="text-left text-ink2">
            <th scope="col" className="font-normal">
              <span className="sr-only">Figure</span>
            </th>
            <th scope="col" className="font-normal text-right">
              meant
            </th>
            <th scope="col" className="font-normal text-right">
              {end === null ? "now" : "got"}
            </th>
          </tr>
        </thead>
        <tbody>
          {view.figures.map(({ id, name, unit: own, per, meant, now, isNoticed, words }) => {
            const text = (value: number) =>
              id === "yield" ? formatGrams(Math.round(value)) : formatNumber(Number(inHouseUnit(value, own, { energy }).value.toFixed(digitsOf(id))));
            const { unit } = inHouseUnit(1, own, { energy });
            const half = Math.max(now.high - now.value, now.value - now.low);
            return (
              <tr key={id} className="border-t border-line align-top">
                <th scope="row" className="font-normal text-left py-1 pr-2">
                  {name}
                  <span className="text-ink2">
                    {unit && `, ${unit}`}
                    {per && per !== "finished" ? ` ${per}` : ""}
                  </span>
                  {words && <span className="block text-ink2">{words}</span>}
                </th>
                <td className="t-figure text-right py-1 text-ink2">{text(meant)}</td>
                <td className={`t-figure text-right py-1 pl-3 whitespace-nowrap ${isNoticed ? "font-[650]" : ""}`}>
                  {text(now.value)} <span className="text-ink2 t-small">±{text(half)}</span>
                  {isNoticed && <span className="block t-small">noticed</span>}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {verdict.kind === "not for" && (
        <p role="alert" className="t-ledger bg-rose-wash text-rose px-3 py-2 mt-2 flex gap-2">
          <WhyMark kind="conflict" />
          <span>
            Not for {verdict.notFor.join(", ")}: {verdict.breaches.join("; ")}
          </span>
        </p>
      )}
      {verdict.kind === "over a limit" && (
        <p className="t-ledger bg-rose-wash text-rose px-3 py-2 mt-2 flex gap-2">
          <WhyMark kind="conflict" />
          <span>{verdict.breaches.join("; ")}</span>
        </p>
      )}
      {verdict.questions.length > 0 && (
        <p className="t-ledger bg-saffron-wash px-3 py-2 mt-2 flex gap-2">
          <WhyMark kind="ask" />
          <span>{verdict.questions.join(" ")}</span>
        </p>
      )}
      {unknown.length > 0 && (
        <p className="t-ledger bg-saffron-wash px-3 py-2 mt-2 flex gap-2">
          <WhyMark kind="ask" />
          <span>No table knows what {unknown.join(", ")} holds: no figure counts it, and nobody can say whether it fits this table.</span>
        </p>
      )}
    </section>
  );
}
