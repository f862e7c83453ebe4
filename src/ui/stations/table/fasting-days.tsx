"use client";

import { useEffect, useEffectEvent, useState } from "react";
import { hourBreaks, type DayAtPlace, type FastAhead } from "../../../core/calendar";
import { baseOf } from "../../../core/models/diet";
import type { DiningTable } from "../../../core/table";
import { send, why as whyOf } from "../../parts/send";
import { Go } from "../../shell/go";

/** When it is served, and what falls on that day: fasts with their reckoning, and whether the hour keeps them. */
export function ServingDay({
  table,
  ahead,
  onTable,
  onServingDay,
}: {
  readonly table: DiningTable;
  readonly onServingDay: (day: string | null, falls: readonly string[] | null) => void;
  /** Null while the household has named no place. */
  readonly ahead: { readonly today: string; readonly days: readonly FastAhead[] } | null;
  readonly onTable: (part: Partial<DiningTable>, key?: string) => void;
}) {
  const day = table.day ?? "";
  const told = useDay(ahead ? day : "", (at) => {
    // What falls on the day decides which fasts of who sits here are kept; told once it is known.
    const falls = fallsOn(at);
    if (at.day === table.day && JSON.stringify(falls) !== JSON.stringify(table.falls ?? null)) onServingDay(at.day, falls);
  });
  const here = told.kind === "told" && told.at.day === day ? told.at : null;
  const keep = (rule: string) => {
    const base = baseOf(rule);
    const rules = table.rules.filter((id) => id !== base && !id.startsWith(`${base}/`));
    onTable({ rules: table.rules.includes(rule) ? rules : [...rules, rule] });
  };
  return (
    <section aria-label="Day and hour">
      <h3 className="t-h2 text-[15px]">Day and hour</h3>
      <div className="flex flex-wrap gap-x-5 gap-y-2 items-end border-t border-ink mt-1 pt-2">
        <label className="t-small text-ink2">
          Served on
          <input
            type="date"
            value={day}
            onChange={(event) => onServingDay(event.target.value || null, null)}
            className="block border border-edge bg-sheet px-2 min-h-11 text-ink text-[16px]"
          />
        </label>
        <label className="t-small text-ink2">
          at
          <input
            type="time"
            value={table.hour ?? ""}
            onChange={(event) => onTable({ hour: event.target.value || null })}
            className="block border border-edge bg-sheet px-2 min-h-11 text-ink text-[16px]"
          />
        </label>
        {here && (
          <p className="t-small text-ink2 pb-2">
            {here.sunrise ? `sunrise ${here.sunrise}` : "no sunrise that day"}, {here.sunset ? `sunset ${here.sunset}` : "no sunset"},{" "}
            {here.moonrise ? `moonrise ${here.moonrise}` : "the moon does not rise that day"}
          </p>
        )}
      </div>
      {told.kind === "failed" && (
        <p role="alert" className="t-small text-rose mt-1">
          {told.why}
        </p>
      )}
      {here && <HourWarnings table={table} at={here} />}
      {ahead === null ? (
        <p className="t-small text-ink2 mt-2">
          Fasting days are reckoned by sun and moon at your place.{" "}
          <Go className="underline" href="/household">
            Say where you are
          </Go>
        </p>
      ) : (
        <Fasts
          title={here ? `On ${here.dayWords}` : "Fasting days ahead"}
          fasts={here ? here.fasts : ahead.days.slice(0, 8)}
          none={here ? "No fast of these traditions falls on it." : "None in the next weeks."}
          rules={table.rules}
          onKeep={keep}
          onDay={here ? null : (chosen) => onServingDay(chosen, null)}
        />
      )}
    </section>
  );
}

type Told = { readonly kind: "none" } | { readonly kind: "told"; readonly at: DayAtPlace } | { readonly kind: "failed"; readonly why: string };

/** The fasts of a day, by the part of the rule's id before its stroke. */
const fallsOn = ({ fasts }: DayAtPlace): string[] => [...new Set(fasts.flatMap(({ rule }) => (rule === null ? [] : [baseOf(rule)])))].sort();

function useDay(day: string, onTold: (at: DayAtPlace) => void): Told {
  const [told, setTold] = useState<Told>({ kind: "none" });
  const tell = useEffectEvent(onTold);
  useEffect(() => {
    if (day === "") return;
    let left = false;
    send("GET", `/api/calendar?day=${encodeURIComponent(day)}`)
      .then((at) => {
        if (left) return;
        setTold({ kind: "told", at: at as DayAtPlace });
        tell(at as DayAtPlace);
      })
      .catch((error: unknown) => (left ? undefined : setTold({ kind: "failed", why: whyOf(error, "The day could not be reckoned.") })));
    return () => {
      left = true;
    };
  }, [day]);
  return day === "" ? { kind: "none" } : told;
}

function Fasts({
  title,
  fasts,
  none,
  rules,
  onKeep,
  onDay,
}: {
  readonly title: string;
  readonly fasts: readonly FastAhead[];
  readonly none: string;
  readonly rules: readonly string[];
  readonly onKeep: (rule: string) => void;
  readonly onDay: ((day: string) => void) | null;
}) {
  return (
    <div className="mt-3">
      <h4 className="t-small text-ink2">{title}: computed; check with your own almanac</h4>
      {fasts.length === 0 && <p className="t-ledger border-t border-line pt-1">{none}</p>}
      <ul className="border-t border-line">
        {fasts.map((fast) => (
          <li key={`${fast.day} ${fast.name}`} className="border-b border-line py-1 flex flex-wrap gap-x-4 items-baseline justify-between">
            <span className="t-ledger min-w-0">
              {onDay && (
                <button type="button" className="underline min-h-8 mr-2" onClick={() => onDay(fast.day)}>
                  {fast.dayWords}
                </button>
              )}
              <span className="font-[550]">{fast.name}</span>
              {fast.untilWords && <span className="text-ink2"> until {fast.untilWords}</span>}
              <span className="block t-small text-ink2">
                {fast.how}
                {fast.ends && `; it ends with ${fast.ends.what}, ${fast.ends.at}`}
              </span>
            </span>
            {fast.rule !== null && (
              <button
                type="button"
                aria-pressed={rules.includes(fast.rule)}
                className="underline t-small min-h-11 md:min-h-8"
                onClick={() => onKeep(fast.rule ?? "")}
              >
                {rules.includes(fast.rule) ? "Kept at this table" : "Keep it at this table"}
              </button>
            )}
          </li>
        ))}
      </ul>
    </div>
  );
}

/** Where the hour breaks a fast that goes by the hour. */
function HourWarnings({ table, at }: { readonly table: DiningTable; readonly at: DayAtPlace }) {
  const { hour } = table;
  if (!hour) return null;
  return (
    <div role="status">
      <ul>
        {hourBreaks(hour, at, table.rules).map((each) => (
          <li key={each} className="bg-rose-wash text-rose px-3 py-2 t-ledger mt-2">
            {each}
          </li>
        ))}
      </ul>
    </div>
  );
}
