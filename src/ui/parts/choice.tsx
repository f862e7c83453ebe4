/** One of a few, as a radio with its label. */
export function Choice({
  name,
  label,
  checked,
  onChange,
}: {
  readonly name: string;
  readonly label: string;
  readonly checked: boolean;
  readonly onChange: () => void;
}) {
  return (
    <label className="flex items-center gap-2 t-ledger min-h-11 cursor-pointer">
      <input type="radio" name={name} checked={checked} onChange={onChange} className="size-5 accent-ink" />
      {label}
    </label>
  );
}
