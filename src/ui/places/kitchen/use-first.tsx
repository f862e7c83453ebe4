import { formatGrams } from "../../../core/units";
import { WhyMark } from "../../parts/marks";
import { Go } from "../../shell/go";

export interface DueData {
  readonly id: string;
  readonly name: string;
  readonly grams: number;
  readonly where: string;
  readonly words: string;
  readonly isPast: boolean;
}

/** Of what is to be used soon, so much is named. */
const MOST_DUE = 5;

/** What in stock is to be used first. */
export const UseFirst = ({ due }: { readonly due: readonly DueData[] }) => (
  <section aria-labelledby="due-head" className="mb-6">
    <h2 id="due-head" className="t-h2">
      To be used first
    </h2>
    <ul className="border-t border-ink">
      {due.slice(0, MOST_DUE).map(({ id, name, grams, where, words, isPast }) => (
        <li key={id} className="border-b border-line flex flex-wrap gap-x-6 items-baseline py-2 t-ledger">
          <span className="flex-1 basis-48 min-w-0">
            <span className="font-[550]">{name}</span>{" "}
            <span className="text-ink2">
              {formatGrams(grams)} g {where}
            </span>
          </span>
          <span className={`flex gap-1.5 items-center font-[550] ${isPast ? "text-rose" : "text-saffron"}`}>
            {isPast && <WhyMark kind="conflict" />}
            {words}
          </span>
        </li>
      ))}
    </ul>
    <Go href="/pantry/stock" className="underline t-ledger inline-flex items-center min-h-11 md:min-h-8">
      {due.length > MOST_DUE ? `All ${due.length}, and what is in stock` : "What is in stock"}
    </Go>
  </section>
);
