import type { LabelPanel } from "../../../core/nutrition";

const INSET = ["", "pl-[2mm]", "pl-[4mm]"] as const;

/** Nutrition in the layout and rounding of a rule book, with the interval of its first column. */
export const PanelTable = ({ panel: { columns, rows, ofDay, missing, source, note } }: { readonly panel: LabelPanel }) => (
  <div>
    <table className="w-full tabular-nums">
      <caption className="text-left font-[600]">Nutrition, computed</caption>
      <thead>
        <tr className="border-y border-current">
          <td />
          {columns.map((column) => (
            <th key={column} scope="col" className="text-right font-[500]">
              {column}
            </th>
          ))}
          {ofDay && (
            <th scope="col" className="text-right font-[500]">
              of a day
            </th>
          )}
          <th scope="col" className="text-right font-[500] pl-[1.5mm]">
            8 in 10
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ name, inset, amounts, between, ofDay: share }) => (
          <tr key={name} className="border-b border-[#c3cbd6]">
            <th scope="row" className={`text-left font-[430] whitespace-nowrap ${INSET[inset]}`}>
              {name}
            </th>
            {amounts.map((amount, i) => (
              <td key={columns[i]} className="text-right whitespace-nowrap pl-[1.5mm]">
                {amount}
              </td>
            ))}
            {ofDay && <td className="text-right">{share}</td>}
            <td className="text-right pl-[1.5mm] text-[6.8pt] whitespace-nowrap">{between}</td>
          </tr>
        ))}
      </tbody>
    </table>
    <p className="text-[6.8pt]">
      “8 in 10”: between what the first column lies 8 times in 10 (energy in kcal). {source}.{missing.length > 0 && ` Not computed: ${missing.join(", ")}.`}
      {note && ` ${note}`}
    </p>
  </div>
);
