"use client";

import { momentAt } from "../../../core/calendar";
import { momentOfMinute, readyAt, shortWords, type Gathering, type GivesWay, type Obstacle, type PlanClash, type PlanTask } from "../../../core/plan";
import { formatNumber } from "../../../core/units";
import { buttonClass } from "../../parts/button";
import { StateMark } from "../../parts/marks";
import { Go } from "../../shell/go";
import { clockOf, lengthWords } from "./clock";

const BECAUSE: Readonly<Record<Obstacle, string>> = {
  hands: "no hand is free",
  burner: "no burner is free",
  oven: "the oven is taken",
  mixer: "the mixer is taken",
  pan: "no pan that is large enough is free",
  fridge: "the fridge is full",
  "quiet hours": "no mixer may run then",
  night: "nobody is up then",
  "nobody there": "nobody is in the house then",
  "may not taste": "nobody may taste then",
  "too early": "it would have had to begin before now",
  order: "what comes before or after it leaves no room",
  pinned: "it is set to another hour by hand",
};

interface ClashBarProps {
  readonly clashes: readonly PlanClash[];
  readonly tasks: readonly PlanTask[];
  readonly names: ReadonlyMap<string, string>;
  readonly gathering: Gathering;
  readonly burners: number;
  /** ms. */
  readonly now: number;
  readonly onChange: (part: Partial<Gathering>) => void;
}

/** What finds no place, and the least that would have to give way: each was tried, and does. */
export function ClashBar({ clashes, tasks, names, gathering, burners, now, onChange }: ClashBarProps) {
  const [first] = clashes;
  if (!first) return null;
  const byId = new Map(tasks.map((task) => [task.id, task] as const));
  return (
    <section aria-label="What clashes" role="alert" className="border-2 border-rose bg-rose-wash px-4 py-3">
      <ul className="t-ledger">
        {clashes.slice(0, MOST).map(({ task: id, because }) => {
          const task = byId.get(id);
          return (
            <li key={id} className="flex gap-2 items-baseline">
              <StateMark state="outside" />
              <span>
                <span className="font-[560]">{task ? `${names.get(task.sweet) ?? ""}: ${shortWords(task.words)}` : id}</span> finds no place: {BECAUSE[because]}
                .
              </span>
            </li>
          );
        })}
        {clashes.length > MOST && <li className="t-small text-ink2">and {clashes.length - MOST} more, for the like</li>}
      </ul>
      {first.ways.length > 0 ? (
        <div className="mt-2 flex flex-wrap gap-2 items-center no-print">
          <span className="t-small text-ink2">Any one of these does, as was tried:</span>
          {first.ways.map((way) => (
            <Way key={way.kind} way={way} gathering={gathering} burners={burners} now={now} onChange={onChange} />
          ))}
        </div>
      ) : (
        <p className="t-small mt-2">Nothing of this kind alone was found to do: one sweet less, or a part of it made days before, may.</p>
      )}
    </section>
  );
}
const MOST = 4;

function Way({ way, gathering, burners, now, onChange }: Pick<ClashBarProps, "gathering" | "burners" | "now" | "onChange"> & { readonly way: GivesWay }) {
  const act = (words: string, part: Partial<Gathering>) => (
    <button type="button" className={buttonClass("plain", "bg-sheet")} onClick={() => onChange(part)}>
      {words}
    </button>
  );
  const told = (words: string, href = "/household#equipment") => (
    <Go href={href} className={buttonClass("plain", "bg-sheet")}>
      {words}
    </Go>
  );
  const ready = readyAt(gathering);
  switch (way.kind) {
    case "later": {
      const clock = clockOf(gathering);
      return act(`Serve at ${clock.time(way.minutes)}`, { day: clock.day(way.minutes), hour: clock.time(way.minutes) });
    }
    case "sooner": {
      const { begin } = gathering;
      if (!begin) return <span className="t-small">begun {lengthWords(way.minutes)} ago it would have gone</span>;
      const clock = clockOf(gathering);
      const at = Math.round((momentAt(begin.day, begin.hour, gathering) - ready) / 60_000) - way.minutes;
      return momentOfMinute(at, ready) < now
        ? null
        : act(`Begin at ${clock.time(at)}, ${clock.dayName(at)}`, { begin: { day: clock.day(at), hour: clock.time(at) } });
    }
    case "burner":
      return act(`One burner more: ${burners + 1}`, { burners: Math.min(12, burners + 1) });
    case "cook":
      return act(`Give it to someone: ${gathering.cooks + 1} cook`, { cooks: Math.min(8, gathering.cooks + 1) });
    case "night":
      return act("Work at night too", { quiet: null });
    case "away":
      return act("Stay at home", { away: [] });
    case "tasting":
      return act("Taste at any hour", { noTasteBefore: null });
    case "pins":
      return act("Let go of what is set by hand", { pins: {} });
    case "pan":
      return told(`A pan of ${formatNumber(Math.ceil(way.ml / 100) / 10)} litres more`);
    case "fridge":
      return told(`${formatNumber(way.litres)} litres more in the fridge`);
    case "oven":
      return <span className="t-small">a second oven</span>;
    case "mixer":
      return <span className="t-small">a second mixer</span>;
    case "quiet hours":
      return null;
  }
}
