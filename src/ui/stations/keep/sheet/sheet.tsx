import type { Cue } from "../../../../core/cues";
import { SHEET_DATA, type SharedStep, type SharedSweet } from "../../../../core/exchange";
import { CueDrawing } from "../../../parts/cue-drawing";
import { SHEET_STYLE } from "./sheet-style";

interface SheetPageProps {
  readonly sweet: SharedSweet;
  /** The own file, base64: by it the page comes back whole into another Threpsis. */
  readonly data: string;
}

const STATES = ["Not yet", "Now", "Too far"] as const;

/** A sweet as one page that needs nothing else: no script, no request. */
export function SheetPage({ sweet, data }: SheetPageProps) {
  const { title, version, makes, ingredients, steps, notes } = sweet;
  return (
    <html lang="en">
      {/* A file of its own, not a page of this app. */}
      {/* eslint-disable-next-line @next/next/no-head-element */}
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <meta name="referrer" content="no-referrer" />
        <title>{title}</title>
        <style dangerouslySetInnerHTML={{ __html: SHEET_STYLE }} />
      </head>
      <body>
        <main>
          <h1>{title}</h1>
          <p>
            {version === null ? "" : `${version}. `}
            {makes}
          </p>
          <Minded {...sweet} />
          <h2>Ingredients</h2>
          {ingredients.map(({ part, items }) => (
            <section key={part ?? ""}>
              {part !== null && <h3>For the {part}</h3>}
              <ul>
                {items.map(({ measure, grams, name, why }, i) => (
                  <li key={i} className="goes">
                    <span>{measure}</span>
                    <span>{grams === null ? "" : `${grams < 10 ? Math.round(grams * 10) / 10 : Math.round(grams)} g`}</span>
                    <span>
                      {name}
                      {why !== "" && <span className="why">, {why}</span>}
                    </span>
                  </li>
                ))}
              </ul>
            </section>
          ))}
          <h2>Steps</h2>
          <ol>
            {steps.map((step, i) => (
              <Step key={i} number={i + 1} step={step} />
            ))}
          </ol>
          {notes.length > 0 && (
            <>
              <h2>Notes</h2>
              {notes.map((note, i) => (
                <p key={i}>{note}</p>
              ))}
            </>
          )}
          <Label {...sweet} />
          <p className="small">
            For one’s own table, not a legal label; home sale is under local food law. Computed from tables, not analysed; days are rules of thumb.
          </p>
          <p hidden>{`${SHEET_DATA}${data}`}</p>
        </main>
      </body>
    </html>
  );
}

/** What can hurt stands first. */
const Minded = ({ contains, mayContain, unread, breaches, whom }: SharedSweet) => {
  const of = (may: "yes" | "ask" | "no") => whom.filter((each) => each.may === may);
  return (
    <>
      {contains.length > 0 && (
        <p>
          Contains <b>{contains.join(", ")}</b>.
        </p>
      )}
      {mayContain.length > 0 && (
        <p>
          May contain <b>{mayContain.join(", ")}</b>.
        </p>
      )}
      {unread.length > 0 && <p className="mind">Not known what is in: {unread.map((line) => `“${line}”`).join(", ")}. Ask before you eat of it.</p>}
      {breaches.length > 0 && <p className="mind">Breaks what its table keeps: {breaches.join("; ")}.</p>}
      {of("no").map(({ name, why }) => (
        <p key={name} className="mind">
          Not for {name}. {why.join(" ")}
        </p>
      ))}
      {of("ask").length > 0 && (
        <p>
          Ask first:{" "}
          {of("ask")
            .map(({ name, why }) => `${name}${why.length > 0 ? ` (${why.join(" ")})` : ""}`)
            .join(", ")}
          .
        </p>
      )}
      {of("yes").length > 0 && (
        <p>
          For{" "}
          {of("yes")
            .map(({ name }) => name)
            .join(", ")}
          .
        </p>
      )}
    </>
  );
};

const Step = ({ number, step: { text, part, takes, cues, hazards } }: { readonly number: number; readonly step: SharedStep }) => (
  <li className="step">
    <b>{number}</b>
    <div>
      {part !== null && <p className="small">{part}</p>}
      <p>
        {text} {takes !== "" && <span className="why">({takes})</span>}
      </p>
      {cues.map((cue) => (
        <CueOf key={cue.id} cue={cue} />
      ))}
      {hazards.map(({ what, mend }) => (
        <p key={what} className="small">
          <b>{what}</b> {mend}
        </p>
      ))}
    </div>
  </li>
);

const CueOf = ({ cue: { of, told, draw, shade } }: { readonly cue: Cue }) => (
  <div className="cue" role="group" aria-label={`When ${of} is right`}>
    {STATES.map((state, i) => (
      <div key={state} className={i === 1 ? "now" : undefined}>
        <CueDrawing draw={draw[i] ?? draw[1]} shade={shade?.steps[i] ?? null} size={56} />
        <span>
          <b>{state}</b> {told[0]?.words[i]}
        </span>
      </div>
    ))}
  </div>
);

const Label = ({ keeping, cautions, nutrition, whyNoNutrition, figures }: SharedSweet) => (
  <>
    <h2>Keeping</h2>
    {keeping.map((line) => (
      <p key={line}>{line}</p>
    ))}
    {cautions.length > 0 && <h2>To mind</h2>}
    {cautions.map((line) => (
      <p key={line}>{line}</p>
    ))}
    <h2>Figures</h2>
    {figures.length > 0 && (
      <ul>
        {figures.map(({ name, value, per }) => (
          <li key={name}>
            {name}: {value}, {per === "serving" ? "a serving" : per}
          </li>
        ))}
      </ul>
    )}
    {nutrition ? (
      <table>
        <caption>As a label tells it, by the rules of: {nutrition.name}</caption>
        <thead>
          <tr>
            <td />
            {nutrition.columns.map((column) => (
              <th key={column} scope="col">
                {column}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {nutrition.rows.map(({ name, inset, amounts }) => (
            <tr key={name}>
              <th scope="row" className={inset > 0 ? `in${inset}` : undefined}>
                {name}
              </th>
              {amounts.map((amount, i) => (
                <td key={nutrition.columns[i]}>{amount}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    ) : (
      <p>Nutrition: {whyNoNutrition}</p>
    )}
  </>
);
