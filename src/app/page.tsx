import { getOnTheGo } from "@/server/recipes/on-the-go";
import { wishWords } from "@/server/versions/versions";
import { KitchenPage } from "@/ui/places/kitchen/kitchen-page";
import { dateWords, dayWords } from "./words";

export default async function Page() {
  const now = new Date();
  const [{ going, kept, ...totals }, wishNames] = await Promise.all([getOnTheGo(), wishWords()]);
  return (
    <KitchenPage
      {...totals}
      today={dayWords(now)}
      at={now.getTime()}
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
