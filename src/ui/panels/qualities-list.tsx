import type { Qualities } from "../../core/evaluate";

const days = (count: number) => (count === 1 ? "1 day" : `${count} days`);

function colourWords({ colour }: Qualities): string {
  const [low, high] = colour.range;
  return [`${colour.words}${colour.by ? `, from ${colour.by.toLowerCase()}` : ""}`, low === high ? "" : `may be ${low} to ${high}`].filter(Boolean).join("; ");
}

/** More notes than this are not told apart on the tongue. */
const MOST_NOTES = 5;
const notesWords = ({ notes }: Qualities): string =>
  notes.length === 0
    ? "nothing that stands out beside sweet"
    : notes
        .slice(0, MOST_NOTES)
        .map(({ note, isStrong }) => (isStrong ? `${note} (strong)` : note))
        .join(", ");

function keepingWords({ keeping }: Qualities): string {
  if (typeof keeping === "string") return keeping;
  const room = keeping.roomDays === 0 ? "no more than 2 hours in the room" : `${days(keeping.roomDays)} in the room, up to 30 °C`;
  return `${room}; ${days(keeping.fridgeDays)} in the fridge, covered (as ${keeping.kind}${keeping.by === "water activity" ? ", shortened by its water activity" : ""})`;
}

const ROWS: readonly (readonly [name: string, words: (qualities: Qualities) => string])[] = [
  ["Looks", colourWords],
  ["Tastes of", notesWords],
  ["Keeps", keepingWords],
];

/** What a sweet will look like, taste of and keep, in words; beside the recipe's where that differs. */
export function QualitiesList({ of, before }: { readonly of: Qualities; readonly before?: Qualities }) {
  return (
    <section className="mt-5" aria-label="What it will be like">
      <h2 className="t-h2">What it will be like</h2>
      <dl className="mt-1 rule-t">
        {ROWS.map(([name, words]) => {
          const [now, was] = [words(of), before && words(before)];
          return (
            <div key={name} className="grid grid-cols-[76px_1fr] gap-x-3 border-b border-line py-1.5 t-ledger">
              <dt>{name}</dt>
              <dd>
                {now}
                {was !== undefined && was !== now && <span className="block t-small text-ink2">as handed down: {was}</span>}
              </dd>
            </div>
          );
        })}
      </dl>
      <p className="t-small text-ink2 mt-1">Rules of thumb, by what goes in and what heat does to it.</p>
    </section>
  );
}
