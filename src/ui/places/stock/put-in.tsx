"use client";

import { useEffect, useRef, useState, type SubmitEvent } from "react";
import { PLACE_WORDS, STOCK_KINDS, STOCK_LIMITS, STOCK_PLACES, type StockKind, type StockPlace } from "../../../core/stock";
import { formatGrams } from "../../../core/units";
import type { StockLine } from "../../../core/views";
import { readTyped } from "../../parts/amount-field";
import { buttonClass } from "../../parts/button";
import { Pick } from "../../parts/pick";
import { send } from "../../parts/send";
import { useCompute } from "../../shell/computer";
import type { Change } from "./stock-data";
import { Why } from "./why";

const field = "border border-edge bg-sheet px-2 min-h-11 md:min-h-9 text-[16px] text-ink min-w-0";

/** Puts something in stock, by a line as in a recipe: what it is and how much is read from it. */
export function PutIn({ today, change }: { readonly today: string; readonly change: Change }) {
  const [text, setText] = useState("");
  const read = useRead(text);
  const [grams, setGrams] = useState("");
  const [kind, setKind] = useState<StockKind>("bought");
  const [where, setWhere] = useState<StockPlace | null>(null);
  const [gotOn, setGotOn] = useState(today);
  const [useBy, setUseBy] = useState("");
  const [why, setWhy] = useState<string | null>(null);
  const [isSending, setSending] = useState(false);
  const id = useRef<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const line = read?.of === text.trim() ? read.line : null;
  const place = where ?? line?.place ?? "cupboard";
  const isAsked = line !== null && line.grams === null;
  const submit = async (event: SubmitEvent) => {
    event.preventDefault();
    if (text.trim() === "") return setWhy("Say what it is, and how much: 1 kg jaggery.");
    if (!line) return setWhy("It is still being read. Press again in a moment.");
    const typed = grams.trim() === "" ? { value: line.grams } : readTyped(grams, 0.1, STOCK_LIMITS.grams);
    if ("why" in typed) return setWhy(typed.why);
    if (typed.value === null) return setWhy("How much of it is there? Give the grams.");
    if (gotOn === "") return setWhy("On which day did it come?");
    if (isSending) return;
    setWhy(null);
    setSending(true);
    id.current ??= crypto.randomUUID();
    const item = {
      id: id.current,
      foodId: line.foodId,
      name: line.name.slice(0, STOCK_LIMITS.name),
      kind,
      place,
      gotOn,
      useBy: useBy === "" ? null : useBy,
      note: "",
    };
    const refused = await change(() => send("POST", "/api/stock", { ...item, grams: typed.value }, { limit: 15_000 }));
    setSending(false);
    setWhy(refused);
    if (refused !== null) return;
    id.current = null;
    // What was typed on meanwhile stays.
    setText((now) => (now === text ? "" : now));
    setGrams("");
    setUseBy("");
    setWhere(null);
    input.current?.focus();
  };
  return (
    <form aria-label="Put in stock" className="no-print" noValidate onSubmit={(event) => void submit(event)}>
      <div className="flex flex-wrap gap-3 items-end">
        <label className="t-small text-ink2 flex-1 basis-64 min-w-0">
          What comes in
          <input
            ref={input}
            placeholder="1 kg jaggery; half a can of coconut milk"
            maxLength={STOCK_LIMITS.name}
            className={`${field} block w-full`}
            value={text}
            onChange={(event) => setText(event.target.value)}
            aria-describedby="stock-read"
          />
        </label>
        {(isAsked || grams !== "") && (
          <label className="t-small text-ink2">
            How much, g
            <input inputMode="decimal" className={`${field} block w-24 t-figure`} value={grams} onChange={(event) => setGrams(event.target.value)} />
          </label>
        )}
        <Pick label="how it came" value={kind} options={STOCK_KINDS.map((each) => [each, each] as const)} onChange={setKind} />
        <Pick label="where" value={place} options={STOCK_PLACES.map((each) => [each, PLACE_WORDS[each]] as const)} onChange={setWhere} />
        <label className="t-small text-ink2">
          came on
          <input type="date" className={`${field} block`} max={today} value={gotOn} onChange={(event) => setGotOn(event.target.value)} />
        </label>
        <label className="t-small text-ink2">
          last day, if it has one
          <input type="date" className={`${field} block`} min={gotOn} value={useBy} onChange={(event) => setUseBy(event.target.value)} />
        </label>
        <button type="submit" aria-busy={isSending} className={buttonClass("primary")}>
          Put in stock
        </button>
      </div>
      <p id="stock-read" role="status" className="t-ledger text-ink2 mt-1.5 min-h-6">
        {line && readWords(line)}
      </p>
      <Why why={why} />
    </form>
  );
}

function readWords({ foodId, name, grams, how }: StockLine): string {
  if (foodId === null)
    return `“${name}”${grams === null ? "" : `, ${formatGrams(grams)} g`}: no food of the tables for sure, so it is kept by its name, and no batch takes it by itself. ${how}.`;
  return grams === null ? `${name}. ${how}` : `${name}, ${formatGrams(grams)} g: ${how}`;
}

const PAUSE_MS = 120;
/** What a line says, once typing pauses; with the line that it is of. */
function useRead(text: string): { readonly of: string; readonly line: StockLine | null } | null {
  const compute = useCompute();
  const [read, setRead] = useState<{ readonly of: string; readonly line: StockLine | null } | null>(null);
  useEffect(() => {
    let here = true;
    const of = text.trim();
    const timer = setTimeout(() => void compute("stock line", { text: of }).then((line) => here && setRead({ of, line })), of === "" ? 0 : PAUSE_MS);
    return () => {
      here = false;
      clearTimeout(timer);
    };
  }, [text, compute]);
  return read;
}
