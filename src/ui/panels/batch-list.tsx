import { formatGrams } from "../../core/units";
import { Go } from "../shell/go";

export interface BatchRow {
  readonly id: string;
  readonly title: string;
  readonly label: string | null;
  readonly begun: string;
  readonly isOn: boolean;
  /** g; null where it was not weighed. */
  readonly got: number | null;
}

/** Batches, each a press away. */
export const BatchList = ({ batches }: { readonly batches: readonly BatchRow[] }) => (
  <ul className="border-t border-ink">
    {batches.map(({ id, title, label, begun, isOn, got }) => (
      <li key={id} className="border-b border-line">
        <Go href={`/batches/${id}`} className="flex flex-wrap gap-x-6 items-baseline py-2.5 min-h-11 hover:bg-pressed">
          <span className="flex-1 basis-60 min-w-0">
            <span className="font-[550]">{title}</span> <span className="text-ink2">{label === null ? "as handed down" : label}</span>
          </span>
          <span className="t-ledger text-ink2">{begun}</span>
          <span className={`t-ledger w-36 ${isOn ? "text-saffron font-[550]" : ""}`}>
            {isOn ? "on the stove" : got === null ? "not weighed" : `${formatGrams(got)} g`}
          </span>
        </Go>
      </li>
    ))}
  </ul>
);
