"use client";

import { bodyHolds, PROPERTIES, propertyOf, type KeptFigures, type PropertyId } from "../../core/evaluate";
import type { Cost } from "../../core/models/cost";
import { AmountField } from "../parts/amount-field";
import { isBody, rangeText } from "../parts/figure-words";
import { FigureButton, useWorking } from "./working";
import { Go } from "../shell/go";
import { CostSection } from "./cost-lines";

interface FigureSheetProps {
  readonly figures: KeptFigures;
  /** Figures that cannot be told of it are left out. */
  readonly unknown: Readonly<Partial<Record<PropertyId, string>>>;
  readonly cost: Cost | null;
  readonly servings: number;
  /** Lines that are not in the figures because they could not be read. */
  readonly unread: number;
  readonly of: string;
  /** Where the nutrition is told in full. */
  readonly more: string | null;
  readonly evaporation?: { readonly value: number; readonly byHand: boolean; readonly onChange: (grams: number) => void; readonly onReset: () => void };
}

/** What a part of the sheet shows, in the order of the properties. */
const shownIn = (part: "yield" | "tongue" | "serving", { figures, unknown }: Pick<FigureSheetProps, "figures" | "unknown">): readonly PropertyId[] =>
  PROPERTIES.filter(({ id, shown }) => {
    const figure = figures[id];
    return figure !== undefined && unknown[id] === undefined && (shown === part || (part === "serving" && shown === "serving, above 0" && figure.value > 0));
  }).map(({ id }) => id);

/** All figures of one sweet in a column, each with its interval and its why. */
export function FigureSheet({ figures, unknown, cost, servings, unread, of, more, evaporation }: FigureSheetProps) {
  const told = { figures, unknown };
  return (
    <>
      {unread > 0 && (
        <p className="bg-saffron-wash text-ink px-3 py-2 t-ledger mb-4">
          {unread} {unread === 1 ? "line is" : "lines are"} not in these figures until {unread === 1 ? "it is" : "they are"} answered.
        </p>
      )}
      <h2 className="t-h2">Yield</h2>
      <dl className="mt-1 rule-t">
        {shownIn("yield", told).map((id) => (
          <Row key={id} id={id} figures={figures} of={of} />
        ))}
        {evaporation && (
          <div className="flex justify-between items-baseline border-b border-line py-1.5">
            <dt className="t-ledger">
              Driven off in cooking
              {evaporation.byHand && (
                <button type="button" className="underline t-small ml-2" onClick={evaporation.onReset}>
                  estimate it
                </button>
              )}
            </dt>
            <dd>
              <AmountField label="Water driven off, grams" value={evaporation.value} onChange={evaporation.onChange} />
            </dd>
          </div>
        )}
      </dl>
      <h2 className="t-h2 mt-5">On the tongue</h2>
      <dl className="mt-1 rule-t">
        {shownIn("tongue", told).map((id) => (
          <Row key={id} id={id} figures={figures} of={of} />
        ))}
      </dl>
      {unknown["body.hot"] !== undefined && <p className="t-small text-ink2 mt-2">Body is not told: {unknown["body.hot"]}.</p>}
      <h2 className="t-h2 mt-5">In a serving</h2>
      <dl className="mt-1 rule-t">
        {shownIn("serving", told).map((id) => (
          <Row key={id} id={id} figures={figures} of={of} />
        ))}
      </dl>
      <CostSection cost={cost} servings={servings} />
      {more && (
        <p className="mt-2 no-print">
          <Go className="underline t-ledger inline-flex items-center min-h-8" href={more}>
            Nutrition in full, with claims
          </Go>
        </p>
      )}
    </>
  );
}

function Row({ id, figures, of }: { readonly id: PropertyId; readonly figures: KeptFigures; readonly of: string }) {
  const { manner } = useWorking();
  const { name } = propertyOf(id);
  const told = !isBody(id) || bodyHolds(figures);
  const figure = figures[id];
  if (figure === undefined) return null;
  return (
    <div className="grid grid-cols-[1fr_auto] gap-x-3 items-baseline border-b border-line py-1">
      <dt className="t-ledger">
        {name}
        <span className="block t-small text-ink2">{told ? rangeText(figure, id, manner) : "bound, not thickened: under a fifth is water"}</span>
      </dt>
      <dd>{told ? <FigureButton figure={figure} id={id} of={of} className="font-[560]!" /> : <span className="t-small text-ink2">not on this scale</span>}</dd>
    </div>
  );
}
