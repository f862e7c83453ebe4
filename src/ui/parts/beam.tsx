"use client";

import { useEffect, useRef } from "react";
import type { Deviation } from "../../core/evaluate";
import { bracket, LARGE, onRight, panPositions, sector, SMALL, swing, tiltOfShare, type BeamGeometry } from "./beam-geometry";
import { stateColour } from "./marks";

const SWING_SECONDS = 0.9;
/** Changes closer than this follow each other too fast to swing: the beam is set at once. */
const QUICK_MS = 400;
const WASH: Readonly<Record<Deviation["state"], string>> = {
  inside: "fill-silver",
  "just inside": "fill-saffron-wash",
  outside: "fill-rose-wash",
  free: "fill-none",
};

interface BeamProps {
  readonly deviation: Deviation;
  /** The whole sentence for those who do not see it; null where the figure beside it speaks. */
  readonly label: string | null;
  readonly small?: boolean;
  /** Tilt that a proposed change would give, degrees: a dashed beam beside the real one. */
  readonly ghost?: number | null;
}

/** The balance beam: left pan the recipe or a limit, right pan the version; tilt is the deviation, the wedge what is allowed. */
export function Beam({ deviation, label, small = false, ghost = null }: BeamProps) {
  const { tilt, state } = deviation;
  const beam = small ? SMALL : LARGE;
  const beamRef = useRef<SVGGElement>(null);
  const leftRef = useRef<SVGGElement>(null);
  const rightRef = useRef<SVGGElement>(null);
  const shown = useRef(tilt);
  const changedAt = useRef(0);

  useEffect(() => {
    const place = (degrees: number) => {
      const pans = panPositions(beam, degrees);
      beamRef.current?.setAttribute("transform", `rotate(${degrees.toFixed(3)} ${beam.pivotX} ${beam.pivotY})`);
      leftRef.current?.setAttribute("transform", `translate(${pans.left[0].toFixed(2)} ${pans.left[1].toFixed(2)})`);
      rightRef.current?.setAttribute("transform", `translate(${pans.right[0].toFixed(2)} ${pans.right[1].toFixed(2)})`);
    };
    const from = shown.current - tilt;
    shown.current = tilt;
    const now = performance.now();
    const quick = now - changedAt.current < QUICK_MS;
    changedAt.current = now;
    if (quick || Math.abs(from) < 0.05 || window.matchMedia("(prefers-reduced-motion: reduce)").matches) return place(tilt);
    const started = performance.now();
    let frame = 0;
    const step = (now: number) => {
      const seconds = (now - started) / 1000;
      place(seconds >= SWING_SECONDS ? tilt : swing(tilt, from, Math.max(0, seconds)));
      if (seconds < SWING_SECONDS) frame = requestAnimationFrame(step);
    };
    step(started);
    frame = requestAnimationFrame(step);
    return () => cancelAnimationFrame(frame);
  }, [tilt, beam]);

  const { width, height, pivotX, pivotY, arm, reach, string } = beam;
  const pans = panPositions(beam, tilt);
  const colour = stateColour(state);
  const stamped = deviation.kind === "limit";
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className={`overflow-visible ${small ? "w-[54px] h-[26px] shrink-0" : "w-full h-auto max-h-[68px]"}`}
      {...(label ? { role: "img", "aria-label": label } : { "aria-hidden": true })}
    >
      <path d={`M${pivotX - reach - 3} ${pivotY}H${pivotX + reach + 3}`} className="stroke-edge" strokeWidth={small ? 0.6 : 0.8} strokeDasharray="1 3" />
      {!small && state !== "free" && <Wedge deviation={deviation} beam={beam} />}
      {small ? (
        <path d={`M${pivotX} ${pivotY - 6}v6`} className="stroke-brass-line" strokeWidth="1.2" />
      ) : (
        <path d={`M${pivotX} 3v7M${pivotX - 5} 10h10v21h-10zM${pivotX} 14v10`} className="stroke-brass-line fill-ground" strokeWidth="1" />
      )}
      {ghost !== null && Math.abs(ghost - tilt) > 0.2 && <Ghost tilt={ghost} beam={beam} />}
      <g ref={beamRef} transform={`rotate(${tilt} ${pivotX} ${pivotY})`} data-part="beam">
        {small ? (
          <path d={`M${pivotX - arm} ${pivotY}H${pivotX + reach}`} className="stroke-brass" strokeWidth="1.8" />
        ) : (
          <path
            d={`M${pivotX - arm} ${pivotY - 1}L${pivotX} ${pivotY - 3.2}L${pivotX + arm} ${pivotY - 1}L${pivotX + reach} ${pivotY}L${pivotX + arm} ${pivotY + 1}L${pivotX} ${pivotY + 3.2}L${pivotX - arm} ${pivotY + 1}Z`}
            className="fill-brass stroke-brass-line"
            strokeWidth=".6"
          />
        )}
        <circle cx={pivotX} cy={pivotY} r={small ? 1.1 : 1.6} className="fill-brass-line" />
        <circle cx={pivotX + reach} cy={pivotY} r={small ? 1 : 1.5} className={`fill-current ${colour}`} />
      </g>
      <g ref={leftRef} transform={`translate(${pans.left.join(" ")})`}>
        <Strings beam={beam} small={small} />
        {small ? (
          <path d={`M-2.6 ${string}v-3.4h5.200v3.4z`} className="fill-ink" />
        ) : stamped ? (
          <path d={`M-6 ${string}v-6l2-1.500v-2.500h8v2.500l2 1.500v6zM-2.500 ${string - 3.5}h5`} className="fill-ink stroke-sheet" strokeWidth=".7" />
        ) : (
          <path d={`M-6 ${string}v-5.500h3v-3h6v3h3v5.500z`} className="fill-ink" />
        )}
        <Bowl beam={beam} />
      </g>
      <g ref={rightRef} transform={`translate(${pans.right.join(" ")})`}>
        <Strings beam={beam} small={small} />
        {small ? (
          <path d={`M-4 ${string}C-3.800 ${string - 4.5} 3.800 ${string - 4.5} 4 ${string}Z`} className={`fill-current ${colour}`} data-part="mound" />
        ) : (
          <path d={`M-9 ${string}C-8.500 ${string - 10} 8.500 ${string - 10} 9 ${string}Z`} className={`fill-current ${colour}`} data-part="mound" />
        )}
        {!small && (state === "inside" || state === "just inside") && Math.abs(deviation.relative) < 0.02 && (
          <path d={`M-4 ${string - 6}l5-2.500 4 3.500-5 1.500z`} className="fill-silver-light stroke-silver-dark" strokeWidth=".5" data-part="leaf" />
        )}
        <Bowl beam={beam} />
      </g>
      {!small && <path d={bracket(beam, deviation.tiltLow, deviation.tiltHigh)} className="stroke-ink2" strokeWidth=".9" fill="none" data-part="bracket" />}
    </svg>
  );
}

/** What is allowed: of a likeness what nobody notices, symmetric; of a limit the open side below it, its edge pegged. */
function Wedge({ deviation: { kind, state, wedge }, beam }: { readonly deviation: Deviation; readonly beam: BeamGeometry }) {
  const { pivotX, pivotY, reach } = beam;
  const colour = stateColour(state);
  if (kind === "limit")
    return (
      <g data-part="wedge">
        <path d={sector(beam, -16, 0)} className={WASH[state]} />
        <path d={`M${pivotX} ${pivotY}H${pivotX + reach}`} className={`stroke-current ${colour}`} strokeWidth="1.8" />
        <path d={`M${pivotX + reach} ${pivotY - 4}v8`} className={`stroke-current ${colour}`} strokeWidth="2.4" />
      </g>
    );
  const edge = tiltOfShare(wedge);
  return (
    <g className={colour} data-part="wedge">
      <path d={sector(beam, -edge, edge)} className={WASH[state]} />
      {[-edge, edge].map((degrees) => (
        <path key={degrees} d={`M${pivotX} ${pivotY}L${onRight(beam, degrees, reach).join(" ")}`} className="stroke-current" strokeWidth=".8" />
      ))}
    </g>
  );
}

function Ghost({ tilt, beam: { pivotX, pivotY, arm, reach } }: { readonly tilt: number; readonly beam: BeamGeometry }) {
  return (
    <path
      d={`M${pivotX - arm} ${pivotY}H${pivotX + reach}`}
      transform={`rotate(${tilt} ${pivotX} ${pivotY})`}
      className="stroke-ink"
      strokeWidth="1.2"
      strokeDasharray="4 3"
      data-part="ghost"
    />
  );
}

const Strings = ({ beam: { panHalf, string }, small }: { readonly beam: BeamGeometry; readonly small: boolean }) => (
  <path d={`M0 0 ${-panHalf} ${string}M0 0 ${panHalf} ${string}`} className="stroke-brass-line" strokeWidth={small ? 0.5 : 0.7} fill="none" />
);

const Bowl = ({ beam: { panHalf, panDepth, string } }: { readonly beam: BeamGeometry }) => (
  <path
    d={`M${-panHalf} ${string}H${panHalf}C${panHalf * 0.81} ${string + panDepth + 2} ${-panHalf * 0.81} ${string + panDepth + 2} ${-panHalf} ${string}Z`}
    className="fill-pan stroke-brass-line"
    strokeWidth={panHalf > 10 ? 0.8 : 0.6}
  />
);
