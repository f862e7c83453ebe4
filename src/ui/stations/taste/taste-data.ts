import type { ServingTemperature } from "../../../core/food";
import type { TastingAnswer } from "../../../core/sensory";

/** What somebody said, as the page has it. */
export interface TastingData {
  readonly id: string;
  readonly eaterId: string | null;
  readonly name: string;
  readonly isGuest: boolean;
  readonly served: ServingTemperature;
  readonly answer: TastingAnswer;
  /** When, in words, and how long after it was done, minutes. */
  readonly when: string;
  readonly after: number;
}

/** Who is asked now. */
export interface Taster {
  readonly eater: string | null;
  readonly guest: { readonly name: string; readonly rules: readonly string[]; readonly other: string } | null;
  readonly name: string;
  /** What had to be asked before is settled. */
  readonly isSettled: boolean;
}

export const SERVED_WORDS: Readonly<Record<ServingTemperature, string>> = { hot: "hot", warm: "warm", room: "at room temperature", chilled: "chilled" };
