"use client";

import { createContext, useCallback, useContext, useEffect, useMemo, useState, type ReactNode } from "react";
import type { Figure } from "../../core/numeric";
import { DRAWS, propertyOf, type PropertyId, type Working } from "../../core/evaluate";
import type { Anchors, FigureOf } from "../../core/views";
import { formatToSpread, capital } from "../../core/units";
import { why as whyOf } from "../parts/send";
import { useCompute } from "../shell/computer";
import { useHousehold } from "../shell/household";
import { figureText, inHouseUnit, isBody, rangeText, type FigureManner } from "../parts/figure-words";
import { Sheet } from "../parts/sheet";
import { ColumnHead } from "../parts/table-heads";

export interface Why {
  readonly id: PropertyId;
  /** Of which sweet: "as handed down", "for this table". */
  readonly of: string;
}

interface WorkingPanel {
  readonly manner: FigureManner;
  readonly open: (why: Why) => void;
}
const WorkingContext = createContext<WorkingPanel | null>(null);

/** Holds the panel that answers "why this figure" for all figures below it; `sweet` tells which each is of, and should be stable. */
export function WorkingProvider({
  anchors,
  sweet,
  children,
}: {
  readonly anchors: Anchors;
  readonly sweet: (of: string) => FigureOf | null;
  readonly children: ReactNode;
}) {
  const [why, setWhy] = useState<Why | null>(null);
  const open = useCallback((asked: Why) => setWhy(asked), []);
  const { energy } = useHousehold().units;
  const manner = useMemo(() => ({ constants: anchors, energy }), [anchors, energy]);
  const value = useMemo(() => ({ manner, open }), [manner, open]);
  return (
    <WorkingContext value={value}>
      {children}
      <Sheet open={why !== null} onClose={() => setWhy(null)} above={why && `Why this figure, ${why.of}`} title={why && propertyOf(why.id).name}>
        {() => why && <AskedWorking why={why} sweet={sweet} manner={manner} />}
      </Sheet>
    </WorkingContext>
  );
}

export function useWorking(): WorkingPanel {
  const panel = useContext(WorkingContext);
  if (!panel) throw new Error("useWorking belongs inside WorkingProvider");
  return panel;
}

/** The working, asked of what computes beside the page. */
function AskedWorking({ why, sweet, manner }: { readonly why: Why; readonly sweet: (of: string) => FigureOf | null; readonly manner: FigureManner }) {
  const compute = useCompute();
  const [told, setTold] = useState<{ readonly working: Working } | { readonly why: string } | null>(null);
  useEffect(() => {
    const of = sweet(why.of);
    if (!of) return;
    let isLeft = false;
    compute("working", { of, id: why.id })
      .then((working) => !isLeft && setTold({ working }))
      .catch((error: unknown) => !isLeft && setTold({ why: whyOf(error, "The working could not be computed.") }));
    return () => void (isLeft = true);
  }, [why, sweet, compute]);
  if (!told)
    return (
      <p role="status" className="mt-3 t-ledger text-ink2">
        Working it out …
      </p>
    );
  if ("why" in told)
    return (
      <p role="alert" className="mt-3 bg-rose-wash text-rose px-3 py-2">
        {told.why}
      </p>
    );
  return <WorkingBody why={why} working={told.working} manner={manner} draws={<Draws why={why} sweet={sweet} manner={manner} />} />;
}

/** The interval once more by draws of everything at once: they take a moment, and come after. */
function Draws({ why, sweet, manner }: { readonly why: Why; readonly sweet: (of: string) => FigureOf | null; readonly manner: FigureManner }) {
  const compute = useCompute();
  const [drawn, setDrawn] = useState<Figure | null>(null);
  useEffect(() => {
    const of = sweet(why.of);
    if (!of) return;
    const left = new AbortController();
    // Without an answer the working stands by itself.
    compute("draws", { of, id: why.id }, left.signal)
      .then((figure) => !left.signal.aborted && setDrawn(figure))
      .catch(() => undefined);
    return () => left.abort();
  }, [why, sweet, compute]);
  return (
    <p className="t-small text-ink2 mt-2" role="status">
      {drawn
        ? `By ${DRAWS.toLocaleString("en")} draws of all of it at once: ${rangeText(drawn, why.id, manner)}.`
        : "Drawing all of it at once, some thousand times …"}
    </p>
  );
}

function WorkingBody({
  why,
  working,
  manner,
  draws,
}: {
  readonly why: Why;
  readonly working: Working;
  readonly manner: FigureManner;
  readonly draws: ReactNode;
}) {
  const { figure } = working;
  const terms = working.terms.map((term) => ({ ...term, value: inHouseUnit(term.value, working.termUnit, manner).value }));
  const sum = terms.reduce((total, term) => total + term.value, 0);
  return (
    <>
      <p className="mt-3 text-[22px] font-[560] tabular-nums">
        {figureText(figure, why.id, manner)}
        {isBody(why.id) && <span className="t-small text-ink2"> (step {figure.value.toFixed(1)} of 10)</span>}
      </p>
      <p className="t-small text-ink2">
        {working.per}. In 8 of 10 cases within {rangeText(figure, why.id, manner)}.
      </p>
      <p className="mt-4">
        {capital(working.equation)}
        {working.terms.length > 0 ? ":" : "."}
      </p>
      <table className="mt-2 w-full t-ledger">
        <thead className="t-small text-ink2">
          <tr className="border-b border-ink">
            <ColumnHead>term</ColumnHead>
            <ColumnHead right>{inHouseUnit(0, working.termUnit, manner).unit}</ColumnHead>
          </tr>
        </thead>
        <tbody>
          {terms.map((term, i) => (
            <tr key={i} className="border-b border-line align-top">
              <td className="py-1.5 pr-2">
                {term.label}
                {term.detail && <span className="block t-small text-ink2">{term.detail}</span>}
              </td>
              <td className="py-1.5 text-right t-figure whitespace-nowrap">
                {term.value < 0 ? "−" : ""}
                {formatToSpread(Math.abs(term.value), Math.abs(term.value) / 50)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="rule-double pt-2 flex justify-between t-ledger font-[560]">
        <span>Together</span>
        <span className="t-figure">{formatToSpread(sum, Math.abs(sum) / 200)}</span>
      </p>
      {working.then && <p className="mt-1">{capital(working.then)}.</p>}
      {working.spread.length > 0 && (
        <>
          <h3 className="t-h2 mt-5">What the interval comes from</h3>
          <ul className="t-ledger mt-1">
            {working.spread.map((part) => (
              <li key={part.from} className="flex justify-between border-b border-line py-1">
                <span>{part.from}</span>
                <span className="t-figure">{Math.round(part.share * 100)} %</span>
              </li>
            ))}
          </ul>
          {working.weigh && (
            <p className="t-ledger mt-2">
              Weigh the {working.weigh.name.toLowerCase()}: its amount is {Math.round(working.weigh.share * 100)} % of the doubt.
            </p>
          )}
          {draws}
        </>
      )}
      <h3 className="t-h2 mt-5">Sources</h3>
      {working.rule && <p className="t-ledger mt-1">A rule of thumb has part in this figure.</p>}
      <ul className="t-small text-ink2 mt-1 grid gap-1">
        {working.sources.map((source) => (
          <li key={source}>{source}</li>
        ))}
      </ul>
    </>
  );
}

/** A computed figure that can be asked why: a button in the figure's own place. */
export function FigureButton({
  figure,
  id,
  of,
  className = "",
  children,
}: {
  readonly figure: Figure;
  readonly id: PropertyId;
  readonly of: string;
  readonly className?: string;
  readonly children?: ReactNode;
}) {
  const { open, manner } = useWorking();
  const text = figureText(figure, id, manner);
  return (
    <button
      type="button"
      onClick={() => open({ id, of })}
      // Told when it is pointed at: a title kept up to date on every keystroke would cost all beams their speed.
      onPointerEnter={(event) => (event.currentTarget.title = `80 % within ${rangeText(figure, id, manner)}. Why?`)}
      aria-label={`${propertyOf(id).name} ${of}: ${text}. Why?`}
      className={`t-figure text-left underline decoration-dotted decoration-edge underline-offset-4 hover:decoration-solid min-h-6 ${className}`}
    >
      {children ?? text}
    </button>
  );
}
