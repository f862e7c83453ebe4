"use client";

import { useState } from "react";
import type { MayTaste } from "../../../core/views";
import { buttonClass } from "../../parts/button";
import { WhyMark } from "../../parts/marks";
import type { Taster } from "./taste-data";

interface WhoProps {
  readonly may: readonly MayTaste[];
  /** Who has tasted already, an id for each time. */
  readonly tasted: readonly (string | null)[];
  readonly onAsk: (taster: Taster) => void;
  readonly onGuest: () => void;
}

/** Who is next: those who may taste it, each a press; whom something is to be asked of before; and those it is not for. */
export function Who({ may, tasted, onAsk, onGuest }: WhoProps) {
  const [asked, setAsked] = useState<string | null>(null);
  const offered = may.filter((each) => each.may !== "no");
  const barred = may.filter((each) => each.may === "no");
  const start = (each: MayTaste, isSettled: boolean) => onAsk({ eater: each.eater, guest: null, name: each.name, isSettled });
  const times = (eater: string) => tasted.filter((each) => each === eater).length;
  return (
    <>
      <section aria-labelledby="who-head">
        <h2 id="who-head" className="text-[26px] font-[600]">
          Who tastes it?
        </h2>
        {may.length === 0 && <p className="mt-2 max-w-[60ch]">Nobody is named in the household yet. A guest can taste it all the same.</p>}
        <ul className="border-t border-ink mt-2">
          {offered.map((each) => (
            <li key={each.eater} className="border-b border-line">
              <button
                type="button"
                className="w-full text-left min-h-14 py-2 px-1 flex flex-wrap gap-x-4 items-center hover:bg-pressed"
                aria-expanded={each.may === "ask" ? asked === each.eater : undefined}
                onClick={() => (each.may === "ask" ? setAsked(asked === each.eater ? null : each.eater) : start(each, false))}
              >
                <span className="text-[22px] font-[550] flex-1">{each.name}</span>
                {each.may === "ask" && (
                  <span className="t-ledger flex gap-1.5 items-center">
                    <WhyMark kind="ask" /> something to settle first
                  </span>
                )}
                {each.may === "yes" && each.why.length > 0 && <span className="t-small text-ink2">{each.why.join("; ")}</span>}
                {times(each.eater) > 0 && <span className="t-ledger text-ink2">has tasted it{times(each.eater) > 1 ? ` ${times(each.eater)} times` : ""}</span>}
              </button>
              {asked === each.eater && (
                <div className="bg-saffron-wash px-3 py-2 mb-2">
                  <ul className="list-disc pl-5 t-ledger">
                    {each.why.map((why) => (
                      <li key={why}>{why}</li>
                    ))}
                  </ul>
                  <p className="mt-2">
                    <button type="button" className={buttonClass("plain")} onClick={() => start(each, true)}>
                      I have settled this: it is fine for {each.name}
                    </button>
                  </p>
                </div>
              )}
            </li>
          ))}
        </ul>
        <p className="mt-3">
          <button type="button" className={buttonClass("plain")} onClick={onGuest}>
            A guest
          </button>
        </p>
      </section>
      {barred.length > 0 && (
        <section aria-labelledby="barred-head" className="mt-6">
          <h2 id="barred-head" className="t-h2">
            It is not for
          </h2>
          <ul className="border-t border-ink mt-1">
            {barred.map(({ eater, name, why }) => (
              <li key={eater} className="border-b border-line py-2 t-ledger flex gap-2">
                <span className="pt-0.5">
                  <WhyMark kind="conflict" />
                </span>
                <span>
                  <span className="font-[550]">{name}</span>: {why.join("; ")}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}
