import type { TriangleTold } from "../../../core/sensory";

/** One of the two sweets of a test. */
export interface SampleData {
  readonly batch: string;
  readonly title: string;
  readonly label: string | null;
  /** When it was made, in words. */
  readonly made: string;
}
/** How the two are called on the sheets. */
export const SAMPLES = ["A", "B"] as const;
export const sampleWords = ({ title, label, made }: SampleData): string => `${title}, ${label === null ? "as handed down" : `“${label}”`}, ${made}`;

/** What was chosen of a set of cups, shown once the test is over. */
export interface ChosenData {
  readonly id: string;
  readonly place: number;
  readonly name: string;
  readonly code: string;
  readonly isRight: boolean;
  readonly saw: boolean;
}
export interface OverData {
  readonly told: TriangleTold;
  readonly answers: readonly ChosenData[];
}
