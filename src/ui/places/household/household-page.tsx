"use client";

import equal from "fast-deep-equal";
import { useMemo, useState } from "react";
import { kitchenMeasure } from "../../../core/recipe";
import {
  ENERGY_UNITS,
  formatGrams,
  formatToSpread,
  inEnergyUnit,
  MEASURE_WORDS,
  TEMPERATURE_UNITS,
  moneyText,
  temperatureText,
  type HouseholdMeasures,
} from "../../../core/units";
import { USUAL_HOUSEHOLD, type AboutPeople, type Household } from "../../../core/household";
import { foodFacts, type Constants, type Food } from "../../../core/food";
import { AmountField } from "../../parts/amount-field";
import { Choice } from "../../parts/choice";
import { UndoButtons } from "../../parts/undo-buttons";
import { useKitchen } from "../../shell/use-kitchen";
import { useUndoKeys } from "../../parts/use-history";
import { useHouseholdDocument } from "../../shell/household";
import { SaveNotice } from "../../shell/save-notice";
import { PageHead } from "../../shell/shell";
import { applyTheme, THEMES, type Theme } from "../../shell/theme";
import type { EatersDocument } from "../../../core/table";
import type { Revised } from "../../shell/documents";
import { EatersSection } from "./eaters-section";
import { EquipmentSection } from "./equipment-section";
import { RulesSection } from "./rules-section";
import { SchoolsSection } from "./schools-section";
import { WaysSection } from "./ways-section";
import { BackupSection } from "./backup-section";
import { KeepingSection } from "./keeping-section";
import { PlaceSection } from "./place-section";
import { PageColumns } from "../../parts/page-columns";
import { RowHead } from "../../parts/table-heads";

const SIZES: readonly (readonly [keyof Omit<HouseholdMeasures, "words" | "byEye">, string, string, number, number])[] = [
  ["cup", "Cup", "metric sets have 240 or 250 ml; older books mean other sizes", 100, 500],
  ["katori", "Katori", "fill yours with water on the scale: 1 g is 1 ml", 50, 300],
  ["tablespoon", "Tablespoon", "a measuring spoon has 15 ml, in some countries 20", 5, 30],
  ["teaspoon", "Teaspoon", "a measuring spoon has 5 ml", 2, 10],
];
export const WORDS: Readonly<Record<(typeof MEASURE_WORDS)[number], string>> = {
  cups: "cups and spoons",
  katori: "katori and spoons",
  millilitres: "millilitres",
};
const PARTS = [
  ["eaters", "Who eats"],
  ["rules", "Rules of the house"],
  ["schools", "Schools"],
  ["ways", "Ways of cooking"],
  ["equipment", "What you cook with"],
  ["keeping", "Keeping and labels"],
  ["measures", "Measures and units"],
  ["place", "Where you are"],
  ["backup", "A copy of everything"],
] as const;
const DEGREES: Readonly<Record<(typeof TEMPERATURE_UNITS)[number], string>> = { celsius: "°C", fahrenheit: "°F" };
const THEME_WORDS: Readonly<Record<Theme, string>> = { system: "as the device", light: "light", dark: "dark" };

interface HouseholdPageProps {
  readonly theme: Theme;
  readonly canGoBack: boolean;
  readonly people: AboutPeople;
  readonly eaters: Revised<EatersDocument>;
  /** ISO. */
  readonly today: string;
  /** Foods that show what the sizes come to. */
  readonly shown: readonly Food[];
  readonly constants: Constants;
}

/** The Household: its measures and units, the look, and a copy of everything. */
export function HouseholdPage({ theme, canGoBack, people, eaters, today, shown, constants }: HouseholdPageProps) {
  const household = useHouseholdDocument();
  useUndoKeys(household);
  const { rules: byId, ways, books } = useKitchen();
  const rules = useMemo(() => [...byId.values()], [byId]);
  const { present, set, undo, redo } = household;
  const { measures, units } = present;
  const setMeasures = (part: Partial<HouseholdMeasures>, key?: string) => set((now: Household) => ({ ...now, measures: { ...now.measures, ...part } }), key);
  const setUnits = (part: Partial<Household["units"]>, key?: string) => set((now: Household) => ({ ...now, units: { ...now.units, ...part } }), key);
  const sugar = shown.find(({ id }) => id === "sugar");
  // Its currency is its own: there is no usual one.
  const usualHere: Household = {
    ...present,
    ...USUAL_HOUSEHOLD,
    units: { ...USUAL_HOUSEHOLD.units, currency: units.currency },
  };
  const usual = equal([present.measures, present.units], [usualHere.measures, usualHere.units]);
  return (
    <>
      <PageHead title="Household" line="Who eats, what a cup is here, how figures are shown, and where you are." />
      <PageColumns>
        <div className="p-4 md:p-5 grid gap-7 content-start min-w-0 grid-cols-[minmax(0,1fr)]">
          <nav aria-label="On this page" className="flex flex-wrap gap-x-5 t-ledger no-print -mb-3">
            {PARTS.map(([id, name]) => (
              <a key={id} href={`#${id}`} className="underline min-h-11 md:min-h-8 inline-flex items-center">
                {name}
              </a>
            ))}
          </nav>
          <EatersSection given={eaters} rules={rules} today={today} />
          <RulesSection />
          <SchoolsSection schools={present.schools ?? {}} rules={rules} onSchools={(schools) => set((now: Household) => ({ ...now, schools }))} />
          <WaysSection held={present.ways ?? {}} ways={ways} onWays={(held) => set((now: Household) => ({ ...now, ways: held }))} />
          <EquipmentSection
            equipment={present.equipment}
            onEquipment={(equipment, key) => set((now: Household) => ({ ...now, equipment }), key && `equipment ${key}`)}
          />
          <KeepingSection
            own={present.keeping ?? {}}
            kinds={constants.keeping.value.kinds}
            books={books}
            book={present.labelBook}
            onOwn={(keeping, key) => set((now: Household) => ({ ...now, keeping }), `keeping ${key}`)}
            onBook={(labelBook) => set((now: Household) => ({ ...now, labelBook }))}
          />
          <div id="measures" className="flex flex-wrap justify-between items-center gap-3 scroll-mt-4">
            <h2 className="t-h2">Measures</h2>
            <span className="flex gap-3 items-center no-print">
              <SaveNotice document={household} />
              <UndoButtons undo={undo} redo={redo} />
            </span>
          </div>
          <ul className="border-t border-ink -mt-4">
            {SIZES.map(([key, name, what, least, most]) => (
              <li key={key} className="border-b border-line flex justify-between items-center gap-4 min-h-[52px] py-1">
                <span className="t-ledger">
                  <span className="font-[550]">{name}</span>
                  <span className="block t-small text-ink2">{what}</span>
                </span>
                <AmountField
                  label={`${name}, millilitres`}
                  unit="ml"
                  value={measures[key]}
                  shownAs={String(measures[key])}
                  least={least}
                  most={most}
                  onChange={(millilitres) => setMeasures({ [key]: millilitres }, key)}
                />
              </li>
            ))}
          </ul>
          <fieldset>
            <legend className="t-h2 text-[15px]">In which words</legend>
            <p className="t-small text-ink2">For the measures that Threpsis writes. A pasted recipe may use any.</p>
            <div className="flex flex-wrap gap-x-7 border-t border-ink mt-1">
              {MEASURE_WORDS.map((words) => (
                <Choice key={words} name="words" label={WORDS[words]} checked={measures.words === words} onChange={() => setMeasures({ words })} />
              ))}
            </div>
          </fieldset>
          <div className="flex flex-wrap gap-x-12 gap-y-6">
            <fieldset>
              <legend className="t-h2 text-[15px]">Energy</legend>
              <div className="flex gap-6 border-t border-ink mt-1 pr-6">
                {ENERGY_UNITS.map((energy) => (
                  <Choice key={energy} name="energy" label={energy} checked={units.energy === energy} onChange={() => setUnits({ energy })} />
                ))}
              </div>
            </fieldset>
            <fieldset>
              <legend className="t-h2 text-[15px]">Temperature</legend>
              <div className="flex gap-6 border-t border-ink mt-1 pr-6">
                {TEMPERATURE_UNITS.map((temperature) => (
                  <Choice
                    key={temperature}
                    name="temperature"
                    label={DEGREES[temperature]}
                    checked={units.temperature === temperature}
                    onChange={() => setUnits({ temperature })}
                  />
                ))}
              </div>
            </fieldset>
            <Look given={theme} />
            <label>
              <span className="t-h2 text-[15px] block">Currency</span>
              <span className="flex border-t border-ink mt-1 pt-1.5 items-center gap-2">
                <input
                  aria-label="Currency, as it is written after a price"
                  value={units.currency}
                  maxLength={12}
                  placeholder="none"
                  onChange={(event) => setUnits({ currency: event.target.value }, "currency")}
                  className="w-[104px] border border-edge bg-sheet px-2 min-h-9"
                />
                <span className="t-small text-ink2">{moneyText(1.2, units.currency.trim())}</span>
              </span>
            </label>
          </div>
          <PlaceSection
            place={present.place ?? null}
            altitude={present.altitude ?? 0}
            onPlace={(place) => set((now: Household) => ({ ...now, place }), "place")}
            onAltitude={(altitude) => set((now: Household) => ({ ...now, altitude }), "altitude")}
          />
          {!usual && (
            <p>
              <button type="button" className="underline t-ledger min-h-8" onClick={() => set(usualHere)}>
                Back to the usual measures and units
              </button>
            </p>
          )}
          <BackupSection canGoBack={canGoBack} people={people} />
        </div>
        <aside className="lg:crease-l p-4 md:p-5" aria-label="What that comes to">
          <h2 className="t-h2">What that comes to</h2>
          <p className="t-small text-ink2">as recipes are read and written here</p>
          <table className="w-full t-ledger rule-t mt-1">
            <tbody>
              {shown.map((food) => {
                const grams = (food.density ?? 0) * (food.role === "aroma" ? measures.teaspoon : measures.words === "katori" ? measures.katori : measures.cup);
                return (
                  <tr key={food.id} className="border-b border-line">
                    <RowHead className="py-1.5">{food.name}</RowHead>
                    <td className="text-right t-figure t-frac">{kitchenMeasure(food, grams, measures)?.text}</td>
                    <td className="text-right t-figure pl-3">{formatGrams(grams)} g</td>
                  </tr>
                );
              })}
              {sugar && (
                <tr className="border-b border-line">
                  <RowHead colSpan={2} className="py-1.5">
                    Energy in 100 g of sugar
                  </RowHead>
                  <td className="text-right t-figure pl-3">
                    <EnergyOf food={sugar} constants={constants} unit={units.energy} />
                  </td>
                </tr>
              )}
              <tr className="border-b border-line">
                <RowHead colSpan={2} className="py-1.5">
                  Served hot, served chilled
                </RowHead>
                <td className="text-right t-figure pl-3 whitespace-nowrap">
                  {temperatureText(constants.temperatures.hot, units.temperature)}, {temperatureText(constants.temperatures.chilled, units.temperature)}
                </td>
              </tr>
            </tbody>
          </table>
          <p className="t-small text-ink2 mt-3">
            A change of a size changes what every cup and spoon of your recipes is read as. Versions that were kept stay as they were. The katori’s 150 ml is a
            rule of thumb: they run from 100 to 200.
          </p>
        </aside>
      </PageColumns>
    </>
  );
}

function EnergyOf({ food, constants, unit }: { readonly food: Food; readonly constants: Constants; readonly unit: Household["units"]["energy"] }) {
  const { energy } = foodFacts(food, constants);
  return (
    <>
      {formatToSpread(inEnergyUnit(energy.value, unit), inEnergyUnit((energy.high - energy.low) / 2, unit))} {unit}
    </>
  );
}

/** Light or dark. A matter of this browser, not of the household: kept in a cookie. */
function Look({ given }: { readonly given: Theme }) {
  const [theme, setTheme] = useState(given);
  const take = (next: Theme) => {
    setTheme(next);
    applyTheme(next);
  };
  return (
    <fieldset>
      <legend className="t-h2 text-[15px]">Light or dark, on this device</legend>
      <div className="flex flex-wrap gap-x-6 border-t border-ink mt-1 pr-6">
        {THEMES.map((each) => (
          <Choice key={each} name="theme" label={THEME_WORDS[each]} checked={theme === each} onChange={() => take(each)} />
        ))}
      </div>
    </fieldset>
  );
}
