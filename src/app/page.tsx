import { listBatches } from "@/server/cook/batches";
import { whatGoesOn } from "@/server/cook/going";
import { getOnTheGo } from "@/server/recipes/on-the-go";
import { wishWords } from "@/server/versions/versions";
import { KitchenPage } from "@/ui/places/kitchen/kitchen-page";
import { batchRow, clockWords, dateWords, dayWords } from "./words";

/** Of them, so many are shown in the Kitchen. */
const BATCHES = 3;

export default async function Page() {
  const now = new Date();
  const [{ going, kept, ...totals }, wishNames, batches] = await Promise.all([getOnTheGo(), wishWords(), listBatches(BATCHES)]);
  const goesOn = await whatGoesOn(batches, clockWords);
  return (
    <KitchenPage
      {...totals}
      today={dayWords(now)}
      at={now.getTime()}
      batches={batches.map((batch) => batchRow(batch, goesOn.get(batch.id)))}
      going={going.map(({ id, title, kind, asked, table, bench, versionCount, touchedAt }) => ({
        id,
        title,
        kind,
        asked,
        versionCount,
        wishes: table ? wishNames(table.rules, table.limits) : [],
        servings: table?.servings ?? null,
        fit: bench,
        touched: dateWords(touchedAt),
      }))}
      kept={kept.map(({ keptAt, ...version }) => ({ ...version, kept: dateWords(keptAt) }))}
    />
  );
}
