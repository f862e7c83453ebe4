"use client";

import type { Constants, KeptDays } from "../../../core/food";
import type { Household } from "../../../core/household";
import { AmountField } from "../../parts/amount-field";
import { Pick } from "../../parts/pick";
import { ColumnHead, RowHead } from "../../parts/table-heads";
import { capital } from "../../../core/units";

type Own = NonNullable<Household["keeping"]>;

interface KeepingSectionProps {
  readonly own: Own;
  readonly kinds: Constants["keeping"]["value"]["kinds"];
  readonly books: readonly { readonly id: string; readonly name: string }[];
  readonly book: string | undefined;
  readonly onOwn: (own: Own, key: string) => void;
  readonly onBook: (book: string) => void;
}

const PLACES = [
  ["room", "in the room"],
  ["fridge", "in the fridge"],
  ["freezer", "in the freezer"],
] as const satisfies readonly (readonly [keyof KeptDays, string])[];

/** How long this household lets its sweets stand at the most, by kind, and by whose rules its labels are laid out. */
export function KeepingSection({ own, kinds, books, book, onOwn, onBook }: KeepingSectionProps) {
  const isOwn = Object.keys(own).length > 0;
  const set = (kind: string, place: keyof KeptDays, days: number, most: number) => {
    const { [kind]: of = {}, ...others } = own;
    const { [place]: _, ...rest } = of;
    // What is as long as is usual is no count of one's own.
    const next = days >= most ? rest : { ...rest, [place]: Math.floor(days) };
    onOwn(Object.keys(next).length > 0 ? { ...others, [kind]: next } : others, `${kind} ${place}`);
  };
  return (
    <section id="keeping" aria-labelledby="keeping-title" className="scroll-mt-4">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <h2 id="keeping-title" className="t-h2">
          Keeping and labels
        </h2>
        {isOwn && (
          <button type="button" className="underline t-ledger min-h-11 md:min-h-8" onClick={() => onOwn({}, "all")}>
            Back to the usual days
          </button>
        )}
      </div>
      <p className="t-small text-ink2">
        Days that a sweet of each kind is kept at the most, covered and clean (rules of thumb). You may count shorter, where your fridge is warm or your
        household careful; never longer. Its water activity may shorten it further.
      </p>
      <div className="overflow-x-auto">
        <table className="w-full mt-1">
          <caption className="sr-only">Days by kind of sweet and place</caption>
          <thead>
            <tr className="border-y border-ink t-small text-ink2">
              <ColumnHead>kind of sweet</ColumnHead>
              {PLACES.map(([place, words]) => (
                <ColumnHead key={place} right>
                  {words}
                </ColumnHead>
              ))}
            </tr>
          </thead>
          <tbody>
            {Object.entries(kinds).map(([kind, days]) => (
              <tr key={kind} className="border-b border-line t-ledger">
                <RowHead className="py-1.5 pr-3">{capital(kind)}</RowHead>
                {PLACES.map(([place, words]) => (
                  <td key={place} className="text-right">
                    {days[place] === 0 ? (
                      <span className="text-ink2">2 hours</span>
                    ) : (
                      <AmountField
                        label={`${capital(kind)}, days ${words}`}
                        unit="d"
                        value={own[kind]?.[place] ?? days[place]}
                        shownAs={String(own[kind]?.[place] ?? days[place])}
                        least={0}
                        most={days[place]}
                        onChange={(value) => set(kind, place, value, days[place])}
                      />
                    )}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <div className="mt-3">
        <Pick
          label="Nutrition on labels, by the rules of"
          value={book ?? books[0]?.id ?? ""}
          options={books.map(({ id, name }) => [id, name] as const)}
          onChange={onBook}
        />
      </div>
    </section>
  );
}
