import { batchesOfRecipe } from "@/server/cook/logbook";
import { lineageOf } from "@/server/versions/lineage";
import { LineagePage } from "@/ui/places/lineage/lineage-page";
import { dateWords, loggedRow } from "../../../words";
import { loadStation, type StationParams } from "../station";

export const generateMetadata = async (parameters: StationParams) => ({ title: `${(await loadStation(parameters)).recipe.document.title}, lineage` });

export default async function Page(parameters: StationParams) {
  const at = new Date().getTime();
  const { id } = await loadStation(parameters);
  const [{ title, recipe, revision, versions, revisions }, batches] = await Promise.all([lineageOf(id), batchesOfRecipe(id)]);
  return (
    <LineagePage
      id={id}
      title={title}
      servings={recipe.servings}
      revision={revision}
      versions={versions.map((version) => ({ ...version, kept: dateWords(version.kept) }))}
      revisions={revisions.map((each) => ({ ...each, until: dateWords(each.until) }))}
      batches={batches.map((batch) => ({
        ...loggedRow(batch),
        versionId: batch.versionId,
        said: batch.said,
        picture: batch.hasPhoto ? { shade: batch.shade } : null,
      }))}
      at={at}
    />
  );
}
