import type { Cue, CueRow, CueTables } from "../../../core/cues";
import { CueCard } from "../../parts/cue-card";
import { CueDrawing } from "../../parts/cue-drawing";
import { PageHead } from "../../shell/shell";

const asCue = ({ id, of, told, draw, shade }: CueRow): Cue => ({
  id,
  of,
  told: (["sight", "sound", "smell", "touch", "bite", "test"] as const).flatMap((sense) => (told[sense] ? [{ sense, words: told[sense] }] : [])),
  draw,
  shade: shade ? { steps: shade, words: ["before", "now", "past"] } : null,
  by: null,
});

/** All cues on one sheet, on the ground that is chosen: for those who draw them, and for the tests that photograph it. */
export function CueSheet({ tables: { rows, dry, bodies, syrups } }: { readonly tables: CueTables }) {
  return (
    <>
      <PageHead title="Cues" line="Every cue of the table, every body and every stage of a syrup, as they are drawn" />
      <div className="p-4 md:p-5">
        <h2 className="t-h2">By body, 0 to 10</h2>
        <ul className="flex flex-wrap gap-4 mt-2">
          {bodies.map(({ body, sight }) => (
            <li key={body} className="w-[128px] t-small">
              <CueDrawing draw={{ instrument: "spoon", body }} shade={1.6} size={96} />
              <b className="font-[590]">{body}</b> {sight}
            </li>
          ))}
          {syrups.map(({ stage, draw }) => (
            <li key={stage} className="w-[128px] t-small">
              <CueDrawing draw={draw} shade={null} size={96} />
              {stage}
            </li>
          ))}
        </ul>
        <ul className="grid xl:grid-cols-2 gap-x-8 mt-6">
          {[...rows, dry].map((row) => (
            <li key={row.id} className="border-t border-line pt-2 mt-3 min-w-0">
              <h2 className="t-ledger">
                <b className="font-[590]">{row.id}</b>{" "}
                <span className="text-ink2">{[...row.operations, ...(row.kinds ?? row.foods ?? ["anything"])].join(", ")}</span>
              </h2>
              <CueCard cue={asCue(row)} open />
            </li>
          ))}
        </ul>
      </div>
    </>
  );
}
