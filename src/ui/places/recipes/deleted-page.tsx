"use client";

import { Go } from "../../shell/go";
import { PageHead } from "../../shell/shell";
import { useDelete, type Deletable } from "../../shell/use-delete";

export interface DeletedRowData {
  readonly kind: Deletable;
  readonly id: string;
  readonly title: string;
  readonly deleted: string;
}

const KIND_WORDS: Readonly<Record<Deletable, string>> = { recipes: "recipe", versions: "kept version", batches: "batch", gatherings: "gathering" };

/** What was deleted and can still be put back. */
export function DeletedPage({ items, days }: { readonly items: readonly DeletedRowData[]; readonly days: number }) {
  const { putBack } = useDelete();
  return (
    <>
      <PageHead title="Deleted lately" line={`Kept for ${days} days, then forgotten for good.`} />
      <main id="main" className="p-4 md:p-5 max-w-[860px]">
        {items.length === 0 ? (
          <p>
            Nothing was deleted.{" "}
            <Go href="/recipes" className="underline">
              All recipes
            </Go>
          </p>
        ) : (
          <ul className="bg-sheet border border-ink">
            {items.map((item) => (
              <li key={item.id} className="border-b border-line last:border-b-0 flex items-center gap-3 pl-4 pr-2 min-h-[52px]">
                <span className="flex-1 min-w-0">
                  <span className="block t-new">{item.title}</span>
                  <span className="block t-small text-ink2">
                    {KIND_WORDS[item.kind]}, deleted {item.deleted}
                  </span>
                </span>
                <button
                  type="button"
                  aria-label={`Put it back: ${item.title}`}
                  className="underline underline-offset-3 min-h-11 px-2"
                  onClick={() => putBack(item.kind, item.id, item.title)}
                >
                  Put it back
                </button>
              </li>
            ))}
          </ul>
        )}
      </main>
    </>
  );
}
