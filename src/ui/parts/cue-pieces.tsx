import type { Filled, Of } from "./cue-parts";

const PLACES = [
  [20, 18],
  [45, 20],
  [31, 34],
  [16, 48],
  [47, 48],
] as const;
/** Five pieces, cut through. */
export function Pieces({ shape, core = 0, swell = 0, burst = 0, fill }: Of<"pieces"> & Filled) {
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
