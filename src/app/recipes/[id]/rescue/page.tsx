import { notFound } from "next/navigation";
import { FAULTS } from "@/core/rescue";
import { Refusal } from "@/server/http/problems";
import { benchOfVersion } from "@/server/versions/versions";
import { RescuePage } from "@/ui/places/rescue/rescue-page";
import { loadStation, type StationParams } from "../station";

interface Props extends StationParams {
  readonly searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>>;
}

export const generateMetadata = async (parameters: StationParams) => ({ title: `${(await loadStation(parameters)).recipe.document.title}, it went wrong` });

const one = (value: string | string[] | undefined): string | null => (Array.isArray(value) ? (value[0] ?? null) : (value ?? null));

export default async function Page({ params, searchParams }: Props) {
  const [{ id, recipe, table, bench }, search] = await Promise.all([loadStation({ params }), searchParams]);
  const version = one(search.version);
  const kept =
    version === null
      ? null
      : await benchOfVersion(version).catch((error: unknown) => {
          if (error instanceof Refusal) return error.message;
          throw error;
        });
  if (typeof kept === "string")
    return (
      <p role="alert" className="m-5 bg-rose-wash text-rose px-3 py-2">
        {kept}
      </p>
    );
  if (kept && kept.recipeId !== id) notFound();
  const laid = bench.document;
  const fault = FAULTS.find((each) => each === one(search.fault)) ?? null;
  const grams = Number(one(search.grams) ?? NaN);
  return (
    <RescuePage
      key={`${id} ${version ?? ""}`}
      id={id}
      recipe={recipe.document}
      table={kept?.table ?? table.document}
      bench={kept?.bench ?? laid}
      of={kept ? { kind: "version", id: version ?? "", label: kept.bench.label } : laid ? { kind: "bench", label: laid.label } : { kind: "recipe" }}
      start={{ fault, grams: Number.isFinite(grams) && grams > 0 ? grams : null }}
    />
  );
}
