"use client";

/** What has changed under the bench since it was worked on: told until it is taken note of, never undone by itself. */
export function ChangedSince({
  since,
  onUnderstood,
  onAnew,
}: {
  readonly since: readonly string[];
  readonly onUnderstood: () => void;
  /** Lays the version that is worked out for recipe and table as they are now; null until there is one. */
  readonly onAnew: (() => void) | null;
}) {
  return (
    <section aria-label="Changed since this was worked on" className="bg-saffron-wash px-3 py-2 t-ledger mb-3">
      <p className="font-[550]">Changed since this was worked on</p>
      <ul className="list-disc pl-5 mt-1">
        {since.map((words) => (
          <li key={words}>{words}</li>
        ))}
      </ul>
      <p className="mt-1 flex flex-wrap gap-x-5">
        <button type="button" className="underline min-h-11 md:min-h-8" onClick={onUnderstood}>
          Understood
        </button>
        {onAnew && (
          <button type="button" className="underline min-h-11 md:min-h-8" onClick={onAnew}>
            Lay on what is worked out anew
          </button>
        )}
      </p>
    </section>
  );
}
