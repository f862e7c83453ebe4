import { formatGrams, gramsBeside } from "../../../core/units";
import type { MethodView } from "../../../core/views";
import { Go } from "../../shell/go";

/** Foods with their amounts, and tools with what does it where there is none. */
export function ToGetReady({ id, view: { ready, tools, dishes } }: { readonly id: string; readonly view: Pick<MethodView, "ready" | "tools" | "dishes"> }) {
  return (
    <aside className="lg:crease-l p-4 md:p-5 lg:row-span-2 print:p-0 print:order-first" aria-label="To get ready">
      <h2 className="t-h2">To get ready</h2>
      <ul className="border-t border-ink mt-1 print:columns-3 print:gap-5">
        {ready.map(({ name, grams: amount, measure }, i) => (
          <li key={`${name} ${i}`} className="border-b border-line flex justify-between gap-3 py-1 print:py-0 print:text-[14px] break-inside-avoid">
            <span>{name}</span>
            <span className="whitespace-nowrap">
              <span className="t-frac text-ink2">{measure}</span> <span className="t-figure">{gramsBeside(amount, measure)}</span>
            </span>
          </li>
        ))}
      </ul>
      {dishes && (
        <p className="t-ledger mt-3 print:mt-1">
          {dishes.what}, {dishes.ml === null ? "each" : `each of ${formatGrams(Math.ceil(dishes.ml / 10) * 10)} ml or more, for`} about{" "}
          {formatGrams(dishes.grams)} g
          {dishes.ml === null
            ? "."
            : `; or one dish of ${formatGrams(Math.ceil((dishes.count * dishes.ml) / 50) * 50)} ml. Of silicone they turn out cold; of metal, dip them into warm water for a moment.`}
        </p>
      )}
      {tools.length > 0 && (
        <>
          <h2 className="t-h2 mt-5 print:hidden">Tools</h2>
          <p className="hidden print:block t-ledger mt-1">Tools: {tools.map(({ name }) => name).join(", ")}.</p>
          <ul className="border-t border-ink mt-1 print:hidden">
            {tools.map(({ name, instead }) => (
              <li key={name} className="border-b border-line py-1 first-letter:uppercase">
                {name}
                <span className="block t-small text-ink2">without one: {instead}</span>
              </li>
            ))}
          </ul>
        </>
      )}
      <p className="mt-4 no-print">
        <Go className="underline t-ledger inline-flex items-center min-h-11 md:min-h-8" href={`/recipes/${id}/rescue`}>
          It went wrong in the pot: what mends it
        </Go>
      </p>
    </aside>
  );
}
