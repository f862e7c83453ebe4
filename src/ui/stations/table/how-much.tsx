"use client";

import { useState } from "react";
import type { Recipe } from "../../../core/recipe";
import { eatenAt, madeBy, type DiningTable } from "../../../core/table";
import { formatNumber, servingsText } from "../../../core/units";
import type { TableView } from "../../../core/views";
import { AmountField } from "../../parts/amount-field";
import { GoalFields, goalOf, KINDS, type Fields, type Kind } from "../../panels/scale-goal";
import { Button } from "../../parts/button";
import { Choice } from "../../parts/choice";
import { why as whyOf } from "../../parts/send";
import { useCompute } from "../../shell/computer";
import { useHousehold } from "../../shell/household";

interface HowMuchProps {
  readonly recipe: Recipe;
  readonly table: DiningTable;
  readonly foods: TableView["foods"];
  readonly onTable: (table: DiningTable, key?: string) => void;
}

const rounded = (servings: number): string => formatNumber(Math.round(servings * 100) / 100);

/** How much is made, apart from who eats of it: the recipe's own batch unless something else is said. */
export function HowMuch({ recipe, table, foods, onTable }: HowMuchProps) {
  const eaten = eatenAt(table);
  const by = table.batch ?? "hand";
  const left = table.servings - eaten;
  return (
    <fieldset className="basis-full">
      <legend className="t-h2 text-[15px]">How much is made</legend>
      <div className="border-t border-ink mt-1">
        <div className="border-b border-line flex items-center gap-2 t-ledger">
          <AmountField
            label="Servings for this table"
            value={table.servings}
            unit=""
            least={1}
            most={1000}
            onChange={(servings) => onTable(madeBy(table, "hand", servings), "servings")}
            className="min-h-11 justify-center"
          />
          servings, by
        </div>
        <div className="border-b border-line">
          <Choice
            name="batch"
            label={`the recipe’s own batch, ${servingsText(recipe.servings)}`}
            checked={by === "recipe"}
            onChange={() => onTable(madeBy(table, "recipe", recipe.servings))}
          />
        </div>
        {eaten > 0 && (
          <div className="border-b border-line">
            <Choice
              name="batch"
              label={`for who sits here, ${servingsText(Math.round(eaten * 100) / 100)}`}
              checked={by === "seats"}
              onChange={() => onTable(madeBy(table, "seats", eaten))}
            />
          </div>
        )}
        <div className="border-b border-line">
          <Choice
            name="batch"
            label="another quantity, as set above or by pieces, a pan, one food"
            checked={by === "hand"}
            onChange={() => onTable(madeBy(table, "hand", table.servings))}
          />
          {by === "hand" && <Another recipe={recipe} table={table} foods={foods} onTable={onTable} />}
        </div>
      </div>
      {eaten > 0 && (
        <p className={`t-small mt-1 ${left < -0.005 ? "bg-saffron-wash px-3 py-2" : "text-ink2"}`}>
          {left < -0.005
            ? `Who sits here eats ${rounded(eaten)}, and ${rounded(table.servings)} are made: ${rounded(-left)} too few.`
            : left > 0.005
              ? `Who sits here eats ${rounded(eaten)}; ${rounded(left)} are left over.`
              : `Who sits here eats all of it.`}
        </p>
      )}
    </fieldset>
  );
}

/** A quantity by servings, pieces, a pan, or what there is of one food. */
function Another({ recipe, table, foods, onTable }: HowMuchProps) {
  const compute = useCompute();
  const { equipment } = useHousehold();
  const [kind, setKind] = useState<Kind>("pieces");
  const [refused, setRefused] = useState<string | null>(null);
  const [fields, setFields] = useState<Fields>(() => ({
    servings: table.servings,
    pieces: recipe.makes?.kind === "pieces" ? recipe.makes.count : 20,
    pieceGrams: 30,
    diameter: equipment?.pans[0]?.diameter ?? 20,
    height: 3,
    moulds: 1,
    line: foods[0]?.line ?? "",
    grams: Math.round(foods[0]?.grams ?? 100),
  }));
  const change = (part: Partial<Fields>) => {
    const line = part.line === undefined ? undefined : foods.find((each) => each.line === part.line);
    setFields((now) => ({ ...now, ...part, ...(line ? { grams: Math.round(line.grams) } : {}) }));
    setRefused(null);
  };
  const make = async () => {
    try {
      const answer = await compute("batch", { recipe, goal: goalOf(kind, fields) });
      if (answer.kind === "refused") return setRefused(answer.why);
      onTable(madeBy(table, "hand", answer.servings));
    } catch (error) {
      setRefused(whyOf(error, "It could not be worked out."));
    }
  };
  return (
    <div className="pl-9 pb-2 flex flex-wrap items-center gap-x-4 gap-y-2">
      <select
        aria-label="By what"
        value={kind}
        onChange={(event) => {
          setKind(event.target.value as Kind);
          setRefused(null);
        }}
        className="border border-edge bg-sheet px-2 min-h-11 md:min-h-9 t-ledger"
      >
        {KINDS.filter(([id]) => id !== "servings").map(([id, name]) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
      <GoalFields kind={kind} fields={fields} foods={foods} pans={equipment?.pans ?? []} onChange={change} />
      <Button onClick={() => void make()}>Make that much</Button>
      {refused !== null && (
        <p role="alert" className="basis-full bg-rose-wash text-rose px-3 py-2 t-small">
          {refused}
        </p>
      )}
    </div>
  );
}
