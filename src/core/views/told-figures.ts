import type { Constants } from "../food";
import { qualitiesOf, whyUnknown, type EvaluationInput, type KeptFigures, type PropertyId, type Qualities } from "../evaluate";
import { costOf, type Cost } from "../models/cost";

/** A sweet's figures, what is told of it in words, and what it costs. */
export interface ToldFigures {
  readonly figures: KeptFigures;
  readonly qualities: Qualities;
  /** Figures that cannot be told of it, and why. */
  readonly unknown: Readonly<Partial<Record<PropertyId, string>>>;
  readonly cost: Cost | null;
  readonly servings: number;
}

export const toldFigures = ({ input, figures }: { readonly input: EvaluationInput; readonly figures: KeptFigures }, constants: Constants): ToldFigures => ({
  figures,
  qualities: qualitiesOf(input, figures, constants),
  unknown: whyUnknown(input, constants),
  cost: costOf(input.lines),
  servings: input.servings,
});
