"use client";

import { unparse } from "papaparse";
import { askedFor, type Gathering } from "../../../core/plan";
import { capital, formatGrams, formatNumber, moneyText } from "../../../core/units";
import type { GatheringShopping } from "../../../core/views";
import { buttonClass } from "../../parts/button";
import { WhyMark } from "../../parts/marks";
import { saveAs } from "../../parts/save-as";
import { Go } from "../../shell/go";
import { useHousehold } from "../../shell/household";
import { toast } from "../../shell/messages";
import type { Ticks } from "./use-ticks";

type Row = GatheringShopping["rows"][number];
interface ShoppingProps {
  readonly gathering: Gathering;
  readonly shopping: GatheringShopping;
  /** Lines that nobody could read: what they take is on no list. */
  readonly unread: readonly string[];
  readonly ticks: Ticks;
}

export const buyKey = (food: string): string => `buy ${food}`;
const NOTHING = 0.05;

/** What is asked for at the shop: whole packets where the household has said how it is sold, else a weight as it is weighed out. */
const asked = ({ packets, toBuy, measure }: Row): string =>
  packets ? `${packets.count > 1 ? `${packets.count} × ` : ""}${packets.words}` : `${formatGrams(askedFor(toBuy))} g${measure === "" ? "" : `, ${measure}`}`;

/** What is to be bought for a gathering, and what is there. */
export function ShoppingList({ gathering, shopping, unread, ticks, isWide = false }: ShoppingProps & { readonly isWide?: boolean }) {
  const { currency } = useHousehold().units;
  const buy = shopping.rows.filter(({ toBuy }) => toBuy >= NOTHING);
  const there = shopping.rows.filter(({ toBuy }) => toBuy < NOTHING);
  const names = new Map(gathering.sweets.map(({ id, title }) => [id, title] as const));
  const left = buy.filter(({ food }) => !ticks.done.has(buyKey(food))).length;
  return (
    <div>
      {ticks.waiting > 0 && (
        <p role="status" className="t-small bg-saffron-wash px-3 py-2 mb-2">
          {ticks.waiting === 1 ? "1 tick waits" : `${ticks.waiting} ticks wait`} for the network: kept on this device, sent by itself.
        </p>
      )}
      {shopping.rows.length === 0 && unread.length === 0 && <p className="t-ledger text-ink2">Nothing yet: put a sweet on the table first.</p>}
      <div className={isWide ? "lg:grid lg:grid-cols-2 lg:gap-x-10 lg:items-start" : ""}>
        <div>
          {buy.length > 0 && (
            <section aria-label="To buy">
              <h3 className="flex justify-between items-baseline border-b-[1.5px] border-ink pb-1">
                <span className="t-h2 text-[15px]">To buy</span>
                <span className="t-small text-ink2">{left === 0 ? "all in the basket" : `${left} of ${buy.length} left`}</span>
              </h3>
              <ul>
                {buy.map((row) => (
                  <li key={row.food} className="border-b border-line">
                    <label className="flex gap-3 items-start py-1.5 min-h-11 cursor-pointer hover:bg-pressed">
                      <input
                        type="checkbox"
                        className="size-6 mt-0.5 shrink-0"
                        checked={ticks.done.has(buyKey(row.food))}
                        onChange={(event) => ticks.tick(buyKey(row.food), event.target.checked)}
                      />
                      <span className={`flex-1 min-w-0 ${ticks.done.has(buyKey(row.food)) ? "text-ink3 line-through" : ""}`}>
                        <span className="flex justify-between gap-3">
                          <span className="t-new">{row.name}</span>
                          <span className="t-figure t-frac whitespace-nowrap text-right">{asked(row)}</span>
                        </span>
                        <span className="block t-small text-ink2">
                          {[
                            ...(row.packets ? [`${formatGrams(row.toBuy)} g needed`] : []),
                            ...(row.inStock >= NOTHING ? [`${formatGrams(row.inStock)} g there`] : []),
                            ...(row.cost === null ? [] : [moneyText(row.cost, currency)]),
                            row.bySweet.map(({ sweet }) => names.get(sweet) ?? "").join(", "),
                          ].join("; ")}
                        </span>
                      </span>
                    </label>
                    {row.asks.map((ask) => (
                      <p key={ask} className="t-small pl-9 pb-1.5 flex gap-2 items-baseline text-saffron">
                        <WhyMark kind="ask" />
                        <span>Read the packet: {ask}</span>
                      </p>
                    ))}
                  </li>
                ))}
              </ul>
            </section>
          )}
          {unread.length > 0 && (
            <section aria-label="Not read" className="mt-4 bg-rose-wash px-3 py-2">
              <h3 className="t-new text-rose">Not on the list: look yourself</h3>
              <ul className="t-ledger">
                {unread.map((line) => (
                  <li key={line}>{line}</li>
                ))}
              </ul>
            </section>
          )}
        </div>
        <div className={isWide ? "lg:[&>section:first-child]:mt-0" : ""}>
          {there.length > 0 && (
            <section aria-label="From the shelf" className="mt-5">
              <h3 className="flex justify-between items-baseline border-b-[1.5px] border-ink pb-1">
                <span className="t-h2 text-[15px]">From the shelf</span>
                <span className="t-small text-ink2">
                  {there.length} of {there.length} enough
                </span>
              </h3>
              <ul>
                {there.map((row) => (
                  <li key={row.food} className="border-b border-line py-1.5">
                    <span className="flex justify-between gap-3 t-ledger text-ink2">
                      <span>{row.name}</span>
                      <span className="t-figure">{formatGrams(row.grams)} g</span>
                    </span>
                    {row.asks.map((ask) => (
                      <span key={ask} className="t-small flex gap-2 items-baseline text-saffron">
                        <WhyMark kind="ask" />
                        Read the packet: {ask}
                      </span>
                    ))}
                  </li>
                ))}
              </ul>
            </section>
          )}
          {shopping.bySweet.some(({ cost }) => cost > 0) && (
            <section aria-label="What it costs" className="mt-5">
              <h3 className="t-h2 text-[15px] border-b-[1.5px] border-ink pb-1">What it costs</h3>
              <dl>
                {shopping.bySweet.map(({ sweet, cost, unpriced }) => {
                  const servings = gathering.sweets.find(({ id }) => id === sweet)?.servings ?? 1;
                  return (
                    <div key={sweet} className="flex justify-between gap-3 border-b border-line py-1 t-ledger">
                      <dt>
                        {names.get(sweet)}
                        {unpriced.length > 0 && <span className="block t-small text-ink2">no price: {unpriced.join(", ").toLowerCase()}</span>}
                      </dt>
                      <dd className="t-figure text-right">
                        <span className="whitespace-nowrap">
                          {unpriced.length > 0 && <span className="t-small text-ink2">at least </span>}
                          {moneyText(cost, currency)}
                        </span>
                        <span className="block t-small text-ink2 whitespace-nowrap">{moneyText(cost / servings, currency)} a serving</span>
                      </dd>
                    </div>
                  );
                })}
                <div className="flex justify-between gap-3 rule-double py-1 t-new">
                  <dt>
                    At the shop
                    {shopping.unpriced.length > 0 && (
                      <span className="block t-small text-ink2 font-normal">without {formatNumber(shopping.unpriced.length)} that have no price</span>
                    )}
                  </dt>
                  <dd className="t-figure">{shopping.toPay > 0 ? moneyText(shopping.toPay, currency) : "not known"}</dd>
                </div>
              </dl>
              <p className="t-small text-ink2 mt-1">
                By what you pay, set on each food’s page. What a sweet costs is what goes into it; the shop is whole packets.
              </p>
            </section>
          )}
        </div>
      </div>
    </div>
  );
}

/** The list to take along: as text, as a table, on paper. */
export function ShoppingActions({
  id,
  gathering,
  shopping,
  unread,
  isHere = false,
}: Omit<ShoppingProps, "ticks"> & { readonly id: string; readonly isHere?: boolean }) {
  const buy = shopping.rows.filter(({ toBuy }) => toBuy >= NOTHING);
  const name = gathering.title.replace(/[^\p{L}\p{N}]+/gu, "-").replace(/^-|-$/g, "") || "shopping";
  const text = () =>
    [
      gathering.title,
      ...buy.map((row) => `- ${row.name}: ${asked(row)}${row.asks.length > 0 ? ` (read the packet: ${row.asks.join("; ")})` : ""}`),
      ...(unread.length > 0 ? ["Not on the list, look yourself:", ...unread.map((line) => `- ${line}`)] : []),
    ].join("\n");
  const copy = () => {
    navigator.clipboard.writeText(text()).then(
      () => toast("The list is copied."),
      () => saveAs(`${name}.txt`, text()),
    );
  };
  const csv = () =>
    unparse(
      shopping.rows.map((row) => ({
        food: row.name,
        family: row.family,
        needed_g: Math.round(row.grams * 10) / 10,
        in_stock_g: Math.round(row.inStock * 10) / 10,
        to_buy_g: Math.round(row.toBuy * 10) / 10,
        packets: row.packets ? `${row.packets.count} x ${row.packets.words}` : "",
        cost: row.cost ?? "",
        read_the_packet: row.asks.map(capital).join("; "),
      })),
      { escapeFormulae: true },
    );
  if (shopping.rows.length === 0) return null;
  return (
    <p className="flex flex-wrap gap-2 mt-4 no-print">
      {!isHere && (
        <Go href={`/plan/${id}/shopping`} className={buttonClass("plain")}>
          Open the list
        </Go>
      )}
      <button type="button" className={buttonClass("plain")} onClick={copy}>
        Copy as text
      </button>
      <button type="button" className={buttonClass("plain")} onClick={() => saveAs(`${name}.csv`, csv(), "text/csv")}>
        Save as a table
      </button>
    </p>
  );
}
