import type { Handled } from "../../../core/food";
import type { OwnFood } from "../../../core/pantry";
import { AmountField } from "../../parts/amount-field";
import { Choice } from "../../parts/choice";

const MOST_MINUTES = 600;
const RAW: Handled = { state: "raw", texture: "dry", minutes: 20 };
const READY: Handled = { state: "ready", texture: "dry", minutes: 0 };

/** How a food of one's own goes into the pot: three answers, by which steps are built and what is raw is cooked. */
export function PotHandling({ handled, onChange }: { readonly handled: Handled | undefined; readonly onChange: (part: Partial<OwnFood>) => void }) {
  return (
    <fieldset>
      <legend className="t-h2 text-[15px]">In the pot</legend>
      <p className="t-small text-ink2">Steps for it are built by these answers. Nothing is guessed of a food that nobody has described.</p>
      <div className="flex flex-wrap gap-x-6">
        <Choice
          name="pot-state"
          label="It is ready, and only stirred in"
          checked={handled?.state === "ready"}
          onChange={() => onChange({ handled: { ...READY, texture: handled?.texture ?? "dry" } })}
        />
        <Choice
          name="pot-state"
          label="It is raw, and has to cook"
          checked={handled?.state === "raw"}
          onChange={() => onChange({ handled: handled ? { ...RAW, texture: handled.texture } : RAW })}
        />
      </div>
      {handled?.state === "raw" && (
        <>
          <div className="flex flex-wrap gap-x-6">
            <Choice name="pot-texture" label="dry" checked={handled.texture === "dry"} onChange={() => onChange({ handled: { ...handled, texture: "dry" } })} />
            <Choice
              name="pot-texture"
              label="wet, it pours"
              checked={handled.texture === "wet"}
              onChange={() => onChange({ handled: { ...handled, texture: "wet" } })}
            />
          </div>
          <span className="t-ledger flex items-center gap-2 min-h-11">
            It is done after{" "}
            <AmountField
              label="Minutes that it cooks until it is done"
              unit="min"
              value={handled.minutes}
              least={1}
              most={MOST_MINUTES}
              onChange={(minutes) => onChange({ handled: { ...handled, minutes } })}
            />
          </span>
        </>
      )}
    </fieldset>
  );
}
