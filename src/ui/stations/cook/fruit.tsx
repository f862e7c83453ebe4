"use client";

import { lazy, Suspense, useState } from "react";
import { FRUIT_SWEETNESSES, type CookHappening, type CookSession } from "../../../core/cook";
import { formatGrams, lowerFirst } from "../../../core/units";
import type { StoveView } from "../../../core/views";
import { AmountForm } from "../../parts/amount-form";
import { buttonClass } from "../../parts/button";

const DevicePanel = lazy(() => import("../../devices/device-panel"));

interface FruitProps {
  readonly session: CookSession;
  readonly view: StoveView;
  readonly act: (happening: CookHappening) => boolean;
}

/** How sweet the fruit is of itself, before the sweetener goes in; and how much of that it then takes. */
export function OwnSweetness({ session, view, act }: FruitProps) {
  if (view.fruits.length === 0) return null;
  return (
    <details className="mb-5 border-y border-line" open={session.fruits.size > 0}>
      <summary className="py-2.5 cursor-pointer t-ledger">
        <span className="font-[550]">How sweet is the fruit?</span> <span className="text-ink2">the sweetener goes by it</span>
      </summary>
      {view.fruits.map((fruit) => (
        <Fruit key={fruit.line} fruit={fruit} session={session} act={act} />
      ))}
    </details>
  );
}

function Fruit({
  fruit: { line, name, sugars, sweetener },
  session,
  act,
}: { readonly fruit: StoveView["fruits"][number] } & Pick<FruitProps, "session" | "act">) {
  const [hasGlass, setGlass] = useState(false);
  const tasted = session.fruits.get(line);
  const isTasted = session.setUp?.tasting !== false;
  return (
    <fieldset className="pb-3">
      <legend className="t-ledger">
        {name}, <span className="text-ink2">{sugars.toFixed(0)} g sugars in 100 g by the tables</span>
      </legend>
      <div className="flex flex-wrap gap-2 mt-1">
        {isTasted &&
          FRUIT_SWEETNESSES.map((is) => (
            <button
              key={is}
              type="button"
              aria-pressed={tasted?.by === "tongue" && tasted.is === is}
              className={buttonClass(tasted?.by === "tongue" && tasted.is === is ? "primary" : "plain", "flex-1")}
              onClick={() => act({ kind: "fruit tasted", line, sweetness: { by: "tongue", is } })}
            >
              {is}
            </button>
          ))}
        <div className="basis-full">
          <AmountForm
            label="or °Brix"
            words="Read"
            least={0.1}
            most={100}
            onTake={(brix) => act({ kind: "fruit tasted", line, sweetness: { by: "refractometer", brix } })}
          />
        </div>
        <button type="button" className={buttonClass("quiet", "min-h-11")} aria-expanded={hasGlass} onClick={() => setGlass(!hasGlass)}>
          By the refractometer
        </button>
        {hasGlass && (
          <Suspense fallback={<p className="t-small">Coming.</p>}>
            <DevicePanel id="refractometer" onTake={(read) => act({ kind: "fruit tasted", line, sweetness: { by: "refractometer", brix: read } })} />
          </Suspense>
        )}
      </div>
      {tasted && (
        <p className="t-ledger mt-1">
          {tasted.by === "refractometer" ? `${tasted.brix} °Brix` : tasted.is === "usual" ? "as sweet as usual" : tasted.is}.{" "}
          {sweetener === null
            ? "The sweetener is in already, or there is none: the figures follow all the same."
            : Math.abs(sweetener.wanted - sweetener.meant) < 1
              ? `${sweetener.name} stays at ${formatGrams(sweetener.meant)} g.`
              : `To be as sweet as it was meant, ${lowerFirst(sweetener.name)} ${formatGrams(sweetener.wanted)} g rather than ${formatGrams(sweetener.meant)} g.`}
        </p>
      )}
      {tasted && sweetener && Math.abs(sweetener.wanted - sweetener.meant) >= 1 && (
        <button
          type="button"
          className={buttonClass("primary", "mt-1")}
          onClick={() => act({ kind: "amount set", line: sweetener.line, grams: sweetener.wanted + (session.held.get(sweetener.line)?.grams ?? 0) })}
        >
          Take {formatGrams(sweetener.wanted)} g
        </button>
      )}
    </fieldset>
  );
}
