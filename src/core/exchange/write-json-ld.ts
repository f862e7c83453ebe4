import { yieldText, type Recipe } from "../recipe";

/**
 * A recipe as schema.org JSON-LD: name, yield, the lines as written, the steps. What is left out, and the writer's notes,
 * are not in it; what is settled by hand has no place in the format.
 */
export const writeJsonLd = (recipe: Recipe): object => ({
  "@context": "https://schema.org",
  "@type": "Recipe",
  name: recipe.title,
  recipeYield: recipe.makes ? [yieldText({ ...recipe, servings: recipe.makes.count }), `${recipe.servings} servings`] : `${recipe.servings} servings`,
  recipeIngredient: recipe.lines.filter(({ choice }) => !choice.leftOut).map(({ text }) => text),
  recipeInstructions: sectionsOf(recipe),
});

/** Steps of one part after another, each part a section; steps of the sweet itself stand alone. */
function sectionsOf(recipe: Recipe): object[] {
  const names = new Map((recipe.components ?? []).map(({ id, name }) => [id, name] as const));
  const sections: { readonly name: string | undefined; readonly steps: object[] }[] = [];
  for (const { text, component } of recipe.steps) {
    if (text.trim() === "") continue;
    const name = component === undefined ? undefined : names.get(component);
    const last = sections.at(-1);
    const section = last && last.name === name ? last : { name, steps: [] };
    if (section !== last) sections.push(section);
    section.steps.push({ "@type": "HowToStep", text });
  }
  return sections.flatMap(({ name, steps }) => (name === undefined ? steps : [{ "@type": "HowToSection", name, itemListElement: steps }]));
}
