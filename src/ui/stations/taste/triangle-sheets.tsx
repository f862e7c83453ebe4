import type { TriangleServing } from "../../../core/sensory";
import { PrintButton } from "../../parts/print-button";
import { ColumnHead, RowHead } from "../../parts/table-heads";
import { Go } from "../../shell/go";
import { PageHead } from "../../shell/shell";
import { SERVED_WORDS } from "./taste-data";
import { SAMPLES, sampleWords, type SampleData } from "./triangle-data";

interface TriangleSheetsProps {
  readonly id: string;
  /** A, then B. */
  readonly samples: readonly SampleData[];
  readonly served: keyof typeof SERVED_WORDS;
  readonly server: string;
  readonly servings: readonly TriangleServing[];
}

/** The sheets of a test to print, or to look at: what who serves puts into which cup, and a slip for each taster. */
export function TriangleSheets({ id, samples, served, server, servings }: TriangleSheetsProps) {
  const count = (sample: "A" | "B") => servings.reduce((sum, { cups }) => sum + cups.filter((cup) => cup.sample === sample).length, 0);
  return (
    <>
      <PageHead title="Sheets of the test" line={`For ${server} only, who serves and does not taste`}>
        <span className="flex gap-3 no-print">
          <PrintButton />
          <Go href={`/triangles/${id}`} className="underline min-h-11 inline-flex items-center">
            Back to the test
          </Go>
        </span>
      </PageHead>
      <main id="main" className="p-4 md:p-6 max-w-[860px]">
        <section aria-labelledby="sheet-server">
          <h2 id="sheet-server" className="text-[24px] font-[600]">
            What goes into each cup
          </h2>
          <ul className="mt-2 max-w-[70ch]">
            {samples.map((sample, i) => (
              <li key={sample.batch}>
                <strong className="font-[600]">{SAMPLES[i]}</strong>: {sampleWords(sample)}; {count(SAMPLES[i] ?? "A")} spoonfuls
              </li>
            ))}
          </ul>
          <p className="mt-2 max-w-[70ch] t-ledger">
            All {SERVED_WORDS[served]}, in the same bowls, as much in each. Write the codes on the bowls out of sight, set each three out from left to right as
            they stand here, and say nothing. Where the two can be seen to differ, serve them in dim light or with eyes shut.
          </p>
          <table className="mt-4 w-full max-w-[560px]">
            <caption className="sr-only">Which sample is in which cup</caption>
            <thead>
              <tr className="border-b border-ink t-small text-ink2">
                <ColumnHead>Set</ColumnHead>
                <ColumnHead>Left</ColumnHead>
                <ColumnHead>Middle</ColumnHead>
                <ColumnHead>Right</ColumnHead>
                <ColumnHead>The other one</ColumnHead>
              </tr>
            </thead>
            <tbody>
              {servings.map(({ cups, odd }, i) => (
                <tr key={odd} className="border-b border-line t-ledger">
                  <RowHead className="t-figure py-1">{i + 1}</RowHead>
                  {cups.map(({ code, sample }) => (
                    <td key={code} className="t-figure">
                      {code} <strong className="font-[600]">{sample}</strong>
                    </td>
                  ))}
                  <td className="t-figure">{odd}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
        <section aria-labelledby="sheet-slips" className="mt-8 print:break-before-page">
          <h2 id="sheet-slips" className="text-[24px] font-[600]">
            Slips for those who taste
          </h2>
          <p className="t-ledger text-ink2 no-print">Cut them apart. What is ticked is entered on the phone afterwards.</p>
          <ul className="grid sm:grid-cols-2 mt-3 border-t border-l border-dashed border-edge print:grid-cols-2">
            {servings.map(({ cups, odd }, i) => (
              <li key={odd} className="border-r border-b border-dashed border-edge p-4 break-inside-avoid">
                <p className="font-[600]">Set {i + 1}</p>
                <p className="t-ledger">Taste from left to right, with water between. Two are the same. Which is other? Who cannot tell guesses.</p>
                <p className="flex gap-5 mt-3 t-figure text-[20px]">
                  {cups.map(({ code }) => (
                    <span key={code} className="flex items-center gap-2">
                      <span aria-hidden className="inline-block size-4 border border-ink" />
                      {code}
                    </span>
                  ))}
                </p>
                <p className="mt-3 t-small text-ink2 border-b border-edge pb-1">Name</p>
              </li>
            ))}
          </ul>
        </section>
      </main>
    </>
  );
}
