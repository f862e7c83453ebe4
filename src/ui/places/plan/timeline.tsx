"use client";

import { useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import { placeOn, type PlanAxis, type Window } from "../../../core/plan";
import { lengthWords, type PlanClock } from "./clock";
import { Lane, NAMES, percent } from "./lane";
import { axisFor, lanesOf, type PlanRow, type SweetRows } from "./plan-rows";

interface TimelineProps {
  readonly sweets: readonly SweetRows[];
  readonly clock: PlanClock;
  readonly nights: readonly Window[];
  readonly away: readonly Window[];
  /** Now, a minute of the plan. */
  readonly now: number;
  readonly pans: ReadonlyMap<string, string>;
  readonly done: ReadonlySet<string>;
  readonly pinned: ReadonlySet<string>;
  readonly hour: string;
  /** Sets a task to begin just then; null lets it go. */
  readonly onPin: (id: string, minute: number | null) => void;
}

/** A bar is dragged and moved by keys in steps of so many minutes. */
const STEP = 5;
const LONG_STEP = 30;
/** Behind this share of the axis words stand before their bar. */
const LATE = 0.55;

/** The plan as it goes: a row for each step, what each hand, burner, pan and the fridge hold; hours without work are drawn narrow. */
export function Timeline({ sweets, clock, nights, away, now, pans, done, pinned, hour, onPin }: TimelineProps) {
  const rows = useMemo(() => sweets.flatMap((sweet) => sweet.rows), [sweets]);
  const axis = useMemo(() => axisFor(rows, clock.pastHour), [rows, clock.pastHour]);
  const ticks = useMemo(() => ticksOf(axis, clock), [axis, clock]);
  const windows = [...nights.map((window) => ({ ...window, what: "night" as const })), ...away.map((window) => ({ ...window, what: "out" as const }))].filter(
    ({ from, to }) => to > axis.from && from < axis.to,
  );
  const grounds = (
    <span aria-hidden="true" className="absolute inset-0">
      {ticks.map(({ minute }) => (
        <span key={minute} className="absolute inset-y-0 border-l border-line" style={{ left: percent(placeOn(axis, minute)) }} />
      ))}
      {windows.map(({ from, to, what }) => {
        const [a, b] = [placeOn(axis, Math.max(from, axis.from)), placeOn(axis, Math.min(to, axis.to))];
        return (
          <span
            key={`${what} ${from}`}
            className={`absolute inset-y-0 ${what === "night" ? "plan-night" : "plan-away"}`}
            style={{ left: percent(a), width: percent(b - a) }}
          />
        );
      })}
      {now > axis.from && now < axis.to && (
        <span className="absolute inset-y-0 border-l-2 border-dotted border-saffron-fill" style={{ left: percent(placeOn(axis, now)) }} />
      )}
      <span className="absolute inset-y-0 border-r-2 border-ink" style={{ right: percent(1 - placeOn(axis, 0)) }} />
    </span>
  );
  const pots = [...new Set(rows.flatMap(({ pan }) => pan ?? []))];
  const held = (pan: string) => rows.filter((row) => row.pan === pan);
  const cold = rows.filter(({ task }) => task.fridge > 0);
  return (
    <div className="min-w-0">
      <div className={`grid ${NAMES} gap-x-2`}>
        <span />
        <div className="relative h-12 border-b-[1.5px] border-ink">
          {ticks.map(({ minute, day }, i) => (
            <span
              key={minute}
              className="absolute bottom-0 t-small text-ink2 whitespace-nowrap -translate-x-1/2 first:translate-x-0"
              style={{ left: percent(placeOn(axis, minute)) }}
            >
              {day && (
                <span className={`absolute bottom-6 text-ink font-[590] text-[15px] [font-stretch:108%] ${i === 0 ? "left-0" : "left-1/2 -translate-x-1/2"}`}>
                  {clock.dayName(minute).replace(/\s\d.*$/, "")}
                </span>
              )}
              {clock.time(minute)}
            </span>
          ))}
          <span className="absolute bottom-0 font-[640] bg-ground pl-1.5" style={{ right: percent(1 - placeOn(axis, 0)) }}>
            <span className="absolute bottom-6 right-0 t-small whitespace-nowrap">served</span>
            {hour}
          </span>
          {now > axis.from && now < axis.to - 30 && (
            <span className="absolute -bottom-5 t-small text-saffron whitespace-nowrap pl-1 bg-ground z-10" style={{ left: percent(placeOn(axis, now)) }}>
              now {clock.time(now)}
            </span>
          )}
        </div>
      </div>
      {sweets.map((sweet) => (
        <section key={sweet.id} aria-label={sweet.title} className={`grid ${NAMES} gap-x-2 border-b border-edge`}>
          <div className="py-2 min-w-0">
            <h3 className="t-new leading-tight">{sweet.title}</h3>
            <p className="t-small text-ink2">{sweet.line}</p>
          </div>
          <ul className="relative py-1.5">
            {grounds}
            {sweet.rows.map((row) => (
              <TimelineRow
                key={row.id}
                row={row}
                axis={axis}
                clock={clock}
                pan={pans.get(row.pan ?? "") ?? null}
                isDone={done.has(row.id)}
                isPinned={pinned.has(row.id)}
                onPin={onPin}
              />
            ))}
          </ul>
        </section>
      ))}
      <section aria-label="What each is holding" className="mt-2">
        <h3 className="t-h2 text-[15px]">What each is holding</h3>
        <Lane name="Hands" rows={rows.filter(({ hands }) => hands)} axis={axis} grounds={grounds} of="hands" />
        {lanesOf(rows.filter(({ task }) => task.burner)).map((lane, i) => (
          <Lane key={i} name={`Burner ${i + 1}`} rows={lane} axis={axis} grounds={grounds} of="burner" />
        ))}
        {rows.some(({ task }) => task.oven) && <Lane name="Oven" rows={rows.filter(({ task }) => task.oven)} axis={axis} grounds={grounds} of="burner" />}
        {pots.map((pan) => (
          <Lane key={pan} name={pans.get(pan) ?? "A pan"} rows={held(pan)} axis={axis} grounds={grounds} of="waits" joins />
        ))}
        {cold.length > 0 && <Lane name="Fridge" rows={cold} axis={axis} grounds={grounds} of="waits" />}
      </section>
      <p className="flex flex-wrap gap-x-5 gap-y-1 mt-3 t-small text-ink2" aria-hidden="true">
        <Key className="h-3 bg-ink">hands on</Key>
        <Key className="h-3 plan-now-and-then">now and then</Key>
        <Key className="h-3 border-b-4 border-saffron-fill">on a burner or in the oven</Key>
        <Key className="h-0 border-t-2 border-dashed border-ink2">waits by itself</Key>
        {nights.length > 0 && <Key className="h-3 plan-night border border-line">night: nobody is up</Key>}
        {away.length > 0 && <Key className="h-3 plan-away border border-line">out of the house</Key>}
      </p>
    </div>
  );
}

const Key = ({ className, children }: { readonly className: string; readonly children: string }) => (
  <span className="inline-flex items-center gap-2">
    <span className={`inline-block w-7 ${className}`} />
    {children}
  </span>
);

interface Tick {
  readonly minute: number;
  /** The first of its day. */
  readonly day: boolean;
}
/** So far apart stand hours at the least, a share of the axis. */
const APART = 0.062;

/** The hours that are written: as many as there is room for, the first of each day by its name. */
function ticksOf(axis: PlanAxis, clock: PlanClock): readonly Tick[] {
  const ticks: Tick[] = [];
  let last = -Infinity;
  const served = placeOn(axis, 0);
  for (const { minute, at } of axis.stops) {
    if (minute === axis.to || Math.abs(at - served) < APART * 0.9 || at - last < APART) continue;
    const before = ticks.at(-1);
    ticks.push({ minute, day: before === undefined || clock.day(before.minute) !== clock.day(minute) });
    last = at;
  }
  return ticks;
}

/** The minute at a share of an axis. */
function minuteAt(axis: PlanAxis, share: number): number {
  const after = axis.stops.findIndex(({ at }) => at >= share);
  const [one, other] = [axis.stops[after - 1], axis.stops[after]];
  if (after < 0) return axis.to;
  if (!one || !other) return axis.from;
  return one.minute + ((share - one.at) / (other.at - one.at || 1)) * (other.minute - one.minute);
}

interface RowProps {
  readonly row: PlanRow;
  readonly axis: PlanAxis;
  readonly clock: PlanClock;
  readonly pan: string | null;
  readonly isDone: boolean;
  readonly isPinned: boolean;
  readonly onPin: (id: string, minute: number | null) => void;
}

function TimelineRow({ row, axis, clock, pan, isDone, isPinned, onPin }: RowProps) {
  const { id, start, end, short, task } = row;
  const [drag, setDrag] = useState<number | null>(null);
  const from = useRef<{ readonly x: number; readonly width: number } | null>(null);
  const begins = drag ?? start;
  const [a, b] = [placeOn(axis, begins), placeOn(axis, begins + (end - start))];
  const isLate = a > LATE;
  // What waits across the whole drawing carries its words itself.
  const isInside = !isLate && b > LATE && task.attention === "unattended";
  const press = (event: PointerEvent<HTMLButtonElement>) => {
    const line = event.currentTarget.parentElement;
    if (event.button !== 0 || !line) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    from.current = { x: event.clientX, width: line.getBoundingClientRect().width };
  };
  const move = (event: PointerEvent<HTMLButtonElement>) => {
    if (!from.current || Math.abs(event.clientX - from.current.x) < 3) return;
    const share = placeOn(axis, start) + (event.clientX - from.current.x) / from.current.width;
    setDrag(Math.round(minuteAt(axis, Math.min(1, Math.max(0, share))) / STEP) * STEP);
  };
  const drop = () => {
    from.current = null;
    if (drag !== null && drag !== start) onPin(id, drag);
    setDrag(null);
  };
  const key = (event: KeyboardEvent) => {
    const step = event.shiftKey ? LONG_STEP : STEP;
    if (event.key === "ArrowLeft" || event.key === "ArrowRight") {
      event.preventDefault();
      onPin(id, start + (event.key === "ArrowLeft" ? -step : step));
    }
    if (event.key === "Escape" && drag !== null) {
      from.current = null;
      setDrag(null);
    }
    if ((event.key === "Delete" || event.key === "Backspace") && isPinned) onPin(id, null);
  };
  const words = [isPinned ? "set by hand" : "", task.burner ? "on a burner" : task.oven ? "in the oven" : "", pan === null ? "" : `in ${pan}`].filter(Boolean);
  return (
    <li className="relative h-[25px]">
      <button
        type="button"
        aria-label={`${clock.time(begins)} to ${clock.time(begins + (end - start))}, ${row.title}: ${short}; ${task.attention}${words.length > 0 ? `, ${words.join(", ")}` : ""}${isDone ? ", done" : ""}`}
        aria-describedby="plan-keys"
        title={`${task.words} (${lengthWords(end - start)})`}
        className={`absolute top-1 h-[17px] touch-none cursor-ew-resize ${isDone ? "opacity-45" : ""}`}
        style={{ left: percent(a), width: `max(9px, ${percent(b - a)})`, ...(b > 0.992 && b - a < 0.02 ? { left: "auto", right: 0 } : {}) }}
        onPointerDown={press}
        onPointerMove={move}
        onPointerUp={drop}
        onPointerCancel={drop}
        onKeyDown={key}
      >
        <Bar row={row} />
        {isPinned && <span aria-hidden="true" className="absolute -top-1 left-1/2 -translate-x-1/2 w-0.5 h-2 bg-saffron-fill" />}
      </button>
      <span
        aria-hidden="true"
        className={`absolute top-0.5 t-small whitespace-nowrap pointer-events-none ${isDone ? "text-ink3 line-through" : ""} ${isInside ? "bg-ground px-1" : ""}`}
        style={
          isInside
            ? { left: `calc(${percent(a)} + 12px)` }
            : isLate
              ? { right: `calc(${percent(1 - a)} + 8px)` }
              : { left: `calc(${percent(Math.max(b, a + 0.004))} + 8px)` }
        }
      >
        <span className="text-ink2 t-figure text-[13px]">{clock.time(begins)}</span> {short}
        {task.noisy && <span className="text-ink2"> (loud)</span>}
      </span>
    </li>
  );
}

/** A step as it is drawn: ink is hands on, a saffron line beneath it fire, a stitch waiting. */
function Bar({ row: { task, start, end } }: { readonly row: PlanRow }) {
  const fire = task.burner || task.oven;
  const first = Math.min(1, task.handsFirst / Math.max(1, end - start));
  return (
    <span aria-hidden="true" className={`absolute inset-0 flex flex-col justify-center ${fire ? "pb-1" : ""}`}>
      {task.attention === "hands on" && <span className="block h-[12px] bg-ink" />}
      {task.attention === "now and then" && <span className="block h-[12px] plan-now-and-then" />}
      {task.attention === "unattended" && (
        <span className="relative block h-[12px] border-x-2 border-ink2">
          <span className="absolute inset-x-0 top-1/2 border-t-2 border-dashed border-ink2" />
          {task.handsFirst > 0 && <span className="absolute inset-y-0 left-0 bg-ink min-w-[2px]" style={{ width: percent(first) }} />}
        </span>
      )}
      {fire && <span className="absolute bottom-0 inset-x-0 h-1 bg-saffron-fill" />}
    </span>
  );
}
