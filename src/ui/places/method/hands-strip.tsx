import type { TimePiece } from "../../../core/views";
import { spanText } from "../../parts/span-text";

/** A longer wait is drawn no longer than this, and broken; minutes. */
const LONGEST_DRAWN = 45;
/** A piece is no narrower than a number in it. */
const LEAST_DRAWN = 4;

/** When hands are needed, over the whole time: filled where they are bound, hatched where the pot is stirred now and then, empty where it goes by itself. */
export function HandsStrip({ strip }: { readonly strip: readonly TimePiece[] }) {
  const pieces = strip.map((piece, i) => ({ ...piece, number: i + 1, minutes: piece.end - piece.start })).filter(({ minutes }) => minutes > 0);
  const drawn = (minutes: number) => Math.max(LEAST_DRAWN, Math.min(LONGEST_DRAWN, minutes));
  if (pieces.length === 0) return null;
  return (
    <figure className="my-3">
      <ol className="flex border border-ink h-9" aria-label="When hands are needed">
        {pieces.map(({ id, number, minutes, attention }) => (
          <li
            key={id}
            style={{ flexGrow: drawn(minutes) }}
            className={`basis-0 min-w-5 border-ink grid place-items-center t-small overflow-hidden ${FILL[attention]} ${minutes > LONGEST_DRAWN ? "border-r-4 border-double" : "border-r last:border-r-0"}`}
          >
            <span aria-hidden="true" className="px-1 bg-sheet text-ink">
              {number}
            </span>
            <span className="sr-only">
              Step {number}: {spanText(minutes)}, {WORDS[attention]}
            </span>
          </li>
        ))}
      </ol>
      <figcaption className="t-small text-ink2 mt-1 flex flex-wrap gap-x-5">
        <Key fill={FILL["hands on"]} words="both hands" />
        <Key fill={FILL["now and then"]} words="stir now and then" />
        <Key fill={FILL.unattended} words="goes by itself; waits past 45 min are drawn short, with a double line" />
      </figcaption>
    </figure>
  );
}

const WORDS: Readonly<Record<TimePiece["attention"], string>> = { "hands on": "both hands", "now and then": "stirred now and then", unattended: "by itself" };
const FILL: Readonly<Record<TimePiece["attention"], string>> = {
  "hands on": "bg-ink",
  "now and then": "bg-[repeating-linear-gradient(135deg,var(--color-ink)_0_2px,transparent_2px_7px)]",
  unattended: "bg-sheet",
};

const Key = ({ fill, words }: { readonly fill: string; readonly words: string }) => (
  <span className="inline-flex items-center gap-2">
    <span aria-hidden="true" className={`inline-block w-6 h-3 border border-ink ${fill}`} />
    {words}
  </span>
);
