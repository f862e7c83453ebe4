"use client";

import type { Caution, SaidClaim, VesselFinding } from "../../../core/cautions";
import type { ToldMistake } from "../../../core/views";
import { Cautions } from "../../parts/cautions";
import { WhyMark } from "../../parts/marks";
import { ofWhom } from "./findings-panel";

/** What vessels, its own words, look-alikes and the usual cautions have to say to this sweet at this table. */
export function CautionsPanel({
  vessels,
  said,
  mistaken,
  cautions,
  names,
  whose,
}: {
  readonly vessels: readonly VesselFinding[];
  readonly said: readonly SaidClaim[];
  readonly mistaken: readonly ToldMistake[];
  readonly cautions: readonly Caution[];
  readonly names: ReadonlyMap<string, string>;
  readonly whose: ReadonlyMap<string, readonly string[]>;
}) {
  return (
    <>
      {vessels.length > 0 && (
        <section aria-labelledby="vessels-title">
          <h2 id="vessels-title" className="t-h2">
            Pans and tools
          </h2>
          <ul className="rule-t mt-1 t-ledger">
            {vessels.map(({ text, rule, verdict }) => (
              <li key={`${text} ${rule}`} className="border-b border-line py-2 flex gap-2">
                <span className="pt-0.5">
                  <WhyMark kind={verdict === "avoid" ? "conflict" : "ask"} />
                </span>
                <span>
                  {text}.{rule !== null && <span className="text-ink2"> {`${names.get(rule) ?? rule}${ofWhom(whose.get(rule) ?? [])}.`}</span>}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {said.length > 0 && (
        <section aria-labelledby="said-title">
          <h2 id="said-title" className="t-h2">
            What the recipe says of itself
          </h2>
          <ul className="rule-t mt-1 t-ledger">
            {said.map(({ words, verdict, because }) => (
              <li key={words} className="border-b border-line py-2 flex gap-2">
                <span className="pt-0.5">
                  <WhyMark kind={verdict === "contradicted" ? "conflict" : "ask"} />
                </span>
                <span>
                  <span className="font-[550]">“{words}”</span> {verdict === "contradicted" ? "does not hold" : "is not known to hold"}: {because}.
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {mistaken.length > 0 && (
        <section aria-labelledby="mistaken-title">
          <h2 id="mistaken-title" className="t-h2">
            Often mistaken
          </h2>
          <p className="t-small text-ink2">in the same weight, a serving</p>
          <ul className="rule-t mt-1 t-ledger">
            {mistaken.map(({ line, food, other, apart, changes, breaks }) => (
              <li key={line} className="border-b border-line py-2">
                <span className="font-[550]">
                  {food}, not {other.toLowerCase()}
                </span>
                {breaks.length > 0 && (
                  <span className="block text-rose">
                    {other} breaks: {breaks.join(", ")}
                  </span>
                )}
                {changes.length > 0 && <span className="block">With it: {changes.join("; ")}</span>}
                <span className="block t-small text-ink2">{apart}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      <Cautions cautions={cautions}>
        <li className="border-b border-line py-2 text-ink2">
          For an allergy, wash the pan, the spoon and the grinder first, and read every packet: what is not known is never called safe.
        </li>
      </Cautions>
    </>
  );
}
