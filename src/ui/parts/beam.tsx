"use client";

import { useEffect, useRef } from "react";
import type { Deviation } from "../../core/evaluate";
import { BEAM, bracket, onRight, panPositions, sector, swing, tiltOfShare } from "./beam-geometry";
import { stateColour } from "./marks";

const SWING_SECONDS = 0.9;
/** Changes closer than this follow each other too fast to swing: the beam is set at once. */
const QUICK_MS = 400;
const { pivotX, pivotY, arm, string, panHalf, panDepth, reach } = BEAM;
const PAN = `M0 0 ${-panHalf} ${string}M0 0 ${panHalf} ${string}`;
const BOWL = `M${-panHalf} ${string}H${panHalf}C${panHalf - 3} ${string + panDepth + 2} ${-panHalf + 3} ${string + panDepth + 2} ${-panHalf} ${string}Z`;
const WASH: Readonly<Record<Deviation["state"], string>> = {
  inside: "fill-silver",
  "just inside": "fill-saffron-wash",
  outside: "fill-rose-wash",
  free: "fill-none",
};

/** The balance beam: left pan the recipe or a limit, right pan the version; tilt is the deviation, the wedge what is allowed. */
export function Beam({ deviation, label, small = false }: { readonly deviation: Deviation; readonly label: string | null; readonly small?: boolean }) {
  const { tilt, state } = deviation;
  const beamRef = useRef<SVGGElement>(null);
  const leftRef = useRef<SVGGElement>(null);
  const rightRef = useRef<SVGGElement>(null);
  const shown = useRef(tilt);
  const changedAt = useRef(0);

  useEffect(() => {
    const place = (degrees: number) => {
      const pans = panPositions(degrees);
      beamRef.current?.setAttribute("transform", `rotate(${degrees.toFixed(3)} ${pivotX} ${pivotY})`);
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
  }, [tilt]);

  const pans = panPositions(tilt);
  const edge = tiltOfShare(deviation.wedge);
  const stamped = deviation.kind === "limit";
  const colour = stateColour(state);
  return (
    <svg
      viewBox={`0 0 ${BEAM.width} ${BEAM.height}`}
      className={small ? "h-[24px] w-[70px] shrink-0" : "w-full h-auto max-h-[68px]"}
      {...(label ? { role: "img", "aria-label": label } : { "aria-hidden": true })}
    >
      <path d={`M12 ${pivotY}H168`} className="stroke-edge" strokeWidth=".8" strokeDasharray="1 3" />
      {!small &&
        state !== "free" &&
        (stamped ? (
          <g>
            <path d={sector(-16, 0)} className={WASH[state]} />
            <path d={`M${pivotX} ${pivotY}H${pivotX + reach}`} className={`stroke-current ${colour}`} strokeWidth="1.8" />
            <path d={`M${pivotX + reach} ${pivotY - 4}v8`} className={`stroke-current ${colour}`} strokeWidth="2.4" />
          </g>
        ) : (
          <g className={colour}>
            <path d={sector(-edge, edge)} className={WASH[state]} />
            {[-edge, edge].map((degrees) => (
              <path key={degrees} d={`M${pivotX} ${pivotY}L${onRight(degrees, reach).join(" ")}`} className="stroke-current" strokeWidth=".8" />
            ))}
          </g>
        ))}
      <path d={`M${pivotX} 3v7M${pivotX - 5} 10h10v21h-10zM${pivotX} 14v10`} className="stroke-brass-line fill-ground" strokeWidth="1" />
      <g ref={beamRef} transform={`rotate(${tilt} ${pivotX} ${pivotY})`}>
        <path
          d={`M${pivotX - arm} ${pivotY - 1}L${pivotX} ${pivotY - 3.2}L${pivotX + arm} ${pivotY - 1}L${pivotX + reach} ${pivotY}L${pivotX + arm} ${pivotY + 1}L${pivotX} ${pivotY + 3.2}L${pivotX - arm} ${pivotY + 1}Z`}
          className="fill-brass stroke-brass-line"
          strokeWidth=".6"
        />
        <circle cx={pivotX} cy={pivotY} r="1.6" className="fill-brass-line" />
        <circle cx={pivotX + reach} cy={pivotY} r="1.500" className={`fill-current ${colour}`} />
      </g>
      <g ref={leftRef} transform={`translate(${pans.left.join(" ")})`}>
        <path d={PAN} className="stroke-brass-line" strokeWidth=".7" fill="none" />
        {stamped ? (
          <path d={`M-6 ${string}v-6l2-1.500v-2.500h8v2.500l2 1.500v6zM-2.500 ${string - 3.5}h5`} className="fill-ink stroke-sheet" strokeWidth=".7" />
        ) : (
          <path d={`M-6 ${string}v-5.500h3v-3h6v3h3v5.500z`} className="fill-ink" />
        )}
        <path d={BOWL} className="fill-pan stroke-brass-line" strokeWidth=".8" />
      </g>
      <g ref={rightRef} transform={`translate(${pans.right.join(" ")})`}>
        <path d={PAN} className="stroke-brass-line" strokeWidth=".7" fill="none" />
        <path d={`M-9 ${string}C-8.500 ${string - 10} 8.500 ${string - 10} 9 ${string}Z`} className={`fill-current ${colour}`} />
        {state !== "free" && Math.abs(deviation.relative) < 0.02 && (
          <path d={`M-4 ${string - 6}l5-2.500 4 3.500-5 1.500z`} className="fill-silver-light stroke-silver-dark" strokeWidth=".5" />
        )}
        <path d={BOWL} className="fill-pan stroke-brass-line" strokeWidth=".8" />
      </g>
      {!small && <path d={bracket(deviation.tiltLow, deviation.tiltHigh)} className="stroke-ink2" strokeWidth=".9" fill="none" />}
    </svg>
  );
}
