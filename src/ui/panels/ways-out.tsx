"use client";

import type { Fault } from "../../core/rescue";
import { formatGrams, formatNumber, gramsBeside, lowerFirst } from "../../core/units";
import type { RescueView, ToldWayOut } from "../../core/views";
import { buttonClass } from "../parts/button";
import { inHouseUnit, type FigureManner } from "../parts/figure-words";
import { WhyMark } from "../parts/marks";
import { useHousehold } from "../shell/household";

type Answer = Extract<RescueView, { kind: "ways out" }>;

/** What went wrong, in the words of who stands at the pot. */
export const FAULT_WORDS: Readonly<Record<Fault, string>> = {
  "too thin": "it is too thin",
  "too thick": "it is too thick",
  lumpy: "it has lumps",
  split: "it curdled or split",
  "not sweet enough": "it is not sweet enough",
  "too sweet": "it is too sweet",
  crumbles: "it crumbles, or will not hold",
  greasy: "it is greasy, or sticks",
  "too soft to slice": "it is too soft to slice",
  gritty: "it is gritty",
  scorched: "it caught at the bottom",
  "bitter caramel": "the caramel is bitter",
  "raw taste": "it tastes raw",
  bland: "it tastes of nothing",
};

interface WaysOutProps {
  readonly view: RescueView;
  readonly fault: string;
  readonly isWeighed: boolean;
  /** At the stove: what is done about it is written down. */
  readonly onTake?: (way: ToldWayOut) => void;
  /** A food is not at hand, or is there after all. */
  readonly onMissing: (food: string, isMissing: boolean) => void;
}

/** The ways out of a fault, the least change first; or what is asked before there are any. */
export function WaysOut({ view, fault, isWeighed, onTake, onMissing }: WaysOutProps) {
  if (view.kind === "question")
    return (
      <p className="flex gap-2 bg-saffron-wash px-3 py-2 max-w-[70ch]">
        <WhyMark kind="ask" />
        {view.why}
      </p>
    );
  return (
    <>
      <h2 className="t-h2 first-letter:uppercase">{fault}</h2>
      <p className="t-ledger text-ink2">
        {formatGrams(Math.round(view.grams))} g in the pot{isWeighed ? ", as weighed" : ", as it was meant to be"}.{view.target && ` ${view.target}.`}
      </p>
      {view.breaks.length > 0 && (
        <p className="flex gap-2 bg-rose-wash text-rose px-3 py-2 mt-2 max-w-[70ch] t-ledger">
          <WhyMark kind="conflict" />
          What is in it is not for this table, and stays so: {view.breaks.join("; ")}.
        </p>
      )}
      {view.still.length > 0 && (
        <p className="flex gap-2 bg-saffron-wash px-3 py-2 mt-2 max-w-[70ch] t-ledger">
          <WhyMark kind="ask" />
          Still to go in: {view.still.map(({ name, grams }) => `${lowerFirst(name)} ${amountText(grams)} g`).join(", ")}. What was meant is with that: put it in
          first, if it is what is missing.
        </p>
      )}
      {view.unread > 0 && (
        <p className="flex gap-2 bg-saffron-wash px-3 py-2 mt-2 max-w-[70ch] t-ledger">
          <WhyMark kind="ask" />
          {view.unread} {view.unread === 1 ? "line of the recipe is" : "lines of the recipe are"} not read yet: what of {view.unread === 1 ? "it" : "them"} is
          in the pot is not in these figures, nor whether it fits the table.
        </p>
      )}
      {view.warmth && (
        <p className="flex gap-2 bg-saffron-wash px-3 py-2 mt-2 max-w-[70ch] t-ledger">
          <WhyMark kind="ask" />
          {view.warmth}
        </p>
      )}
      {view.question && (
        <p className="flex gap-2 bg-saffron-wash px-3 py-2 mt-2 max-w-[70ch] t-ledger">
          <WhyMark kind="ask" />
          {view.question}
        </p>
      )}
      <ol className="mt-3 grid gap-3">
        {view.ways.map((way) => (
          <Way key={way.words} way={way} onMissing={onMissing} {...(onTake && { onTake })} />
        ))}
      </ol>
      <Gone gone={view.gone} onMissing={onMissing} />
      <p className="t-ledger mt-4 max-w-[70ch] flex gap-2">
        <WhyMark kind="conflict" />
        What smells sour or fizzes, or stood warm for more than two hours with milk, egg or cooked grain in it, is thrown away: nothing mends that.
      </p>
      <p className="t-small text-ink2 mt-2 max-w-[70ch]">
        Amounts are computed by the models from what is in the pot; between them lies where the fault is just no longer noticed and as far beyond: begin with
        the lower, wait, and taste. How it goes in, and what has no amount, are rules of practice.
      </p>
    </>
  );
}

const KIND: Readonly<Record<ToldWayOut["kind"], string | null>> = {
  mend: null,
  deed: "Rule of practice",
  "turn into": "Another sweet",
  "throw away": "Throw it away",
};

function Way({ way, onTake, onMissing }: { readonly way: ToldWayOut } & Pick<WaysOutProps, "onTake" | "onMissing">) {
  const { energy } = useHousehold().units;
  const noticed = way.shifts.filter(({ isNoticed }) => isNoticed);
  const kind = KIND[way.kind];
  return (
    <li className="border border-ink bg-sheet p-3">
      {kind && <p className={`t-small ${way.kind === "throw away" ? "text-rose" : "text-ink2"}`}>{kind}</p>}
      <p className="font-[560]">
        {way.words}
        {way.or.length > 0 && <span className="font-[430] text-ink2"> Or as much {way.or.join(", or ")}.</span>}
      </p>
      {(way.adds.length > 0 || way.boilOff) && (
        <ul className="border-t border-line mt-2 t-ledger">
          {way.adds.map(({ food, name, grams, low, high, measure }, i) => (
            <li key={`${food} ${i}`} className="border-b border-line flex flex-wrap justify-between gap-x-3 py-0.5">
              <span>{name}</span>
              <span className="whitespace-nowrap">
                <span className="t-frac text-ink2">{measure}</span> <span className="t-figure">{gramsBeside(grams, measure)}</span>{" "}
                <span className="t-small text-ink2">{between(low, high)}</span>
              </span>
            </li>
          ))}
          {way.boilOff && (
            <li className="border-b border-line flex flex-wrap justify-between gap-x-3 py-0.5">
              <span>Water that boils off</span>
              <span className="whitespace-nowrap">
                <span className="t-figure">{formatGrams(Math.round(way.boilOff.grams))} g</span>{" "}
                <span className="t-small text-ink2">{between(way.boilOff.low, way.boilOff.high)}</span>
              </span>
            </li>
          )}
        </ul>
      )}
      <p className="t-ledger text-ink2 mt-2">
        {way.minutes > 0 && `About ${timeText(way.minutes)}. `}
        {way.kind === "mend" && `${formatGrams(Math.round(way.grams))} g in the pot after it. `}
        {noticed.length > 0
          ? `Noticed: ${noticed.map((shift) => shiftText(shift, energy)).join("; ")}.`
          : way.kind === "mend" || way.adds.length > 0
            ? "Nothing else of it is noticed."
            : ""}
      </p>
      {way.over.map((words) => (
        <p key={words} className="t-ledger text-rose flex gap-2 mt-1">
          <WhyMark kind="conflict" />
          After it: {words}.
        </p>
      ))}
      {way.allergens.length > 0 && (
        <p className="t-ledger flex gap-2 mt-1">
          <WhyMark kind="ask" />
          Brings {way.allergens.join(", ")}, which the pot did not hold.
        </p>
      )}
      <div className="flex flex-wrap gap-x-4 gap-y-1 items-center mt-2 no-print">
        {onTake && (way.kind === "mend" || way.kind === "deed") && (
          <button type="button" className={buttonClass("plain")} onClick={() => onTake(way)}>
            This is what I do
          </button>
        )}
        {way.adds
          .filter(({ food }) => food !== "water")
          .map(({ food, name }) => (
            <button key={food} type="button" className={buttonClass("quiet", "min-h-11 t-ledger")} onClick={() => onMissing(food, true)}>
              No {lowerFirst(name.split(",")[0] ?? name)} at hand
            </button>
          ))}
      </div>
    </li>
  );
}

const timeText = (minutes: number): string => (minutes >= 90 ? `${formatNumber(Math.round(minutes / 30) / 2)} hours` : `${formatNumber(minutes)} min`);
const amountText = (grams: number): string => formatGrams(grams >= 20 ? Math.round(grams) : Number(grams.toPrecision(2)));
/** Where no scale tells them apart, the bounds say nothing. */
const LEAST_TOLD = 0.5;
const between = (low: number, high: number): string => (high < LEAST_TOLD ? "" : `${amountText(low)} to ${amountText(high)} g`);
const DIGITS: Readonly<Record<string, number>> = { binding: 2, "serving.energy": 0 };
function shiftText({ id, name, unit: own, before, after }: ToldWayOut["shifts"][number], energy: FigureManner["energy"]): string {
  const { unit } = inHouseUnit(1, own, { energy });
  const text = (value: number) => inHouseUnit(value, own, { energy }).value.toFixed(DIGITS[id] ?? 1);
  const per = id.startsWith("serving.") ? " a serving" : id.startsWith("sweetness.") || id === "richness" ? " in 100 g" : "";
  return `${name.charAt(0).toLowerCase()}${name.slice(1)} ${text(before)} to ${text(after)}${unit ? ` ${unit}` : ""}${per}`;
}

/** What would mend it, and this table does not have. */
const Gone = ({ gone, onMissing }: Pick<Answer, "gone"> & Pick<WaysOutProps, "onMissing">) =>
  gone.length > 0 && (
    <>
      <h3 className="t-h2 text-[15px] mt-4">Not at this table</h3>
      <ul className="t-ledger">
        {gone.map(({ food, name, why }) => (
          <li key={food} className="flex gap-2 py-0.5">
            <WhyMark kind="conflict" />
            <span>
              {name}: <span className="text-ink2">{why}</span>
              {why === "not at hand" && (
                <button type="button" className={buttonClass("quiet", "ml-2 min-h-11")} onClick={() => onMissing(food, false)}>
                  it is there
                </button>
              )}
            </span>
          </li>
        ))}
      </ul>
    </>
  );
