import { LABEL_ENDS } from "../../../core/keep";
import { servingsText } from "../../../core/units";
import { AllergenLines, DateLine, Ingredient, netWords, WhomLines, type ShownLabel } from "./label-parts";
import { PanelTable } from "./panel-table";

/** A label of 105 by 148 mm; what is too long for one goes on on a second. */
export function LabelA6(shown: ShownLabel) {
  const { contents, dated, box, book } = shown;
  const { title, servings, ingredients, nutrition, whyNoNutrition, cautions, questions } = contents;
  const panel = nutrition.find((each) => each.book === book) ?? nutrition[0];
  return (
    <article
      aria-label={`Label of ${title}`}
      className="label-a6 bg-[#fff] text-[#161c44] border border-edge print:border-0 w-[105mm] min-h-[148mm] print:min-h-0 p-[5mm] text-[8.2pt] leading-[1.28] [font-stretch:90%]"
    >
      <header className="border-b-[1.5px] border-[#161c44] pb-[1mm]">
        <h2 className="text-[14.5pt] leading-[1.1] font-[640] [font-stretch:100%]">{title}</h2>
        <p className="flex justify-between gap-2">
          <span>{box ? `For ${box.name}` : servings > 0 ? servingsText(Math.round(servings * 100) / 100) : ""}</span>
          <span className="tabular-nums">{netWords(shown)}</span>
        </p>
      </header>
      <div className="mt-[1.2mm] grid gap-[1mm]">
        <DateLine dated={dated} />
        <WhomLines {...shown} />
        <p>
          <span className="font-[600]">Ingredients:</span>{" "}
          {ingredients.map((of, i) => (
            <span key={of.name}>
              {i > 0 && ", "}
              <Ingredient of={of} />
            </span>
          ))}
          .
        </p>
        <AllergenLines {...shown} />
        {questions.length > 0 && <p>To be asked: {questions.join(" ")}</p>}
        <p>
          {dated.keep.join(" ")} {dated.serve}
        </p>
        {panel ? <PanelTable panel={panel} /> : <p>Nutrition: {whyNoNutrition}</p>}
        {cautions.map(({ id, text }) => (
          <p key={id}>{text}</p>
        ))}
        <p className="border-t border-[#c3cbd6] pt-[0.8mm] text-[6.8pt]">{LABEL_ENDS.join(" ")}</p>
      </div>
    </article>
  );
}
