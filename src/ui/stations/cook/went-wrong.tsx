"use client";

import { useEffect, useMemo, useState } from "react";
import { stoveState, type CookHappening, type CookSession } from "../../../core/cook";
import { FAULTS, type Fault } from "../../../core/rescue";
import { lowerFirst } from "../../../core/units";
import type { CookGround, RescueView, ToldWayOut } from "../../../core/views";
import { useNotAtHand } from "../../panels/use-not-at-hand";
import { FAULT_WORDS, WaysOut } from "../../panels/ways-out";
import { Pick } from "../../parts/pick";
import { why as whyOf } from "../../parts/send";
import { useCompute } from "../../shell/computer";

interface WentWrongProps {
  readonly session: CookSession;
  readonly ground: CookGround;
  readonly act: (happening: CookHappening) => boolean;
  readonly onClose: () => void;
}

/** °C, in the words of who stands at the pot. */
const WARMTH = [
  ["", "not said"],
  ["90", "hot, from the fire"],
  ["40", "lukewarm"],
  ["20", "as cold as the room"],
  ["8", "cold from the fridge"],
] as const;

/** What went wrong with the pot on the stove: the ways out by what is in it now; what is done about it is written down. */
export function WentWrong({ session, ground, act, onClose }: WentWrongProps) {
  const [fault, setFault] = useState<Fault | null>(null);
  const [warmth, setWarmth] = useState<(typeof WARMTH)[number][0]>("");
  const [notAtHand, onMissing] = useNotAtHand();
  const compute = useCompute();
  const stove = useMemo(() => stoveState(session), [session]);
  const question = useMemo(
    () => (fault === null ? null : { ...ground, stove, fault, celsius: warmth === "" ? null : Number(warmth), notAtHand }),
    [ground, stove, fault, warmth, notAtHand],
  );
  const [told, setTold] = useState<{ readonly of: typeof question; readonly view: RescueView | null; readonly why: string | null } | null>(null);
  useEffect(() => {
    if (!question) return;
    let isLeft = false;
    compute("stove rescue", question)
      .then((view) => !isLeft && setTold({ of: question, view, why: null }))
      .catch((error: unknown) => !isLeft && setTold({ of: question, view: null, why: whyOf(error, "It could not be worked out.") }));
    return () => {
      isLeft = true;
    };
  }, [compute, question]);
  const take = (way: ToldWayOut) => {
    if (fault === null) return;
    const step = `own-${crypto.randomUUID().slice(0, 8)}`;
    // What it takes is written down as it goes in; the deed is a step of its own, behind the one that is on.
    const isTaken =
      act({ kind: "note", text: FAULT_WORDS[fault], step: session.now }) && act({ kind: "step added", step, text: way.words, after: session.now });
    if (!isTaken) return;
    for (const { food, name, grams } of way.adds) {
      const line = session.plan.lines.find((each) => each.food === food)?.id ?? null;
      act({ kind: "put in", line, food, name: lowerFirst(name), grams, word: fault });
    }
    if (session.now !== null) act({ kind: "went to", step });
    if (way.boilOff) act({ kind: "stop at", grams: Math.round(way.grams) });
    onClose();
  };
  return (
    <>
      <div className="grid grid-cols-2 gap-2 mt-3">
        {FAULTS.map((each) => (
          <button
            key={each}
            type="button"
            aria-pressed={fault === each}
            className={`text-left px-3 py-2 min-h-14 border t-ledger leading-tight ${fault === each ? "bg-ink text-sheet border-ink" : "border-edge hover:bg-pressed"}`}
            onClick={() => setFault(each)}
          >
            {FAULT_WORDS[each]}
          </button>
        ))}
      </div>
      <div className="mt-3">
        <Pick label="How warm it is" value={warmth} options={WARMTH} onChange={setWarmth} />
      </div>
      <div className="mt-4" aria-live="polite" aria-busy={question !== null && told?.of !== question}>
        {told?.why && (
          <p role="alert" className="text-rose">
            {told.why}
          </p>
        )}
        {told?.view && told.of && (
          <WaysOut view={told.view} fault={FAULT_WORDS[told.of.fault]} isWeighed={stove.weighed !== null} onTake={take} onMissing={onMissing} />
        )}
      </div>
    </>
  );
}
