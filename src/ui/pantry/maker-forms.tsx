"use client";

import type { Food } from "../../core/food";
import type { Making, MakingTables } from "../../core/making";
import { percentAtBoiling, boilingPoint } from "../../core/process";
import { temperatureText } from "../../core/units";
import { readingContext } from "../../workers/client";
import { AmountField } from "../parts/amount-field";
import { Choice } from "../parts/choice";
import { FoodPicker } from "../parts/food-picker";
import { useKnowledge } from "../parts/use-knowledge";
import { useHousehold } from "../shell/household";
import { usualMilk } from "./maker-model";

type Problems = readonly { readonly field: string; readonly grave: boolean; readonly why: string }[];

interface FormProps<M extends Making> {
  readonly making: M;
  readonly tables: MakingTables;
  readonly foods: ReadonlyMap<string, Food>;
  readonly problems: Problems;
  readonly onChange: (making: Making, key?: string) => void;
}

/** What goes in, of the kind of making at hand. */
export function MakerForm(props: FormProps<Making>) {
  const { making } = props;
  switch (making.kind) {
    case "milk":
      return <MilkForm {...props} making={making} />;
    case "paste":
      return <PasteForm {...props} making={making} />;
    case "syrup":
      return <SyrupForm {...props} making={making} />;
    case "caramel":
      return <CaramelForm {...props} making={making} />;
    case "roast":
      return <RoastForm {...props} making={making} />;
    case "mixture":
      return <MixtureForm {...props} making={making} />;
  }
}

type Of<K extends Making["kind"]> = FormProps<Extract<Making, { kind: K }>>;

function MilkForm({ making, tables, foods, problems, onChange }: Of<"milk">) {
  const material = tables.milks.find(({ foodId }) => foodId === making.material);
  const soak = material?.soak ?? null;
  const water = making.presses.reduce((sum, each) => sum + each, 0);
  const setPress = (i: number, grams: number) => onChange({ ...making, presses: making.presses.map((each, at) => (at === i ? grams : each)) }, `press ${i}`);
  return (
    <>
      <Row label="Material">
        <FoodSelect
          label="Material"
          value={making.material}
          ids={tables.milks.map(({ foodId }) => foodId)}
          foods={foods}
          onChange={(id) => onChange({ ...usualMilk(id, making.grams, tables), squeeze: making.squeeze })}
        />
      </Row>
      <Row label="Dry mass" hint={material?.waterAsUsed ? "fresh, as it is grated" : undefined}>
        <AmountField
          label="Mass of the material, grams"
          value={making.grams}
          least={1}
          onChange={(grams) =>
            // The water keeps its ratio to the material until it is set by hand.
            onChange({ ...making, grams, presses: making.presses.map((each) => Math.round((each * grams) / making.grams)) }, "grams")
          }
        />
      </Row>
      {soak && (
        <Row
          label="Soaked"
          hint={
            making.soaked < soak.least
              ? soak.short
              : making.soaked > soak.most
                ? soak.over
                : `${hours(soak.least)} to ${hours(soak.most)}, usually ${hours(soak.usual)}`
          }
          doubtful={making.soaked < soak.least || making.soaked > soak.most}
        >
          <AmountField label="Hours of soaking" unit="h" value={making.soaked} most={96} onChange={(soaked) => onChange({ ...making, soaked }, "soaked")} />
        </Row>
      )}
      {making.presses.map((grams, i) => (
        <Row key={i} label={making.presses.length > 1 ? `Fresh water, press ${i + 1}` : "Fresh water"} problem={i === 0 ? of(problems, "presses") : undefined}>
          {making.presses.length > 1 && (
            <button
              type="button"
              className="underline t-small mr-3 min-h-8"
              aria-label={`Without press ${i + 1}`}
              onClick={() => onChange({ ...making, presses: making.presses.filter((_, at) => at !== i) })}
            >
              leave out
            </button>
          )}
          <AmountField label={`Water of press ${i + 1}, grams`} value={grams} onChange={(next) => setPress(i, next)} />
        </Row>
      ))}
      <Row label={`1 part to ${(water / making.grams).toFixed(1)} of water`} quiet>
        {making.presses.length < 4 && (
          <button type="button" className="underline t-ledger min-h-8" onClick={() => onChange({ ...making, presses: [...making.presses, making.grams] })}>
            Press it once more
          </button>
        )}
      </Row>
      <Row label="Squeezed">
        <span className="flex gap-5">
          <Choice name="squeeze" label="hard" checked={making.squeeze === "hard"} onChange={() => onChange({ ...making, squeeze: "hard" })} />
          <Choice name="squeeze" label="loosely" checked={making.squeeze === "loose"} onChange={() => onChange({ ...making, squeeze: "loose" })} />
        </span>
      </Row>
    </>
  );
}

function PasteForm({ making, tables, foods, problems, onChange }: Of<"paste">) {
  const paste = tables.pastes.find(({ foodId }) => foodId === making.fruit);
  return (
    <>
      <Row label="Fruit">
        <FoodSelect
          label="Fruit"
          value={making.fruit}
          ids={tables.pastes.map(({ foodId }) => foodId)}
          foods={foods}
          onChange={(fruit) => {
            const next = tables.pastes.find(({ foodId }) => foodId === fruit);
            onChange({ ...making, fruit, water: Math.round(making.grams * (next?.water ?? 0.25)) });
          }}
        />
      </Row>
      <Row label="Fruit, stoned" problem={of(problems, "grams")}>
        <AmountField
          label="Fruit, grams"
          value={making.grams}
          least={1}
          onChange={(grams) => onChange({ ...making, grams, water: Math.round((making.water * grams) / making.grams) }, "grams")}
        />
      </Row>
      <Row
        label="Water"
        hint={`fruit to water ${(making.grams / Math.max(1, making.water)).toFixed(1)} to 1; usually ${(1 / (paste?.water ?? 1)).toFixed(1)} to 1`}
      >
        <AmountField label="Water, grams" value={making.water} onChange={(water) => onChange({ ...making, water }, "water")} />
      </Row>
      <Finished
        making={making}
        problems={problems}
        onChange={(finished) => onChange({ ...making, finished }, "finished")}
        hint="only where it was cooked down"
      />
    </>
  );
}

function SyrupForm({ making, tables, foods, problems, onChange }: Of<"syrup">) {
  const { temperature } = useHousehold().units;
  const celsius = boilingPoint(making.percent, tables.boiling);
  const degrees = temperature === "celsius" ? celsius : celsius * 1.8 + 32;
  return (
    <>
      <Row label="Of">
        <FoodSelect
          label="Sugar"
          value={making.sugar}
          ids={tables.syrups.map(({ foodId }) => foodId)}
          foods={foods}
          onChange={(sugar) => onChange({ ...making, sugar })}
        />
      </Row>
      <Row label="Dissolve">
        <AmountField label="Sugar, grams" value={making.grams} least={1} onChange={(grams) => onChange({ ...making, grams }, "grams")} />
      </Row>
      <Row label="in water" problem={of(problems, "water")}>
        <AmountField label="Water, grams" value={making.water} onChange={(water) => onChange({ ...making, water }, "water")} />
      </Row>
      <Row label="Filter it">
        <label className="flex gap-2 items-center min-h-11 t-ledger">
          <input type="checkbox" checked={making.filtered} onChange={() => onChange({ ...making, filtered: !making.filtered })} className="size-5 accent-ink" />
          through a cloth
        </label>
      </Row>
      <Row label="Boil it to a strength of" problem={of(problems, "percent")}>
        <AmountField
          label="Strength, per cent of solids"
          unit="%"
          value={making.percent}
          least={5}
          most={99}
          onChange={(percent) => onChange({ ...making, percent }, "percent")}
        />
      </Row>
      <Row label="which boils at" hint="at sea level, the thermometer clear of the pan">
        <AmountField
          label={`Boiling point, ${temperature === "celsius" ? "°C" : "°F"}`}
          unit={temperature === "celsius" ? "°C" : "°F"}
          value={degrees}
          shownAs={String(Math.round(degrees))}
          most={320}
          onChange={(at) => {
            const percent = percentAtBoiling(temperature === "celsius" ? at : (at - 32) / 1.8, tables.boiling);
            onChange({ ...making, percent: Math.min(99, Math.max(5, Math.round(percent * 10) / 10)) }, "percent");
          }}
        />
      </Row>
      <fieldset className="pt-2">
        <legend className="t-small text-ink2">or by its signs</legend>
        <div className="flex flex-wrap gap-x-5">
          {tables.syrupStages.slice(1, 8).map(({ from, name }) => (
            <Choice
              key={from}
              name="stage"
              label={name}
              checked={stageAt(making.percent, tables) === from}
              onChange={() => onChange({ ...making, percent: from })}
            />
          ))}
        </div>
      </fieldset>
    </>
  );
}

const stageAt = (percent: number, { syrupStages }: MakingTables) => [...syrupStages].reverse().find(({ from }) => percent >= from)?.from;

function CaramelForm({ making, tables, foods, problems, onChange }: Of<"caramel">) {
  const { temperature } = useHousehold().units;
  return (
    <>
      <Row label="Of">
        <FoodSelect
          label="Sugar"
          value={making.sugar}
          ids={["sugar", "coconut-sugar", "jaggery-powder"]}
          foods={foods}
          onChange={(sugar) => onChange({ ...making, sugar })}
        />
      </Row>
      <Row label="Melt">
        <AmountField label="Sugar, grams" value={making.grams} least={1} onChange={(grams) => onChange({ ...making, grams }, "grams")} />
      </Row>
      <fieldset className="border-b border-line py-1">
        <legend className="t-ledger pt-1.5">until it is</legend>
        {tables.caramel.map(({ id, celsius, colour, cue }) => (
          <div key={id} className="flex flex-wrap items-baseline gap-x-3">
            <Choice name="caramel" label={colour} checked={making.stage === id} onChange={() => onChange({ ...making, stage: id })} />
            <span className="t-small text-ink2">
              {cue}, {temperatureText(celsius, temperature)}
            </span>
          </div>
        ))}
      </fieldset>
      <Row label="Let it down with hot water" problem={of(problems, "water")}>
        <AmountField label="Water, grams" value={making.water} onChange={(water) => onChange({ ...making, water }, "water")} />
      </Row>
    </>
  );
}

function RoastForm({ making, tables, foods, problems, onChange }: Of<"roast">) {
  const knowledge = useKnowledge();
  const { measures } = useHousehold();
  return (
    <>
      <Row label={foods.get(making.flour)?.name ?? "A flour"}>
        <span className="w-60 max-w-full">
          <FoodPicker
            label="another flour, seed or nut"
            context={readingContext(knowledge, measures)}
            onPick={({ id }) => onChange({ ...making, flour: id })}
          />
        </span>
      </Row>
      <Row label="Roast">
        <AmountField label="Flour, grams" value={making.grams} least={1} onChange={(grams) => onChange({ ...making, grams }, "grams")} />
      </Row>
      <fieldset className="border-b border-line py-1">
        <legend className="t-ledger pt-1.5">until it is</legend>
        {tables.roasts.map(({ id, moisture, cue }) => (
          <div key={id} className="flex flex-wrap items-baseline gap-x-3">
            <Choice name="roast" label={id} checked={making.stage === id} onChange={() => onChange({ ...making, stage: id })} />
            <span className="t-small text-ink2">
              {cue}; about {moisture} % of moisture left
            </span>
          </div>
        ))}
      </fieldset>
      <Finished
        making={making}
        problems={problems}
        onChange={(finished) => onChange({ ...making, finished }, "finished")}
        hint="if you weighed it, that wins"
      />
    </>
  );
}

function MixtureForm({ making, foods, problems, onChange }: Of<"mixture">) {
  const knowledge = useKnowledge();
  const { measures } = useHousehold();
  return (
    <>
      {making.parts.map(({ foodId, grams }, i) => (
        <Row key={`${foodId} ${i}`} label={foods.get(foodId)?.name ?? foodId}>
          <button
            type="button"
            className="underline t-small mr-3 min-h-8"
            aria-label={`Without ${foods.get(foodId)?.name ?? foodId}`}
            onClick={() => onChange({ ...making, parts: making.parts.filter((_, at) => at !== i) })}
          >
            leave out
          </button>
          <AmountField
            label={`${foods.get(foodId)?.name ?? foodId}, grams`}
            value={grams}
            least={0.01}
            onChange={(next) => onChange({ ...making, parts: making.parts.map((part, at) => (at === i ? { ...part, grams: next } : part)) }, `part ${i}`)}
          />
        </Row>
      ))}
      <div className="py-2 border-b border-line">
        <FoodPicker
          label={making.parts.length === 0 ? "Find the first food in it" : "Find another food in it"}
          context={readingContext(knowledge, measures)}
          onPick={({ id }) => onChange({ ...making, parts: [...making.parts, { foodId: id, grams: 100 }] })}
        />
        {of(problems, "parts") && <p className="t-small text-ink2 mt-1">{of(problems, "parts")?.why} Water too, where there is any.</p>}
      </div>
      <Finished making={making} problems={problems} onChange={(finished) => onChange({ ...making, finished }, "finished")} hint="if some boiled away" />
    </>
  );
}

function Finished({
  making,
  problems,
  hint,
  onChange,
}: {
  readonly making: { readonly finished: number | null };
  readonly problems: Problems;
  readonly hint: string;
  readonly onChange: (finished: number | null) => void;
}) {
  return (
    <Row label="Weighs when done" hint={hint} problem={of(problems, "finished")}>
      <WeighedField label="Weight when done, grams" value={making.finished} onChange={onChange} />
    </Row>
  );
}

/** A weight that may not have been taken: 0 says so. */
export function WeighedField({
  label,
  value,
  onChange,
}: {
  readonly label: string;
  readonly value: number | null;
  readonly onChange: (grams: number | null) => void;
}) {
  return (
    <AmountField label={label} value={value ?? 0} shownAs={value === null ? "" : String(value)} onChange={(grams) => onChange(grams > 0 ? grams : null)} />
  );
}

const of = (problems: Problems, field: string) => problems.find((problem) => problem.field === field);
const hours = (value: number) => (value < 1 ? `${Math.round(value * 60)} min` : `${value} h`);

export function Row({
  label,
  hint,
  doubtful = false,
  quiet = false,
  problem,
  children,
}: {
  readonly label: string;
  readonly hint?: string | undefined;
  readonly doubtful?: boolean;
  readonly quiet?: boolean;
  readonly problem?: Problems[number] | undefined;
  readonly children: React.ReactNode;
}) {
  return (
    <div className="border-b border-line py-1">
      <div className="flex items-center justify-between gap-x-4 gap-y-1 flex-wrap min-h-10">
        <span className={quiet ? "t-small text-ink2" : "t-ledger"}>{label}</span>
        <span className="inline-flex items-center">{children}</span>
      </div>
      {hint && <p className={`t-small ${doubtful ? "text-saffron" : "text-ink2"}`}>{hint}</p>}
      {problem && (
        <p role={problem.grave ? "alert" : "status"} className={`t-small ${problem.grave ? "text-rose" : "text-saffron"}`}>
          {problem.why}
        </p>
      )}
    </div>
  );
}

function FoodSelect({
  label,
  value,
  ids,
  foods,
  onChange,
}: {
  readonly label: string;
  readonly value: string;
  readonly ids: readonly string[];
  readonly foods: ReadonlyMap<string, Food>;
  readonly onChange: (id: string) => void;
}) {
  return (
    <select aria-label={label} value={value} onChange={(event) => onChange(event.target.value)} className="border border-edge bg-sheet px-2 min-h-11 max-w-64">
      {ids.map((id) => (
        <option key={id} value={id}>
          {foods.get(id)?.name ?? id}
        </option>
      ))}
    </select>
  );
}
