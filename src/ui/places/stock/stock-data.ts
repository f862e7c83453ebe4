import type { InStock, StockMove } from "../../../core/stock";

export interface StockRowData extends InStock {
  readonly revision: number;
  /** The batch that it was left over from. */
  readonly batchId: string | null;
}
export interface MoveData extends StockMove {
  readonly name: string;
  readonly batch: { readonly id: string; readonly title: string } | null;
  /** When, in words. */
  readonly when: string;
}

/** Does something to the stock, then shows it as it is; why it could not be done, else null. */
export type Change = (work: () => Promise<unknown>) => Promise<string | null>;
