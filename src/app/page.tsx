import { stockDue } from "@/server/kitchen/stock";
import { dueOf, dueWords, PLACE_WORDS } from "@/core/stock";
import { listBatches } from "@/server/cook/batches";
import { whatGoesOn } from "@/server/cook/going";
import { getOnTheGo } from "@/server/recipes/on-the-go";
import { clockTime, dayOf, dayWords as shortDay } from "@/core/calendar";
import { listGatherings } from "@/server/plan/gatherings";
import { wishWords } from "@/server/versions/versions";
import { KitchenPage } from "@/ui/places/kitchen/kitchen-page";
import { batchRow, clockWords, dateWords, dayWords } from "./words";

/** Of them, so many are shown in the Kitchen. */
const BATCHES = 3;

export default async function Page() {
  const now = new Date();
  const [{ going, kept, ...totals }, wishNames, batches, stock, [next]] = await Promise.all([
    getOnTheGo(),
    wishWords(),
    listBatches(BATCHES),
    stockDue(now.getTime()),
    listGatherings(now.getTime(), 1),
  ]);
  const goesOn = await whatGoesOn(batches, clockWords);
  return (
    <KitchenPage
      {...totals}
      today={dayWords(now)}
      at={now.getTime()}
      gathering={
        next && Date.parse(next.readyAt) > now.getTime()
          ? {
              id: next.id,
              title: next.document.title,
              when: `${shortDay(next.document.day)}, served ${next.document.hour}`,
              begins: next.begins === null ? null : `${shortDay(dayOf(next.begins, next.document))} at ${clockTime(next.begins, next.document)}`,
            }
          : null
      }
      batches={batches.map((batch) => batchRow(batch, goesOn.get(batch.id)))}
      due={stock.items.map((item) => ({
        id: item.id,
        name: item.name,
        grams: item.grams,
        where: PLACE_WORDS[item.place],
        words: dueWords(item, stock.today),
        isPast: dueOf(item, stock.today) === "past",
      }))}
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
