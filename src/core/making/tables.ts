import type { BoilingPoints } from "../process";

/** Shares of a material that can leave it with the water, 0 to 1, by component. */
export interface Leaving {
  readonly fat: number;
  readonly protein: number;
  readonly starch: number;
  readonly sugars: number;
}

/** A thing that milk is pressed from. Hours of soaking, grams per gram of the dry material, days of keeping. */
export interface MilkMaterial {
  readonly foodId: string;
  /** The milk's own name: "oat milk". */
  readonly milk: string;
  readonly leaving: Leaving;
  /** g of liquid that a gram of pressed-out solids holds, squeezed hard. */
  readonly holds: number;
  /** Fitted on kitchen outcomes, or taken from a material like it. */
  readonly basis: "fitted" | "likeness";
  /** Half the 80 % interval of what it gives, as a share. */
  readonly share: number;
  /** Usual water of each press, g per g. */
  readonly presses: readonly number[];
  /** Per cent of water it is used at, where the table's food is drier than what kitchens grind. */
  readonly waterAsUsed: number | null;
  readonly soak: {
    readonly least: number;
    readonly usual: number;
    readonly most: number;
    readonly swells: number;
    readonly short: string;
    readonly over: string;
  } | null;
  readonly heat: string;
  readonly keeps: string;
  readonly uses: readonly string[];
  /** Foods whose traits milk and pulp share: how they thicken, what sugars count as. */
  readonly milkLike: string;
  readonly pulpLike: string;
  /** A packed drink to hold it beside. */
  readonly packed: string | null;
}

export interface FruitPaste {
  readonly foodId: string;
  readonly name: string;
  /** Usual water, g per g of fruit. */
  readonly water: number;
  readonly like: string;
  readonly soak: string;
  readonly keeps: string;
}

export interface SyrupSugar {
  readonly foodId: string;
  readonly name: string;
  /** Share of it that a cloth holds back, with what clings. */
  readonly grit: number;
  readonly keeps: string;
}

export interface CaramelStage {
  readonly id: "light" | "amber" | "dark";
  readonly celsius: number;
  /** Share of its sweetness that is lost. */
  readonly lost: number;
  /** Share of its mass that goes as water of the reaction. */
  readonly mass: number;
  readonly colour: string;
  readonly bitterness: string;
  readonly cue: string;
}

export interface RoastStage {
  readonly id: "pale" | "golden" | "deep";
  /** Per cent of moisture left. */
  readonly moisture: number;
  readonly cue: string;
}

/** How strong a syrup is boiled: from so many per cent of solids. */
export interface SyrupStage {
  readonly from: number;
  readonly name: string;
  readonly cue: string;
}

/** All that making a food at home rests on; lives in `src/data`, reaches core as an argument. */
export interface MakingTables {
  readonly milks: readonly MilkMaterial[];
  /** Share that leaves of what `Leaving` does not name. */
  readonly leavingOthers: {
    readonly solubleFibre: number;
    readonly insolubleFibre: number;
    readonly ash: number;
    readonly soluble: number;
    readonly bound: number;
  };
  readonly handlingLoss: number;
  /** How much more a loosely squeezed pulp holds. */
  readonly looselyHolds: number;
  /** Milk of fewer per cent of solids is for drinking, of more is thick. */
  readonly strengths: { readonly drinking: number; readonly thick: number };
  readonly extractionSource: string;
  readonly pulpKeeps: string;
  readonly pastes: readonly FruitPaste[];
  readonly syrups: readonly SyrupSugar[];
  readonly syrupLike: string;
  readonly boiling: BoilingPoints;
  readonly boilingSource: string;
  readonly syrupStages: readonly SyrupStage[];
  /** Boiling syrup and caramel burn: said wherever they are made. */
  readonly syrupCare: string;
  /** Foods that are caramelised, by id. */
  readonly caramelSugars: readonly string[];
  readonly caramel: readonly CaramelStage[];
  readonly caramelSource: string;
  readonly caramelCare: string;
  readonly caramelKeeps: string;
  readonly roasts: readonly RoastStage[];
  readonly roastSource: string;
  readonly roastHow: string;
  readonly roastKeeps: string;
}
