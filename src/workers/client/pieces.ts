/** A part of what is made ready before a page, small enough not to hold the browser up; it may come with parts of its own. */
export type Piece = () => Promise<readonly (() => void | Promise<void>)[] | object>;

/** The tables and the code that pages compute with: pieces of a row rest only on those of the rows before, and are fetched at once. */
export const TABLES: readonly (readonly Piece[])[] = [
  [
    () => import("../../data/foods/foods-1.json"),
    () => import("../../data/foods/foods-2.json"),
    () => import("../../data/foods/foods-3.json"),
    () => import("../../data/foods/foods-4.json"),
    () => import("../../core/recipe"),
  ],
  [() => import(".")],
];

/** For pages that read a recipe: that, and a first use of it. */
export const READING: readonly (readonly Piece[])[] = [...TABLES, [async () => (await import("./rehearse")).REHEARSAL]];
