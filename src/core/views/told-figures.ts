import type { Constants } from "../food";
import { qualitiesOf, whyUnknown, type EvaluationInput, type KeptFigures, type PropertyId, type Qualities } from "../evaluate";
import type { ReadRecipe } from "../recipe";
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

/** Whether all that a recipe says goes in is read, and among its lines. */
export const isReadWhole = ({ unresolved, unlisted }: Pick<ReadRecipe, "unresolved" | "unlisted">): boolean => unresolved.length === 0 && unlisted.length === 0;

export const toldFigures = (
  { input, figures }: { readonly input: EvaluationInput; readonly figures: KeptFigures },
  isWhole: boolean,
  constants: Constants,
): ToldFigures => ({
  figures,
  qualities: qualitiesOf(input, figures, isWhole, constants),
  unknown: whyUnknown(input, constants),
  cost: costOf(input.lines),
  servings: input.servings,
});
