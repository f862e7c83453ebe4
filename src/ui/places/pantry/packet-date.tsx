"use client";

import type { Packet } from "../../../core/pantry";
import { usePantryDocument } from "../../shell/pantry";

type Keeps = Packet["keeps"];
type Kind = NonNullable<Keeps>["kind"];

/** Until when a packet keeps: as read, or by hand. */
export function PacketDate({ packet, onChange }: { readonly packet: Packet; readonly onChange: (keeps: Keeps) => void }) {
  const { keeps } = packet;
  const kind = keeps?.kind ?? "best before";
  return (
    <div className="flex flex-wrap gap-3 items-center">
      <select
        aria-label="What its date is"
        value={kind}
        disabled={keeps === null}
        onChange={(event) => keeps && onChange({ ...keeps, kind: event.target.value as Kind })}
        className="bg-sheet border border-edge px-2 min-h-11 t-ledger disabled:text-ink3"
      >
        <option value="best before">best before</option>
        <option value="use by">use by</option>
      </select>
      <input
        type="date"
        aria-label="Date on the packet"
        value={keeps?.day ?? ""}
        min="2000-01-01"
        max="2099-12-31"
        onChange={(event) => onChange(event.target.value === "" ? null : { kind, day: event.target.value })}
        className="bg-sheet border border-edge px-2 min-h-11 t-ledger"
      />
    </div>
  );
}

const DAY = new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "long", year: "numeric", timeZone: "UTC" });

/** The date of an own food's packet, and whether it has passed. `today` is an ISO date. */
export function PacketDateNote({ id, today }: { readonly id: string; readonly today: string }) {
  const own = usePantryDocument().present.foods.find((food) => food.id === id);
  const keeps = own?.made.kind === "label" ? (own.made.packet?.keeps ?? null) : null;
  if (!keeps) return null;
  const isPast = keeps.day < today;
  return (
    <p className={`px-3 py-2 t-ledger mb-4 ${isPast ? "bg-rose-wash text-rose" : "bg-pressed"}`}>
      {keeps.kind === "use by" ? "Use by" : "Best before"} {DAY.format(new Date(`${keeps.day}T00:00:00Z`))}
      {isPast && (keeps.kind === "use by" ? ": that is past, it should not be eaten." : ": that is past; smell and taste tell.")}
    </p>
  );
}
