import type { Figure } from "../../../core/numeric";

/** From a third to three times what the tables have, by its logarithm. */
const WIDEST = Math.log(3);
const WIDTH = 200;
const at = (ratio: number): number => (WIDTH / 2) * (1 + Math.max(-1, Math.min(1, Math.log(ratio) / WIDEST)));

interface RatioBarProps {
  readonly ratio: Figure;
  /** What it is held against, in a word or two. */
  readonly beside: string;
  readonly className: string;
}

/** Where something lies beside what the tables have (the upright line), with its 80 % interval; said in words beside it. */
export const RatioBar = ({ ratio: { value, low, high }, beside, className }: RatioBarProps) => (
  <svg viewBox={`0 0 ${WIDTH} 26`} className={`w-[200px] ${className}`} aria-hidden>
    <line x1={0} x2={WIDTH} y1={10} y2={10} className="stroke-line" />
    <line x1={WIDTH / 2} x2={WIDTH / 2} y1={2} y2={18} className="stroke-ink" />
    <rect x={at(low)} width={Math.max(2, at(high) - at(low))} y={7} height={6} className="fill-ink" opacity={0.35} />
    <circle cx={at(value)} cy={10} r={4} className="fill-ink" />
    <text x={WIDTH / 2} y={25} textAnchor="middle" className="fill-ink2 text-[9px] max-md:hidden">
      {beside}
    </text>
  </svg>
);
