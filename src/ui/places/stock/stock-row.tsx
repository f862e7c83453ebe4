"use client";

import { useState, type SubmitEvent } from "react";
import { dayWords } from "../../../core/calendar";
import { dueOf, dueWords, PLACE_WORDS, SAID_REASONS, STOCK_PLACES, type Due, type StockPlace } from "../../../core/stock";
import { formatGrams } from "../../../core/units";
import { readTyped } from "../../parts/amount-field";
import { buttonClass } from "../../parts/button";
import { WhyMark } from "../../parts/marks";
import { Pick } from "../../parts/pick";
import { send } from "../../parts/send";
import { Go } from "../../shell/go";
import type { Change, StockRowData } from "./stock-data";
import { Why } from "./why";

interface RowProps {
  readonly item: StockRowData;
  readonly today: string;
  readonly change: Change;
}

const DUE: Readonly<Record<Due, string>> = { past: "text-rose font-[550]", soon: "text-saffron font-[550]", later: "", "not known": "text-ink2" };

/** One thing in stock: how much of it, where, until when; some of it taken, or what is said of it changed. */
export function StockRow({ item, today, change }: RowProps) {
  const [open, setOpen] = useState<"take" | "change" | null>(null);
  const { name, foodId, grams, kind, place, gotOn, useBy, note, batchId } = item;
  const due = dueOf(item, today);
  const toggle = (which: "take" | "change") => setOpen((now) => (now === which ? null : which));
  return (
    <li className="border-b border-line py-1.5">
      <div className="grid gap-x-5 items-center grid-cols-[minmax(0,1fr)_auto] md:grid-cols-[minmax(0,1fr)_100px_130px_190px_auto]">
        <span className="min-w-0">
          {foodId ? (
            <Go href={`/pantry/${foodId}`} className="t-new hover:underline">
              {name}
            </Go>
          ) : batchId ? (
            <Go href={`/batches/${batchId}`} className="t-new hover:underline">
              {name}
            </Go>
          ) : (
            <span className="t-new">{name}</span>
          )}
          <span className="block t-small text-ink2">
            {kind}, {dayWords(gotOn)}
            {note === "" ? "" : `; ${note}`}
          </span>
        </span>
        <span className="t-figure text-right">{formatGrams(grams)} g</span>
        <span className="t-ledger max-md:text-ink2">{PLACE_WORDS[place]}</span>
        <span className={`t-ledger flex gap-1.5 items-center max-md:justify-end ${DUE[due]}`}>
          {due === "past" && <WhyMark kind="conflict" />}
          <span>
            {dueWords(item, today)}
            {useBy !== null && <span className="block t-small text-ink2 font-normal">until {dayWords(useBy)}</span>}
          </span>
        </span>
        <span className="flex gap-2 justify-end no-print max-md:col-span-2">
          <button type="button" aria-expanded={open === "take"} className={buttonClass("plain")} onClick={() => toggle("take")}>
            Take<span className="sr-only"> some {name}</span>
          </button>
          <button type="button" aria-expanded={open === "change"} className={buttonClass("plain")} onClick={() => toggle("change")}>
            Change<span className="sr-only"> {name}</span>
          </button>
        </span>
      </div>
      {open === "take" && <Take item={item} change={change} onDone={() => setOpen(null)} />}
      {open === "change" && <Say item={item} today={today} change={change} onDone={() => setOpen(null)} />}
    </li>
  );
}

const field = "border border-edge bg-sheet px-2 min-h-11 md:min-h-9 text-[16px] text-ink min-w-0";
type Reason = (typeof SAID_REASONS)[number] | "weighed";
const REASONS: readonly (readonly [Reason, string])[] = [...SAID_REASONS.map((each) => [each, each] as const), ["weighed", "it weighs now"]];

/** Some of it, or all, and why; or what it weighs now. */
function Take({ item, change, onDone }: Omit<RowProps, "today"> & { readonly onDone: () => void }) {
  const [grams, setGrams] = useState("");
  const [reason, setReason] = useState<Reason>(item.foodId === null ? "eaten" : "used");
  const [why, setWhy] = useState<string | null>(null);
  // Made once: what is sent again after no answer came is there once.
  const [id] = useState(() => crypto.randomUUID());
  const submit = async (event: SubmitEvent) => {
    event.preventDefault();
    const read = grams.trim() === "" && reason !== "weighed" ? { value: item.grams } : readTyped(grams, reason === "weighed" ? 0 : 0.1);
    if ("why" in read) return setWhy(read.why);
    const refused = await change(() => send("POST", `/api/stock/${item.id}/moves`, { id, why: reason, grams: read.value }, { limit: 15_000 }));
    setWhy(refused);
    if (refused === null) onDone();
  };
  return (
    <form className="flex flex-wrap gap-3 items-end py-2 no-print" noValidate onSubmit={(event) => void submit(event)}>
      <label className="t-small text-ink2">
        {reason === "weighed" ? "g" : `g of ${formatGrams(item.grams)}; empty is all`}
        <input autoFocus inputMode="decimal" className={`${field} block w-36 t-figure`} value={grams} onChange={(event) => setGrams(event.target.value)} />
      </label>
      <Pick label="what of it" value={reason} options={REASONS} onChange={setReason} />
      <button type="submit" className={buttonClass("primary")}>
        {reason === "weighed" ? "Put right" : grams.trim() === "" ? "Take all" : "Take"}
      </button>
      <Why why={why} />
    </form>
  );
}

/** Where it is, its last day, a note. */
function Say({ item, today, change, onDone }: RowProps & { readonly onDone: () => void }) {
  const [place, setPlace] = useState<StockPlace>(item.place);
  const [useBy, setUseBy] = useState(item.useBy ?? "");
  const [note, setNote] = useState(item.note);
  const [why, setWhy] = useState<string | null>(null);
  const submit = async (event: SubmitEvent) => {
    event.preventDefault();
    const { foodId, name, kind, gotOn, revision } = item;
    const document = { foodId, name, kind, gotOn, place, useBy: useBy === "" ? null : useBy, note: note.trim() };
    const refused = await change(() => send("PUT", `/api/stock/${item.id}`, { document, revision }, { limit: 15_000 }));
    setWhy(refused);
    if (refused === null) onDone();
  };
  const isSweet = item.batchId !== null;
  return (
    <form className="flex flex-wrap gap-3 items-end py-2 no-print" noValidate onSubmit={(event) => void submit(event)}>
      <Pick
        label="where"
        value={place}
        options={STOCK_PLACES.map((each) => [each, PLACE_WORDS[each]] as const)}
        onChange={(next) => {
          setPlace(next);
          setWhy(null);
          // Elsewhere a sweet keeps as long as it keeps there.
          if (isSweet) setUseBy(next === item.place ? (item.useBy ?? "") : "");
        }}
      />
      <label className="t-small text-ink2">
        last day{isSweet && place !== item.place ? ", empty: as it keeps there" : isSweet && item.useBy !== null ? ", sooner if you wish" : ""}
        <input
          type="date"
          className={`${field} block`}
          min={item.gotOn > today ? today : item.gotOn}
          max={isSweet && item.useBy !== null && place === item.place ? item.useBy : undefined}
          value={useBy}
          onChange={(event) => setUseBy(event.target.value)}
        />
      </label>
      <label className="t-small text-ink2 flex-1 min-w-40">
        note
        <input maxLength={500} className={`${field} block w-full`} value={note} onChange={(event) => setNote(event.target.value)} />
      </label>
      <button type="submit" className={buttonClass("primary")}>
        Write down
      </button>
      <Why why={why} />
    </form>
  );
}
