import type { ViewAnswer, ViewKind } from "../core/views";
import type { HouseRules } from "../core/models/diet";
import type { PantryDocument } from "../core/pantry";
import type { Archetype, Recipe } from "../core/recipe";
import type { AdaptationProblem, Ending, Progress, TradeOff } from "../core/substitution";
import type { Household } from "../core/household";

/** What is asked of a worker; it can be cloned. */
export interface Asked<Question> {
  readonly id: number;
  readonly question: Question;
}

/** What a worker answers: any number of progress messages, then one answer or failure. Cancelling ends the worker. */
export type Reply<Step, Answer> =
  | { readonly kind: "progress"; readonly id: number; readonly progress: Step }
  | { readonly kind: "ended"; readonly id: number; readonly answer: Answer }
  | { readonly kind: "failed"; readonly id: number; readonly why: string };

/** The solver: a whole problem in; out comes its ending, or versions over sweetness and free sugars. */
export interface SolverQuestion {
  readonly of: "versions" | "trade-off";
  readonly problem: AdaptationProblem;
}
export type SolverAnswer = Ending | TradeOff;
export type SolverAsked = Asked<SolverQuestion>;
export type SolverReply = Reply<Progress, SolverAnswer>;

/** What is computed for what is shown: one of the views, and what its question is made of. Of that only what is new to the worker comes along. */
export interface ComputeQuestion {
  readonly kind: ViewKind;
  readonly names: readonly string[];
  /** By name; "sources" is what the household has told of itself. */
  readonly fresh: Readonly<Record<string, unknown>>;
}
export type ComputeAnswer = ViewAnswer<ViewKind>;

/** Reading before anything is kept: a text as it is typed, or recipes of a file, in one kitchen. */
export interface ReadingQuestion {
  readonly of: { readonly kind: "text"; readonly text: string } | { readonly kind: "recipes"; readonly recipes: readonly Recipe[] };
  readonly pantry: PantryDocument;
  readonly household: Household;
  readonly rules: HouseRules;
}
export interface UnderstoodLine {
  readonly text: string;
  /** The food it was read as; null where none is known. */
  readonly food: string | null;
  /** Grams, and how they were reached; null where that is asked about, for the reason in `why`. */
  readonly grams: number | null;
  readonly how: string;
  readonly leftOut: boolean;
  readonly why: string;
}
export interface UnderstoodRecipe {
  readonly title: string;
  /** "6 servings", "20 ladoos". */
  readonly makes: string;
  readonly archetype: Archetype;
  readonly lines: readonly UnderstoodLine[];
  readonly steps: number;
  readonly asked: number;
  readonly notes: string;
}
export interface ReadingAnswer {
  /** None where no recipe can be seen in a text yet. */
  readonly recipes: readonly UnderstoodRecipe[];
  /** What of a text is larger than a recipe may be, in words; empty where nothing is. */
  readonly tooLarge: string;
}
