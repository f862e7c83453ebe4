import { many, spread, type Filled, type Of } from "./cue-parts";

export function Pan({ contents, bubbles = 0, trail = 0, away = 0, fat = 0, fill }: Of<"pan"> & Filled) {
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

export function Pot({ level, from, foam = 0, steam = 0, fill }: Of<"pot"> & Filled) {
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
export function Spoon({ body, fill }: Of<"spoon"> & Filled) {
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
