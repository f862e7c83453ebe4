"use client";

interface PickProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly (readonly [value: T, words: string])[];
  readonly onChange: (value: T) => void;
}

/** One of a few, with its label above. */
export function Pick<T extends string>({ label, value, options, onChange }: PickProps<T>) {
  return (
    <label className="t-small text-ink2">
      {label}
      <select
        value={value}
        onChange={(event) => {
          const chosen = options.find(([each]) => each === event.target.value);
          if (chosen) onChange(chosen[0]);
        }}
        className="block border border-edge bg-sheet px-2 min-h-11 md:min-h-9 text-ink text-[16px] max-w-full"
      >
        {options.map(([each, words]) => (
          <option key={each} value={each}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}
