import { stepTexts, yieldText, type Recipe } from "../../../core/recipe";
import { formatGrams, gramsBeside } from "../../../core/units";
import type { RecipeView } from "../../../core/views";
import { minutesWords } from "./step-words";

/** The recipe on paper: its parts with measures and grams, its steps with their times, what it comes to. */
export function RecipePrint({ recipe, view }: { readonly recipe: Recipe; readonly view: RecipeView }) {
  const { ledger } = view;
  const parts = [...view.parts, null];
  const nameOf = (id: string | undefined) => view.parts.find((part) => part.id === id)?.name ?? null;
  const told = new Map(view.lines.map((line) => [line.id, line] as const));
  const steps = view.steps.flatMap((reading) => {
    const step = recipe.steps.find(({ id }) => id === reading.id);
    return step ? [{ ...reading, step }] : [];
  });
  return (
    <section className="print-only" aria-label="On paper">
      <p>
        For {yieldText(recipe)}; finished about {formatGrams(ledger.finished.value)} g
        {ledger.apart.map(({ name, grams }) => `, with ${formatGrams(grams)} g of ${name.toLowerCase()} beside it`)}.
      </p>
      {parts.map((part) => {
        const lines = recipe.lines.flatMap((line) => {
          const own = nameOf(line.component) === null ? undefined : line.component;
          const reading = told.get(line.id);
          return own === part?.id && reading?.kind !== "left out" ? [{ ...line, grams: reading?.grams ?? null }] : [];
        });
        if (lines.length === 0) return null;
        return (
          <div key={part?.id ?? "sweet"} className="mt-3 break-inside-avoid">
            <h2 className="t-h2">{part ? part.name : parts.length > 1 ? "The sweet itself" : "Ingredients"}</h2>
            <table className="w-full rule-t">
              <tbody>
                {lines.map(({ id, text, grams }) => (
                  <tr key={id} className="border-b border-line">
                    <td className="py-1">{text}</td>
                    <td className="text-right t-figure whitespace-nowrap pl-4">{grams === null ? "not read" : gramsBeside(grams, text)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        );
      })}
      {stepTexts(recipe).length > 0 && (
        <>
          <h2 className="t-h2 mt-4">Steps</h2>
          <ol className="rule-t">
            {steps.map((reading, i) => {
              const name = nameOf(reading.step.component);
              return (
                <li key={reading.step.id} className="grid grid-cols-[28px_minmax(0,1fr)_auto] gap-x-3 border-b border-line py-1.5 break-inside-avoid">
                  <span className="t-figure">{i + 1}</span>
                  <span>
                    {name !== null && name !== nameOf(steps[i - 1]?.step.component) && <strong className="block">{name}</strong>}
                    {reading.step.text}
                  </span>
                  <span className="t-small whitespace-nowrap">{reading.timed ? minutesWords(reading.minutes) : ""}</span>
                </li>
              );
            })}
          </ol>
        </>
      )}
    </section>
  );
}
