"use client";

import { useRouter } from "next/navigation";
import { lazy, Suspense, useState, type ReactNode } from "react";
import type { DiningTable } from "../../../core/table";
import { tableFor, type SuitRow } from "../../../core/views";
import { send, why as whyOf } from "../../parts/send";
import { noteSave, type Revised } from "../../shell/documents";
import { failed } from "../../shell/messages";

const Confirm = lazy(() => import("../../parts/confirm"));

interface Taking {
  /** Sets the table for a recipe and opens its Swap; asks first where that recipe has a table of its own. */
  readonly take: (row: SuitRow) => Promise<void>;
  /** The question, while it is asked. It stands by itself: a recipe's row moves as versions are worked out. */
  readonly question: ReactNode;
}

/** A table that one of the recipes found is taken for. */
export function useTakeTable(table: DiningTable): Taking {
  const router = useRouter();
  const [asked, setAsked] = useState<{ readonly row: SuitRow; readonly there: Revised<DiningTable> } | null>(null);
  const lay = async (row: SuitRow, there: Revised<DiningTable>) => {
    setAsked(null);
    try {
      await send("PUT", `/api/recipes/${row.id}/table`, {
        document: { ...tableFor(there.document, table), ...(there.document.batch ? { batch: there.document.batch } : {}) },
        revision: there.revision,
      });
      noteSave();
      router.push(`/recipes/${row.id}/swap`);
      router.refresh();
    } catch (error) {
      failed(whyOf(error, "The table could not be set."));
    }
  };
  const take = async (row: SuitRow) => {
    try {
      const there = (await send("GET", `/api/recipes/${row.id}/table`)) as Revised<DiningTable>;
      const { rules, limits, seats = [] } = there.document;
      const isSet = rules.length + limits.length + seats.length > 0;
      const isSame = JSON.stringify([rules, limits, seats]) === JSON.stringify([table.rules, table.limits, table.seats ?? []]);
      if (isSame) router.push(`/recipes/${row.id}/swap`);
      else if (isSet) setAsked({ row, there });
      else await lay(row, there);
    } catch (error) {
      failed(whyOf(error, "Its table could not be opened."));
    }
  };
  const question = asked && (
    <Suspense>
      <Confirm
        title={`${asked.row.title} has a table of its own`}
        action="Set this table instead"
        leave="Leave it"
        onLeave={() => setAsked(null)}
        onAction={() => void lay(asked.row, asked.there)}
      >
        <p>Who eats there, its rules and its limits give way to this table’s. How much is made stays as it is. What lies on its bench stays too.</p>
      </Confirm>
    </Suspense>
  );
  return { take, question };
}
