import type { CueDrawing, Instrument } from "../../core/cues";
import { shadeColour } from "./shades";

/** Of the one instrument, what is drawn. */
type Of<Kind extends Instrument> = Extract<CueDrawing, { readonly instrument: Kind }>;
interface Filled {
  /** What is in it: the colour of its shade, or brass where colour tells nothing. */
  readonly fill: string;
}

/** Points spread evenly over a disc, the same each time (by the golden angle). */
const spread = (count: number, radius: number): readonly (readonly [x: number, y: number])[] =>
  Array.from({ length: count }, (_, i) => {
    const r = radius * Math.sqrt((i + 0.5) / count);
    return [32 + r * Math.cos(2.399963 * i), 32 + r * Math.sin(2.399963 * i)] as const;
  });
const many = (share: number, most: number): number => Math.round(Math.max(0, Math.min(1, share)) * most);

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

function Pan({ contents, bubbles = 0, trail = 0, away = 0, fat = 0, fill }: Of<"pan"> & Filled) {
  const radius = 23 * (1 - away);
  return (
    <>
      <path d="M32 2v5M32 57v5" strokeWidth="5" strokeLinecap="butt" />
      <circle cx="32" cy="32" r="26" strokeWidth="2.4" className="fill-ground" />
      {(contents === "liquid" || contents === "lumps") && <circle cx="32" cy="32" r={radius} fill={fill} strokeWidth=".8" />}
      {contents === "mass" && (
        <path
          d={`M${32 - radius} 32C${32 - radius} ${32 - radius * 0.9} ${32 - radius * 0.3} ${32 - radius} 32 ${32 - radius * 0.92}S${32 + radius * 1.02} ${32 - radius * 0.5} ${32 + radius} 32 ${32 + radius * 0.5} ${32 + radius * 1.05} 32 ${32 + radius * 0.96} ${32 - radius} ${32 + radius * 0.7} ${32 - radius} 32Z`}
          fill={fill}
          strokeWidth="1.4"
        />
      )}
      {contents === "liquid" && bubbles < 0.3 && trail < 0.3 && <path d="M18 27q4-3 8 0t8 0 8 0M22 38q4-3 8 0t8 0" strokeWidth="1.1" />}
      {contents === "grains" && (
        <>
          <circle cx="32" cy="32" r="23" fill={fill} strokeWidth=".8" />
          {spread(34, 20).map(([x, y], i) => (
            <path key={i} d={`M${x - 1.2} ${y}q1.200-1.600 2.400 0`} strokeWidth=".7" />
          ))}
        </>
      )}
      {contents === "crumbs" &&
        spread(9, 17).map(([x, y], i) => (
          <path key={i} d={`M${x - 4} ${y - 2}l5-2.500 4 3-1.500 4.500-5.500 .5z`} transform={`rotate(${i * 47} ${x} ${y})`} fill={fill} strokeWidth="1.1" />
        ))}
      {contents === "lumps" &&
        spread(7, 16).map(([x, y], i) => <circle key={i} cx={x} cy={y} r={2.4 + (i % 3) * 0.8} className="fill-sheet" strokeWidth="1.1" />)}
      {trail > 0 && (
        <>
          <path
            d={`M40 42C${34 - 10 * trail} ${44 - 4 * trail} ${30 - 12 * trail} 30 ${30 - 2 * trail} 20`}
            className="stroke-ground"
            strokeWidth={2 + 5 * trail}
          />
          <path d="M41 43 58 58" strokeWidth="3" />
          <ellipse cx="38.5" cy="40.500" rx="5" ry="3.400" transform="rotate(42 38.500 40.500)" className="fill-sheet" strokeWidth="1.600" />
        </>
      )}
      {spread(many(bubbles, 14), 18).map(([x, y], i) => (
        <circle key={i} cx={x} cy={y} r={1.2 + bubbles * 1.6 + (i % 3) * 0.6} className="fill-sheet" strokeWidth=".9" />
      ))}
      {Array.from({ length: many(fat, 10) }, (_, i) => {
        const angle = (2 * Math.PI * i) / Math.max(1, many(fat, 10)) + 0.4;
        const r = Math.min(22, radius + 2);
        return <circle key={i} cx={32 + r * Math.cos(angle)} cy={32 + r * Math.sin(angle)} r={1.3 + (i % 2) * 0.7} className="fill-brass" strokeWidth=".8" />;
      })}
    </>
  );
}

function Pot({ level, from, foam = 0, steam = 0, fill }: Of<"pot"> & Filled) {
  const [top, bottom] = [12, 56];
  const y = (share: number) => bottom - share * (bottom - top);
  const rises = y(Math.min(1.14, level + foam));
  return (
    <>
      {foam > 0 && <path d={`M13 ${y(level)}V${rises + 4}q3-6 7-2 3-7 8-2 4-6 8 0 4-5 8 1 4-4 7 3V${y(level)}Z`} className="fill-sheet" strokeWidth="1.200" />}
      <rect x="13" y={y(level)} width="38" height={bottom - y(level)} fill={fill} stroke="none" />
      <path d={`M13 ${y(level)}h38`} strokeWidth="1.200" />
      {from !== undefined && from - level > 0.03 && <path d={`M13 ${y(from)}h38`} strokeWidth="1.200" strokeDasharray="3 3" />}
      {Array.from({ length: many(steam, 3) }, (_, i) => (
        <path key={i} d={`M${24 + 8 * i} ${y(level) - 5}q-4-4 0-8t0-8`} strokeWidth="1.200" />
      ))}
      <path d="M12 10v46h40V10M6 16h6M52 16h6" strokeWidth="2.400" />
    </>
  );
}

/** Thin runs off in a thread, thicker in a stream and in spoonfuls; what is stiff stays on it. */
function Spoon({ body, fill }: Of<"spoon"> & Filled) {
  const width = 1.2 + 1.7 * body;
  const length = Math.max(0, 34 * (1 - body / 6.6));
  const heap = 1.5 + body * 1.5;
  const end = 28 + length;
  return (
    <>
      {body >= 1.2 && <path d={`M9 20C10 ${20 - heap} 36 ${20 - heap} 37 20Z`} fill={fill} strokeWidth="1.200" />}
      {length > 3 && (
        <path
          d={`M${21 - width / 2} 27C${21 - width / 2} ${28 + length * 0.5} ${22 - width * 0.36} ${end - 3} ${22 - width * 0.4} ${end}q${width * 0.4} ${2 + body * 0.6} ${width * 0.8} 0C${22 + width * 0.36} ${end - 4} ${21 + width / 2} ${28 + length * 0.5} ${21 + width / 2} 27Z`}
          fill={fill}
          strokeWidth="1.100"
        />
      )}
      {body < 1.2 && [0, 1].map((i) => <path key={i} d={`M${25 + 4 * i} ${34 + 10 * i}v4`} strokeWidth="1.400" />)}
      <path d="M7 20h32c0 6-7 9.500-16 9.500S7 26 7 20Z" className="fill-sheet" strokeWidth="1.900" />
      {body >= 1 && body < 3 && <path d="M16 21.500 14 28M20 21.500l-1 7.500" strokeWidth="1" />}
      <path d="M39 20 59 9" strokeWidth="3.200" />
      {length > 3 && <path d={`M${22 - 8 - body * 2} 62q${8 + body * 2}-${1 + body * 1.6} ${16 + body * 4} 0Z`} fill={fill} strokeWidth="1.100" />}
    </>
  );
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

const PLACES = [
  [20, 18],
  [45, 20],
  [31, 34],
  [16, 48],
  [47, 48],
] as const;
function Pieces({ shape, core = 0, swell = 0, burst = 0, fill }: Of<"pieces"> & Filled) {
  return (
    <>
      {PLACES.map(([x, y], i) => (
        <g key={i} transform={`translate(${x} ${y}) rotate(${(i * 53) % 90})`}>
          <Piece shape={shape} core={core} swell={swell} burst={burst} fill={fill} />
        </g>
      ))}
    </>
  );
}

function Piece({ shape, core, swell, burst, fill }: Required<Omit<Of<"pieces">, "instrument">> & Filled) {
  const grows = 0.72 + 0.42 * swell;
  const open = burst > 0.2 && <path d={`M${-6 * grows} 0l3-${4 * burst} 3 ${6 * burst} 3-${6 * burst} 3 ${4 * burst}`} strokeWidth="1.100" />;
  switch (shape) {
    case "grain":
      return (
        <>
          <ellipse rx={10 * grows} ry={5 * grows * (1 + burst * 0.3)} fill={fill} strokeWidth="1.400" />
          {core > 0 && <ellipse rx={8 * core} ry={3 * core} className="fill-sheet" strokeWidth=".9" strokeDasharray="1.5 1.5" />}
          {open}
        </>
      );
    case "nut":
      return (
        <>
          <path
            d={`M${-10 * grows} 2C${-9 * grows} ${-9 * grows} ${5 * grows} ${-9 * grows} ${11 * grows} 0 ${4 * grows} ${8 * grows} ${-9 * grows} ${8 * grows} ${-10 * grows} 2Z`}
            fill={fill}
            strokeWidth="1.400"
          />
          <path d={`M${-7 * grows} 1q${6 * grows}-3 ${13 * grows}-1`} strokeWidth=".9" />
          {core > 0 && <ellipse rx={7 * core} ry={4 * core} className="fill-sheet" strokeWidth=".9" strokeDasharray="1.5 1.5" />}
          {open}
        </>
      );
    case "round":
      return (
        <>
          <circle r={8.5 * grows} fill={fill} strokeWidth="1.400" />
          {core > 0 && <circle r={7 * core} className="fill-sheet" strokeWidth=".9" strokeDasharray="1.5 1.5" />}
          {open}
        </>
      );
    case "puff":
      return (
        <>
          <path
            d={`M${-8 * grows} 0q${-4 * grows}-${6 * grows} ${3 * grows}-${7 * grows} ${3 * grows}-${5 * grows} ${7 * grows}-${1 * grows} ${7 * grows} 0 ${6 * grows} ${7 * grows} ${1 * grows} ${7 * grows}-${5 * grows} ${7 * grows}-${6 * grows} ${4 * grows}-${9 * grows}-${1 * grows}-${6 * grows}-1-${2 * grows}-${5 * grows}Z`}
            fill={fill}
            strokeWidth="1.400"
          />
          {open}
        </>
      );
    case "shred":
      return (
        <>
          <path d={`M${-11 * grows} -3q${6 * grows}-6 ${11 * grows} 0t${11 * grows} 0`} strokeWidth={5.5 * grows} />
          <path d={`M${-11 * grows} -3q${6 * grows}-6 ${11 * grows} 0t${11 * grows} 0`} stroke={fill} strokeWidth={3 * grows} />
          {core > 0 && <path d={`M${-8 * grows} -4q${5 * grows}-4 ${8 * grows} 1t${8 * grows} 0`} strokeWidth={2.6 * core} />}
          {burst > 0.2 && <path d={`M-4 ${5 * burst}l3 ${3 * burst}M5 ${6 * burst}l3 ${2 * burst}`} strokeWidth="1.100" />}
        </>
      );
  }
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
