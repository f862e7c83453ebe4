"use client";

import { useId, useState } from "react";
import { AIMS, GOAL_NAMES, GOALS, type Aim, type DiningTable, type GoalId, type Wish } from "../../../core/table";
import { capital } from "../../../core/units";
import type { BenchView, FoundFood } from "../../../core/views";
import { FoodPicker } from "../../panels/food-picker";
import { AmountField } from "../../parts/amount-field";
import { Button } from "../../parts/button";
import { Chevron } from "../../parts/marks";
import { useHousehold } from "../../shell/household";

interface WishesPanelProps extends Pick<BenchView, "wishes" | "goals" | "palates"> {
  readonly table: DiningTable;
  readonly onWish: (wish: Wish) => void;
  readonly onLetGo: (wish: Wish) => void;
}

const AIM_WORDS: Readonly<Record<Aim, string>> = {
  lower: "clearly less",
  raise: "clearly more",
  "as it is": "as in the recipe",
  "at most": "at most",
  "at least": "at least",
};
const tenth = (value: number) => Math.round(value * 10) / 10;

/** What is asked of versions beside rules and limits, each to be let go of; and what else can be asked. */
export function WishesPanel({ wishes, goals, palates, table, onWish, onLetGo }: WishesPanelProps) {
  const [open, setOpen] = useState(false);
  const id = useId();
  const level = palates.filter(({ of, state }) => of === "sweetness" && state !== "level");
  return (
    <section aria-label="Asked of versions" className="border-x border-ink bg-sheet no-print">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1 px-3 py-1 border-b border-line">
        <button
          type="button"
          aria-expanded={open}
          aria-controls={id}
          onClick={() => setOpen(!open)}
          className="t-ledger font-[550] min-h-11 md:min-h-8 inline-flex items-center gap-2"
        >
          <Chevron open={open} />
          {wishes.length === 0 ? "Ask more of the versions" : "Asked of the versions:"}
        </button>
        {wishes.length > 0 && (
          <ul className="contents">
            {wishes.map(({ wish, words }) => (
              <li key={words}>
                <button
                  type="button"
                  onClick={() => onLetGo(wish)}
                  className="border border-edge px-2 min-h-11 md:min-h-7 t-small hover:bg-pressed"
                  title="Let go of it"
                >
                  {words} <span aria-hidden="true">×</span>
                  <span className="sr-only">: let go of it</span>
                </button>
              </li>
            ))}
          </ul>
        )}
      </div>
      {open && (
        <div id={id} className="px-3 py-2 border-b border-line grid gap-3 t-ledger bg-pressed">
          {level.length > 0 && (
            <p className="flex flex-wrap gap-2 items-center">
              To their taste:
              {level.map(({ eater, name, state, level: { low, high } }) => (
                <Button
                  key={eater}
                  onClick={() =>
                    onWish(
                      state === "too sweet"
                        ? { kind: "goal", goal: "sweetness", aim: "at most", value: tenth(high) }
                        : { kind: "goal", goal: "sweetness", aim: "at least", value: tenth(low) },
                    )
                  }
                >
                  level for {name}
                </Button>
              ))}
            </p>
          )}
          <GoalForm goals={goals} onWish={onWish} />
          <FoodForm table={table} onWish={onWish} />
          <CostForm onWish={onWish} />
          <p className="t-small text-ink2">
            A line of the recipe is kept, capped or left out of every version from its own row below. Versions are worked out again with each of these.
          </p>
        </div>
      )}
    </section>
  );
}

const select = "border border-edge bg-sheet px-2 min-h-11 md:min-h-9";

function GoalForm({ goals, onWish }: Pick<WishesPanelProps, "goals" | "onWish">) {
  const [goal, setGoal] = useState<GoalId>("sweetness");
  const [aim, setAim] = useState<Aim>("lower");
  const [typed, setTyped] = useState<number | null>(null);
  const { unit, per } = GOAL_NAMES[goal];
  const needsValue = aim === "at most" || aim === "at least";
  const value = typed ?? tenth(goals[goal]);
  return (
    <div className="flex flex-wrap gap-2 items-center">
      <select
        aria-label="Which figure"
        value={goal}
        className={select}
        onChange={(event) => {
          setGoal(event.target.value as GoalId);
          setTyped(null);
        }}
      >
        {GOALS.map((each) => (
          <option key={each} value={each}>
            {capital(GOAL_NAMES[each].name)}
          </option>
        ))}
      </select>
      <select aria-label="What is wanted of it" value={aim} className={select} onChange={(event) => setAim(event.target.value as Aim)}>
        {AIMS.map((each) => (
          <option key={each} value={each}>
            {AIM_WORDS[each]}
          </option>
        ))}
      </select>
      {needsValue && <AmountField label="How much of it" unit={unit} value={value} most={10_000} onChange={setTyped} />}
      <span className="t-small text-ink2">
        the recipe: {tenth(goals[goal])} {unit} {per}
      </span>
      <Button onClick={() => onWish({ kind: "goal", goal, aim, value: needsValue ? value : null })}>Ask for it</Button>
    </div>
  );
}

function FoodForm({ table, onWish }: Pick<WishesPanelProps, "table" | "onWish">) {
  const [food, setFood] = useState<FoundFood | null>(null);
  const [grams, setGrams] = useState(100);
  if (!food)
    return (
      <div className="max-w-80">
        <FoodPicker label="A food to use up, or never to use" table={table} onPick={setFood} />
      </div>
    );
  const done = (wish: Wish) => {
    onWish(wish);
    setFood(null);
  };
  return (
    <div className="flex flex-wrap gap-2 items-center">
      <span className="font-[550]">{food.name}</span>
      <AmountField label={`Grams of ${food.name} to use`} value={grams} onChange={setGrams} />
      <Button onClick={() => done({ kind: "food goes in", food: food.id, grams })}>At least that much goes in</Button>
      <Button onClick={() => done({ kind: "food never", food: food.id })}>Never use it here</Button>
      <button type="button" className="underline t-small min-h-11 md:min-h-8" onClick={() => setFood(null)}>
        Not now
      </button>
    </div>
  );
}

function CostForm({ onWish }: Pick<WishesPanelProps, "onWish">) {
  const { currency } = useHousehold().units;
  const [most, setMost] = useState(1);
  return (
    <div className="flex flex-wrap gap-2 items-center">
      Food of a serving costs at most <AmountField label="Most that a serving costs" unit="" value={most} least={0.01} most={1_000_000} onChange={setMost} />
      {currency}
      <Button onClick={() => onWish({ kind: "cost at most", most })}>Ask for it</Button>
      <span className="t-small text-ink2">by the prices of the pantry; what has none counts as nothing</span>
    </div>
  );
}
