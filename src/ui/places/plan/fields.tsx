"use client";

import { useState } from "react";
import type { GatheringProblem } from "../../../core/plan";
import { AmountField } from "../../parts/amount-field";

interface FieldProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly className?: string;
}
const field = "block border border-edge bg-sheet px-2 min-h-11 text-ink text-[16px] max-w-full";
/** Days before are none of a gathering: a year that is still being typed. */
const FIRST_DAY = "2000-01-01";

/** A field whose value is taken on once it is one; what is not yet stays as it is typed, until it is left. */
function Field({
  label,
  value,
  onChange,
  className = "",
  isOne,
  ...input
}: FieldProps & { readonly isOne: (value: string) => boolean; readonly type?: string; readonly maxLength?: number; readonly max?: string }) {
  const [draft, setDraft] = useState<string | null>(null);
  return (
    <label className={`t-small text-ink2 ${className}`}>
      {label}
      <input
        {...input}
        className={`${field} ${input.type ? "" : "w-full"}`}
        value={draft ?? value}
        aria-invalid={draft !== null && !isOne(draft)}
        onChange={(event) => {
          setDraft(event.target.value);
          if (isOne(event.target.value)) onChange(event.target.value);
        }}
        onBlur={() => setDraft(null)}
      />
    </label>
  );
}
export const NameField = (props: FieldProps & { readonly maxLength: number }) => <Field {...props} isOne={(value) => value.trim() !== ""} />;
export const DayField = (props: FieldProps & { readonly max?: string }) => <Field {...props} type="date" isOne={(value) => value >= FIRST_DAY} />;
export const HourField = (props: FieldProps) => <Field {...props} type="time" isOne={(value) => value !== ""} />;

/** An amount with its label above. */
export function Amount({
  label,
  of,
  value,
  least,
  most,
  onChange,
}: {
  readonly label: string;
  readonly of: string;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  readonly onChange: (value: number) => void;
}) {
  return (
    <span className="t-small text-ink2">
      {label}
      <span className="block">
        <AmountField label={`${label}, ${of}`} unit="" value={value} least={least} most={most} onChange={onChange} />
      </span>
    </span>
  );
}

/** What stands in the way of a plan, where it is said. */
export function Problems({ of, fields }: { readonly of: readonly GatheringProblem[]; readonly fields: readonly GatheringProblem["field"][] }) {
  return of
    .filter(({ field: each }) => fields.includes(each))
    .map(({ words }) => (
      <p key={words} role="alert" className="bg-rose-wash text-rose px-3 py-2 t-ledger mt-2">
        {words}
      </p>
    ));
}

/** A part of a page with its name over a line. */
export function Section({
  id,
  title,
  beside,
  children,
}: {
  readonly id: string;
  readonly title: string;
  readonly beside?: React.ReactNode;
  readonly children: React.ReactNode;
}) {
  return (
    <section aria-labelledby={id}>
      <div className="flex justify-between items-baseline border-b-[1.5px] border-ink pb-1 gap-4">
        <h2 id={id} className="t-h2">
          {title}
        </h2>
        {beside}
      </div>
      {children}
    </section>
  );
}
