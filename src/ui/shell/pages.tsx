"use client";

import { useSearchParams } from "next/navigation";
import { formatNumber } from "../../core/units";
import { Go } from "./go";

interface PagesProps {
  readonly page: number;
  readonly pages: number;
  readonly total: number;
  /** What there are so many of: "recipes". */
  readonly what: string;
  /** The page itself, without what is looked for. */
  readonly address: string;
}

/** From page to page of a long list, with what is looked for kept in the address. Nothing where there is one page. */
export function Pages({ page, pages, total, what, address }: PagesProps) {
  const parameters = useSearchParams();
  if (pages <= 1) return null;
  const to = (at: number) => {
    const next = new URLSearchParams(parameters);
    if (at > 1) next.set("page", String(at));
    else next.delete("page");
    return next.size ? `${address}?${next}` : address;
  };
  return (
    <nav aria-label="Pages" className="flex gap-4 mt-4 items-baseline no-print">
      {page > 1 && (
        <Go className="underline min-h-11 inline-flex items-center" href={to(page - 1)}>
          Before
        </Go>
      )}
      <span className="t-small text-ink2">
        Page {page} of {pages}, {formatNumber(total)} {what}
      </span>
      {page < pages && (
        <Go className="underline min-h-11 inline-flex items-center" href={to(page + 1)}>
          Next
        </Go>
      )}
    </nav>
  );
}
