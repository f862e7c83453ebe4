import type { ReactNode } from "react";
import { placeOn, type PlanAxis } from "../../../core/plan";
import type { PlanRow } from "./plan-rows";

/** A share of the axis as its styles have it. */
export const percent = (share: number): string => `${(share * 100).toFixed(3)}%`;
/** Names stand before the axis. */
export const NAMES = "grid-cols-[132px_minmax(0,1fr)]";

interface LaneProps {
  readonly name: string;
  readonly rows: readonly PlanRow[];
  readonly axis: PlanAxis;
  readonly grounds: ReactNode;
  readonly of: "hands" | "burner" | "waits";
  /** Drawn as one from the first to the last of each pot. */
  readonly joins?: boolean;
}

/** What one hand, burner, pan or the fridge holds over time. */
export function Lane({ name, rows, axis, grounds, of, joins = false }: LaneProps) {
  const spans = joins
    ? [...new Set(rows.map(({ task }) => task.pot))].map((pot) => {
        const own = rows.filter(({ task }) => task.pot === pot);
        return { id: pot ?? "", start: Math.min(...own.map(({ start }) => start)), end: Math.max(...own.map(({ end }) => end)) };
      })
    : rows.map(({ id, start, end, hands }) => ({ id, ...(of === "hands" && hands ? hands : { start, end }) }));
  return (
    <div className={`grid ${NAMES} gap-x-2 border-b border-line`} aria-hidden="true">
      <span className="t-small py-1 truncate">{name}</span>
      <div className="relative h-6">
        {grounds}
        {spans.map(({ id, start, end }) => {
          const [a, b] = [placeOn(axis, start), placeOn(axis, end)];
          return (
            <span
              key={id}
              className={`absolute top-1.5 h-3 min-w-[3px] ${of === "hands" ? "bg-ink" : of === "burner" ? "bg-saffron-fill" : "border-x-2 border-ink2"}`}
              style={{ left: percent(a), width: percent(b - a) }}
            >
              {of === "waits" && <span className="absolute inset-x-0 top-1/2 border-t-2 border-dashed border-ink2" />}
            </span>
          );
        })}
      </div>
    </div>
  );
}
