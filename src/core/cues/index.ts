export { cuesOf } from "./cues";
export type { Cue, CueDrawing, CueRow, CueTables, Instrument, Sense, Three } from "./cue";
