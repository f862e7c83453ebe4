"use client";

import { ATTENTIONS, HEATS, OPERATIONS, type RecipeComponent, type RecipeStep, type StepChoice, type StepTake } from "../../../core/recipe";
import type { ToldLine, ToldStep } from "../../../core/views";
import { AmountField } from "../../parts/amount-field";
import { useHousehold } from "../../shell/household";
import { HEAT_WORDS, OPERATION_WORDS } from "./step-words";

interface StepPanelProps {
  readonly step: RecipeStep;
  readonly reading: ToldStep;
  readonly lines: readonly ToldLine[];
  readonly components: readonly RecipeComponent[];
  readonly onChoice: (choice: StepChoice, key?: string) => void;
}

const select = "border border-edge bg-sheet px-2 min-h-11 md:min-h-9 t-ledger max-w-full";

/** All that a step is taken to be, each to be set by hand; what is not set goes by the text. */
export function StepPanel({ step, reading, lines, components, onChoice }: StepPanelProps) {
  const { choice } = step;
  const { equipment } = useHousehold();
  const set = (part: StepChoice, key?: string) => onChoice({ ...choice, ...part }, key);
  const unset = (...names: readonly (keyof StepChoice)[]) =>
    onChoice(Object.fromEntries(Object.entries(choice).filter(([name]) => !names.includes(name as keyof StepChoice))));
  const { shortest, usual, longest } = choice.minutes ?? reading.minutes;
  return (
    <div className="grid gap-x-6 gap-y-3 md:grid-cols-2 bg-ground border-t border-line px-3 py-3">
      <label className="t-small text-ink2">
        What is done
        <select
          className={`${select} block text-ink`}
          value={choice.operation ?? ""}
          onChange={(event) => {
            const operation = OPERATIONS.find((each) => each === event.target.value);
            if (operation) set({ operation });
            else unset("operation");
          }}
        >
          <option value="">{choice.operation ? "as read from the text" : `${OPERATION_WORDS[reading.operation]} (from the text)`}</option>
          {OPERATIONS.map((each) => (
            <option key={each} value={each}>
              {OPERATION_WORDS[each]}
            </option>
          ))}
        </select>
      </label>
      <label className="t-small text-ink2">
        How much of the cook it takes
        <select
          className={`${select} block text-ink`}
          value={choice.attention ?? reading.attention}
          onChange={(event) => {
            const attention = ATTENTIONS.find((each) => each === event.target.value);
            if (attention) set({ attention });
          }}
        >
          {ATTENTIONS.map((each) => (
            <option key={each} value={each}>
              {each}
            </option>
          ))}
        </select>
      </label>
      <fieldset>
        <legend className="t-small text-ink2">
          Minutes{reading.timed ? "" : ", as usual for this (the text gives none)"}: at the least, as usual, at the most
        </legend>
        <span className="inline-flex gap-4">
          <AmountField
            label="Minutes at the least"
            unit=""
            value={shortest}
            most={20_000}
            onChange={(value) => set({ minutes: { shortest: value, usual: Math.max(value, usual), longest: Math.max(value, longest) } }, "minutes")}
          />
          <AmountField
            label="Minutes as usual"
            unit=""
            value={usual}
            most={20_000}
            onChange={(value) => set({ minutes: { shortest: Math.min(shortest, value), usual: value, longest: Math.max(longest, value) } }, "minutes")}
          />
          <AmountField
            label="Minutes at the most"
            unit=""
            value={longest}
            most={20_000}
            onChange={(value) => set({ minutes: { shortest: Math.min(shortest, value), usual: Math.min(usual, value), longest: value } }, "minutes")}
          />
        </span>
      </fieldset>
      {reading.isWet && (
        <div className="flex flex-wrap items-end gap-x-4 gap-y-1">
          <label className="t-small text-ink2">
            Heat
            <select
              className={`${select} block text-ink`}
              value={choice.heat ?? reading.heat ?? "simmer"}
              onChange={(event) => {
                const heat = HEATS.find((each) => each === event.target.value);
                if (heat) set({ heat });
              }}
            >
              {HEATS.map((each) => (
                <option key={each} value={each}>
                  {HEAT_WORDS[each]}
                </option>
              ))}
            </select>
          </label>
          <label className="flex items-center gap-2 t-ledger min-h-11 md:min-h-9">
            <input
              type="checkbox"
              className="size-5"
              checked={choice.covered ?? reading.covered}
              onChange={(event) => set({ covered: event.target.checked })}
            />
            under a lid
          </label>
        </div>
      )}
      <Takes step={step} reading={reading} lines={lines} components={components} onTakes={(takes) => set({ takes }, "takes")} onReset={() => unset("takes")} />
      <div>
        <span className="t-small text-ink2 block">The pot after it, weighed without the pan</span>
        {choice.weighed === undefined ? (
          <button type="button" className="underline t-small min-h-11 md:min-h-8" onClick={() => set({ weighed: Math.max(1, Math.round(reading.after ?? 1)) })}>
            It was weighed
          </button>
        ) : (
          <span className="inline-flex flex-wrap items-baseline gap-3">
            <AmountField label="Weighed pot, grams" value={choice.weighed} least={1} onChange={(weighed) => set({ weighed }, "weighed")} />
            <button type="button" className="underline t-small min-h-8" onClick={() => unset("weighed")}>
              not weighed
            </button>
            {(equipment?.pans ?? []).map(
              ({ id, name, mass, diameter }) =>
                mass !== null &&
                (choice.weighed ?? 0) > mass && (
                  <button key={id} type="button" className="underline t-small min-h-8" onClick={() => set({ weighed: (choice.weighed ?? 0) - mass })}>
                    take off {name.trim() || `the pan of ${diameter} cm`}, {mass} g
                  </button>
                ),
            )}
          </span>
        )}
      </div>
      <p className="md:col-span-2 t-small text-ink2">
        {reading.cue ? `Until ${reading.cue}. ` : ""}
        {reading.equipment.length > 0 ? `Needs: ${reading.equipment.join(", ")}. ` : ""}
        {Object.keys(choice).length > 0 && (
          <button type="button" className="underline min-h-6" onClick={() => onChoice({})}>
            All as read from the text
          </button>
        )}
      </p>
    </div>
  );
}

function Takes({
  step,
  reading,
  lines,
  components,
  onTakes,
  onReset,
}: Omit<StepPanelProps, "onChoice"> & {
  readonly onTakes: (takes: readonly StepTake[]) => void;
  readonly onReset: () => void;
}) {
  const takes = reading.takes.map(({ id, share }) => ({ of: id, share: Math.round(1000 * share) / 1000 }));
  const things = [
    ...lines.flatMap(({ id, kind, food }) => (kind === "read" && food ? [{ id, name: food.name }] : [])),
    ...components.filter(({ id }) => id !== step.component).map(({ id, name }) => ({ id, name: `${name} (a part)` })),
  ];
  const nameOf = (id: string) => things.find((thing) => thing.id === id)?.name ?? id;
  return (
    <div>
      <span className="t-small text-ink2 block">Goes in at this step</span>
      <ul>
        {takes.map(({ of, share }, i) => (
          <li key={of} className="flex items-baseline gap-2 t-ledger min-h-8">
            <span className="flex-1 min-w-0">{nameOf(of)}</span>
            <AmountField
              label={`Share of ${nameOf(of)}, per cent`}
              unit="%"
              value={Math.round(share * 100)}
              least={1}
              most={100}
              onChange={(percent) => onTakes(takes.with(i, { of, share: percent / 100 }))}
            />
            <button
              type="button"
              aria-label={`${nameOf(of)} does not go in here`}
              title="Does not go in here"
              className="size-8 grid place-items-center text-ink2 hover:bg-pressed ml-2"
              onClick={() => onTakes(takes.filter((_, j) => j !== i))}
            >
              <svg width="12" height="12" viewBox="0 0 12 12" fill="none" stroke="currentColor" strokeWidth="1.7" aria-hidden="true">
                <path d="m2 2 8 8M10 2l-8 8" />
              </svg>
            </button>
          </li>
        ))}
      </ul>
      <span className="flex flex-wrap gap-3 items-center">
        <select
          aria-label="Something else goes in at this step"
          className={select}
          value=""
          onChange={(event) => onTakes([...takes, { of: event.target.value, share: 1 }])}
        >
          <option value="">+ goes in here too</option>
          {things
            .filter(({ id }) => !takes.some(({ of }) => of === id))
            .map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
        </select>
        {step.choice.takes && (
          <button type="button" className="underline t-small min-h-8" onClick={onReset}>
            as the text says
          </button>
        )}
      </span>
    </div>
  );
}
