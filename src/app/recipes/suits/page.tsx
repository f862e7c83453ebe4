import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { seat, type DiningTable } from "@/core/table";
import { ruleWords } from "@/core/views";
import { getKitchen } from "@/server/kitchen/kitchen";
import { getEaters } from "@/server/kitchen/sources";
import { getAdaptation, getRecipe } from "@/server/recipes/recipes";
import { wishWords } from "@/server/versions/versions";
import { SuitingPage } from "@/ui/places/suiting/suiting-page";

interface Props {
  readonly searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>>;
}

export const metadata: Metadata = { title: "Which recipe suits this table" };

const listOf = (value: string | string[] | undefined): string[] =>
  [...new Set([value].flat().filter((each): each is string => each !== undefined))].slice(0, 60);

/** For the table of a recipe (`?table=`), or one that the address names itself (`?eater=…&rule=…`). */
export default async function Page({ searchParams }: Props) {
  const parameters = await searchParams;
  const [{ document }, kitchen, wishes] = await Promise.all([getEaters(), getKitchen(), wishWords()]);
  const [id] = listOf(parameters.table);
  const stored = id === undefined ? null : await getRecipe(id);
  if (id !== undefined && !stored) notFound();
  const { eaters } = document;
  const table = stored ? (await getAdaptation(stored.id, stored.recipe)).table.document : tableOf(parameters, eaters, kitchen.rules);
  return (
    <SuitingPage
      of={stored && { id: stored.id, title: stored.recipe.title }}
      table={table}
      wishes={wishes(table.rules, table.limits)}
      eaters={eaters}
      rules={kitchen.diets.map(ruleWords)}
    />
  );
}

function tableOf(
  parameters: Awaited<Props["searchParams"]>,
  eaters: Awaited<ReturnType<typeof getEaters>>["document"]["eaters"],
  rules: ReadonlyMap<string, unknown>,
): DiningTable {
  const bare: DiningTable = { rules: listOf(parameters.rule).filter((rule) => rules.has(rule)), limits: [], servings: 1, serve: "hot" };
  return listOf(parameters.eater).reduce((table, id) => {
    const eater = eaters.find((each) => each.id === id);
    return eater ? seat(table, eater) : table;
  }, bare);
}
