import type { CueDrawing, Instrument } from "../../core/cues";

/** Of the one instrument, what is drawn. */
export type Of<Kind extends Instrument> = Extract<CueDrawing, { readonly instrument: Kind }>;
export interface Filled {
  /** What is in it: the colour of its shade, or brass where colour tells nothing. */
  readonly fill: string;
}

/** Points spread evenly over a disc, the same each time (by the golden angle). */
export const spread = (count: number, radius: number): readonly (readonly [x: number, y: number])[] =>
  Array.from({ length: count }, (_, i) => {
    const r = radius * Math.sqrt((i + 0.5) / count);
    return [32 + r * Math.cos(2.399963 * i), 32 + r * Math.sin(2.399963 * i)] as const;
  });
export const many = (share: number, most: number): number => Math.round(Math.max(0, Math.min(1, share)) * most);
