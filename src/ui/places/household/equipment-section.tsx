"use client";

import { ALLERGENS } from "../../../core/food";
import { burnerCap } from "../../../core/process";
import { BURNER_KINDS, NO_EQUIPMENT, panVolume, USUAL_JAR, type Burner, type Equipment, type Pan } from "../../../core/household";
import { formatNumber } from "../../../core/units";
import { AmountField } from "../../parts/amount-field";
import { Pick } from "../../parts/pick";
import { Go } from "../../shell/go";

interface EquipmentSectionProps {
  readonly equipment: Equipment | undefined;
  readonly onEquipment: (equipment: Equipment, key?: string) => void;
}

const NAME = "border border-edge bg-sheet px-2 min-h-11 md:min-h-9 w-44 text-[16px]";
const REMOVE = "underline t-small min-h-11 md:min-h-8 text-ink2 ml-auto";

/** What the household cooks with: its pans, burners and tools, and what else each is used for. */
export function EquipmentSection({ equipment = NO_EQUIPMENT, onEquipment }: EquipmentSectionProps) {
  const { pans, burners, mixer, pressureCooker, steamer, fridge } = equipment;
  const change = (part: Partial<Equipment>, key?: string) => onEquipment({ ...equipment, ...part }, key);
  const setPan = (id: string, part: Partial<Pan>, key?: string) =>
    change({ pans: pans.map((pan) => (pan.id === id ? { ...pan, ...part } : pan)) }, key && `${key} ${id}`);
  const setBurner = (id: string, part: Partial<Burner>, key?: string) =>
    change({ burners: burners.map((burner) => (burner.id === id ? { ...burner, ...part } : burner)) }, key && `${key} ${id}`);
  return (
    <section id="equipment" aria-labelledby="equipment-title" className="scroll-mt-4">
      <h2 id="equipment-title" className="t-h2">
        What you cook with
      </h2>
      <p className="t-small text-ink2">
        The first pan and the first burner are the usual ones: how much water a simmer drives off is reckoned by them, and by{" "}
        <Go href="/logbook/learned" className="underline">
          what your batches taught
        </Go>
        .
      </p>
      <ul className="border border-ink bg-sheet mt-2">
        {pans.map((pan, i) => (
          <li key={pan.id} className="border-b border-line px-3 py-2 flex flex-wrap gap-x-4 gap-y-2 items-end">
            <label className="t-small text-ink2">
              {i === 0 ? "Pan, the usual one" : "Pan"}
              <input
                value={pan.name}
                maxLength={80}
                placeholder="the wide one"
                onChange={(event) => setPan(pan.id, { name: event.target.value }, "name")}
                className={`block text-ink ${NAME}`}
              />
            </label>
            <Measured
              label="across"
              name={`${nameOf(pan)}, across, centimetres`}
              unit="cm"
              value={pan.diameter}
              least={5}
              most={80}
              onChange={(diameter) => setPan(pan.id, { diameter }, "diameter")}
            />
            <Measured
              label="deep"
              name={`${nameOf(pan)}, deep, centimetres`}
              unit="cm"
              value={pan.depth}
              least={1}
              most={60}
              onChange={(depth) => setPan(pan.id, { depth }, "depth")}
            />
            <Measured
              label="empty"
              name={`${nameOf(pan)}, empty, grams`}
              unit="g"
              value={pan.mass ?? 0}
              least={0}
              most={50000}
              onChange={(mass) => setPan(pan.id, { mass: mass === 0 ? null : mass }, "mass")}
            />
            <span className="t-small text-ink2 pb-3.5 md:pb-2.5">holds {formatNumber(Math.round(panVolume(pan) / 50) * 50)} ml</span>
            <SharedWith what={nameOf(pan)} shared={pan.sharedWith} onChange={(sharedWith) => setPan(pan.id, { sharedWith })} />
            <button type="button" className={REMOVE} onClick={() => change({ pans: pans.filter(({ id }) => id !== pan.id) })}>
              Take out {nameOf(pan)}
            </button>
          </li>
        ))}
        {burners.map((burner, i) => (
          <li key={burner.id} className="border-b border-line px-3 py-2 flex flex-wrap gap-x-4 gap-y-2 items-end">
            <label className="t-small text-ink2">
              {i === 0 ? "Burner, the usual one" : "Burner"}
              <input
                value={burner.name}
                maxLength={80}
                placeholder="front left"
                onChange={(event) => setBurner(burner.id, { name: event.target.value }, "name")}
                className={`block text-ink ${NAME}`}
              />
            </label>
            <Pick label="Kind" value={burner.kind} options={BURNER_KINDS.map((kind) => [kind, kind])} onChange={(kind) => setBurner(burner.id, { kind })} />
            <Measured
              label="at its highest"
              name="Power of the burner, kilowatts"
              unit="kW"
              value={burner.power}
              least={0.1}
              most={20}
              onChange={(power) => setBurner(burner.id, { power }, "power")}
            />
            <span className="t-small text-ink2 pb-3.5 md:pb-2.5">drives off {Math.round(burnerCap(burner))} g of water a minute at most</span>
            <button type="button" className={REMOVE} onClick={() => change({ burners: burners.filter(({ id }) => id !== burner.id) })}>
              Take out {burner.name.trim() || "this burner"}
            </button>
          </li>
        ))}
        <li className="border-b border-line px-3 flex flex-wrap gap-x-6">
          <button
            type="button"
            className="t-ledger min-h-11 text-left hover:underline"
            onClick={() => change({ pans: [...pans, { id: crypto.randomUUID(), name: "", diameter: 24, depth: 10, mass: null, sharedWith: [] }] })}
          >
            + A pan
          </button>
          <button
            type="button"
            className="t-ledger min-h-11 text-left hover:underline"
            onClick={() => change({ burners: [...burners, { id: crypto.randomUUID(), name: "", kind: "gas", power: 2 }] })}
          >
            + A burner
          </button>
        </li>
        <li className="border-b border-line px-3 py-1 flex flex-wrap gap-x-4 items-center">
          <Has name="Mixer or grinder" has={mixer !== null} onChange={(has) => change({ mixer: has ? { sharedWith: [] } : null })} />
          {mixer && (
            <>
              <AmountField
                label="Mixer jar, litres"
                unit="l"
                value={mixer.litres ?? USUAL_JAR}
                least={0.1}
                most={20}
                onChange={(litres) => change({ mixer: { ...mixer, litres } }, "jar")}
              />
              <span className="t-small text-ink2">filled to two thirds{mixer.litres === undefined ? "; the usual size until you say" : ""}</span>
              <SharedWith what="the mixer" shared={mixer.sharedWith} onChange={(sharedWith) => change({ mixer: { ...mixer, sharedWith } })} />
            </>
          )}
        </li>
        <li className="border-b border-line px-3 py-1 flex flex-wrap gap-x-4 items-center">
          <Has
            name="Pressure cooker"
            has={pressureCooker !== null}
            onChange={(has) => change({ pressureCooker: has ? { litres: 5, sharedWith: [] } : null })}
          />
          {pressureCooker && (
            <>
              <AmountField
                label="Pressure cooker, litres"
                unit="l"
                value={pressureCooker.litres}
                least={0.5}
                most={60}
                onChange={(litres) => change({ pressureCooker: { ...pressureCooker, litres } }, "cooker")}
              />
              <span className="t-small text-ink2">filled half at most</span>
              <SharedWith
                what="the cooker"
                shared={pressureCooker.sharedWith}
                onChange={(sharedWith) => change({ pressureCooker: { ...pressureCooker, sharedWith } })}
              />
            </>
          )}
        </li>
        <li className="border-b border-line px-3 py-1 flex flex-wrap gap-x-4 items-center">
          <Has name="Steamer" has={Boolean(steamer)} onChange={(has) => change({ steamer: has ? { litres: 3 } : null })} />
          {steamer && (
            <AmountField
              label="Steamer, litres"
              unit="l"
              value={steamer.litres}
              least={0.2}
              most={60}
              onChange={(litres) => change({ steamer: { litres } }, "steamer")}
            />
          )}
        </li>
        <li className="px-3 py-1 flex flex-wrap gap-x-4 items-center">
          <Has name="Room in the fridge" has={fridge !== null} onChange={(has) => change({ fridge: has ? 10 : null })} />
          {fridge !== null && (
            <AmountField
              label="Room in the fridge, litres"
              unit="l"
              value={fridge}
              least={0}
              most={2000}
              onChange={(litres) => change({ fridge: litres }, "fridge")}
            />
          )}
        </li>
      </ul>
    </section>
  );
}

const nameOf = (pan: Pan): string => pan.name.trim() || "this pan";

interface MeasuredProps {
  readonly label: string;
  readonly name: string;
  readonly unit: string;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  readonly onChange: (value: number) => void;
}

function Measured({ label, name, ...field }: MeasuredProps) {
  return (
    <span className="t-small text-ink2">
      <span className="block">{label}</span>
      <AmountField label={name} {...field} className="min-h-11 md:min-h-9 justify-center" />
    </span>
  );
}

function Has({ name, has, onChange }: { readonly name: string; readonly has: boolean; readonly onChange: (has: boolean) => void }) {
  return (
    <label className="flex items-center gap-2 t-ledger min-h-11 md:min-h-9 min-w-44">
      <input type="checkbox" className="size-5" checked={has} onChange={() => onChange(!has)} />
      {name}
    </label>
  );
}

/** What a vessel is used for at other times: who reacts to traces is warned of it. */
function SharedWith({
  what,
  shared,
  onChange,
}: {
  readonly what: string;
  readonly shared: readonly string[];
  readonly onChange: (shared: readonly string[]) => void;
}) {
  return (
    <details className="t-small">
      <summary className="min-h-11 md:min-h-9 flex items-center cursor-pointer underline">
        {shared.length > 0 ? `also used for ${shared.map((each) => each.replace("-", " ")).join(", ")}` : `what else ${what} is used for`}
      </summary>
      <div className="flex flex-wrap gap-x-4">
        {ALLERGENS.map((allergen) => (
          <label key={allergen} className="flex items-center gap-2 min-h-11 md:min-h-8">
            <input
              type="checkbox"
              className="size-5"
              checked={shared.includes(allergen)}
              onChange={() => onChange(shared.includes(allergen) ? shared.filter((each) => each !== allergen) : [...shared, allergen])}
            />
            {allergen.replace("-", " ")}
          </label>
        ))}
      </div>
    </details>
  );
}
