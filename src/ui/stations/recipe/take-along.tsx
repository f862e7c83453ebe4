"use client";

import { Go } from "../../shell/go";
import { useSaving } from "../../shell/saving";

const FORMATS = [
  ["jsonld", "schema.org JSON-LD", "for other programs and web pages"],
  ["csv", "CSV", "for a spreadsheet"],
  ["threpsis", "a Threpsis file", "with all that was settled by hand, and your notes"],
] as const;

/** The recipe on paper, or as a file in an open format. */
export function TakeAlong({ id }: { readonly id: string }) {
  const { flush, waiting } = useSaving();
  return (
    <section aria-label="Take it along" className="no-print mt-6">
      <h2 className="t-h2">Take it along</h2>
      <ul className="rule-t mt-1 t-ledger">
        <li className="border-b border-line">
          <Go href={`/recipes/${id}/scale`} className="underline inline-flex items-center min-h-11 md:min-h-9">
            For another quantity
          </Go>{" "}
          <span className="t-small text-ink2">by servings, pieces, a pan, or what there is</span>
        </li>
        <li className="border-b border-line">
          <Go href={`/recipes/${id}/lineage`} className="underline inline-flex items-center min-h-11 md:min-h-9">
            Its lineage
          </Go>{" "}
          <span className="t-small text-ink2">versions, where they come from, side by side; the recipe as it was</span>
        </li>
        <li className="border-b border-line">
          <button type="button" className="underline min-h-11 md:min-h-9" onClick={() => window.print()}>
            Print it
          </button>{" "}
          <span className="t-small text-ink2">with grams, measures and steps</span>
        </li>
        {FORMATS.map(([format, name, what]) => {
          const href = `/api/recipes/${id}/export?format=${format}`;
          return (
            <li key={format} className="border-b border-line">
              <a
                href={href}
                download
                className="underline inline-flex items-center min-h-11 md:min-h-9"
                onClick={(event) => {
                  // What was typed a moment ago belongs in it.
                  if (!waiting()) return;
                  event.preventDefault();
                  const link = event.currentTarget;
                  void flush().then(() => link.click());
                }}
              >
                {name}
              </a>{" "}
              <span className="t-small text-ink2">{what}</span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
