"use client";

import { useState } from "react";
import type { CookPlan } from "../../../core/cook";
import { dayWords } from "../../../core/calendar";
import { allergenClass, datedLabel, lastDay } from "../../../core/keep";
import { STOCK_PLACES, type StockPlace } from "../../../core/stock";
import type { KeepView } from "../../../core/views";
import { useBatch, type PlacedEvent } from "../../panels/use-batch";
import { buttonClass } from "../../parts/button";
import { PageColumns } from "../../parts/page-columns";
import { PrintButton } from "../../parts/print-button";
import { Go } from "../../shell/go";
import { PageHead } from "../../shell/shell";
import { Boxes } from "./boxes";
import { CoolIt } from "./cool-it";
import { HowLong } from "./how-long";
import { LabelA6 } from "./label-a6";
import { PutBy } from "./put-by";
import { Share } from "./share";

export interface KeepStationProps {
  readonly kind: "batches" | "versions";
  readonly id: string;
  readonly title: string;
  readonly label: string | null;
  /** The day it was made, or of a version today. */
  readonly madeOn: string;
  readonly today: string;
  readonly room: number;
  readonly view: KeepView;
  /** Null of a version: nothing of it is cooked yet. */
  readonly batch: { readonly plan: CookPlan; readonly events: readonly PlacedEvent[] } | null;
  readonly movedOn: readonly string[];
}

/** A sweet is kept, labelled and sent on: how long it keeps, who gets which box, what is put by, its label, and what goes out of the house. */
export function KeepStation({ kind, id, title, label, madeOn, today, room, view, batch, movedOn }: KeepStationProps) {
  const { label: contents, cooling, portions, byProducts, book } = view;
  const isGood = (place: StockPlace) => (lastDay(contents.storage, place, madeOn) ?? "") >= today;
  const place = STOCK_PLACES.find(isGood) ?? "fridge";
  const isPast = !STOCK_PLACES.some(isGood);
  const dated = datedLabel(contents, { madeOn, place, packing: "covered", useBy: null }, today);
  const here = `/${kind}/${id}`;
  return (
    <>
      <PageHead
        title={title}
        line={`${label === null ? "As handed down" : `“${label}”`}, ${batch ? `made ${dayWords(madeOn)}` : "not cooked yet: as if it were made today"}`}
      >
        <span className="flex flex-wrap gap-3 items-center no-print">
          <Go href={`${here}/card`} className={buttonClass("plain")}>
            Card for who cooks it next
          </Go>
          <PrintButton />
          <Go href={here} className="underline min-h-11 inline-flex items-center">
            {batch ? "To the batch" : "To the version"}
          </Go>
        </span>
      </PageHead>
      <PageColumns aside="wide">
        <div className="p-4 md:p-5 min-w-0">
          {movedOn.length > 0 && (
            <p className="bg-saffron-wash px-3 py-2 t-ledger mb-4">
              Since it was kept, these have moved on: {movedOn.join(", ")}. What stands here is worked out by today’s tables.
            </p>
          )}
          <HowLong storage={contents.storage} madeOn={madeOn} />
          {batch && !isPast && <OfBatch id={id} batch={batch} contents={contents} portions={portions} byProducts={byProducts} madeOn={madeOn} today={today} />}
          {cooling.length > 0 && (batch === null || madeOn === today) && <CoolIt key={room} cooling={cooling} room={room} />}
          <Share kind={kind} id={id} title={title} />
        </div>
        <aside className="lg:crease-l p-4" aria-label="Label and what goes out">
          <section aria-labelledby="label-head">
            <h2 id="label-head" className="t-h2">
              Label
            </h2>
            <p className="t-ledger mt-1">
              {contents.allergens.contains.length > 0 ? (
                <>
                  Contains <b className="font-[590]">{contents.allergens.contains.map(({ allergen }) => allergenClass(allergen)).join(", ")}</b>.{" "}
                </>
              ) : (
                "No allergen of the law’s list is known to be in it. "
              )}
              {contents.allergens.mayContain.length > 0 && (
                <>
                  May contain <b className="font-[590]">{contents.allergens.mayContain.map(({ allergen }) => allergenClass(allergen)).join(", ")}</b>.
                </>
              )}
            </p>
            {contents.allergens.mayContain.length > 0 && (
              <details className="t-small text-ink2">
                <summary className="min-h-11 md:min-h-8 flex items-center underline">Why it may</summary>
                <ul>
                  {contents.allergens.mayContain.map(({ allergen, why }) => (
                    <li key={allergen}>
                      {allergenClass(allergen)}: {why}
                    </li>
                  ))}
                </ul>
              </details>
            )}
            <p className="flex flex-wrap gap-3 mt-2 no-print">
              {(["a6", "round", "sheet"] as const).map((size) => (
                <Go key={size} href={`${here}/label?size=${size}`} className={buttonClass(size === "a6" ? "primary" : "plain")}>
                  {size === "a6" ? "Label, A6" : size === "round" ? "Round" : "A sheet of them"}
                </Go>
              ))}
            </p>
            <ForWhom whom={contents.whom} />
            {dated.ok ? (
              <div className="mt-3 [zoom:0.93] print:hidden" role="group" aria-label="The label as it is printed">
                <LabelA6 contents={contents} dated={dated.value} book={book} isNamed box={null} />
              </div>
            ) : (
              <p role="alert" className="bg-rose-wash text-rose px-3 py-2 t-ledger mt-3">
                {dated.why}
              </p>
            )}
          </section>
        </aside>
      </PageColumns>
    </>
  );
}

const MAY = { no: "Not for", ask: "Ask first:", yes: "For" } as const;

/** For whom of the household it is, and why not for others. */
function ForWhom({ whom }: Pick<KeepView["label"], "whom">) {
  const yes = whom.filter(({ may }) => may === "yes").map(({ name }) => name);
  const others = whom.filter(({ may }) => may !== "yes");
  if (whom.length === 0) return null;
  return (
    <ul className="mt-3 border-t border-ink t-ledger">
      {others.map(({ name, may, why }) => (
        <li key={name} className="border-b border-line py-1">
          <b className={`font-[590] ${may === "no" ? "text-rose" : "text-saffron"}`}>
            {MAY[may]} {name}.
          </b>{" "}
          <span className="text-ink2">{why.join("; ")}</span>
        </li>
      ))}
      {yes.length > 0 && (
        <li className="border-b border-line py-1">
          {MAY.yes} {yes.join(", ")}.
        </li>
      )}
    </ul>
  );
}

interface OfBatchProps extends Pick<KeepStationProps, "id" | "madeOn" | "today"> {
  readonly batch: NonNullable<KeepStationProps["batch"]>;
  readonly contents: KeepView["label"];
  readonly portions: KeepView["portions"];
  readonly byProducts: KeepView["byProducts"];
}

const nothingToDo = () => undefined;

/** Boxes and what is put by: as the batch's events say, here and on other devices. */
function OfBatch({ id, batch: { plan, events }, contents, portions, byProducts, madeOn, today }: OfBatchProps) {
  const [onActions] = useState(() => nothingToDo);
  const { session, why, act } = useBatch(id, plan, events, onActions);
  return (
    <>
      {why && (
        <p role="alert" className="bg-rose-wash text-rose px-3 py-2 t-ledger mt-4">
          {why}
        </p>
      )}
      <Boxes session={session} portions={portions} serve={contents.serve} today={today} act={act} />
      <PutBy session={session} storage={contents.storage} byProducts={byProducts} madeOn={madeOn} act={act} />
    </>
  );
}
