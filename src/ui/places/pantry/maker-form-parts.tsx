"use client";

import type { Food } from "../../../core/food";
import type { Making, MakingTables } from "../../../core/making";
import { AmountField } from "../../parts/amount-field";

export type Problems = readonly { readonly field: string; readonly grave: boolean; readonly why: string }[];

export interface FormProps<M extends Making> {
  readonly making: M;
  readonly tables: MakingTables;
  readonly foods: ReadonlyMap<string, Food>;
  readonly problems: Problems;
  readonly onChange: (making: Making, key?: string) => void;
}

export type Of<K extends Making["kind"]> = FormProps<Extract<Making, { kind: K }>>;

export const problemOf = (problems: Problems, field: string) => problems.find((problem) => problem.field === field);

export function Row({
  label,
  hint,
  doubtful = false,
  quiet = false,
  problem,
  children,
}: {
  readonly label: string;
  readonly hint?: string | undefined;
  readonly doubtful?: boolean;
  readonly quiet?: boolean;
  readonly problem?: Problems[number] | undefined;
  readonly children: React.ReactNode;
}) {
  return (
    <div className="border-b border-line py-1">
      <div className="flex items-center justify-between gap-x-4 gap-y-1 flex-wrap min-h-10">
        <span className={quiet ? "t-small text-ink2" : "t-ledger"}>{label}</span>
        <span className="inline-flex items-center">{children}</span>
      </div>
      {hint && <p className={`t-small ${doubtful ? "text-saffron" : "text-ink2"}`}>{hint}</p>}
      {problem && (
        <p role={problem.grave ? "alert" : "status"} className={`t-small ${problem.grave ? "text-rose" : "text-saffron"}`}>
          {problem.why}
        </p>
      )}
    </div>
  );
}

export function FoodSelect({
  label,
  value,
  ids,
  foods,
  onChange,
}: {
  readonly label: string;
  readonly value: string;
  readonly ids: readonly string[];
  readonly foods: ReadonlyMap<string, Food>;
  readonly onChange: (id: string) => void;
}) {
  return (
    <select aria-label={label} value={value} onChange={(event) => onChange(event.target.value)} className="border border-edge bg-sheet px-2 min-h-11 max-w-64">
      {ids.map((id) => (
        <option key={id} value={id}>
          {foods.get(id)?.name ?? id}
        </option>
      ))}
    </select>
  );
}

/** A weight that may not have been taken: 0 says so. */
export function WeighedField({
  label,
  value,
  onChange,
}: {
  readonly label: string;
  readonly value: number | null;
  readonly onChange: (grams: number | null) => void;
}) {
  return (
    <AmountField label={label} value={value ?? 0} shownAs={value === null ? "" : String(value)} onChange={(grams) => onChange(grams > 0 ? grams : null)} />
  );
}

export function Finished({
  making,
  problems,
  hint,
  onChange,
}: {
  readonly making: { readonly finished: number | null };
  readonly problems: Problems;
  readonly hint: string;
  readonly onChange: (finished: number | null) => void;
}) {
  return (
    <Row label="Weighs when done" hint={hint} problem={problemOf(problems, "finished")}>
      <WeighedField label="Weight when done, grams" value={making.finished} onChange={onChange} />
    </Row>
  );
}
