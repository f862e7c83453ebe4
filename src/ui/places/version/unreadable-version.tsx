import { Go } from "../../shell/go";
import { PageHead } from "../../shell/shell";

/** Stands in the place of a kept version whose stored figures cannot be read. */
export function UnreadableVersion({ title, label, recipeId }: { readonly title: string; readonly label: string; readonly recipeId: string | null }) {
  return (
    <>
      <PageHead title={title} line={`${label}: cannot be read`} />
      <main id="main" className="p-4 md:p-5 max-w-[70ch] grid gap-3">
        <p>What is stored of this version is damaged: its figures cannot be shown. The recipe and the other versions are not touched by it.</p>
        <p>It is left as it is. A copy of everything from before it was damaged may still hold it (Household, “A copy of everything”).</p>
        <p>
          <Go className="underline" href={recipeId === null ? "/versions" : `/recipes/${recipeId}/lineage`}>
            {recipeId === null ? "All kept versions" : "The recipe and its other versions"}
          </Go>
        </p>
      </main>
    </>
  );
}
