"use client";

import { useEffect, useMemo, useState } from "react";
import type { Recipe } from "../../../core/recipe";
import { formatGrams } from "../../../core/units";
import type { UnderstoodLine, UnderstoodRecipe } from "../../../workers/protocol";
import { WhyMark } from "../../parts/marks";
import { useReading, type Reading } from "./use-reading";

/** What pasted text is understood as, while it is written; nothing where no recipe can be seen in it yet. */
export function UnderstoodText({ text }: { readonly text: string }) {
  const reading = useReading(useMemo(() => ({ kind: "text", text }), [text]));
  const [recipe] = reading.answer?.recipes ?? [];
  return (
    <>
      <HowFar reading={reading} />
      {recipe ? (
        <Understood recipe={recipe} />
      ) : (
        reading.answer && (
          <p className="rule-t mt-1 pt-2 t-ledger text-ink2">
            {reading.answer.tooLarge ? `Larger than a recipe may be here. ${reading.answer.tooLarge}` : "No ingredient line is seen in it yet."}
          </p>
        )
      )}
    </>
  );
}

/** What the recipes of a file are understood as, each below what stands before it. */
export function UnderstoodRecipes({ recipes, before }: { readonly recipes: readonly Recipe[]; readonly before: (at: number) => React.ReactNode }) {
  const reading = useReading(useMemo(() => ({ kind: "recipes", recipes }), [recipes]));
  return (
    <>
      <HowFar reading={reading} />
      {recipes.map((recipe, i) => {
        const understood = reading.answer?.recipes[i];
        return (
          <div key={i} className="mb-4">
            {before(i)}
            {understood ? <Understood recipe={understood} /> : <p className="rule-t mt-1 pt-1.5 t-new">{recipe.title}</p>}
          </div>
        );
      })}
    </>
  );
}

const LONG_MS = 800;

/** Reading that takes a moment says so, and can be stopped; what is typed stays either way. */
function HowFar({ reading: { state, stop } }: { readonly reading: Reading }) {
  const [long, setLong] = useState(false);
  useEffect(() => {
    if (state !== "reading") return;
    const timer = setTimeout(() => setLong(true), LONG_MS);
    return () => {
      clearTimeout(timer);
      setLong(false);
    };
  }, [state]);
  return (
    <p role="status" className="t-small text-ink2">
      {state === "reading" && long && (
        <>
          Reading takes long.{" "}
          <button type="button" className="underline min-h-6" onClick={stop}>
            Stop reading
          </button>
        </>
      )}
      {state === "stopped" && "Reading was stopped; what you typed is kept. It is read again once you change it."}
      {state === "failed" && "What is understood cannot be shown. You can keep the recipe all the same."}
    </p>
  );
}

/** A recipe before it is kept: its lines as they would be read, what would be asked, its steps. */
function Understood({ recipe }: { readonly recipe: UnderstoodRecipe }) {
  const { title, makes, archetype, lines, steps, asked, notes } = recipe;
  return (
    <div>
      <p className="rule-t mt-1 pt-1.5 t-new">{title}</p>
      <p className="t-small text-ink2">
        {makes}, read as a {archetype}; {lines.length} {lines.length === 1 ? "line" : "lines"}, {steps} {steps === 1 ? "step" : "steps"}
        {asked > 0 && `; ${asked} will be asked about`}
      </p>
      <ul className="border-t border-line mt-1">
        {lines.map((line, i) => (
          <li key={i} className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-3 border-b border-line py-1 items-baseline">
            <span className="min-w-0">
              <span className="t-ledger break-words">{line.food ?? line.text}</span>
              <span className="block t-small text-ink2 break-words">{line.food === null ? "not found in the pantry" : line.text}</span>
            </span>
            <Amount line={line} />
          </li>
        ))}
      </ul>
      {notes && <p className="t-small text-ink2 mt-2 break-words">Noted apart, for you alone: {notes.split("\n").join("; ")}</p>}
    </div>
  );
}

function Amount({ line: { grams, how, leftOut, why } }: { readonly line: UnderstoodLine }) {
  if (grams !== null)
    return (
      <span className="t-figure whitespace-nowrap" title={how}>
        {formatGrams(grams)} g
      </span>
    );
  if (leftOut) return <span className="t-small text-ink2">left out</span>;
  return (
    <span className="t-small text-saffron inline-flex gap-1 items-baseline" title={why}>
      <WhyMark kind="ask" />
      asked
    </span>
  );
}
