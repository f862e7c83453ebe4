"use client";

import { ALLERGENS } from "../../../core/food";
import { TRACES, baseOf, type Rule, type Traces } from "../../../core/models/diet";
import { LIKINGS, type Liking } from "../../../core/models/sweetness";
import { AGE_BANDS, ageOf, withAge, type Eater } from "../../../core/table";
import { AmountField } from "../../parts/amount-field";
import { Pick } from "../../parts/pick";
import { useHousehold } from "../../shell/household";
import { LimitWishes } from "../../panels/limit-wishes";
import { groupsOf, RuleWishes, usualRule } from "../../panels/rule-wishes";
import { AGE_WORDS } from "../../panels/eater-words";

const TRACE_WORDS: Readonly<Record<Traces, string>> = {
  "as an ingredient": "do not matter: only as an ingredient",
  asked: "are asked about",
  avoided: "count as the food itself",
};
const TASTE_WORDS: Readonly<Record<Liking, string>> = { "less sweet": "less sweet", "as made here": "as it is made here", sweeter: "sweeter" };

interface EaterFormProps {
  readonly eater: Eater;
  readonly rules: readonly Rule[];
  /** ISO. */
  readonly today: string;
  readonly onChange: (part: Partial<Eater>, key?: string) => void;
}

/** All that is said of an eater. */
export function EaterForm({ eater, rules, today, onChange }: EaterFormProps) {
  const { schools: schoolsHeld } = useHousehold();
  const known = new Set(rules.map(({ id }) => id));
  const groups = groupsOf(rules.filter(({ id, kind }) => kind !== "allergy" && baseOf(id) !== "small-child"));
  const avoidsAllergens = eater.rules.some((id) => rules.find((rule) => rule.id === id)?.clauses.some(({ when }) => when.allergens));
  const allergy = (allergen: string) => eater.rules.find((id) => baseOf(id) === `no-${allergen}`);
  return (
    <div className="px-3 pb-3 grid gap-4 border-t border-line pt-3">
      <div className="flex flex-wrap gap-x-6 gap-y-3 items-end">
        <Pick label="Age" value={ageOf(eater)} options={AGE_BANDS.map((age) => [age, AGE_WORDS[age]])} onChange={(age) => onChange(withAge(eater, age))} />
        <span className="t-small text-ink2">
          <span className="block">Eats</span>
          <AmountField
            label="Servings eaten, usually"
            unit={(eater.portion ?? 1) === 1 ? "serving" : "servings"}
            value={eater.portion ?? 1}
            least={0.1}
            most={20}
            onChange={(portion) => onChange({ portion }, "portion")}
            className="min-h-11 md:min-h-9 justify-center"
          />
        </span>
        <Pick
          label="Likes it"
          value={eater.taste ?? "as made here"}
          options={LIKINGS.map((taste) => [taste, TASTE_WORDS[taste]])}
          onChange={(taste) => onChange({ taste })}
        />
      </div>
      <fieldset>
        <legend className="t-small text-ink2">Diets and fasts kept</legend>
        <RuleWishes groups={groups} chosen={eater.rules} onChoose={(next) => onChange({ rules: next })} />
        <KeptWhen eater={eater} rules={rules} onChange={onChange} />
      </fieldset>
      <fieldset>
        <legend className="t-small text-ink2">Allergies: what cross-reacts is left out too</legend>
        <div className="flex flex-wrap gap-x-5 border-t border-ink mt-1 pt-1">
          {ALLERGENS.map((allergen) => (
            <label key={allergen} className="flex items-center gap-2 t-ledger min-h-11 md:min-h-9">
              <input
                type="checkbox"
                className="size-5"
                checked={allergy(allergen) !== undefined}
                onChange={() =>
                  onChange({
                    rules: allergy(allergen)
                      ? eater.rules.filter((id) => baseOf(id) !== `no-${allergen}`)
                      : [...eater.rules, usualRule(`no-${allergen}`, schoolsHeld, known)],
                  })
                }
              />
              {allergen.replace("-", " ")}
            </label>
          ))}
        </div>
        <label className="flex items-center gap-2 t-ledger min-h-11 md:min-h-9 border-t border-line mt-1">
          <input
            type="checkbox"
            className="size-5"
            checked={eater.asked !== undefined}
            onChange={() => onChange({ asked: eater.asked === undefined ? today : undefined })}
          />
          asked about allergies: these are all, or there are none
          {eater.asked !== undefined && <span className="t-small text-ink2">({eater.asked})</span>}
        </label>
      </fieldset>
      {avoidsAllergens && (
        <Pick
          label="Traces from a shared line, pan or grinder"
          value={eater.traces ?? "asked"}
          options={TRACES.map((traces) => [traces, TRACE_WORDS[traces]])}
          onChange={(traces) => onChange({ traces })}
        />
      )}
      <LimitWishes limits={eater.limits} onLimits={(limits, key) => onChange({ limits }, key)} />
      <label className="t-small text-ink2">
        To know besides
        <input
          value={eater.note}
          maxLength={1000}
          onChange={(event) => onChange({ note: event.target.value }, "note")}
          className="block w-full border border-edge bg-sheet px-2 min-h-11 md:min-h-9 text-ink text-[16px]"
        />
      </label>
    </div>
  );
}

/** When each rule is kept: a fast on its days or always, anything until a day. */
function KeptWhen({ eater, rules, onChange }: Omit<EaterFormProps, "today">) {
  const { onDays = [], until = {} } = eater;
  const kept = eater.rules.flatMap((id) => rules.find((rule) => rule.id === id && baseOf(id) !== "small-child") ?? []);
  const lost = eater.rules.filter((id) => !rules.some((rule) => rule.id === id));
  if (kept.length + lost.length === 0) return null;
  return (
    <ul className="mt-2" aria-label="When each is kept">
      {kept.map(({ id, name, kind }) => {
        const base = baseOf(id);
        const last = until[id] ?? "";
        const others = Object.fromEntries(Object.entries(until).filter(([each]) => each !== id));
        return (
          <li key={id} className="flex flex-wrap gap-x-5 gap-y-1 items-center min-h-11 md:min-h-9 t-small">
            <span className="min-w-36">{name}</span>
            {kind === "fast" && (
              <label className="flex items-center gap-2">
                <input
                  type="checkbox"
                  className="size-5"
                  checked={onDays.includes(base)}
                  onChange={() => onChange({ onDays: onDays.includes(base) ? onDays.filter((each) => each !== base) : [...onDays, base] })}
                />
                on its days only
              </label>
            )}
            <label className="flex items-center gap-2 text-ink2">
              until
              <input
                type="date"
                value={last}
                onChange={(event) => onChange({ until: event.target.value ? { ...others, [id]: event.target.value } : others })}
                className="border border-edge bg-sheet px-2 min-h-11 md:min-h-9 text-ink text-[16px]"
              />
              {last === "" && "no end"}
            </label>
          </li>
        );
      })}
      {lost.map((id) => (
        <li key={id} className="flex flex-wrap gap-x-5 items-center min-h-11 md:min-h-9 t-small text-rose">
          A rule that is no longer known ({id})
          <button type="button" className="underline min-h-11 md:min-h-8" onClick={() => onChange({ rules: eater.rules.filter((each) => each !== id) })}>
            Take it off
          </button>
        </li>
      ))}
    </ul>
  );
}
