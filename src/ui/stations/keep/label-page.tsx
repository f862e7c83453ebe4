"use client";

import { useEffect, useState } from "react";
import { datedLabel, lastDay, LABEL_ENDS, PACKINGS, type LabelContents, type Packing } from "../../../core/keep";
import { PLACE_WORDS, STOCK_PLACES, type StockPlace } from "../../../core/stock";
import { Pick } from "../../parts/pick";
import { PrintButton } from "../../parts/print-button";
import { Go } from "../../shell/go";
import { PageHead } from "../../shell/shell";
import { LabelA6 } from "./label-a6";
import { LabelOfSheet, LabelRound } from "./label-small";

const SIZES = [
  ["a6", "A6, all of it"],
  ["round", "round, 60 mm"],
  ["sheet", "a sheet of A4, 63 by 46 mm"],
] as const;
type Size = (typeof SIZES)[number][0];
const SIZE_IDS: readonly string[] = SIZES.map(([id]) => id);
/** So many fit on a sheet of A4. */
const ON_A_SHEET = 18;

interface LabelPageProps {
  readonly title: string;
  readonly back: string;
  readonly contents: LabelContents;
  readonly book: string;
  /** The day it was made; null where that is to be said. */
  readonly madeOn: string | null;
  readonly today: string;
  readonly boxes: readonly { readonly event: string; readonly name: string; readonly grams: number | null }[];
  /** What the address asks for. */
  readonly asked: Readonly<Partial<Record<"size" | "place" | "packing" | "made" | "until" | "book" | "names" | "box", string>>>;
}

/** A label to print: its size, dates and what stands on it are chosen above it, and kept in the address. */
export function LabelPage({ title, back, contents, book: own, madeOn, today, boxes, asked }: LabelPageProps) {
  const { storage, nutrition } = contents;
  const kept = STOCK_PLACES.filter((each) => lastDay(storage, each, today) !== null);
  const [size, setSize] = useState<Size>(() => (SIZE_IDS.includes(asked.size ?? "") ? (asked.size as Size) : "a6"));
  const [place, setPlace] = useState<StockPlace>(
    () => STOCK_PLACES.find((each) => each === asked.place) ?? (kept.includes("cupboard") ? "cupboard" : "fridge"),
  );
  const [packing, setPacking] = useState<Packing>(() => PACKINGS.find((each) => each === asked.packing) ?? "covered");
  const [made, setMade] = useState(() => madeOn ?? asked.made ?? today);
  const [until, setUntil] = useState(() => asked.until ?? "");
  const [book, setBook] = useState(() => nutrition.find((each) => each.book === asked.book)?.book ?? own);
  const [isNamed, setNamed] = useState(() => asked.names !== "no");
  const [box, setBox] = useState(() => asked.box ?? "");
  const [doesFit, setFit] = useState(true);
  useEffect(() => {
    const query = new URLSearchParams({
      size,
      place,
      ...(packing === "covered" ? {} : { packing }),
      ...(madeOn === null ? { made } : {}),
      ...(until ? { until } : {}),
      book,
      ...(isNamed ? {} : { names: "no" }),
      ...(box ? { box } : {}),
    });
    window.history.replaceState(null, "", `?${query.toString()}`);
  }, [size, place, packing, made, madeOn, until, book, isNamed, box]);

  const last = lastDay(storage, place, made);
  const dated = datedLabel(contents, { madeOn: made, place, packing, useBy: until === "" ? null : until }, today);
  const wrong = (field: string) => (dated.ok || dated.field !== field ? null : dated.why);
  const chosen = boxes.find(({ event }) => event === box) ?? null;
  const shown = dated.ok ? { contents, dated: dated.value, book, isNamed, box: chosen } : null;
  const isSmall = size !== "a6";
  return (
    <>
      <div className="no-print">
        <PageHead title="Label" line={title}>
          <span className="flex gap-3 items-center">
            {shown && doesFit && <PrintButton />}
            <Go href={back} className="underline min-h-11 inline-flex items-center">
              Back to Keep
            </Go>
          </span>
        </PageHead>
      </div>
      <main id="main" className="p-4 md:p-6 print:p-0">
        <form aria-label="What stands on it" className="no-print flex flex-wrap gap-x-5 gap-y-3 items-end mb-6" onSubmit={(event) => event.preventDefault()}>
          <Pick
            label="size"
            value={size}
            options={SIZES}
            onChange={(next) => {
              setFit(true);
              setSize(next);
            }}
          />
          <Pick
            label="kept"
            value={place}
            options={STOCK_PLACES.map((each) => [each, PLACE_WORDS[each]] as const)}
            onChange={(next) => {
              setPlace(next);
              setUntil("");
            }}
          />
          <Pick label="closed" value={packing} options={PACKINGS.map((each) => [each, each] as const)} onChange={setPacking} />
          {madeOn === null && <Day label="made on" value={made} why={wrong("madeOn")} onChange={setMade} />}
          <Day label="use by" value={until || (last ?? "")} most={last ?? undefined} why={wrong("useBy")} onChange={setUntil} />
          {size === "a6" && nutrition.length > 0 && (
            <Pick label="nutrition by the rules of" value={book} options={nutrition.map((each) => [each.book, each.name] as const)} onChange={setBook} />
          )}
          {boxes.length > 0 && (
            <Pick label="whose" value={box} options={[["", "the whole"], ...boxes.map((each) => [each.event, each.name] as const)]} onChange={setBox} />
          )}
          <label className="flex items-center gap-2 min-h-11 md:min-h-9">
            <input type="checkbox" className="size-5" checked={isNamed} onChange={(event) => setNamed(event.target.checked)} />
            <span>names of those who eat here</span>
          </label>
        </form>
        {!dated.ok && (
          <p role="alert" className="no-print bg-rose-wash text-rose px-3 py-2 mb-4 max-w-[70ch]">
            {dated.why}
          </p>
        )}
        {isSmall && !doesFit && (
          <p role="alert" className="no-print bg-rose-wash text-rose px-3 py-2 mb-4 max-w-[70ch]">
            What has to stand on it does not fit {size === "round" ? "a round label" : "a label of a sheet"}: nothing of it may be left out. Take A6, or leave
            the names off.
          </p>
        )}
        {isSmall && shown && (
          <p className="no-print t-ledger text-ink2 mb-3 max-w-[70ch]">
            A small label has no list of ingredients and no nutrition: the A6 goes with it. {LABEL_ENDS[0]}
          </p>
        )}
        {shown && size === "a6" && (
          <div className="lg:[zoom:1.4] print:[zoom:1]">
            <LabelA6 {...shown} />
          </div>
        )}
        {shown && size === "round" && (
          <div className={`label-round lg:[zoom:1.6] print:[zoom:1] ${doesFit ? "" : "print:hidden"}`}>
            <LabelRound {...shown} onFit={setFit} />
          </div>
        )}
        {shown && size === "sheet" && (
          <div className={`label-sheet grid grid-cols-[repeat(auto-fill,63mm)] print:grid-cols-[repeat(3,63mm)] ${doesFit ? "" : "print:hidden"}`}>
            {Array.from({ length: ON_A_SHEET }, (_, i) => (
              <LabelOfSheet key={i} {...shown} onFit={setFit} />
            ))}
          </div>
        )}
      </main>
    </>
  );
}

interface DayProps {
  readonly label: string;
  readonly value: string;
  readonly most?: string | undefined;
  readonly why: string | null;
  readonly onChange: (day: string) => void;
}
const Day = ({ label, value, most, why, onChange }: DayProps) => (
  <label className="t-small text-ink2">
    {label}
    <input
      type="date"
      value={value}
      max={most}
      aria-invalid={why !== null}
      onChange={(event) => {
        // What is no day yet, while it is typed, changes nothing.
        if (event.target.value !== "") onChange(event.target.value);
      }}
      className={`block border bg-sheet px-2 min-h-11 md:min-h-9 text-ink text-[16px] ${why === null ? "border-edge" : "border-rose"}`}
    />
  </label>
);
