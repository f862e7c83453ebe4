import type { Figures } from "../evaluate";
import type { Constants } from "../food";
import type { InPot, PotAt } from "../hazards";
import type { Archetype, StepId } from "../recipe";
import type { CueTables } from "./cue";

/** What cues are told of. */
export interface CueGround {
  /** The steps of a version, each with its pot and its words as they hold now. */
  readonly pots: readonly PotAt[];
  /** Foods that a step names, by step: what is fried and lifted out again goes into no pot there. */
  readonly named: ReadonlyMap<StepId, readonly InPot[]>;
  readonly archetype: Archetype;
  /** All that goes in, g. */
  readonly mass: number;
  /** Of the version as it is meant to be in the end. */
  readonly figures: Pick<Figures, "water" | "body.hot" | "body.chilled">;
  /** Whether it is eaten cold, so that it sets further than it looks. */
  readonly isEatenCold: boolean;
  /** By the recipe's steps, what is left of what was in the pot: as a share of the recipe as handed down, in g where that is known of this version. */
  readonly levels: ReadonlyMap<StepId, { readonly share: number; readonly grams: number | null; readonly isOfRecipe: boolean }>;
  /** How far sugar is browned, where some is: "light", "amber", "dark". */
  readonly caramel: "light" | "amber" | "dark" | null;
  readonly tables: CueTables;
  readonly constants: Pick<Constants, "bodyAnchors" | "process">;
}
