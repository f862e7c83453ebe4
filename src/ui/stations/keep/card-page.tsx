import { formatGrams, gramsBeside } from "../../../core/units";
import type { CardView } from "../../../core/views";
import { PrintButton } from "../../parts/print-button";
import { Go } from "../../shell/go";
import { PageHead } from "../../shell/shell";

interface CardPageProps {
  readonly title: string;
  readonly back: string;
  readonly made: string;
  readonly card: CardView;
}

/** The card for who cooks it next: what stands for what and why, the steps with what to look for, what to aim at, how it went. */
export function CardPage({ title, back, made, card: { label, lines, unread, steps, aims, minded, went, change } }: CardPageProps) {
  return (
    <>
      <PageHead title={title} line={`${label === null ? "As handed down" : `“${label}”`}, ${made}: the card for who cooks it next`}>
        <span className="flex gap-3 items-center no-print">
          <PrintButton />
          <Go href={back} className="underline min-h-11 inline-flex items-center">
            Back to Keep
          </Go>
        </span>
      </PageHead>
      <main id="main" className="p-4 md:p-6 max-w-[900px] grid gap-6 print:p-0 print:gap-4 print:max-w-none">
        {minded.length > 0 && (
          <ul className="bg-rose-wash text-rose px-3 py-2 grid gap-1 font-[550]">
            {minded.map((each) => (
              <li key={each}>{each}</li>
            ))}
          </ul>
        )}
        {change.length > 0 && (
          <section aria-labelledby="card-change">
            <h2 id="card-change" className="t-h2">
              Do otherwise this time
            </h2>
            <ul className="border-t border-ink mt-1">
              {change.map((each) => (
                <li key={each} className="border-b border-line py-1.5">
                  {each}
                </li>
              ))}
            </ul>
          </section>
        )}
        <section aria-labelledby="card-lines">
          <h2 id="card-lines" className="t-h2">
            What goes in, and why
          </h2>
          <ul className="border-t border-ink mt-1">
            {lines.map(({ id, name, measure, grams, why }) => (
              <li
                key={id}
                className="border-b border-line py-1 grid grid-cols-[minmax(0,1fr)_90px_64px] sm:grid-cols-[minmax(0,1fr)_110px_64px_minmax(0,1.2fr)] gap-x-3 items-baseline"
              >
                <span className={why === "" ? "t-ledger" : "t-new"}>{name}</span>
                <span className="t-figure text-ink2 text-right t-frac">{measure}</span>
                <span className="t-figure text-right">{gramsBeside(grams, measure) || `${formatGrams(grams)} g`}</span>
                <span className="t-small text-ink2 max-sm:col-span-3">{why}</span>
              </li>
            ))}
            {unread.map((text) => (
              <li key={text} className="border-b border-line py-1 t-ledger text-rose">
                “{text}” is not read: nobody has counted it.
              </li>
            ))}
          </ul>
        </section>
        <section aria-labelledby="card-steps">
          <h2 id="card-steps" className="t-h2">
            Steps
          </h2>
          <ol className="border-t border-ink mt-1">
            {steps.map(({ id, text, takes, now, hazards }, i) => (
              <li key={id} className="border-b border-line py-2 grid grid-cols-[28px_minmax(0,1fr)] break-inside-avoid">
                <span className="t-figure text-ink2">{i + 1}</span>
                <div className="min-w-0">
                  <p className="t-frac">
                    {text} {takes && <span className="t-ledger text-ink2">({takes})</span>}
                  </p>
                  {now && <p className="t-ledger text-ink2">Right when: {now}</p>}
                  {hazards.map((hazard) => (
                    <p key={hazard} className="t-ledger">
                      {hazard}
                    </p>
                  ))}
                </div>
              </li>
            ))}
          </ol>
        </section>
        <section aria-labelledby="card-aims">
          <h2 id="card-aims" className="t-h2">
            Aim at
          </h2>
          <dl className="border-t border-ink mt-1">
            {aims.map(({ name, words }) => (
              <div key={name} className="border-b border-line py-1 flex justify-between gap-4 t-ledger">
                <dt>{name}</dt>
                <dd className="font-[550]">{words}</dd>
              </div>
            ))}
          </dl>
        </section>
        {went.length > 0 && (
          <section aria-labelledby="card-went">
            <h2 id="card-went" className="t-h2">
              How it went
            </h2>
            <ul className="border-t border-ink mt-1">
              {went.map((each) => (
                <li key={each} className="border-b border-line py-1 t-ledger first-letter:uppercase">
                  {each}
                </li>
              ))}
            </ul>
          </section>
        )}
      </main>
    </>
  );
}
