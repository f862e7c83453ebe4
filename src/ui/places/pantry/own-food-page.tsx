"use client";

import { useRouter } from "next/navigation";
import { useCallback, useMemo, useState } from "react";
import { ORIGINS, type Origin } from "../../../core/food";
import { EMPTY_LABEL, namesOf, ownFoodProblems, type Label, type OwnFood, type Packet, type PacketMeaning } from "../../../core/pantry";
import { AmountField, readTyped } from "../../parts/amount-field";
import { Button, buttonClass } from "../../parts/button";
import { UndoButtons } from "../../parts/undo-buttons";
import { useDraft } from "../../shell/use-draft";
import { useUndoKeys } from "../../parts/use-history";
import { useKitchen } from "../../shell/use-kitchen";
import { Go } from "../../shell/go";
import { toast } from "../../shell/messages";
import { usePantryDocument } from "../../shell/pantry";
import { useSaving } from "../../shell/saving";
import { PageHead } from "../../shell/shell";
import { FAMILY_NAMES, FAMILY_ORDER } from "./food-words";
import { newFoodId } from "./maker-model";
import { MadeFoodEdit } from "./maker-page";
import { AllergenBoxes, Further, UnitChoice, Why } from "./own-food-parts";
import { PotHandling } from "./pot-handling";
import { PacketBox } from "./packet-box";
import { PacketDate } from "./packet-date";
import { PacketList } from "./packet-list";
import { RemoveFood } from "./remove-food";
import { Touched } from "./touched";
import { PageColumns } from "../../parts/page-columns";

const FIELDS: readonly (readonly [keyof Label & ("fat" | "saturatedFat" | "carbohydrate" | "sugars" | "fibre" | "protein"), string, boolean])[] = [
  ["fat", "Fat", false],
  ["saturatedFat", "of which saturated", true],
  ["carbohydrate", "Carbohydrate", false],
  ["sugars", "of which sugars", true],
  ["fibre", "Fibre", false],
  ["protein", "Protein", false],
];

const blank = (name: string): OwnFood => ({
  id: "",
  name,
  synonyms: [],
  family: "sweetener",
  origin: "plant",
  allergens: [],
  traces: [],
  made: { kind: "label", label: EMPTY_LABEL },
  density: null,
  note: "",
  revision: 1,
});

interface LabelDraft {
  readonly own: OwnFood;
  /** Amounts as they were typed, where they cannot be read yet. */
  readonly typed: Readonly<Record<string, string>>;
}

const isDraft = (found: unknown): found is LabelDraft =>
  typeof found === "object" &&
  found !== null &&
  "own" in found &&
  "typed" in found &&
  typeof found.own === "object" &&
  found.own !== null &&
  "made" in found.own;

/** A food of one's own: changed where it was made, by its label or by the maker; null for a new one, from its label. */
export function OwnFoodPage({ id, name = "" }: { readonly id: string | null; readonly name?: string }) {
  const own = usePantryDocument().present.foods.find((food) => food.id === id) ?? null;
  return own?.made.kind === "made" ? <MadeFoodEdit own={{ ...own, made: own.made }} /> : <LabelPage known={own} called={name} />;
}

/** Typed from its pack. What the pack does not say stays empty: it is not known, never none. */
function LabelPage({ known, called }: { readonly known: OwnFood | null; readonly called: string }) {
  const router = useRouter();
  const { flush } = useSaving();
  const pantry = usePantryDocument();
  const { reference, pantryTables } = useKitchen();
  const initial = useCallback((): LabelDraft => ({ own: known ?? blank(called), typed: {} }), [known, called]);
  const draft = useDraft(known?.id ?? (called === "" ? "new food" : `new food ${called}`), initial, isDraft);
  useUndoKeys(draft);
  const { own, typed } = draft.present;
  const [tried, setTried] = useState(false);
  const label = own.made.kind === "label" ? own.made.label : EMPTY_LABEL;
  const change = (part: Partial<OwnFood>, key?: string) => draft.set((now) => ({ ...now, own: { ...now.own, ...part } }), key);
  const packet = own.made.kind === "label" ? own.made.packet : undefined;
  const labelled = (changed: Label, listed: Packet | undefined = packet): OwnFood["made"] => ({
    kind: "label",
    label: changed,
    ...(listed && { packet: listed }),
  });
  const setLabel = (part: Partial<Label>) => change({ made: labelled({ ...label, ...part }) });
  const means = (place: number, meaning: PacketMeaning) =>
    packet &&
    change({ made: labelled(label, { ...packet, ingredients: packet.ingredients.map((each, n) => (n === place ? { ...each, means: meaning } : each)) }) });
  const { foods, constants } = reference;
  const names = useMemo(() => namesOf(foods.values()), [foods]);
  const problems = ownFoodProblems(own, names, foods, constants, pantryTables);
  const unread = Object.entries(typed).flatMap(([field, text]) => {
    const read = text.trim() === "" ? null : readTyped(text, 0);
    return read && "why" in read ? [{ field, grave: true, why: read.why }] : [];
  });
  const all = [...unread, ...problems];
  const whyOf = (field: string) => all.find((problem) => problem.field === field && (tried || field !== "name" || own.name !== ""));
  const type = (field: keyof Label, text: string) => {
    const read = text.trim() === "" ? null : readTyped(text, 0);
    const stated = read === null ? { [field]: null } : "value" in read ? { [field]: read.value } : {};
    draft.set((now) => ({ own: { ...now.own, made: labelled({ ...label, ...stated }) }, typed: { ...now.typed, [field]: text } }), `label ${field}`);
  };
  const save = async () => {
    setTried(true);
    if (all.some(({ grave }) => grave)) {
      // Once what is wrong is told, to the first of it.
      requestAnimationFrame(() => document.querySelector<HTMLElement>("main [aria-invalid=true]")?.focus());
      return;
    }
    const saved = {
      ...own,
      name: own.name.trim(),
      id: known?.id ?? newFoodId(own.name),
      revision: known ? known.revision + 1 : 1,
    };
    pantry.set((now) => ({ ...now, foods: known ? now.foods.map((food) => (food.id === known.id ? saved : food)) : [...now.foods, saved] }));
    draft.forget();
    toast(`“${saved.name}” is in the pantry.`);
    // The document is sent once this page has been shown with it.
    await new Promise((resolve) => setTimeout(resolve));
    await flush();
    router.push(`/pantry/${saved.id}`);
    router.refresh();
  };
  const amount = (field: keyof Label, name: string, unit: React.ReactNode, part = false) => {
    const value = label[field];
    const why = whyOf(field);
    return (
      <div key={field} className="border-b border-line py-1">
        <label className="flex items-center justify-between gap-3 min-h-9">
          <span className={`t-ledger ${part ? "pl-4 text-ink2" : ""}`}>{name}</span>
          <span className="flex items-baseline gap-2">
            <input
              aria-label={name.replace(/^of which /, "")}
              inputMode="decimal"
              value={typed[field] ?? (value === null ? "" : String(value))}
              placeholder="not said"
              maxLength={12}
              onChange={(event) => type(field, event.target.value)}
              aria-invalid={why?.grave ?? false}
              aria-describedby={why ? `why-${field}` : undefined}
              className={`w-[92px] text-right t-figure bg-sheet border px-2 min-h-9 ${why?.grave ? "border-rose" : "border-edge"}`}
            />
            <span className="w-[86px] t-small text-ink2">{unit}</span>
          </span>
        </label>
        {why && <Why id={`why-${field}`} {...why} />}
      </div>
    );
  };
  const nameWhy = whyOf("name");
  return (
    <>
      <PageHead
        title={known ? `Change ${known.name}` : "A food of your own"}
        line="From its pack. What the pack does not say stays empty: not known is not none."
      >
        <Go href={known ? `/pantry/${known.id}` : "/pantry"} className={buttonClass("quiet")}>
          Leave it
        </Go>
      </PageHead>
      <PageColumns aside="wide">
        <form
          className="p-4 md:p-5 grid gap-5 content-start max-w-[760px]"
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            void save();
          }}
        >
          <PacketBox own={own} isNew={known === null} onRead={(read) => draft.set({ own: read, typed: {} })} />
          <div>
            <label className="block">
              <span className="t-small text-ink2 block">Name, as your recipes call it</span>
              <input
                value={own.name}
                maxLength={100}
                onChange={(event) => change({ name: event.target.value }, "name")}
                aria-invalid={nameWhy?.grave ?? false}
                aria-describedby={nameWhy ? "why-name" : undefined}
                className={`w-full bg-sheet border px-3 min-h-11 ${nameWhy ? "border-rose" : "border-edge"}`}
              />
            </label>
            {nameWhy && <Why id="why-name" {...nameWhy} />}
          </div>
          <div className="grid sm:grid-cols-2 gap-4">
            <label>
              <span className="t-small text-ink2 block">What it is</span>
              <select
                value={own.family}
                onChange={(event) => change({ family: event.target.value as OwnFood["family"] })}
                className="w-full bg-sheet border border-edge px-3 min-h-11"
              >
                {FAMILY_ORDER.filter((family) => family !== "water").map((family) => (
                  <option key={family} value={family}>
                    {FAMILY_NAMES[family]}
                  </option>
                ))}
              </select>
            </label>
            <label>
              <span className="t-small text-ink2 block">Where it comes from</span>
              <select
                value={own.origin}
                onChange={(event) => change({ origin: event.target.value as Origin })}
                className="w-full bg-sheet border border-edge px-3 min-h-11"
              >
                {ORIGINS.map((origin) => (
                  <option key={origin} value={origin}>
                    {origin}
                  </option>
                ))}
              </select>
            </label>
          </div>
          <fieldset>
            <legend className="t-h2">The label</legend>
            <div className="flex flex-wrap gap-x-6 items-center border-b border-ink">
              <span className="t-ledger flex items-center gap-2 min-h-11">
                Amounts in{" "}
                <AmountField label="Grams that the amounts are for" value={label.per} least={0.1} most={10_000} onChange={(per) => setLabel({ per })} />
              </span>
              <label className="flex gap-2 items-center t-ledger min-h-11">
                <input
                  type="checkbox"
                  checked={label.includesFibre}
                  onChange={() => setLabel({ includesFibre: !label.includesFibre })}
                  className="size-5 accent-ink"
                />
                its carbohydrate counts fibre
              </label>
            </div>
            {amount(
              "energy",
              "Energy",
              <UnitChoice value={label.energyUnit} options={["kcal", "kJ"]} label="Unit of energy" onChange={(energyUnit) => setLabel({ energyUnit })} />,
            )}
            {FIELDS.map(([field, name, part]) => amount(field, name, "g", part))}
            {amount(
              "salt",
              label.saltUnit === "g salt" ? "Salt" : "Sodium",
              <UnitChoice value={label.saltUnit} options={["g salt", "mg sodium"]} label="Unit of salt" onChange={(saltUnit) => setLabel({ saltUnit })} />,
            )}
          </fieldset>
          {packet && <PacketList label={label} packet={packet} onMeans={means} />}
          {packet && <PacketDate packet={packet} onChange={(keeps) => change({ made: labelled(label, { ...packet, keeps }) })} />}
          {whyOf("packet") && (
            <p role="status" className="t-small text-saffron">
              {whyOf("packet")?.why}
            </p>
          )}
          <PotHandling handled={own.handled} onChange={change} />
          <fieldset>
            <legend className="t-h2 text-[15px]">Contains</legend>
            <AllergenBoxes chosen={own.allergens} onChange={(allergens) => change({ allergens })} />
          </fieldset>
          <fieldset>
            <legend className="t-h2 text-[15px]">May contain traces of</legend>
            <AllergenBoxes chosen={own.traces} onChange={(traces) => change({ traces })} />
          </fieldset>
          <div className="flex flex-wrap gap-4 items-center">
            <Button kind="primary" type="submit">
              {known ? "Save the change" : "Put it in the pantry"}
            </Button>
            {known && <RemoveFood own={known} />}
            <UndoButtons undo={draft.undo} redo={draft.redo} />
            {tried && all.some(({ grave }) => grave) && (
              <p role="alert" className="t-ledger text-rose">
                {all.filter(({ grave }) => grave).length === 1 ? "One thing" : `${all.filter(({ grave }) => grave).length} things`} to mend above; nothing you
                typed is lost.
              </p>
            )}
          </div>
        </form>
        <aside className="lg:crease-l p-4 md:p-5 grid gap-5 content-start" aria-label="About it">
          <Further own={own} onChange={change} />
          {known && <Touched own={own} />}
          <p className="t-small text-ink2">
            Labels are taken to be within ± 13 % in 8 of 10 cases. Which sugars they are, and how much of the fibre is soluble, no label says: that is guessed
            from the kind of food, with a wide interval.
          </p>
        </aside>
      </PageColumns>
    </>
  );
}
