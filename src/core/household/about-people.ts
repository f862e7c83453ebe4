/** How much of what is kept is about people. */
export interface AboutPeople {
  readonly eaters: number;
  /** Of them, with something that they leave out, and with a note. */
  readonly withRules: number;
  readonly withNotes: number;
  /** What was said of batches, and of it by guests, by name. */
  readonly tastings: number;
  readonly byGuests: number;
  readonly answers: number;
  readonly tries: number;
  readonly pictures: number;
  /** Notes at the stove, and recipes with notes of their own. */
  readonly stoveNotes: number;
  readonly recipeNotes: number;
}
