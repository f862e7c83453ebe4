"use client";

import { useState } from "react";
import { lengthWords, type PlanClock } from "./clock";
import type { PlanRow } from "./plan-rows";

interface ClockListProps {
  readonly rows: readonly PlanRow[];
  readonly clock: PlanClock;
  readonly now: number;
  readonly pans: ReadonlyMap<string, string>;
  readonly done: ReadonlySet<string>;
  readonly pins: Readonly<Record<string, string>>;
  /** The batch of a sweet that is on the stove, by sweet. */
  readonly batches: Readonly<Record<string, string>>;
  readonly onDone: (id: string, isDone: boolean) => void;
  readonly onPin: (id: string, stamp: string | null) => void;
}

/** The plan as a list by the clock: what is to be done now, next and later; each can be ticked off, and set to another hour. */
export function ClockList({ rows, clock, now, pans, done, pins, batches, onDone, onPin }: ClockListProps) {
  const sorted = rows.toSorted((one, other) => one.start - other.start || one.end - other.end);
  const open = sorted.filter(({ id }) => !done.has(id));
  const isNow = ({ start }: PlanRow) => start <= now;
  const going = open.filter(isNow);
  const later = open.filter((row) => !isNow(row));
  const [next] = later;
  const soon = next ? later.filter(({ start }) => start <= next.start + SOON) : [];
  const rest = later.slice(soon.length);
  const past = sorted.filter(({ id }) => done.has(id));
  const part = (title: string, of: readonly PlanRow[], size: "large" | "usual") =>
    of.length > 0 && (
      <section aria-label={title} className="mt-4">
        <h3 className="t-h2 text-[15px] border-b-[1.5px] border-ink pb-1">{title}</h3>
        <ul>
          {of.map((row, i) => {
            const before = of[i - 1];
            const isNewDay =
              before === undefined ? clock.day(row.start) !== clock.day(now) || title === "Done" : clock.day(before.start) !== clock.day(row.start);
            return (
              <li key={row.id}>
                {isNewDay && <p className="t-small text-ink2 pt-2">{clock.dayName(row.start)}</p>}
                <Step
                  row={row}
                  clock={clock}
                  now={now}
                  pan={pans.get(row.pan ?? "") ?? null}
                  isDone={done.has(row.id)}
                  pin={pins[row.id] ?? null}
                  batch={batches[row.task.sweet] ?? null}
                  isLarge={size === "large"}
                  onDone={onDone}
                  onPin={onPin}
                />
              </li>
            );
          })}
        </ul>
      </section>
    );
  return (
    <div>
      {part("Now", going, "large")}
      {part("Next", soon, going.length === 0 ? "large" : "usual")}
      {part("Later", rest, "usual")}
      {part("Done", past, "usual")}
    </div>
  );
}
/** What begins within so many minutes of the next is next too. */
const SOON = 10;

interface StepProps {
  readonly row: PlanRow;
  readonly clock: PlanClock;
  readonly now: number;
  readonly pan: string | null;
  readonly isDone: boolean;
  readonly pin: string | null;
  readonly batch: string | null;
  readonly isLarge: boolean;
  readonly onDone: (id: string, isDone: boolean) => void;
  readonly onPin: (id: string, stamp: string | null) => void;
}

const ATTENTION = { "hands on": "hands on", "now and then": "look after it now and then", unattended: "waits by itself" } as const;

function Step({ row, clock, now, pan, isDone, pin, batch, isLarge, onDone, onPin }: StepProps) {
  const [isOpen, setOpen] = useState(false);
  const { id, start, end, task, title } = row;
  const late = !isDone && start < now ? Math.round(now - start) : 0;
  const facts = [
    lengthWords(end - start),
    ATTENTION[task.attention],
    task.burner ? "on a burner" : task.oven ? "in the oven" : "",
    pan ?? "",
    task.noisy ? "loud" : "",
    task.fridge > 0 ? `in the fridge until ${clock.time(end)}` : task.attention === "unattended" ? `until ${clock.time(end)}` : "",
  ].filter(Boolean);
  return (
    <div className={`border-b border-line flex gap-3 items-start py-1.5 ${isDone ? "text-ink3" : ""}`}>
      <label className="grid place-items-center w-11 h-11 shrink-0 cursor-pointer">
        <input type="checkbox" className="size-6" checked={isDone} onChange={() => onDone(id, !isDone)} />
        <span className="sr-only">
          Done: {title}, {task.words}
        </span>
      </label>
      <span className={`t-figure w-12 shrink-0 pt-2.5 ${isLarge ? "font-[600]" : ""}`}>{clock.time(start)}</span>
      <div className="min-w-0 flex-1 pt-2">
        <p className={isLarge ? "text-[17px] leading-snug font-[520]" : "t-ledger line-clamp-3 print:line-clamp-none"}>
          {batch ? (
            <a href={`/batches/${batch}`} className="underline text-ink2">
              {title}
            </a>
          ) : (
            <span className="text-ink2">{title}:</span>
          )}{" "}
          {task.words}
        </p>
        <p className="t-small text-ink2">
          {facts.join(", ")}
          {late > 5 && end > now ? <span className="text-saffron"> by plan it began {lengthWords(late)} ago</span> : null}
          {late > 5 && end <= now ? <span className="text-rose"> by plan it would be done: tick it off, or plan anew from now</span> : null}
        </p>
        {isOpen && (
          <form className="flex flex-wrap gap-3 items-end py-1 no-print" onSubmit={(event) => event.preventDefault()}>
            <label className="t-small text-ink2">
              begins, set by hand
              <input
                type="datetime-local"
                step={300}
                className="block border border-edge bg-sheet px-2 min-h-11 text-ink text-[16px]"
                defaultValue={pin ?? clock.stamp(start)}
                onBlur={(event) => {
                  const { value } = event.currentTarget;
                  if (/^\d{4}-\d\d-\d\dT\d\d:\d\d$/.test(value) && value !== (pin ?? clock.stamp(start))) onPin(id, value);
                }}
              />
            </label>
            {pin !== null && (
              <button type="button" className="underline min-h-11" onClick={() => onPin(id, null)}>
                Let it go
              </button>
            )}
          </form>
        )}
      </div>
      <button type="button" aria-expanded={isOpen} className="underline t-small min-h-11 px-1 shrink-0 no-print" onClick={() => setOpen(!isOpen)}>
        {pin === null ? "Move" : "Set by hand"}
        <span className="sr-only">: {row.short}</span>
      </button>
    </div>
  );
}
