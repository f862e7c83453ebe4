import { useId } from "react";
import type { Archetype } from "../../../core/recipe";

/** Outline of each vessel in a box of 104 × 78 standing on its lower edge; what is filled is clipped to `inside`. */
const VESSELS = {
  bowl: { inside: "M6 20H98C98 54 74 70 52 70S6 54 6 20Z", more: "M34 72h36v6h-36z", top: 22, bottom: 69 },
  pan: { inside: "M8 24H96C96 56 78 70 52 70S8 56 8 24Z", more: "M2 8c-4 6-2 16 6 16M102 8c4 6 2 16-6 16M20 73h64v5H20z", top: 26, bottom: 69 },
  jar: { inside: "M14 16h76c4 3 4 9 4 14v48H10V30c0-5 0-11 4-14Z", more: "M20 4h64v10H20z", top: 20, bottom: 77 },
  cups: {
    inside: "M4 34H48L42 72c-1 6-31 6-32 0ZM56 34h44L94 72c-1 6-31 6-32 0Z",
    more: "",
    top: 36,
    bottom: 75,
  },
} as const;
const OF: Readonly<Record<Archetype, keyof typeof VESSELS | "balls">> = {
  pudding: "bowl",
  "flour halwa": "pan",
  "pulse halwa": "pan",
  "vegetable halwa": "pan",
  ladoo: "balls",
  "loose mix": "jar",
  "set pudding": "cups",
  barfi: "jar",
  "fruit-bound": "jar",
  frozen: "cups",
  cultured: "bowl",
  sauce: "jar",
};
/** Balls of a ladoo, the lowest first. */
const BALLS: readonly (readonly [number, number])[] = [
  [26, 65],
  [52, 65],
  [78, 65],
  [39, 43],
  [65, 43],
];

/** What a sweet of a kind stands in on the shelf, filled as far as it is done. */
export function Vessel({ kind, fill }: { readonly kind: Archetype; readonly fill: number }) {
  const clip = useId();
  const shape = OF[kind];
  if (shape === "balls")
    return (
      <svg width="104" height="78" viewBox="0 0 104 78" aria-hidden="true" fill="none" className="overflow-visible">
        <path d="M8 18h88v60H8z" className="fill-sheet stroke-ink" strokeWidth="2.2" />
        <path d="M4 8h96v10H4z" className="fill-silver stroke-ink" strokeWidth="2.2" />
        {BALLS.map(([x, y], i) => (
          <circle
            key={i}
            cx={x}
            cy={y}
            r="11.500"
            className={(i + 1) / BALLS.length <= fill + 0.01 ? "fill-ink stroke-ink" : "stroke-edge"}
            strokeWidth="1.2"
            strokeDasharray={(i + 1) / BALLS.length <= fill + 0.01 ? undefined : "3 3"}
          />
        ))}
      </svg>
    );
  const { inside, more, top, bottom } = VESSELS[shape];
  const level = bottom - (bottom - top) * Math.max(0, Math.min(1, fill));
  return (
    <svg width="104" height="78" viewBox="0 0 104 78" aria-hidden="true" fill="none" className="overflow-visible">
      <clipPath id={clip}>
        <path d={inside} />
      </clipPath>
      <path d={inside} className="fill-sheet" />
      <g clipPath={`url(#${clip})`}>
        <path d={`M0 ${level}H104V78H0Z`} className="fill-silver-dark" />
        {fill > 0 && <path d={`M0 ${level}H104`} className="stroke-ink" strokeWidth="1" />}
      </g>
      <path d={inside} className="stroke-ink" strokeWidth="2.200" />
      {more && <path d={more} className={shape === "pan" ? "stroke-ink" : "fill-ink stroke-ink"} strokeWidth={shape === "pan" ? "4" : "1"} />}
    </svg>
  );
}
