"use client";

import { compareLikeness, compareLimit, type Deviation } from "../../../core/evaluate";
import { Beam } from "../../parts/beam";
import { StateMark, stateColour } from "../../parts/marks";
import { PageHead } from "../../shell/shell";

const about = (value: number, half = 0.6) => ({ value, low: Math.max(0, value - half), high: value + half });
const likeness = (version: number, wedge: number | null = 1.5, half?: number) => compareLikeness(about(10), about(version, half), wedge);
const limit = (version: number, most = 8, half?: number) => compareLimit(most, 5, about(version, half));

/** Every look the beam can have: kind, state, the ends of its range, and what is seldom met. */
const CASES: readonly (readonly [name: string, deviation: Deviation, ghost?: number])[] = [
  ["likeness, level", likeness(10)],
  ["likeness, inside and more", likeness(10.9)],
  ["likeness, inside and less", likeness(9.1)],
  ["likeness, just inside", likeness(11.4)],
  ["likeness, outside and more", likeness(13)],
  ["likeness, outside and less", likeness(6)],
  ["likeness, far outside", likeness(39)],
  ["likeness, all of it gone", likeness(0, 1.5, 0)],
  ["likeness, hardly known", likeness(10.5, 1.5, 4)],
  ["likeness, free", likeness(13, null)],
  ["likeness, free and level", likeness(10, null)],
  ["likeness, with a ghost", likeness(10.9), -9],
  ["limit, well inside", limit(3)],
  ["limit, inside", limit(6)],
  ["limit, just inside", limit(7.4)],
  ["limit, at it", limit(8)],
  ["limit, outside", limit(9.4)],
  ["limit, far outside", limit(40)],
  ["limit of nothing, kept", limit(0, 0, 0)],
  ["limit of nothing, broken", limit(2, 0)],
  ["limit, with a ghost", limit(9.4), -6],
];
const STATES = ["inside", "just inside", "outside", "free"] as const;

/** The beam on one sheet, large and small, on both grounds: for those who draw it, and for the tests that photograph it. */
export function BeamSheet() {
  return (
    <>
      <PageHead title="Beams" line="Every kind, state and size on one sheet." />
      <main id="main" className="p-4 md:p-5">
        <section aria-labelledby="large">
          <h2 id="large" className="t-h2 border-b border-ink pb-1">
            Large
          </h2>
          <div className="grid grid-cols-2 sm:grid-cols-3 lg:grid-cols-4 xl:grid-cols-6 gap-x-4">
            {CASES.map(([name, deviation, ghost]) => (
              <figure key={name} className="border-b border-line py-2" data-case={name} data-tilt={deviation.tilt.toFixed(3)} data-state={deviation.state}>
                <figcaption className="flex justify-between gap-2 t-small items-baseline min-h-[36px]">
                  {name}
                  <span className={stateColour(deviation.state)}>
                    <StateMark state={deviation.state} />
                  </span>
                </figcaption>
                <Beam deviation={deviation} label={`${name}: ${deviation.state}`} ghost={ghost ?? null} />
              </figure>
            ))}
          </div>
        </section>
        <section aria-labelledby="small" className="mt-6">
          <h2 id="small" className="t-h2 border-b border-ink pb-1">
            Small, beside a figure
          </h2>
          <ul className="grid grid-cols-2 sm:grid-cols-4 xl:grid-cols-7 gap-x-4">
            {CASES.map(([name, deviation]) => (
              <li
                key={name}
                className="flex items-center gap-2 border-b border-line py-1.5"
                data-case={`small ${name}`}
                data-tilt={deviation.tilt.toFixed(3)}
                data-state={deviation.state}
              >
                <Beam deviation={deviation} label={null} small />
                <span className="t-small text-ink2 leading-tight">{name}</span>
              </li>
            ))}
          </ul>
        </section>
        <section aria-labelledby="marks" className="mt-6">
          <h2 id="marks" className="t-h2 border-b border-ink pb-1">
            Marks, as in a strip of ten
          </h2>
          <ul className="grid gap-2 mt-2">
            {STATES.map((state) => (
              <li key={state} className="flex items-center gap-3 t-ledger">
                <span className="flex gap-[3px]" aria-hidden="true">
                  {Array.from({ length: 10 }, (_, i) => (
                    <StateMark key={i} state={i === 6 ? state : "inside"} size={11} />
                  ))}
                </span>
                {state}
              </li>
            ))}
          </ul>
        </section>
      </main>
    </>
  );
}
