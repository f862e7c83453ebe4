import { comparedOf } from "@/server/versions/lineage";
import { Refusal } from "@/server/http/problems";
import { versionConstants } from "@/server/versions/versions";
import { ComparePage } from "@/ui/places/lineage/compare-page";
import { loadStation, type StationParams } from "../station";

type Props = StationParams & { readonly searchParams: Promise<{ readonly with?: string | string[] }> };

export const generateMetadata = async (parameters: StationParams) => ({ title: `${(await loadStation(parameters)).recipe.document.title}, side by side` });

export default async function Page({ params, searchParams }: Props) {
  const { id, recipe } = await loadStation({ params });
  const chosen = [(await searchParams).with].flat().flatMap((each) => each?.split(",") ?? []);
  const compared = await comparedOf(id, chosen.filter(Boolean)).catch((error: unknown) => {
    if (error instanceof Refusal) return error.message;
    throw error;
  });
  return (
    <ComparePage
      id={id}
      title={recipe.document.title}
      items={typeof compared === "string" ? [] : compared.items}
      table={typeof compared === "string" ? null : compared.table}
      refused={typeof compared === "string" ? compared : null}
      constants={versionConstants()}
    />
  );
}
