"use client";

import { useState } from "react";
import type { OwnFood, Packet, PacketIngredient } from "../../../core/pantry";
import type { PacketView } from "../../../core/views";
import { Button } from "../../parts/button";
import { why as whyOf } from "../../parts/send";
import { useCompute } from "../../shell/computer";
import { allergenWords } from "./food-words";

const EXAMPLE = `Ingredients: oats, date paste 22 %, almonds, rapeseed oil, salt, emulsifier (soya lecithin).
May contain sesame and milk.
Per 100 g: energy 1830 kJ / 437 kcal, fat 16 g, of which saturates 1.9 g, carbohydrate 60 g, of which sugars 19 g, fibre 8 g, protein 9 g, salt 0.3 g.
Best before 14 March 2027`;
const MOST_TEXT = 10_000;

/** What the maker has said about words stays with them when the packet is read again. */
function answered(read: readonly PacketIngredient[], before: readonly PacketIngredient[]): readonly PacketIngredient[] {
  const said = new Map(before.filter(({ means }) => means !== null).map(({ words, means }) => [words, means]));
  return read.map((each) => (each.means === null ? { ...each, means: said.get(each.words) ?? null } : each));
}

/** An own food with what its packet says; what was typed by hand gives way only where the packet says something. */
export function withPacket(own: OwnFood, text: string, read: PacketView, isNew: boolean): OwnFood {
  const before = own.made.kind === "label" ? own.made : null;
  if (!before) return own;
  const isOpen = isNew && before.packet === undefined;
  const packet: Packet = { text, ingredients: answered(read.ingredients, before.packet?.ingredients ?? []), keeps: read.keeps };
  const both = <T,>(one: readonly T[], other: readonly T[]) => [...new Set([...one, ...other])];
  const allergens = both(own.allergens, read.allergens);
  return {
    ...own,
    name: own.name.trim() === "" ? (read.name ?? "") : own.name,
    family: isOpen ? (read.family ?? own.family) : own.family,
    origin: isOpen ? read.origin : own.origin,
    allergens,
    traces: both(own.traces, read.traces).filter((each) => !allergens.includes(each)),
    density: own.density ?? read.density,
    made: { kind: "label", label: read.label ?? before.label, packet },
  };
}

const counted = (count: number, one: string, several: string) => `${count} ${count === 1 ? one : several}`;

/** What was found, in one line. */
function foundWords({ ingredients, figures, allergens, traces, keeps }: PacketView): string {
  return [
    counted(ingredients.length, "ingredient", "ingredients"),
    `${counted(figures, "figure", "figures")} of the table`,
    ...(allergens.length > 0 ? [`contains ${allergens.map(allergenWords).join(", ")}`] : []),
    ...(traces.length > 0 ? [`may contain ${traces.map(allergenWords).join(", ")}`] : []),
    ...(keeps ? [`${keeps.kind} ${keeps.day}`] : []),
  ].join(" · ");
}

/** Takes a packet's text, and fills in what it says. */
export function PacketBox({ own, isNew, onRead }: { readonly own: OwnFood; readonly isNew: boolean; readonly onRead: (own: OwnFood) => void }) {
  const compute = useCompute();
  const kept = own.made.kind === "label" ? (own.made.packet?.text ?? "") : "";
  const [typed, setTyped] = useState<string | null>(null);
  const [read, setRead] = useState<PacketView | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const text = typed ?? kept;
  const take = async () => {
    if (text.trim() === "") return setWhy("Paste or type what the packet says first.");
    if (text.length > MOST_TEXT)
      return setWhy(`That is ${text.length.toLocaleString("en")} characters; a packet's text has at most 10,000. Leave out what is not its list or table.`);
    setBusy(true);
    setWhy(null);
    try {
      const found = await compute("packet", { text });
      setRead(found);
      if (found.ingredients.length === 0 && found.label === null)
        setWhy(
          "No list of ingredients and no nutrition table is found in it. A list begins with “Ingredients:” and has commas; a table names energy, fat, protein with their amounts.",
        );
      else onRead(withPacket(own, text, found, isNew));
    } catch (error) {
      setWhy(whyOf(error, "It could not be read."));
    }
    setBusy(false);
  };
  return (
    <section aria-label="The packet" className="grid gap-2">
      <label htmlFor="packet-text">
        <span className="t-h2">What the packet says</span>
        <span className="t-small text-ink2 block">
          Its list of ingredients, nutrition table, what it may contain, the date; as one text. Or fill in the fields below by hand.
        </span>
      </label>
      <textarea
        id="packet-text"
        value={text}
        rows={7}
        spellCheck={false}
        placeholder={EXAMPLE}
        aria-invalid={why !== null}
        aria-describedby={why ? "packet-why" : undefined}
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === "Enter" && (event.ctrlKey || event.metaKey)) void take();
        }}
        className={`w-full bg-sheet border p-3 leading-relaxed ${why ? "border-rose" : "border-edge"}`}
      />
      {why && (
        <p id="packet-why" role="alert" className="t-small text-rose">
          {why}
        </p>
      )}
      <div className="flex flex-wrap gap-3 items-center">
        <Button disabled={busy} onClick={() => void take()}>
          {busy ? "Reading" : kept === "" ? "Read the packet" : "Read it again"}
        </Button>
        {read && !why && (
          <p role="status" className="t-small text-ink2">
            {foundWords(read)}
          </p>
        )}
      </div>
      {read?.doubts.map((doubt) => (
        <p key={doubt} className="bg-saffron-wash px-3 py-2 t-ledger">
          {doubt}
        </p>
      ))}
    </section>
  );
}
