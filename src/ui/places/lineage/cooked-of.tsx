import { shadeWords } from "../../../core/models/appearance";
import { AsLastTime } from "../../panels/as-last-time";
import { gotWords, type LoggedRow } from "../../panels/logged";
import { nearestShade } from "../../parts/shades";
import { Go } from "../../shell/go";

/** A batch in the line of its sweet. */
export interface LineBatch extends LoggedRow {
  readonly versionId: string | null;
  /** What was said of it, in a line; empty where nobody tasted it. */
  readonly said: string;
  /** A picture is kept of it, with the shade that was picked from it. */
  readonly picture: { readonly shade: string | null } | null;
}

/** What was cooked of a version, or of the recipe as handed down: what it weighed, what went in otherwise, how it turned out, what was said. */
export function CookedOf({ batches }: { readonly batches: readonly LineBatch[] }) {
  if (batches.length === 0) return null;
  return (
    <ul className="ml-2.5 pl-5 border-l-[1.5px] border-silver-dark pt-1.5" aria-label="Cooked">
      {batches.map((batch) => {
        const { id, made, isOn, logged, said, title } = batch;
        const told = [
          ...(logged?.unknown ? [logged.unknown] : []),
          ...(logged?.turnedOut ?? []),
          ...(said === "" ? [] : [said]),
          ...(logged?.notes ?? []).map((note) => `“${note}”`),
        ];
        return (
          <li key={id} className="flex gap-3 items-start py-1 border-b border-line last:border-b-0">
            <div className="min-w-0 flex-1 t-ledger">
              <Go href={`/batches/${id}`} className="underline inline-flex items-center min-h-9">
                Cooked {made}
              </Go>
              , {gotWords(batch)}
              {logged && logged.changes.length > 0 && <p>{logged.changes.join("; ")}</p>}
              {told.length > 0 && <p className="text-ink2 first-letter:uppercase">{told.join("; ")}</p>}
            </div>
            {!isOn && <AsLastTime batch={id} title={`${title}, ${made}`} kind="quiet" />}
          </li>
        );
      })}
    </ul>
  );
}

/** Pictures of batches side by side, each with the shade that was picked from it. */
export function Pictures({ batches }: { readonly batches: readonly LineBatch[] }) {
  const pictured = batches.filter(({ picture }) => picture !== null).toReversed();
  if (pictured.length === 0) return null;
  return (
    <section aria-labelledby="pictures-head" className="mb-8">
      <h2 id="pictures-head" className="t-h2">
        What it looked like
      </h2>
      <ul className="grid grid-cols-2 gap-3 border-t border-ink pt-2 mt-1">
        {pictured.map(({ id, made, picture, title }) => (
          <li key={id}>
            <Go href={`/batches/${id}`} className="block">
              {/* Kept by the app itself, scaled when it was taken. */}
              {/* eslint-disable-next-line @next/next/no-img-element */}
              <img src={`/api/batches/${id}/photo`} alt={`${title}, ${made}`} loading="lazy" className="w-full aspect-[4/3] object-cover border border-line" />
              <span className="t-small text-ink2 block">{made}</span>
            </Go>
            {picture?.shade && (
              <span className="t-small flex items-center gap-2">
                <span aria-hidden className="inline-block size-5 border border-edge" style={{ background: picture.shade }} />
                {shadeWords(nearestShade(picture.shade).step)}
              </span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
