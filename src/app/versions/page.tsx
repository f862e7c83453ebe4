import type { Metadata } from "next";
import { versionsOf } from "@/server/versions/versions";
import { PageHead } from "@/ui/shell/shell";
import { VersionList } from "@/ui/panels/version-list";
import { versionRow } from "../words";

export const metadata: Metadata = { title: "Kept versions" };

export default async function Page() {
  const versions = await versionsOf(null);
  return (
    <>
      <PageHead title="Kept versions" line="Each as it was kept, with the figures of that day." />
      <main id="main" className="p-4 md:p-5 max-w-[760px]">
        {versions.length === 0 ? (
          <p>Nothing is kept yet. Open a recipe, set its table, and keep a version at the Swap station.</p>
        ) : (
          <VersionList versions={versions.map(versionRow)} />
        )}
      </main>
    </>
  );
}
