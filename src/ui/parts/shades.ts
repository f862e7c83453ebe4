/** Colours of sweets from white (0) to dark (5), as they look by daylight: drawn by eye, the same by day and by night. */
const SHADES = ["#f6f1e4", "#ecd9ae", "#d7a452", "#a9652b", "#6a3d20", "#2f1d17"] as const;

const channels = (hex: string): readonly [number, number, number] => [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16)) as [number, number, number];

/** The colour of a shade between two of the scale. */
export function shadeColour(step: number): string {
  const at = Math.max(0, Math.min(SHADES.length - 1, step));
  const [low, high] = [channels(SHADES[Math.floor(at)] ?? SHADES[0]), channels(SHADES[Math.ceil(at)] ?? SHADES[0])];
  const part = at - Math.floor(at);
  return `#${low
    .map((from, i) =>
      Math.round(from + ((high[i] ?? from) - from) * part)
        .toString(16)
        .padStart(2, "0"),
    )
    .join("")}`;
}

/** The shade of the scale that a colour is nearest to, by steps of a tenth, and how far off it is, 0 to 1. */
export function nearestShade(hex: string): { readonly step: number; readonly off: number } {
  const of = channels(hex);
  const steps = Array.from({ length: 10 * (SHADES.length - 1) + 1 }, (_, i) => i / 10);
  return steps
    .map((step) => ({ step, off: Math.hypot(...channels(shadeColour(step)).map((each, i) => each - (of[i] ?? 0))) / (255 * Math.sqrt(3)) }))
    .reduce((best, each) => (each.off < best.off ? each : best));
}
