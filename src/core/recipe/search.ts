/** What recipes are looked for by; what is empty or null does not count. */
export interface RecipeSearch {
  /** In the title or the names of the foods, whatever its case. */
  readonly words: string;
  readonly foodId: string | null;
  /** Rules that it already meets, all of them. */
  readonly diets: readonly string[];
  readonly tag: string | null;
  /** Ready within so many minutes. */
  readonly minutes: number | null;
}
