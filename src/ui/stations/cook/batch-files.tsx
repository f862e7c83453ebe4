"use client";

import { useRouter } from "next/navigation";
import { PrintButton } from "../../parts/print-button";
import { buttonClass } from "../../parts/button";
import { useDelete } from "../../shell/use-delete";

/** A batch on paper, as a file, or gone. */
export function BatchFiles({ id, title }: { readonly id: string; readonly title: string }) {
  const router = useRouter();
  const { remove } = useDelete();
  return (
    <section aria-label="This batch" className="mt-6 no-print">
      <h2 className="t-h2">This batch</h2>
      <div className="border-t border-ink mt-1 pt-2 flex flex-wrap gap-3 items-center">
        <PrintButton />
        <a className={buttonClass("plain")} href={`/api/batches/${id}/export?format=json`} download>
          JSON
        </a>
        <a className={buttonClass("plain")} href={`/api/batches/${id}/export?format=csv`} download>
          CSV
        </a>
        <button
          type="button"
          className={buttonClass("quiet", "min-h-11 text-rose")}
          onClick={() => remove("batches", id, title, () => router.push("/logbook"))}
        >
          Delete it
        </button>
      </div>
    </section>
  );
}
