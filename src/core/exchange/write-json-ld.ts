import type { Recipe } from "../recipe";

/**
 * A recipe as schema.org JSON-LD: name, yield, the lines as written, the steps. What is left out, and the writer's notes,
 * are not in it; what is settled by hand has no place in the format.
 */
export const writeJsonLd = (recipe: Recipe): object => ({
  "@context": "https://schema.org",
  "@type": "Recipe",
  name: recipe.title,
  recipeYield: `${recipe.servings} servings`,
  recipeIngredient: recipe.lines.filter(({ choice }) => !choice.leftOut).map(({ text }) => text),
  recipeInstructions: recipe.steps.map((text) => ({ "@type": "HowToStep", text })),
});
