"use client";

import { useState, type SubmitEvent } from "react";
import type { MayTaste } from "../../../core/views";
import { buttonClass } from "../../parts/button";
import { send, why as whyOf } from "../../parts/send";
import { WhyNote } from "../../parts/why-note";
import type { Taster } from "./taste-data";

interface GuestProps {
  /** Where it is found out whether they may taste it. */
  readonly ask: string;
  readonly allergies: readonly { readonly name: string; readonly rule: string }[];
  readonly onAsk: (taster: Taster) => void;
  readonly onBack: () => void;
}

/** A guest: asked about allergies before anything is offered. Only what they say is kept, and their name. */
export function Guest({ ask, allergies, onAsk, onBack }: GuestProps) {
  const [name, setName] = useState("");
  const [kept, setKept] = useState<readonly string[]>([]);
  const [other, setOther] = useState("");
  const [isNone, setNone] = useState(false);
  const [found, setFound] = useState<MayTaste | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  const guest = { name: name.trim(), rules: kept, other: other.trim() };
  const start = (isSettled: boolean) => onAsk({ eater: null, guest, name: guest.name, isSettled });
  const change = (rule: string, isKept: boolean) => {
    setFound(null);
    setNone(false);
    setKept(isKept ? [...kept, rule] : kept.filter((each) => each !== rule));
  };
  const submit = async (event: SubmitEvent) => {
    event.preventDefault();
    setFound(null);
    if (guest.name === "") return setWhy("What is the guest called? A first name will do.");
    if (kept.length === 0 && guest.other === "" && !isNone) return setWhy("Ask first: is there anything that makes them ill? If there is nothing, say so.");
    try {
      const { may } = (await send("POST", ask, { guests: [guest] })) as { readonly may: readonly MayTaste[] };
      setWhy(null);
      if (may[0]?.may === "yes") start(false);
      else setFound(may[0] ?? null);
    } catch (error) {
      setWhy(whyOf(error, "It could not be found out whether they may taste it."));
    }
  };
  return (
    <form noValidate onSubmit={(event) => void submit(event)}>
      <h2 className="text-[26px] font-[600]">A guest</h2>
      <label className="block mt-2">
        Name
        <input
          className="block border border-edge bg-sheet px-3 min-h-14 text-[20px] w-full max-w-80"
          maxLength={60}
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
      </label>
      <fieldset className="mt-4">
        <legend className="font-[550]">Does anything make you ill?</legend>
        <label className="flex items-center gap-3 min-h-11 border-b border-line">
          <input
            type="checkbox"
            className="size-6 accent-ink"
            checked={isNone}
            onChange={(event) => {
              setFound(null);
              setNone(event.target.checked);
              if (!event.target.checked) return;
              setKept([]);
              setOther("");
            }}
          />
          No, nothing does, nor traces of anything
        </label>
        <div className="grid sm:grid-cols-2 md:grid-cols-3 gap-x-5">
          {allergies.map(({ name: what, rule }) => (
            <label key={rule} className="flex items-center gap-3 min-h-11 border-b border-line t-ledger">
              <input
                type="checkbox"
                className="size-6 accent-ink shrink-0"
                checked={kept.includes(rule)}
                onChange={(event) => change(rule, event.target.checked)}
              />
              <span className="first-letter:uppercase">{what}</span>
            </label>
          ))}
        </div>
        <label className="block mt-3 t-ledger">
          Something else
          <input
            className="block border border-edge bg-sheet px-3 min-h-11 w-full max-w-80 text-[16px]"
            maxLength={200}
            placeholder="kiwi, cinnamon"
            value={other}
            onChange={(event) => {
              setFound(null);
              setNone(false);
              setOther(event.target.value);
            }}
          />
        </label>
      </fieldset>
      <WhyNote why={why} />
      {found && (
        <div role="alert" className={`mt-3 px-3 py-2 ${found.may === "no" ? "bg-rose-wash" : "bg-saffron-wash"}`}>
          <p className="font-[550]">{found.may === "no" ? `It is not for ${found.name}.` : `Something is to be settled before ${found.name} tastes it.`}</p>
          <ul className="list-disc pl-5 t-ledger">
            {found.why.map((each) => (
              <li key={each}>{each}</li>
            ))}
          </ul>
          {found.may === "ask" && (
            <p className="mt-2">
              <button type="button" className={buttonClass("plain")} onClick={() => start(true)}>
                I have settled this: it is fine for {found.name}
              </button>
            </p>
          )}
        </div>
      )}
      <p className="mt-5 flex gap-3">
        <button type="submit" className={buttonClass("primary")}>
          Taste it
        </button>
        <button type="button" className={buttonClass("plain")} onClick={onBack}>
          Back
        </button>
      </p>
      <p className="t-small text-ink2 mt-3 max-w-[60ch]">What a guest avoids is not kept, only their name and what they say of the sweet.</p>
    </form>
  );
}
