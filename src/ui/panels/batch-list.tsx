import { Go } from "../shell/go";
import { gotWords } from "./logged";

export interface BatchRow {
  readonly id: string;
  readonly title: string;
  readonly label: string | null;
  readonly begun: string;
  readonly isOn: boolean;
  /** What it was meant to weigh, and what came of it, g; null where it was not weighed. */
  readonly planned: number;
  readonly got: number | null;
  /** While it is on the stove, or cools: each a few words. */
  readonly goingOn: readonly string[];
}

/** Batches, each a press away. */
export const BatchList = ({ batches }: { readonly batches: readonly BatchRow[] }) => (
  <ul className="border-t border-ink">
    {batches.map(({ id, title, label, begun, goingOn, ...batch }) => (
      <li key={id} className="border-b border-line">
        <Go href={`/batches/${id}`} className="flex flex-wrap gap-x-6 items-baseline py-2.5 min-h-11 hover:bg-pressed">
          <span className="flex-1 basis-60 min-w-0">
            <span className="font-[550]">{title}</span> <span className="text-ink2">{label === null ? "as handed down" : label}</span>
            {goingOn.map((words) => (
              <span key={words} className="block t-ledger text-ink2 truncate first-letter:uppercase">
                {words}
              </span>
            ))}
          </span>
          <span className="t-ledger text-ink2">{begun}</span>
          <span className={`t-ledger md:w-56 ${batch.isOn ? "text-saffron font-[550]" : ""}`}>{gotWords(batch)}</span>
        </Go>
      </li>
    ))}
  </ul>
);
