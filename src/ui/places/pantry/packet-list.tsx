"use client";

import { useEffect, useState } from "react";
import type { Label, Packet, PacketMeaning } from "../../../core/pantry";
import type { PacketListView, ToldIngredient } from "../../../core/views";
import { FoodPicker } from "../../panels/food-picker";
import { why as whyOf } from "../../parts/send";
import { ColumnHead } from "../../parts/table-heads";
import { useCompute } from "../../shell/computer";

/** The list told anew whenever it or the table changes, or why it cannot be; the one before stands meanwhile. */
function usePacketList(label: Label, packet: Packet): { readonly told: PacketListView | null; readonly why: string | null } {
  const compute = useCompute();
  const [told, setTold] = useState<PacketListView | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  useEffect(() => {
    let isLeft = false;
    compute("packet list", { label, packet })
      .then((view) => {
        if (isLeft) return;
        setTold(view);
        setWhy(null);
      })
      .catch((error: unknown) => !isLeft && setWhy(whyOf(error, "What the packet lists could not be worked out.")));
    return () => void (isLeft = true);
  }, [compute, label, packet]);
  return { told: told?.ingredients.length === packet.ingredients.length ? told : null, why };
}

const shareWords = ({ share, percent }: ToldIngredient): string => {
  if (percent !== null) return `${percent} %`;
  if (!share) return "";
  const [low, high] = [share.low, share.high].map((each) => each.toFixed(each < 10 ? 1 : 0));
  return high === "0.0" ? "traces" : `${low} to ${high} %`;
};

/** What a packet lists: what each thing is taken for, how much of it there is, and what is asked. */
export function PacketList({
  label,
  packet,
  onMeans,
}: {
  readonly label: Label;
  readonly packet: Packet;
  readonly onMeans: (place: number, means: PacketMeaning) => void;
}) {
  const { told, why } = usePacketList(label, packet);
  if (packet.ingredients.length === 0) return null;
  return (
    <section aria-label="What it lists">
      <h2 className="t-h2">What it lists</h2>
      {why && (
        <p role="alert" className="t-small text-rose">
          {why}
        </p>
      )}
      <table className="w-full t-ledger rule-t mt-1">
        <caption className="sr-only">Ingredients in the order of the packet, what each is taken for, and its share</caption>
        <thead className="t-small text-ink2">
          <tr className="border-b border-ink">
            <ColumnHead className="py-1">as printed</ColumnHead>
            <ColumnHead>taken for</ColumnHead>
            <ColumnHead right>of the whole</ColumnHead>
          </tr>
        </thead>
        <tbody>
          {packet.ingredients.map(({ words, depth }, place) => {
            const row = told?.ingredients[place];
            const isAsked = row !== undefined && row.meaning === null && !row.isCompound;
            return (
              <tr key={`${place} ${words}`} className={`border-b border-line align-top ${isAsked ? "bg-saffron-wash" : ""}`}>
                <td className="py-1.5 pr-3" style={{ paddingLeft: `${depth * 16 + 4}px` }}>
                  {words}
                </td>
                <td className="py-1.5 pr-3">
                  {row && !isAsked && (
                    <>
                      {row.isCompound ? <span className="text-ink2">made of what follows</span> : row.meaning?.name}
                      {!row.isCompound && row.meaning?.does && <span className="block t-small text-ink2">{row.meaning.does}</span>}
                      {packet.ingredients[place]?.means?.kind === "harmless" && (
                        <button type="button" className="underline t-small min-h-8" onClick={() => onMeans(place, null)}>
                          Ask again
                        </button>
                      )}
                    </>
                  )}
                  {row && isAsked && <Ask row={row} onMeans={(means) => onMeans(place, means)} />}
                </td>
                <td className="py-1.5 text-right whitespace-nowrap t-figure">{row ? shareWords(row) : ""}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="t-small text-ink2 mt-1">
        Shares with two ends are fitted: the mixture, each thing at least as much as the next, that comes nearest to the table (least squares; 8 of 10 cases).
        What a table cannot tell, such as which sugars they are, is taken from that mixture.
      </p>
      {told?.split && <p className="t-small text-ink2">{told.split}</p>}
      {(told?.off.length ?? 0) > 0 && (
        <div className="bg-saffron-wash px-3 py-2 t-ledger mt-2">
          The list does not account for the table:
          <ul className="list-disc pl-5">
            {told?.off.map((each) => (
              <li key={each}>{each}</li>
            ))}
          </ul>
        </div>
      )}
    </section>
  );
}

/** Asks what words of a packet stand for. */
function Ask({ row, onMeans }: { readonly row: ToldIngredient; readonly onMeans: (means: PacketMeaning) => void }) {
  const chip = "border border-edge px-3 min-h-11 md:min-h-8 t-ledger hover:bg-pressed text-left bg-sheet";
  return (
    <div className="grid gap-2">
      <div className="flex flex-wrap gap-2 items-center">
        <span className="t-small">Not understood. {row.guesses.length > 0 ? "Is it" : "What is it?"}</span>
        {row.guesses.map(({ id, name }) => (
          <button key={id} type="button" className={chip} onClick={() => onMeans({ kind: "food", id })}>
            {name}
          </button>
        ))}
      </div>
      <FoodPicker label={`What “${row.words}” is`} onPick={({ id }) => onMeans({ kind: "food", id })} />
      <button type="button" className="underline t-small min-h-8 text-left" onClick={() => onMeans({ kind: "harmless" })}>
        Nothing that a rule asks about, and next to no mass
      </button>
    </div>
  );
}
