"use client";

import { foodFacts, nutrientFigure, MICRONUTRIENTS, nutrientUnit, NUTRIENTS, SUGARS, type Constants, type Food, type Nutrient } from "../../../core/food";
import { describeRow } from "../../../core/nutrition";
import { interval, relativeHalfWidth, type Figure } from "../../../core/numeric";
import { formatToSpread, inEnergyUnit } from "../../../core/units";
import { buttonClass } from "../../parts/button";
import { useKitchen } from "../../shell/use-kitchen";
import { Go } from "../../shell/go";
import { useHousehold } from "../../shell/household";
import { PageHead } from "../../shell/shell";
import { CalledHere } from "./called-here";
import { Measures } from "./measures";
import { Nature } from "./nature";
import { PacketDateNote } from "./packet-date";
import { PriceField } from "./price-field";
import { UsedIn } from "./used-in";
import { Weigh } from "./weigh";
import { allergenWords, FAMILY_NAMES, NUTRIENT_NAMES, provenanceWords } from "./food-words";
import { PageColumns } from "../../parts/page-columns";
import { ColumnHead, RowHead } from "../../parts/table-heads";

/** Always shown; the others only where the food has any. */
const ALWAYS: readonly Nutrient[] = ["water", "protein", "fat", "saturatedFat", "availableCarbohydrate"];
const PART: readonly Nutrient[] = ["saturatedFat", "starch", "fructose", "glucose", "sucrose", "maltose", "lactose"];

interface FoodPageProps {
  readonly food: Food;
  /** Some others of its family. */
  readonly kin: readonly Pick<Food, "id" | "name">[];
  /** Foods that it is often taken for. */
  readonly lookAlikes: readonly Pick<Food, "id" | "name">[];
  readonly constants: Constants;
  /** ISO date. */
  readonly today: string;
}

/** One food: all that the tables say of it, with intervals, source, measures and what to mind. */
export function FoodPage({ food, kin, lookAlikes, constants, today }: FoodPageProps) {
  const { measures, units } = useHousehold();
  const facts = foodFacts(food, constants);
  const isUnknown = (...nutrients: readonly Nutrient[]) => nutrients.some((nutrient) => food.unknown.includes(nutrient));
  const energy: Figure = {
    value: inEnergyUnit(facts.energy.value, units.energy),
    low: inEnergyUnit(facts.energy.low, units.energy),
    high: inEnergyUnit(facts.energy.high, units.energy),
  };
  const { glycaemicIndex: gi } = food;
  // With what is weighed and priced here at this moment, before the server has it.
  const kitchen = useKitchen().reference.foods.get(food.id) ?? food;
  const own = food.id.startsWith("own-");
  return (
    <>
      <PageHead title={food.name} line={[FAMILY_NAMES[food.family], ...food.synonyms.slice(0, 6)].join(", ")}>
        <span className="flex gap-2 no-print">
          {own && (
            <Go href={`/pantry/${food.id}/edit`} className={buttonClass("plain")}>
              Change it
            </Go>
          )}
          <Go href={`/pantry?family=${food.family}`} className={buttonClass("quiet")}>
            Back to the pantry
          </Go>
        </span>
      </PageHead>
      <PageColumns>
        <div className="p-4 md:p-5 min-w-0 max-w-[820px]">
          {own && <PacketDateNote id={food.id} today={today} />}
          {food.note && <p className="bg-saffron-wash px-3 py-2 t-ledger mb-4">{food.note}</p>}
          <h2 className="t-h2">In 100 g</h2>
          <table className="w-full t-ledger mt-1 rule-t">
            <caption className="sr-only">Composition of {food.name} per 100 g, with the interval within which 8 of 10 samples lie</caption>
            <thead className="t-small text-ink2">
              <tr className="border-b border-ink">
                <ColumnHead className="py-1">nutrient</ColumnHead>
                <ColumnHead right>amount</ColumnHead>
                <ColumnHead right className="w-[42%]">
                  8 of 10 samples within
                </ColumnHead>
              </tr>
            </thead>
            <tbody>
              <FactRow name="Energy, computed" figure={energy} unit={units.energy} unknown={isUnknown("protein", "fat", "availableCarbohydrate")} />
              <FactRow name="Sugars together" figure={facts.sugars} unit="g" unknown={isUnknown(...SUGARS)} />
              <FactRow name="Fibre together" figure={facts.fibre} unit="g" unknown={isUnknown("solubleFibre", "insolubleFibre")} />
              {NUTRIENTS.filter((nutrient) => ALWAYS.includes(nutrient) || isUnknown(nutrient) || nutrientFigure(food, nutrient).value > 0).map((nutrient) => (
                <FactRow
                  key={nutrient}
                  name={NUTRIENT_NAMES[nutrient]}
                  part={PART.includes(nutrient)}
                  figure={nutrientFigure(food, nutrient)}
                  unit={nutrientUnit(nutrient)}
                  unknown={isUnknown(nutrient)}
                />
              ))}
            </tbody>
          </table>
          <h2 className="t-h2 mt-6">Beside those</h2>
          <table className="w-full t-ledger mt-1 rule-t">
            <caption className="sr-only">Micronutrients of {food.name} per 100 g, with the interval within which 8 of 10 samples lie</caption>
            <tbody>
              {MICRONUTRIENTS.map((nutrient, n) => {
                const [amount, sd] = [food.micro[n] ?? null, food.microSd[n] ?? 0];
                const { name, unit } = describeRow(nutrient);
                return amount === null ? (
                  <tr key={nutrient} className="border-b border-line">
                    <RowHead className="py-1.5">{name}</RowHead>
                    <td className="text-right t-small text-ink2" colSpan={2}>
                      not known
                    </td>
                  </tr>
                ) : (
                  <FactRow key={nutrient} name={name} figure={interval({ value: amount, sd })} unit={unit} />
                );
              })}
            </tbody>
          </table>
          <p className="t-small text-ink2 mt-2">Energy: {constants.energyPerGram.source}. The intervals are the table’s own spread and natural variation.</p>
          <div className="grid md:grid-cols-2 gap-x-8">
            <Measures food={kitchen} measures={measures} />
            <Weigh food={food} />
          </div>
        </div>
        <aside className="lg:crease-l p-4 md:p-5" aria-label="About this food">
          <h2 className="t-h2">Source</h2>
          <p className="rule-t mt-1 pt-1.5 t-ledger">
            {food.source}
            <span className="block t-small text-ink2">{provenanceWords(food)}</span>
          </p>
          <Nature food={food} />
          <CalledHere foodId={food.id} />
          {lookAlikes.length > 0 && <FoodLinks title="Often taken for" foods={lookAlikes} />}
          <h2 className="t-h2 mt-5 no-print">What it costs here</h2>
          <div className="rule-t mt-1 pt-1.5 no-print">
            <PriceField food={kitchen} />
          </div>
          {own && <UsedIn id={food.id} />}
          <h2 className="t-h2 mt-5">Who minds</h2>
          <ul className="rule-t mt-1 t-ledger">
            {food.allergens.map((allergen) => (
              <li key={allergen} className="border-b border-line py-1.5">
                Contains {allergenWords(allergen)}
              </li>
            ))}
            {food.mayContain.map(({ allergen, why }) => (
              <li key={allergen} className="border-b border-line py-1.5">
                May bring {allergenWords(allergen)}: {why}
              </li>
            ))}
            {food.allergens.length + food.mayContain.length === 0 && (
              <li className="border-b border-line py-1.5">None of the listed allergens by nature. What a packet brings with it, its label tells.</li>
            )}
            <li className="border-b border-line py-1.5">Comes from: {food.origin}</li>
          </ul>
          <h2 className="t-h2 mt-5">Glycaemic index</h2>
          <p className="rule-t mt-1 pt-1.5 t-ledger">
            {gi ? (
              <>
                <span className="t-figure font-[560]">{gi.value}</span>, {gi.low} to {gi.high}
                <span className="block t-small text-ink2">{gi.source}</span>
              </>
            ) : (
              <span className="text-ink2">No value: it has little carbohydrate, or none was measured.</span>
            )}
          </p>
          <div className="no-print">
            <FoodLinks title="Of the same family" foods={kin} />
          </div>
        </aside>
      </PageColumns>
    </>
  );
}

function FoodLinks({ title, foods }: { readonly title: string; readonly foods: readonly Pick<Food, "id" | "name">[] }) {
  return (
    <section aria-label={title}>
      <h2 className="t-h2 mt-5">{title}</h2>
      <ul className="rule-t mt-1 t-ledger">
        {foods.map(({ id, name }) => (
          <li key={id} className="border-b border-line">
            <Go href={`/pantry/${id}`} className="block py-1.5 hover:underline">
              {name}
            </Go>
          </li>
        ))}
      </ul>
    </section>
  );
}

interface FactRowProps {
  readonly name: string;
  readonly figure: Figure;
  readonly unit: string;
  readonly part?: boolean;
  /** Not known, or known only in part: then the figure is a least one. */
  readonly unknown?: boolean;
}

function FactRow({ name, figure, unit, part = false, unknown = false }: FactRowProps) {
  const half = (figure.high - figure.low) / 2;
  return (
    <tr className="border-b border-line">
      <th scope="row" className={`text-left font-[430] py-1.5 ${part ? "pl-4 text-ink2" : ""}`}>
        {name}
      </th>
      {unknown && figure.value === 0 ? (
        <td className="text-right t-small text-ink2" colSpan={2}>
          not known
        </td>
      ) : (
        <>
          <td className="text-right t-figure">
            {unknown && <span className="t-small text-ink2">at least </span>}
            {formatToSpread(figure.value, half)} {unit}
          </td>
          <td className="text-right t-figure text-ink2">
            {figure.value === 0
              ? "none"
              : relativeHalfWidth(figure) < 0.001
                ? "as stated"
                : `${formatToSpread(figure.low, half)} to ${formatToSpread(figure.high, half)} ${unit}`}
          </td>
        </>
      )}
    </tr>
  );
}
