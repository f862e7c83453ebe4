import type { Role } from "../food";
import type { OwnSteps } from "../method";
import type { LineId } from "../recipe";
import type { VersionRow } from "../substitution";
import type { DiningTable } from "../table";

/** A row as stored: foods by id, and what the recipe's line was at the time, for the servings of the bench. */
export interface StoredRow {
  readonly id: LineId;
  readonly line: LineId | null;
  readonly foodId: string | null;
  readonly grams: number;
  readonly role: Role;
  readonly change: VersionRow["change"];
  readonly why: string;
  /** Null for an added food, and where it was stored before this was. */
  readonly was: { readonly foodId: string; readonly name: string; readonly grams: number } | null;
}

/** A bench as stored, with the table that it was worked out for. */
export interface StoredBench {
  readonly schema: 3;
  readonly madeFor: Pick<DiningTable, "rules" | "limits" | "servings" | "serve">;
  readonly byHand: boolean;
  readonly label: string;
  readonly evaporation: number;
  readonly from?: string;
  /** What the maker has set of its steps. */
  readonly steps?: OwnSteps;
  /** What of this batch is done in another way than the household usually does it, or than is written. */
  readonly ways?: Readonly<Record<string, string>>;
  readonly rows: readonly StoredRow[];
}
