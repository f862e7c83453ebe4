import type { MethodView } from "../../../core/views";
import { spanText } from "../../parts/span-text";

type Piece = MethodView["strip"][number];
/** A longer wait is drawn no longer than this, and broken; minutes. */
const LONGEST_DRAWN = 45;
/** A piece is no narrower than a number in it. */
const LEAST_DRAWN = 4;

interface Drawn extends Piece {
  readonly number: number;
  readonly minutes: number;
}
/** What goes on at once stands below one another: a piece, and what is done beside it. */
function columns(strip: readonly Piece[]): readonly (readonly Drawn[])[] {
  const drawn = strip.map((piece, i) => ({ ...piece, number: i + 1, minutes: piece.end - piece.start })).filter(({ minutes }) => minutes > 0);
  const found: Drawn[][] = [];
  for (const piece of drawn) {
    const last = found.at(-1);
    if (piece.beside !== null && last) last.push(piece);
    else found.push([piece]);
  }
  return found;
}

/** When hands are needed, over the whole time: filled where they are bound, hatched where the pot is stirred now and then, empty where it goes by itself. */
export function HandsStrip({ strip }: { readonly strip: readonly Piece[] }) {
  const pieces = columns(strip);
  const drawn = (minutes: number) => Math.max(LEAST_DRAWN, Math.min(LONGEST_DRAWN, minutes));
  const isBeside = pieces.some((column) => column.length > 1);
  if (pieces.length === 0) return null;
  return (
    <figure className="my-3 print:my-1">
      <ol className="flex border border-ink" aria-label="When hands are needed">
        {pieces.map((column) => {
          const minutes = Math.max(...column.map((piece) => piece.minutes));
          return (
            <li
              key={column[0]?.id}
              style={{ flexGrow: drawn(minutes) }}
              className={`basis-0 min-w-5 border-ink grid ${minutes > LONGEST_DRAWN ? "border-r-4 border-double" : "border-r last:border-r-0"}`}
            >
              {column.map(({ id, number, attention, isClash, minutes: own }) => (
                <span
                  key={id}
                  style={{ width: `${Math.max(30, (100 * drawn(own)) / drawn(minutes))}%` }}
                  className={`grid place-items-center t-small overflow-hidden h-9 print:h-6 [&+&]:border-t border-ink ${isClash ? "outline-3 -outline-offset-3 outline-rose" : ""} ${FILL[attention]}`}
                >
                  <span aria-hidden="true" className="px-1 bg-sheet text-ink">
                    {number}
                  </span>
                  <span className="sr-only">
                    Step {number}: {spanText(own)}, {WORDS[attention]}
                    {isClash ? ", two things in hand" : ""}
                  </span>
                </span>
              ))}
            </li>
          );
        })}
      </ol>
      <figcaption className="t-small text-ink2 mt-1 flex flex-wrap gap-x-5 print:hidden">
        <Key fill={FILL["hands on"]} words="both hands" />
        <Key fill={FILL["now and then"]} words="stir now and then" />
        <Key fill={FILL.unattended} words="goes by itself; waits past 45 min are drawn short, with a double line" />
        {isBeside && <span>below one another: at the same time, framed where both need hands</span>}
      </figcaption>
    </figure>
  );
}

const WORDS: Readonly<Record<Piece["attention"], string>> = { "hands on": "both hands", "now and then": "stirred now and then", unattended: "by itself" };
const FILL: Readonly<Record<Piece["attention"], string>> = {
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
