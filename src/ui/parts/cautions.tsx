import type { ReactNode } from "react";
import type { Caution } from "../../core/cautions";
import { WhyMark } from "./marks";

const FEW = 5;

/** What to mind, once and calmly, each with where it is from. */
export function Cautions({ cautions, children }: { readonly cautions: readonly Caution[]; readonly children?: ReactNode }) {
  return (
    <section aria-labelledby="cautions-title" className="mt-6 first:mt-0">
      <h2 id="cautions-title" className="t-h2">
        To mind
      </h2>
      <ul className="rule-t mt-1 t-ledger">
        {cautions.map(({ id, grade, text, foods, source }) => (
          <li key={id} className="border-b border-line py-2" data-grade={grade}>
            {grade === "danger" && (
              <span className="text-rose font-[600] inline-flex items-baseline gap-1">
                <WhyMark kind="conflict" />
                Danger:{" "}
              </span>
            )}{" "}
            {text}
            {foods.length > 0 && <span className="text-ink2"> Here: {foods.slice(0, FEW).join(", ").toLowerCase()}.</span>}
            <span className="block t-small text-ink2">{source}</span>
          </li>
        ))}
        {children}
      </ul>
    </section>
  );
}
