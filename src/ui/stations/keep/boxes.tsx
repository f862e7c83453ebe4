"use client";

import { useState } from "react";
import { dayWords } from "../../../core/calendar";
import type { CookHappening, CookSession } from "../../../core/cook";
import { SERVING_TEMPERATURES, type ServingTemperature } from "../../../core/food";
import { formatGrams } from "../../../core/units";
import type { PortionFor } from "../../../core/views";
import { readTyped } from "../../parts/amount-field";
import { buttonClass } from "../../parts/button";
import { Pick } from "../../parts/pick";

interface BoxesProps {
  readonly session: CookSession;
  readonly portions: readonly PortionFor[];
  readonly serve: ServingTemperature;
  readonly today: string;
  readonly act: (happening: CookHappening) => boolean;
}

const HEAT_WORDS: Readonly<Record<ServingTemperature, string>> = { hot: "hot", warm: "warm", room: "at room heat", chilled: "chilled" };
const field = "border border-edge bg-sheet px-2 min-h-11 md:min-h-9 text-[16px] min-w-0";

/** Who gets which box: as worked out for each at the table, with what is passed beside; and what is set aside, day and heat with it. */
export function Boxes({ session: { setAside, got, plan, leftOver }, portions, serve, today, act }: BoxesProps) {
  const [day, setDay] = useState(today);
  const [heat, setHeat] = useState(serve);
  const [name, setName] = useState("");
  const [grams, setGrams] = useState("");
  const [sugar, setSugar] = useState("");
  const [why, setWhy] = useState<string | null>(null);
  const all = got ?? plan.grams;
  const gone = setAside.reduce((sum, each) => sum + (each.grams ?? 0), 0) + leftOver.reduce((sum, each) => sum + (each.what === undefined ? each.grams : 0), 0);
  const waiting = portions.filter((each) => each.grams > 0 && !setAside.some((there) => there.name === each.name));
  const setOne = (each: BoxOf): boolean =>
    act({ kind: "set aside", name: each.name, grams: each.grams, day, serve: heat, ...(each.sugar > 0 ? { sugar: each.sugar } : {}) });
  return (
    <section aria-labelledby="boxes" className="mt-8">
      <h2 id="boxes" className="t-h2">
        Who gets which box
      </h2>
      <p className="t-ledger text-ink2">
        {formatGrams(Math.round(all / Math.max(1, plan.servings)))} g is a serving
        {gone > 0 ? `; ${formatGrams(Math.round(Math.max(0, all - gone)))} g of ${formatGrams(Math.round(all))} is not given away yet` : ""}.
      </p>
      {setAside.length > 0 && (
        <ul className="border-t border-ink mt-1" aria-label="Set aside">
          {setAside.map((each) => (
            <li key={each.event} className="border-b border-line flex flex-wrap justify-between gap-x-4 py-1.5 t-ledger items-baseline">
              <span>
                <span className="font-[550]">{each.name}</span>
                {each.serve ? `, ${HEAT_WORDS[each.serve]}` : ""}
                {each.day ? `, ${dayWords(each.day)}` : ""}
                {each.sugar ? `, with ${formatGrams(each.sugar)} g sugar or as much of it in syrup` : ""}
              </span>
              <span className="flex gap-4 items-baseline">
                <span className="t-figure">{each.grams === null ? "not weighed" : `${formatGrams(each.grams)} g`}</span>
                <button type="button" className="underline no-print min-h-11 md:min-h-8" onClick={() => act({ kind: "taken back", event: each.event })}>
                  Take back<span className="sr-only"> the box of {each.name}</span>
                </button>
              </span>
            </li>
          ))}
        </ul>
      )}
      {portions.length > 0 && (
        <ul className="border-t border-ink mt-3" aria-label="At its table">
          {portions.map((each) => {
            const isThere = setAside.some((there) => there.name === each.name);
            return (
              <li key={each.eater} className="border-b border-line py-1.5 t-ledger flex flex-wrap gap-x-4 items-baseline">
                <span className="flex-1 basis-56 min-w-0">
                  <span className="font-[550]">{each.name}</span>
                  {each.may === "no" && <span className="text-rose"> not for them: {each.whyNot.join("; ")}</span>}
                  {each.may === "ask" && <span className="text-saffron"> ask first: {each.whyNot.join("; ")}</span>}
                  {each.less && <span className="text-ink2"> less than usual: {each.less}</span>}
                  {each.sugarWhy && (
                    <span className="text-ink2">
                      {" "}
                      {each.sugar > 0 ? `with ${formatGrams(each.sugar)} g sugar passed at the table; ` : ""}
                      {each.sugarWhy}
                    </span>
                  )}
                </span>
                <span className="t-figure">{each.grams > 0 ? `${formatGrams(each.grams)} g` : "none"}</span>
                {each.grams > 0 && (
                  <button
                    type="button"
                    disabled={isThere}
                    className="underline no-print min-h-11 md:min-h-8 disabled:no-underline disabled:text-ink2"
                    onClick={() => setOne(each)}
                  >
                    {isThere ? "set aside" : "Set aside"}
                    {!isThere && <span className="sr-only"> for {each.name}</span>}
                  </button>
                )}
              </li>
            );
          })}
        </ul>
      )}
      {portions.length === 0 && <p className="t-ledger mt-1">Nobody sits at its table. Name a box below, or seat who eats at the Table station next time.</p>}
      <div className="no-print mt-3 flex flex-wrap gap-3 items-end">
        <label className="t-small text-ink2">
          served on
          <input
            type="date"
            className={`${field} block text-ink`}
            min={today}
            value={day}
            onChange={(event) => {
              if (event.target.value !== "") setDay(event.target.value);
            }}
          />
        </label>
        <Pick label="served" value={heat} options={SERVING_TEMPERATURES.map((each) => [each, HEAT_WORDS[each]] as const)} onChange={setHeat} />
        {waiting.length > 1 && (
          <button type="button" className={buttonClass("plain")} onClick={() => waiting.every(setOne)}>
            Set all {waiting.length} aside
          </button>
        )}
      </div>
      <form
        className="no-print mt-2 flex flex-wrap gap-3 items-end"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          const read = grams.trim() === "" ? { value: null } : readTyped(grams, 0.1);
          const passed = sugar.trim() === "" ? { value: 0 } : readTyped(sugar, 0, 200);
          if (name.trim() === "") return setWhy("Say for whom the box is.");
          if ("why" in read) return setWhy(`The box: ${read.why}`);
          if ("why" in passed) return setWhy(`The sugar beside it: ${passed.why}`);
          setWhy(null);
          if (act({ kind: "set aside", name: name.trim(), grams: read.value, day, serve: heat, ...(passed.value > 0 ? { sugar: passed.value } : {}) })) {
            setName("");
            setGrams("");
            setSugar("");
          }
        }}
      >
        <label className="t-small text-ink2 flex-1 basis-40">
          a box for
          <input maxLength={120} className={`${field} block w-full text-ink`} value={name} onChange={(event) => setName(event.target.value)} />
        </label>
        <label className="t-small text-ink2">
          g, if weighed
          <input inputMode="decimal" className={`${field} block w-24 t-figure text-ink`} value={grams} onChange={(event) => setGrams(event.target.value)} />
        </label>
        <label className="t-small text-ink2">
          g sugar beside
          <input inputMode="decimal" className={`${field} block w-24 t-figure text-ink`} value={sugar} onChange={(event) => setSugar(event.target.value)} />
        </label>
        <button type="submit" className={buttonClass("plain")}>
          Set aside
        </button>
      </form>
      {why && (
        <p role="alert" className="t-ledger text-rose mt-1">
          {why}
        </p>
      )}
    </section>
  );
}
interface BoxOf {
  readonly name: string;
  readonly grams: number;
  readonly sugar: number;
}
