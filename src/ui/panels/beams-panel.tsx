"use client";

import { useSyncExternalStore } from "react";
import type { BeamReading, Note } from "../../core/substitution";
import { WhyMark } from "../parts/marks";
import { CostCompared } from "./cost-lines";
import { BeamCard } from "./beam-card";
import { QualitiesList } from "./qualities-list";
import type { Palate, ToldFigures } from "../../core/views";

/** All beams in two columns, and below them what to watch for. */
export function BeamsPanel({
  beams,
  notes,
  before,
  after,
  palates = [],
  ghosts = null,
}: {
  readonly beams: readonly BeamReading[];
  readonly notes: readonly Note[];
  readonly before: ToldFigures;
  readonly after: ToldFigures;
  /** How those find it who like it other than it is made here. */
  readonly palates?: readonly Palate[];
  /** The beams of a change that is being looked at, not taken. */
  readonly ghosts?: readonly BeamReading[] | null;
}) {
  const column = (group: BeamReading["group"], title: string, line: string) => (
    <section aria-label={title}>
      <h2 className="t-h2">{title}</h2>
      <p className="t-small text-ink2 border-b border-ink pb-1">{line}</p>
      {beams
        .filter((beam) => beam.group === group)
        .map((beam) => {
          const [own, now] = [before.figures[beam.id], after.figures[beam.id]];
          if (!own || !now) return null;
          return <BeamCard key={beam.id} reading={beam} before={own} after={now} ghost={ghosts?.find(({ id }) => id === beam.id)?.deviation.tilt ?? null} />;
        })}
    </section>
  );
  return (
    <>
      <Legend />
      <div className="grid grid-cols-2 gap-x-3 md:gap-x-4">
        {column("tongue", "On the tongue", "wedge: nobody would notice")}
        {column("table", "At this table", "a serving; edge: a limit set")}
      </div>
      {palates.length > 0 && (
        <section className="mt-4" aria-label="To their taste">
          <h2 className="t-h2 border-b border-ink pb-1">To their taste</h2>
          <ul>
            {palates.map(({ eater, of, state, words, why }) => (
              <li key={`${eater} ${of}`} className="flex gap-2 border-b border-line py-1.5 t-ledger">
                {state !== "level" && (
                  <span className="pt-0.5">
                    <WhyMark kind="conflict" />
                  </span>
                )}
                <span>
                  {words}: <span className="text-ink2">{why}.</span>
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
      <CostCompared before={before} after={after} />
      <QualitiesList of={after.qualities} before={before.qualities} />
      {notes.length > 0 && (
        <section className="mt-4" aria-label="Watch for">
          <h2 className="t-h2 border-b border-ink pb-1">Watch for</h2>
          <ul>
            {notes.map((note) => (
              <li key={note.text} className="flex gap-2 border-b border-line py-1.5 t-ledger">
                <span className="pt-0.5">
                  <WhyMark kind={note.kind === "ask" ? "ask" : note.kind === "watch" || note.kind === "breaks" ? "conflict" : "added"} />
                </span>
                <span>
                  <span className="sr-only">{note.kind}: </span>
                  {note.text}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}

const SEEN = "threpsis.beam-explained";
const listeners = new Set<() => void>();
const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

/** What tilt and wedge mean, said once. */
function Legend() {
  const seen = useSyncExternalStore(
    subscribe,
    () => localStorage.getItem(SEEN) !== null,
    () => true,
  );
  if (seen) return <p className="t-small text-ink2 mb-1">Left pan: as handed down, or the limit. Right pan: for this table.</p>;
  return (
    <div className="bg-saffron-wash px-3 py-2 mb-3 t-ledger">
      <p>
        Each beam weighs the recipe (left pan) against this version (right pan). It tilts by the difference; inside the wedge nobody would notice it. Where a
        limit is set, the left pan is the limit, and level is just at it. The bracket at the tip is the 80 % interval.
      </p>
      <button
        type="button"
        className="underline mt-1 min-h-8"
        onClick={() => {
          localStorage.setItem(SEEN, "yes");
          for (const listener of listeners) listener();
        }}
      >
        Understood
      </button>
    </div>
  );
}
