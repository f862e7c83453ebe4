import { notFound } from "next/navigation";
import { getVersion, ruleNames, versionConstants } from "@/server/versions";
import { VersionPage } from "@/ui/version/version-page";
import { dateWords } from "../../words";

interface Props {
  readonly params: Promise<{ readonly id: string }>;
}

export const generateMetadata = async ({ params }: Props) => ({ title: `${(await getVersion((await params).id))?.title ?? "Version"}, kept` });

export default async function Page({ params }: Props) {
  const version = await getVersion((await params).id);
  if (!version) notFound();
  const { id, title, recipeId, keptAt, snapshot, movedOn } = version;
  return (
    <VersionPage
      id={id}
      title={title}
      recipeId={recipeId}
      kept={dateWords(keptAt)}
      snapshot={snapshot}
      movedOn={movedOn}
      ruleNames={ruleNames(snapshot.table.rules)}
      constants={versionConstants()}
    />
  );
}
