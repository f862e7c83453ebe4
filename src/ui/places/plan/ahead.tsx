import type { GatheringSweetView } from "../../../core/views";

/** What can be made before its day, sweet by sweet: how long before, and why no longer. */
export function Ahead({ sweets, names }: { readonly sweets: readonly GatheringSweetView[]; readonly names: ReadonlyMap<string, { readonly title: string }> }) {
  if (sweets.every(({ ahead }) => ahead.length === 0)) return null;
  return (
    <section aria-labelledby="ahead-title" className="mt-8 max-w-[760px]">
      <h2 id="ahead-title" className="t-h2">
        What can be made ahead
      </h2>
      {sweets.map(({ id, ahead }) =>
        ahead.length === 0 ? null : (
          <div key={id} className="mt-3">
            <h3 className="t-new border-b border-ink pb-0.5">{names.get(id)?.title}</h3>
            <dl>
              {ahead.map(({ what, until, why, isRuleOfThumb }) => (
                <div key={what} className="grid sm:grid-cols-[minmax(0,1fr)_180px] gap-x-4 border-b border-line py-1.5">
                  <dt className="t-ledger">
                    {what}
                    <span className="block t-small text-ink2">
                      {why}
                      {isRuleOfThumb ? " (rule of thumb)" : ""}
                    </span>
                  </dt>
                  <dd className="t-figure sm:text-right">{until}</dd>
                </div>
              ))}
            </dl>
          </div>
        ),
      )}
    </section>
  );
}
