"use client";

import { useMemo } from "react";
import { readRecipe, readRecipeText, type LineReading, type Recipe } from "../../core/recipe";
import { formatGrams } from "../../core/units";
import { readingContext } from "../../workers/client";
import { WhyMark } from "../parts/marks";
import { useKnowledge } from "../parts/use-knowledge";
import { useHousehold } from "../shell/household";

/** What pasted text is understood as, while it is written; nothing where no recipe can be seen in it yet. */
export function UnderstoodText({ text }: { readonly text: string }) {
  const parsed = useMemo(() => readRecipeText(text), [text]);
  return parsed.ok ? <Understood recipe={parsed.value} /> : <p className="rule-t mt-1 pt-2 t-ledger text-ink2">No ingredient line is seen in it yet.</p>;
}

/** A recipe before it is kept: its lines as they would be read, what would be asked, its steps. */
export function Understood({ recipe }: { readonly recipe: Recipe }) {
  const knowledge = useKnowledge();
  const { measures } = useHousehold();
  const { readings, unresolved, archetype } = useMemo(
    () => readRecipe(recipe, readingContext(knowledge, measures), knowledge.reference.constants),
    [recipe, knowledge, measures],
  );
  const asked = unresolved.length;
  return (
    <div>
      <p className="rule-t mt-1 pt-1.5 t-new">{recipe.title}</p>
      <p className="t-small text-ink2">
        {recipe.servings} servings, read as a {archetype}; {recipe.lines.length} {recipe.lines.length === 1 ? "line" : "lines"}, {recipe.steps.length}{" "}
        {recipe.steps.length === 1 ? "step" : "steps"}
        {asked > 0 && `; ${asked} will be asked about`}
      </p>
      <ul className="border-t border-line mt-1">
        {readings.map((reading) => (
          <li key={reading.line.id} className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-3 border-b border-line py-1 items-baseline">
            <span className="min-w-0">
              <span className="t-ledger">{"food" in reading ? reading.food.name : reading.line.text}</span>
              <span className="block t-small text-ink2">{"food" in reading ? reading.line.text : "not found in the pantry"}</span>
            </span>
            <Amount reading={reading} />
          </li>
        ))}
      </ul>
      {recipe.notes && <p className="t-small text-ink2 mt-2">Noted apart, for you alone: {recipe.notes.split("\n").join("; ")}</p>}
    </div>
  );
}

function Amount({ reading }: { readonly reading: LineReading }) {
  if (reading.kind === "read")
    return (
      <span className="t-figure whitespace-nowrap" title={reading.how}>
        {formatGrams(reading.grams.value)} g
      </span>
    );
  if (reading.kind === "left out") return <span className="t-small text-ink2">left out</span>;
  return (
    <span className="t-small text-saffron inline-flex gap-1 items-baseline" title={reading.why}>
      <WhyMark kind="ask" />
      asked
    </span>
  );
}
