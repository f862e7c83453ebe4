import { notFound } from "next/navigation";
import { getVersion, toldVersion, versionConstants, wishWords } from "@/server/versions/versions";
import { UnreadableVersion } from "@/ui/places/version/unreadable-version";
import { VersionPage } from "@/ui/places/version/version-page";
import { dateWords } from "../../words";

interface Props {
  readonly params: Promise<{ readonly id: string }>;
}

export const generateMetadata = async ({ params }: Props) => ({ title: `${(await getVersion((await params).id))?.title ?? "Version"}, kept` });

export default async function Page({ params }: Props) {
  const version = await getVersion((await params).id);
  if (!version) notFound();
  if (!version.snapshot) return <UnreadableVersion title={version.title} label={version.label} recipeId={version.recipeId} />;
  const { id, title, label, why, whom, recipeId, keptAt, movedOn, cautions } = version;
  const { snapshot } = version;
  return (
    <VersionPage
      id={id}
      title={title}
      story={{ label, why, whom }}
      recipeId={recipeId}
      kept={dateWords(keptAt)}
      snapshot={snapshot}
      movedOn={movedOn}
      cautions={cautions}
      ruleNames={(await wishWords())(snapshot.table.rules)}
      told={await toldVersion(snapshot)}
      constants={versionConstants()}
    />
  );
}
