import type { Food } from "../../../core/food";

const ACIDITY = { none: null, mild: "a little sour", sour: "sour: curdles hot milk" } as const;
const BINDING: Readonly<Record<string, string>> = {
  "fine flour": "takes up much binder, as a fine flour",
  "semolina-like": "takes up some binder, as semolina does",
  "chopped nuts": "takes up little binder, as chopped nuts do",
  "whole seed": "takes up binder, as whole seeds do",
  "ground seed": "takes up hardly any binder, and gives off its own oil",
  "powdered sugar": "takes up hardly any binder",
  "puffed grain": "takes up most binder, as puffed grain does",
  sticky: "binds by being sticky",
  "free fat": "binds as free fat",
  liquid: "binds as water does",
};

/** What a food is: its plant, its form, what was done to it, and how it behaves. */
export function Nature({ food }: { readonly food: Food }) {
  const { nature, thickening, solidFat, freeOil } = food;
  const rows: (readonly [string, string])[] = [
    ...(nature
      ? ([
          ["form", `${nature.form}, ${nature.processing}`],
          ...(nature.botanical ? ([["plant", nature.botanical]] as const) : []),
          ...(nature.binding ? ([["in a ladoo", BINDING[nature.binding] ?? nature.binding]] as const) : []),
          ...(ACIDITY[nature.acidity] ? ([["acid", ACIDITY[nature.acidity] ?? ""]] as const) : []),
        ] as const)
      : []),
    ...(thickening.starch ? ([["starch", `${thickening.starch.kind}, ${FORM_WORDS[thickening.starch.form]}`]] as const) : []),
    ...(freeOil >= 0.9 ? ([["at 25 °C", solidFat >= 0.05 ? `${Math.round(solidFat * 100)} % of its fat is solid` : "liquid"]] as const) : []),
  ];
  return rows.length === 0 ? null : (
    <section aria-label="What it is">
      <h2 className="t-h2 mt-5">What it is</h2>
      <dl className="rule-t mt-1 t-ledger">
        {rows.map(([name, text]) => (
          <div key={name} className="flex justify-between gap-4 border-b border-line py-1">
            <dt className="t-small text-ink2">{name}</dt>
            <dd className={`text-right ${name === "plant" ? "italic" : ""}`}>{text}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

const FORM_WORDS = { isolated: "by itself", flour: "within a flour or grain", pearl: "in pearls" } as const;
