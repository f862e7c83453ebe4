import { formatGrams, gramsBeside } from "../../../core/units";
import type { MethodView } from "../../../core/views";

/** What can be made of what the sweet leaves over, each with its amounts and what it comes to. Not on paper: it is for afterwards. */
export const Leftovers = ({ leftovers }: Pick<MethodView, "leftovers">) =>
  leftovers.length === 0 ? null : (
    <section aria-label="What is left over" className="mt-6 no-print">
      <h2 className="t-h2">What is left over</h2>
      <ul className="border-t border-ink mt-1 grid xl:grid-cols-2 gap-x-8">
        {leftovers.map(({ kind, title, from, adds, words, brings, by, grams, sweetness, freeSugars }) => (
          <li key={`${kind} ${title}`} className="border-b border-line py-3 min-w-0">
            <h3 className="font-[590]">
              {title}{" "}
              <span className="t-ledger font-[430] text-ink2">of {`${from.name}, ${kind === "syrup" ? "each" : "about"} ${formatGrams(from.grams)} g`}</span>
            </h3>
            <ul className="t-ledger mt-1">
              {adds.map(({ name, grams: amount, low, high, measure }) => (
                <li key={name} className="flex justify-between gap-3 max-w-[46ch]">
                  <span>{name}</span>
                  <span className="whitespace-nowrap">
                    <span className="t-frac text-ink2">{measure}</span> <span className="t-figure">{gramsBeside(amount, measure)}</span>
                    <span className="text-ink2">
                      {" "}
                      ({formatGrams(low)} to {formatGrams(high)} g)
                    </span>
                  </span>
                </li>
              ))}
            </ul>
            <p className="mt-1 max-w-[64ch]">{words}</p>
            {brings.length > 0 && <p className="t-ledger text-rose mt-1">Brings {brings.join(", ")}, which the sweet does not hold.</p>}
            <p className="t-small text-ink2 mt-1">
              Comes to about {formatGrams(grams)} g; sweetness {sweetness.toFixed(1)} g as sugar in 100 g, {freeSugars.toFixed(0)} g free sugars in all of it.
              Found by: {by}.
            </p>
          </li>
        ))}
      </ul>
    </section>
  );
