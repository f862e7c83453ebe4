"use client";

import type { SuitRow, ToldSuited } from "../../../core/views";
import { Button } from "../../parts/button";
import { Go } from "../../shell/go";

export type Heading = "fits" | "changed" | "waiting" | "cannot tell" | "none";
export const HEADINGS: Readonly<Record<Heading, string>> = {
  fits: "Fit as handed down",
  changed: "Fit once changed, the least changed first",
  waiting: "Have to change; not worked out yet",
  "cannot tell": "Not known before something is answered",
  none: "No version that fits",
};

/** A recipe where it stands in the answer, and what is said of it. */
interface Placed {
  readonly row: SuitRow;
  readonly heading: Heading;
  readonly change: number;
  readonly words: string;
}

const percent = (share: number): string => `${Math.round(100 * share)} %`;

/** Where a recipe stands, by what is known of it so far. */
export function placed(row: SuitRow, told: ToldSuited | undefined): Placed {
  if (row.kind === "fits") return { row, heading: "fits", change: 0, words: "Nothing that is known has to change." };
  if (row.kind === "cannot tell") return { row, heading: "cannot tell", change: 0, words: row.why };
  if (row.kind === "by hand") return { row, heading: "none", change: 1, words: row.why };
  if (!told) return { row, heading: "waiting", change: row.least, words: `At least ${percent(row.least)} of it changes: ${row.why}.` };
  if (told.kind === "none") return { row, heading: "none", change: row.least, words: told.why };
  const asks = told.questions.length > 0 ? ` To ask first: ${told.questions.join(" ")}` : "";
  const much = told.changed < 0.005 ? "Only what is optional changes" : `${percent(told.changed)} of it changes`;
  const near = told.inside === told.of ? "Every figure stays within what is noticed." : `${told.inside} of ${told.of} figures stay within what is noticed.`;
  return {
    row,
    heading: "changed",
    change: told.changed,
    words: `${much}: ${told.exchanges.charAt(0).toLowerCase()}${told.exchanges.slice(1)}. ${near}${asks}`,
  };
}

/** One recipe, with a press that sets the table for it. */
export const SuitedRow = ({ row, heading, words, onTake }: Placed & { readonly onTake: () => void }) => (
  <li className="border-b border-line last:border-b-0 flex flex-wrap gap-x-4 items-center px-4 py-2">
    <span className="flex-1 min-w-56">
      <Go href={`/recipes/${row.id}/recipe`} className="font-[560] underline inline-flex items-center min-h-8">
        {row.title}
      </Go>
      <span className="block t-ledger text-ink2">{words}</span>
    </span>
    <Button className="shrink-0" onClick={onTake}>
      {heading === "cannot tell" ? "Set the table, and answer" : "Set this table for it"}
    </Button>
  </li>
);
