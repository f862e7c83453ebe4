"use client";

import { capital } from "../../../core/units";
import type { ClaimFinding, RuleBook } from "../../../core/nutrition";
import { StateMark } from "../../parts/marks";

export type BookView = Pick<RuleBook, "id" | "name" | "intakeSource" | "intakes"> & { readonly claims: readonly ClaimFinding[] };

const ORDER = ["would meet", "too close to tell", "not known", "would not meet"] as const;
const MARK = { "would meet": "inside", "too close to tell": "just inside", "not known": "free", "would not meet": "free" } as const;

/** The claims of one rule book: which the sweet's figures would meet, each with the number that decides it. */
export function Claims({ book }: { readonly book: BookView }) {
  const groups = ORDER.map((verdict) => ({ verdict, claims: book.claims.filter((claim) => claim.verdict === verdict) })).filter(
    ({ claims }) => claims.length > 0,
  );
  return (
    <section className="mt-7" aria-label="Nutrition claims">
      <h2 className="t-h2">What its figures would meet</h2>
      <p className="t-small text-ink2 rule-t pt-1">
        {book.name}. Not what may be put on a label: home sale is under local food law, and a label wants an analysis. {book.claims.length} claims are known
        here.
      </p>
      {groups.map(({ verdict, claims }) => (
        <details key={verdict} open={verdict === "would meet" || verdict === "too close to tell"} className="mt-2">
          <summary className="t-h2 text-[15px] border-b border-ink py-1 min-h-8 flex items-center gap-2">
            <StateMark state={MARK[verdict]} size={11} />
            {capital(verdict)}: {claims.length}
          </summary>
          <ul>
            {claims.map((claim) => (
              <li key={claim.claim} className="border-b border-line py-1.5 t-ledger">
                <span className="font-[550]">{capital(claim.claim)}</span>
                <span className="block t-small text-ink2">
                  {claim.because}. {claim.note ? `${claim.note} ` : ""}
                  {claim.source}.
                </span>
              </li>
            ))}
          </ul>
        </details>
      ))}
    </section>
  );
}
