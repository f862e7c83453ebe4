import { dayWords } from "../../../core/calendar";
import { allergenClass, allergenWord, type DatedLabel, type LabelContents, type LabelIngredient } from "../../../core/keep";
import { formatGrams } from "../../../core/units";

/** What a label shows: what is in it, its dates, and what who labels it has chosen. */
export interface ShownLabel {
  readonly contents: LabelContents;
  readonly dated: DatedLabel;
  /** The rule book of its nutrition, by id. */
  readonly book: string;
  /** Whether those who eat here are named on it. */
  readonly isNamed: boolean;
  /** The box of somebody: their name and its grams. */
  readonly box: { readonly name: string; readonly grams: number | null } | null;
}

/** "640 g", "about 640 g, not weighed". */
export const netWords = ({ contents: { grams, isWeighed }, box }: Pick<ShownLabel, "contents" | "box">): string =>
  box
    ? box.grams === null
      ? ""
      : `${formatGrams(box.grams)} g`
    : grams === null || !(grams > 0)
      ? "not weighed"
      : isWeighed
        ? `${formatGrams(grams)} g`
        : `about ${formatGrams(Math.round(grams / 5) * 5)} g, not weighed`;

/** An ingredient with its allergens in bold: in its name where it has them, else behind it. */
export function Ingredient({ of }: { readonly of: LabelIngredient }) {
  const words = of.contains.map(allergenWord);
  const inName = words.find((word) => of.name.toLowerCase().includes(word.toLowerCase()));
  const rest = words.filter((word) => word !== inName);
  const at = inName ? of.name.toLowerCase().indexOf(inName.toLowerCase()) : -1;
  return (
    <>
      {at < 0 ? (
        of.name
      ) : (
        <>
          {of.name.slice(0, at)}
          <strong className="font-[700]">{of.name.slice(at, at + (inName?.length ?? 0))}</strong>
          {of.name.slice(at + (inName?.length ?? 0))}
        </>
      )}
      {rest.length > 0 && (
        <>
          {" ("}
          <strong className="font-[700]">{rest.join(", ")}</strong>)
        </>
      )}
      {!of.isTold && <> [what it is made of is as its packet says]</>}
      {of.grams === null && <> [amount not known]</>}
    </>
  );
}

/** What it holds and may hold, and what nobody knows of it: the same on every size of label. */
export function AllergenLines({ contents: { allergens, unread } }: Pick<ShownLabel, "contents">) {
  return (
    <>
      {allergens.contains.length > 0 && (
        <p>
          Contains <strong className="font-[700]">{allergens.contains.map(({ allergen }) => allergenClass(allergen)).join(", ")}</strong>.
        </p>
      )}
      {allergens.mayContain.length > 0 && (
        <p>
          May contain <strong className="font-[700]">{allergens.mayContain.map(({ allergen }) => allergenClass(allergen)).join(", ")}</strong>.
        </p>
      )}
      {allergens.contains.length + allergens.mayContain.length === 0 && unread.length === 0 && <p>No allergen of the law’s list is known to be in it.</p>}
      {unread.length > 0 && <p className="font-[650]">Not known what is in: {unread.map((line) => `“${line}”`).join(", ")}. Ask before you eat of it.</p>}
    </>
  );
}

/** For whom it is not, whoever is named; what breaks its table. */
export function WhomLines({ contents: { whom, breaches }, isNamed }: Pick<ShownLabel, "contents" | "isNamed">) {
  const of = (may: "yes" | "ask" | "no") => whom.filter((each) => each.may === may).map(({ name }) => name);
  const [yes, ask, no] = [of("yes"), of("ask"), of("no")];
  return (
    <>
      {isNamed && no.length > 0 && <p className="font-[700]">Not for {no.join(", ")}.</p>}
      {isNamed && ask.length > 0 && <p className="font-[600]">Ask first: {ask.join(", ")}.</p>}
      {isNamed && yes.length > 0 && <p>For {yes.join(", ")}.</p>}
      {breaches.length > 0 && <p className="font-[650]">Breaks what its table keeps: {breaches.join("; ")}.</p>}
    </>
  );
}

/** "Made Tue, 1 Dec · use by Fri, 4 Dec" */
export const DateLine = ({ dated }: Pick<ShownLabel, "dated">) => (
  <p>
    Made {dayWords(dated.madeOn)}. <strong className="font-[700]">Use by {dayWords(dated.useBy)}.</strong>
  </p>
);
