import type { AllergyState, TableVerdict } from "../../core/substitution";
import { WhyMark } from "../parts/marks";

const STATES = {
  breaks: { mark: "conflict", words: "breaks", tone: "text-rose font-[600]" },
  "to ask": { mark: "ask", words: "to ask", tone: "text-saffron" },
  "none known": { mark: null, words: "none known to be in it", tone: "text-ink2" },
} as const;

/** Of each allergy at the table, what is known of the version: beside Keep, at every size. */
export function AllergyLine({ states, unasked }: { readonly states: readonly AllergyState[]; readonly unasked: readonly { readonly name: string }[] }) {
  if (states.length + unasked.length === 0) return null;
  return (
    <ul className="flex flex-wrap gap-x-4 gap-y-0.5 t-small" aria-label="Allergies at this table">
      {states.map(({ rule, short, who, state }) => {
        const { mark, words, tone } = STATES[state];
        return (
          <li key={rule} className={`flex gap-1 items-center ${tone}`} data-allergy={state}>
            {mark && <WhyMark kind={mark} />}
            <span>
              {short}
              {who.length > 0 && ` (${who.join(", ")})`}: {words}
            </span>
          </li>
        );
      })}
      {unasked.map(({ name }) => (
        <li key={name} className={`flex gap-1 items-center ${STATES["to ask"].tone}`}>
          <WhyMark kind="ask" />
          {name}: nobody has asked about allergies
        </li>
      ))}
    </ul>
  );
}

/** The stamp of a version that breaks a rule of its table, or of which it is not known whether it fits; nothing where it fits. */
export function VerdictStamp({ verdict }: { readonly verdict: TableVerdict | undefined }) {
  if (!verdict || verdict.kind === "fits") return null;
  const { kind, notFor, breaches, questions, parted = [] } = verdict;
  const grave = kind === "not for";
  return (
    <section
      aria-label="Whether it fits its table"
      className={`mb-4 px-3 py-2 border-2 ${grave ? "border-rose bg-rose-wash" : "border-saffron bg-saffron-wash"}`}
    >
      <p className={`t-h2 ${grave ? "text-rose" : ""}`}>
        {grave ? `Not for ${notFor.join(", ")}` : kind === "over a limit" ? "Over a limit of its table" : "It is not known whether it fits its table"}
      </p>
      <ul className="mt-1 t-ledger">
        {breaches.map((text) => (
          <li key={text} className="flex gap-2 items-baseline">
            <WhyMark kind="conflict" />
            {text}
          </li>
        ))}
        {questions.map((text) => (
          <li key={text} className="flex gap-2 items-baseline">
            <WhyMark kind="ask" />
            {text}
          </li>
        ))}
        {parted.map((text) => (
          <li key={text} className="flex gap-2 items-baseline">
            {text}
          </li>
        ))}
      </ul>
    </section>
  );
}
