"use client";

import type { ReactNode } from "react";
import { compareLikeness, compareLimit } from "../../core/evaluate";
import { Beam } from "../parts/beam";
import { StateMark } from "../parts/marks";
import { useKeysOn } from "./keys";
import { PLACES } from "./places";

const exact = (value: number, half: number) => ({ value, low: value - half, high: value + half });
const LIKENESS = compareLikeness(exact(20, 1), exact(17.6, 1), 3);
const LIMIT = compareLimit(8, 5, exact(9.4, 1.2));

/** What the help sheet says: the keys, the beam, the words. */
export default function HelpContent() {
  const [on, setOn] = useKeysOn();
  return (
    <>
      <h3 className="t-h2 mt-5">Keys</h3>
      <dl className="rule-t mt-1">
        {PLACES.map((place) => (
          <Row key={place.id} keys={["g", place.key]}>
            {place.name}
          </Row>
        ))}
        <Row keys={["n"]}>Paste a recipe</Row>
        <Row keys={["/"]}>To the search field of the page</Row>
        <Row keys={["[", "]"]} or>
          Station before, station after
        </Row>
        <Row keys={["?"]}>This sheet</Row>
        <Row keys={["Ctrl", "Z"]}>Undo, outside a text field</Row>
        <Row keys={["Ctrl", "Shift", "Z"]}>Redo</Row>
        <Row keys={["up", "down"]} or>
          In an amount: a step more, a step less
        </Row>
        <Row keys={["Esc"]}>Close a sheet or menu; in an amount, back to what it was</Row>
        <Row keys={["Alt", "T"]}>To the messages</Row>
        <Row keys={["Space", "Enter"]} or>
          At the stove: the step is done, the next comes
        </Row>
        <Row keys={["Backspace"]}>At the stove: take the last back</Row>
        <Row keys={["t"]}>At the stove: the timer of the step</Row>
        <Row keys={["w"]}>At the stove: to what the pot weighs</Row>
      </dl>
      <label className="flex gap-3 items-center min-h-11 t-ledger mt-1">
        <input type="checkbox" className="size-5" checked={on} onChange={(event) => setOn(event.target.checked)} />
        Single letters are keys
      </label>

      <h3 className="t-h2 mt-5">The beam</h3>
      <div className="rule-t mt-1 pt-2 grid gap-3">
        <div>
          <div className="max-w-[260px]">
            <Beam deviation={LIKENESS} label={null} />
          </div>
          <p className="t-ledger">
            The recipe hangs on the left, this version on the right. The beam tilts by the difference. Inside the grey wedge nobody would notice it. The bracket
            at the tip is the 80 % interval.
          </p>
        </div>
        <div>
          <div className="max-w-[260px]">
            <Beam deviation={LIMIT} label={null} />
          </div>
          <p className="t-ledger">Where a limit is set, the stamped weight on the left is the limit. Level is just at it, and the open side is within it.</p>
        </div>
        <ul className="t-ledger grid gap-1">
          <li className="flex gap-2 items-center">
            <StateMark state="inside" /> inside: not noticed, or within the limit
          </li>
          <li className="flex gap-2 items-center">
            <StateMark state="just inside" /> just inside: within 15 % of the edge
          </li>
          <li className="flex gap-2 items-center">
            <StateMark state="outside" /> outside: noticed, or over the limit
          </li>
          <li className="flex gap-2 items-center">
            <StateMark state="free" /> no edge: shown, not judged
          </li>
        </ul>
      </div>

      <h3 className="t-h2 mt-5">Words</h3>
      <dl className="rule-t mt-1 t-ledger">
        {WORDS.map(([word, what]) => (
          <div key={word} className="border-b border-line py-1.5">
            <dt className="font-[550]">{word}</dt>
            <dd className="text-ink2">{what}</dd>
          </div>
        ))}
      </dl>
      <p className="t-ledger mt-4">Every figure that is underlined with dots can be asked why: tap it.</p>
    </>
  );
}

const WORDS: readonly (readonly [string, string])[] = [
  ["As handed down", "the recipe as it was pasted"],
  ["For this table", "the version for the people who eat it"],
  ["Sweetness", "grams of table sugar in 100 g of the finished sweet that would taste as sweet"],
  ["Body", "how it holds, from milk to a cut piece, hot and chilled"],
  ["Free sugars", "added sugars, honey, syrups and juice; by the stricter school also puréed fruit and plant drinks"],
];

function Row({ keys, or = false, children }: { readonly keys: readonly string[]; readonly or?: boolean; readonly children: ReactNode }) {
  return (
    <div className="grid grid-cols-[140px_1fr] gap-3 items-baseline border-b border-line py-1.5 t-ledger">
      <dt className="flex gap-1 items-baseline">
        {keys.map((key, i) => (
          <span key={key} className="contents">
            {i > 0 && or && <span className="t-small text-ink2">or</span>}
            <kbd className="font-sans border border-edge px-1.5 t-small">{key}</kbd>
          </span>
        ))}
      </dt>
      <dd>{children}</dd>
    </div>
  );
}
