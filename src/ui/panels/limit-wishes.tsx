"use client";

import { LIMIT_NAMES, type Limit, type LimitId } from "../../core/table";
import { AmountField } from "../parts/amount-field";
import { Choice } from "../parts/choice";
import { useHousehold } from "../shell/household";

interface LimitWish {
  readonly id: LimitId;
  readonly name: string;
  readonly what: string;
  /** What it begins at, in the limit's unit. */
  readonly usual: number;
  readonly label: string;
}

const WISHES: readonly LimitWish[] = [
  {
    id: "freeSugars",
    name: "Low free sugars",
    what: "sugar, honey, syrups, jaggery, juice; by the stricter school also puréed fruit and plant drinks",
    usual: 5,
    label: "Most free sugars per serving, grams",
  },
  {
    id: "glycaemicLoad",
    name: "Blood-sugar aware",
    what: "by glycaemic load: raisins, dates, rice and jaggery count; a matter for a clinician",
    usual: 10,
    label: "Most glycaemic load per serving",
  },
  { id: "saturatedFat", name: "Low saturated fat", what: "ghee, coconut milk and coconut oil count", usual: 5, label: "Most saturated fat per serving, grams" },
];

/** What a serving may hold at most. */
export function LimitWishes({ limits, onLimits }: { readonly limits: readonly Limit[]; readonly onLimits: (limits: readonly Limit[], key?: string) => void }) {
  const { schools = {} } = useHousehold();
  const school = schools.freeSugars === "who" ? "who" : "uk";
  return (
    <fieldset>
      <legend className="t-h2 text-[15px]">Sugar and fat</legend>
      <div className="border-t border-ink mt-1">
        {WISHES.map(({ id, name, what, usual, label }) => {
          const limit = limits.find((each) => each.id === id);
          const others = limits.filter((each) => each.id !== id);
          const { unit } = LIMIT_NAMES[id];
          return (
            <div key={id}>
              <Wish
                name={name}
                what={what}
                checked={limit !== undefined}
                onChange={() => onLimits(limit ? others : [...others, { id, most: usual, school: id === "freeSugars" ? school : "uk" }])}
              />
              {limit && (
                <div className="pl-9 pt-2 pb-2 flex flex-wrap gap-x-8 gap-y-3 items-center">
                  <span className="flex items-center gap-2 t-ledger">
                    At most{" "}
                    <AmountField
                      label={label}
                      unit={unit}
                      value={limit.most}
                      least={0}
                      most={200}
                      onChange={(most) => onLimits([...others, { ...limit, most }], id)}
                    />{" "}
                    a serving
                  </span>
                  {id === "freeSugars" && (
                    <div role="radiogroup" aria-label="School of free sugars" className="flex gap-5">
                      <Choice
                        name="school"
                        label="UK, stricter"
                        checked={limit.school === "uk"}
                        onChange={() => onLimits([...others, { ...limit, school: "uk" }])}
                      />
                      <Choice name="school" label="WHO" checked={limit.school === "who"} onChange={() => onLimits([...others, { ...limit, school: "who" }])} />
                    </div>
                  )}
                </div>
              )}
            </div>
          );
        })}
      </div>
    </fieldset>
  );
}

/** One wish of a table, to be ticked. */
export function Wish({
  name,
  what,
  checked,
  onChange,
}: {
  readonly name: string;
  readonly what?: string;
  readonly checked: boolean;
  readonly onChange: () => void;
}) {
  return (
    <label className={`flex gap-3 items-start border-b border-line py-2 pr-3 min-h-11 cursor-pointer hover:bg-pressed ${checked ? "bg-saffron-wash" : ""}`}>
      <input type="checkbox" checked={checked} onChange={onChange} className="mt-0.5 ml-1 size-5 accent-ink" />
      <span className="t-ledger">
        <span className={checked ? "font-[550]" : ""}>{name}</span>
        {what && <span className="block t-small text-ink2">{what}</span>}
      </span>
    </label>
  );
}
