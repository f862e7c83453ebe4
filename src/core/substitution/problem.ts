import type { Estimate } from "../numeric";
import type { Reference, ServingTemperature } from "../food";
import type { JudgedLine, Rule } from "../models/diet";
import type { Archetype, BalancedLine, Beside, LineId, ReadRecipe, StepId } from "../recipe";
import type { Limit, Wish } from "../table";
import type { SubstitutionTables } from "./tables";

export interface SourceLine extends BalancedLine {
  readonly id: LineId;
  readonly optional: boolean;
  /** Goes into a caramel: how much of it there is says nothing of how wet the sweet is. */
  readonly inCaramel?: true;
  /** What its words name beside the food; absent in lines that are made of no text. */
  readonly beside?: Beside;
}

/** A recipe's lines and steps in their order: by it they are numbered where something is said of one. */
export interface Order {
  readonly lines: readonly LineId[];
  readonly steps: readonly StepId[];
}

/** A recipe and a table, complete: what versions are worked out for. Lines are already scaled to the servings. */
export interface AdaptationProblem {
  readonly order: Order;
  readonly archetype: Archetype;
  readonly lines: readonly SourceLine[];
  readonly evaporation: Estimate;
  /** Of the evaporation, what lines served apart lose, g. */
  readonly apart: number;
  /** Water that lines take up as they are soaked, g. */
  readonly takenUp: number;
  /** All lines as rules judge them, the unread ones too. */
  readonly judged: readonly JudgedLine[];
  /** What steps name and no line lists. */
  readonly unlisted: ReadRecipe["unlisted"];
  /** Lines whose food or amount is not settled, or that leave a choice, with why. */
  readonly unsettled: readonly { readonly line: LineId; readonly text: string; readonly why: string }[];
  readonly servings: number;
  readonly cookMinutes: number | null;
  readonly serve: ServingTemperature;
  /** Its sugar is boiled until it cracks: nothing moist may come into it after. */
  readonly cracks: boolean;
  /** Somebody who is no more than a child eats of it. */
  readonly children: boolean;
  readonly rules: readonly Rule[];
  readonly limits: readonly Limit[];
  /** What is asked of versions beside these. */
  readonly wishes: readonly Wish[];
  readonly reference: Reference;
  readonly tables: SubstitutionTables;
  readonly maxProposals: number;
  /** Lines that go in only once the pot is parted: here they stay, and they are judged with the portions. */
  readonly parted?: ReadonlySet<LineId>;
  /** What a rule asks about may enter: to see what would fit if the household takes it. */
  readonly takesAsked?: true;
}
