import type { CueDrawing } from "../../core/cues";
import { many, spread, type Filled, type Of } from "./cue-parts";
import { Pieces } from "./cue-pieces";
import { Pan, Pot, Spoon } from "./cue-vessels";
import { shadeColour } from "./shades";

/** A cue in the hand of the house: one of a small set of instruments, drawn from its numbers. What it shows stands beside it in words. */
export function CueDrawing({ draw, shade, size = 64 }: { readonly draw: CueDrawing; readonly shade: number | null; readonly size?: number }) {
  const fill = shade === null ? "var(--color-pan)" : shadeColour(shade);
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 64 64"
      aria-hidden="true"
      className="shrink-0 text-ink"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.8"
      strokeLinejoin="round"
      strokeLinecap="round"
    >
      <Drawn draw={draw} fill={fill} />
    </svg>
  );
}

function Drawn({ draw, fill }: { readonly draw: CueDrawing } & Filled) {
  switch (draw.instrument) {
    case "pan":
      return <Pan {...draw} fill={fill} />;
    case "pot":
      return <Pot {...draw} fill={fill} />;
    case "spoon":
      return <Spoon {...draw} fill={fill} />;
    case "ball":
      return <Ball {...draw} fill={fill} />;
    case "thread":
      return <Thread {...draw} />;
    case "glass":
      return <Glass {...draw} fill={fill} />;
    case "plate":
      return <Plate {...draw} fill={fill} />;
    case "pieces":
      return <Pieces {...draw} fill={fill} />;
    case "skewer":
      return <Skewer {...draw} fill={fill} />;
    case "cloth":
      return <Cloth {...draw} fill={fill} />;
  }
}

function Ball({ holds, fat = 0, fill }: Of<"ball"> & Filled) {
  const flat = Math.max(0, holds);
  const [rx, ry] = [17 * (1 + 0.45 * flat), 17 * (1 - 0.5 * flat)];
  const apart = Math.max(0, -holds);
  return (
    <>
      <path d="M6 56h52" strokeWidth="1.600" />
      {apart < 0.3 ? (
        <>
          <ellipse cx="32" cy={55 - ry} rx={rx} ry={ry} fill={fill} strokeWidth="1.800" />
          {flat < 0.3 && <path d={`M22 ${48 - ry}c-3 5-3 9 0 14M30 ${44 - ry}c-3 7-3 14 0 20M38 ${46 - ry}c-3 6-3 12 0 17`} strokeWidth="1" />}
          {flat >= 0.3 && <path d={`M${32 - rx - 5} 56q5-6 9-4M${32 + rx + 5} 56q-5-6-9-4`} strokeWidth="1.200" />}
        </>
      ) : (
        <>
          <path d="M18 55C14 42 22 28 34 30l-5 9 6 5-4 11Z" fill={fill} strokeWidth="1.600" />
          <path d="m40 34 8 4 3 9-5 8H38l2-8-4-5Z" fill={fill} strokeWidth="1.600" />
          {spread(many(apart, 8), 24).map(([x], i) => (
            <path key={i} d={`M${x - 2} 55l2-${2 + (i % 3)} 2.500 1 .5 ${1 + (i % 3)}Z`} fill={fill} strokeWidth=".9" />
          ))}
        </>
      )}
      {apart < 0.3 &&
        Array.from({ length: many(fat, 6) }, (_, i) => (
          <circle key={i} cx={32 + (i - 2.5) * rx * 0.3} cy={54 - ry * (0.5 + 0.7 * ((i * 7) % 3) * 0.4)} r="1.800" className="fill-brass" strokeWidth=".8" />
        ))}
    </>
  );
}

/** A drop between thumb and finger. */
function Thread({ threads, reach }: Of<"thread">) {
  const [top, bottom] = [22, 44];
  const full = bottom - top;
  return (
    <>
      <path d="M14 4c2 10 8 18 18 18s16-8 18-18M14 62c2-10 8-18 18-18s16 8 18 18" className="fill-sheet" />
      <path d="M26 8c2 4 10 4 12 0M26 58c2-4 10-4 12 0" strokeWidth="1" />
      {Array.from({ length: Math.max(threads, reach > 0 ? 1 : 0) }, (_, i) => {
        const x = 32 + (i - (Math.max(1, threads) - 1) / 2) * 5;
        const to = top + full * reach;
        return (
          <g key={i} className="stroke-brass-line">
            <path d={`M${x} ${top}V${reach >= 1 ? bottom : to}`} strokeWidth="2" />
            {reach < 1 && threads > 0 && <path d={`M${x} ${bottom}v-${full * (1 - reach) * 0.5}`} strokeWidth="2" />}
          </g>
        );
      })}
      <ellipse cx="32" cy={top + 0.5} rx={4 + 2 * (1 - reach)} ry="2" className="fill-brass" strokeWidth="1" />
      <ellipse cx="32" cy={bottom - 0.5} rx={4 + 2 * (1 - reach)} ry="2" className="fill-brass" strokeWidth="1" />
    </>
  );
}

function Glass({ drop, fill }: Of<"glass"> & Filled) {
  return (
    <>
      <path d="M15 22h34l-2.500 35h-29Z" className="fill-silver-light" stroke="none" />
      <path d="M15.500 22h33" strokeWidth="1.100" />
      {drop === "cloud" && <path d="M24 34q4-5 8 0t8 0M22 42q5-5 10 0t10 0M26 50q3-4 6 0t6 0" className="stroke-brass-line" strokeWidth="1.600" />}
      {drop === "soft ball" && <ellipse cx="32" cy="51" rx="11" ry="5" fill={fill} strokeWidth="1.600" />}
      {drop === "hard ball" && <circle cx="32" cy="48" r="8" fill={fill} strokeWidth="1.800" />}
      {drop === "thread" && <path d="M24 30 38 36M27 44l12-5M28 53h12" className="stroke-brass-line" strokeWidth="2.600" strokeLinecap="butt" />}
      <path d="M13 8l3.500 50h31L51 8" strokeWidth="2.200" />
    </>
  );
}

/** A spoonful turned out on a plate, or a drop on a cold one. */
function Plate({ set, fill }: Of<"plate"> & Filled) {
  const stands = Math.min(1, set);
  const [half, high] = [24 - 9 * stands, 4 + 22 * stands];
  const corner = 1 - stands;
  return (
    <>
      {set > 1.05 && <ellipse cx="32" cy="49" rx="27" ry="4" className="fill-silver-light" strokeWidth="1" strokeDasharray="2 2" />}
      <path
        d={`M${32 - half} 49C${32 - half + 4 * stands} ${49 - high * (0.5 + 0.5 * stands)} ${32 - half * (0.5 + 0.2 * stands)} ${49 - high} ${32 - half * (0.3 + 0.35 * stands)} ${49 - high}H${32 + half * (0.3 + 0.35 * stands)}C${32 + half * (0.5 + 0.2 * stands)} ${49 - high} ${32 + half - 4 * stands} ${49 - high * (0.5 + 0.5 * stands)} ${32 + half} 49Z`}
        fill={fill}
        strokeWidth={1.2 + stands * 0.6}
      />
      {set > 1.05 && <path d="m26 25 4 7-3 5M38 24l-3 8" strokeWidth="1.100" />}
      {corner > 0.35 && <path d={`M${32 - half - 3} 47q-3 2-4 4M${32 + half + 3} 47q3 2 4 4`} strokeWidth="1.200" />}
      <path d="M4 49h56M12 49q4 8 12 8h16q8 0 12-8" strokeWidth="2.200" />
    </>
  );
}

function Skewer({ clings, cracks = 0, fill }: Of<"skewer"> & Filled) {
  return (
    <>
      <path d="M8 36q24-8 48 0v22H8Z" fill={fill} strokeWidth="2" />
      {cracks > 0 && <path d="m12 36 6 6-2 5 6 5M50 37l-6 5 3 6-5 5" strokeWidth="1.300" />}
      <path d="M32 3v26" strokeWidth="2.600" />
      <path d="M32 32v6" strokeWidth="1" strokeDasharray="2 2" />
      {spread(many(clings, 7), 6).map(([x, y], i) => (
        <circle key={i} cx={32 + (x - 32) * 0.5} cy={18 + (y - 32)} r={1.6 + (i % 2)} fill={fill} strokeWidth="1" />
      ))}
      {clings > 0 && clings <= 0.2 && <circle cx="33.500" cy="24" r="1.300" fill={fill} strokeWidth=".9" />}
    </>
  );
}

/** What hangs in a cloth and runs through it. */
function Cloth({ drips, fill }: Of<"cloth"> & Filled) {
  const drops = many(drips, 6);
  return (
    <>
      <path d="M32 4v6" strokeWidth="2.600" />
      <path d="M32 10c-4 8-18 12-18 24 0 8 8 12 18 12s18-4 18-12C50 22 36 18 32 10Z" fill={fill} strokeWidth="1.900" />
      <path d="M32 12c-2 8-8 12-9 22M32 12c2 8 8 12 9 22M20 30h24M18 37h28" strokeWidth=".7" />
      {drips >= 0.85 ? (
        <path d="M32 46v16" strokeWidth="3" />
      ) : (
        Array.from({ length: drops }, (_, i) => <path key={i} d={`M${32 + ((i % 3) - 1) * 6} ${50 + Math.floor(i / 3) * 7}v3`} strokeWidth="2" />)
      )}
    </>
  );
}
