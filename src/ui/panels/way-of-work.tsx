const WAY: readonly (readonly [string, string])[] = [
  ["Recipe", "Paste it as it is written. Each line becomes a food and grams; what cannot be read is asked about."],
  ["Table", "Say who eats: vegan, no dairy, no gluten, a nut left out, a limit of free sugars; how many, hot or chilled."],
  ["Swap", "See what breaks which wish, take one of the versions worked out, change amounts by hand, watch the beams."],
  ["Keep", "Keep the version: its amounts, steps and figures stay as they are today."],
];

/** The way from a recipe to a version, shown while there are few recipes. */
export function WayOfWork() {
  return (
    <section className="mt-8" aria-labelledby="way">
      <h2 id="way" className="t-h2">
        From a recipe to a version
      </h2>
      <ol className="grid sm:grid-cols-2 xl:grid-cols-4 gap-x-6 rule-t mt-2">
        {WAY.map(([name, what], i) => (
          <li key={name} className="py-3 max-xl:border-b border-line">
            <span className="flex items-center gap-2">
              <svg width="14" height="14" viewBox="0 0 20 20" aria-hidden="true">
                <path d="M10 1.5 18.5 10 10 18.5 1.5 10Z" className="fill-ink" />
              </svg>
              <span className="t-h2 text-[15px]">
                {i + 1}. {name}
              </span>
            </span>
            <span className="t-ledger text-ink2 block mt-1">{what}</span>
          </li>
        ))}
      </ol>
    </section>
  );
}
