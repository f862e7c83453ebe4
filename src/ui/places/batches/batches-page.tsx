import { BatchList, type BatchRow } from "../../panels/batch-list";
import { Go } from "../../shell/go";
import { PageHead } from "../../shell/shell";

/** What is on the stove first, then what was cooked, the latest first. */
export const BatchesPage = ({ batches }: { readonly batches: readonly BatchRow[] }) => {
  const on = batches.filter(({ isOn }) => isOn).length;
  return (
    <>
      <PageHead title="Batches" line={`${on === 0 ? "Nothing on the stove" : `${on} on the stove`}, ${batches.length - on} cooked`} />
      <main id="main" className="p-4 md:p-5">
        {batches.length === 0 ? (
          <p className="max-w-[60ch]">Nothing was cooked yet. A batch begins at the Method station of a recipe, or from a kept version.</p>
        ) : (
          <>
            <BatchList batches={batches} />
            <p className="mt-4">
              <Go href="/batches/learned" className="underline inline-flex items-center min-h-11">
                What your batches taught
              </Go>
            </p>
          </>
        )}
      </main>
    </>
  );
};
