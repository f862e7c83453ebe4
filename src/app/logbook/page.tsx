import type { Metadata } from "next";
import { learnedView } from "@/core/views";
import { getLogbook, readLogbookSearch, SEASONS } from "@/server/cook/logbook";
import { getKitchen } from "@/server/kitchen/kitchen";
import { pageNumber } from "@/server/recipes/recipes";
import { LogbookPage } from "@/ui/places/logbook/logbook-page";
import { loggedRow } from "../words";

interface Props {
  readonly searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>>;
}

export const metadata: Metadata = { title: "Logbook" };

export default async function Page({ searchParams }: Props) {
  const at = new Date().getTime();
  const parameters = await searchParams;
  const search = readLogbookSearch(parameters);
  const page = pageNumber(parameters.page);
  const [{ entries, eaters, ...counts }, kitchen] = await Promise.all([getLogbook(search, page), getKitchen()]);
  const learned = learnedView(kitchen, new Map(eaters.map(({ id, name }) => [id, name])));
  return (
    <LogbookPage
      key={`${JSON.stringify(search)} ${page}`}
      rows={entries.map(loggedRow)}
      page={page}
      {...counts}
      search={search}
      eaters={eaters}
      seasons={Object.entries(SEASONS).map(([id, { name }]) => ({ id, name }))}
      taught={
        learned.length === 0
          ? "Nothing yet: what is weighed, measured or said of a batch is what it teaches."
          : `${learned.length === 1 ? "One figure goes" : `${learned.length} figures go`} by what your batches showed, not by the tables alone.`
      }
      at={at}
    />
  );
}
