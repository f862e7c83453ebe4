import type { Recipe } from "./recipe";

/** How large a recipe may be: one set of limits for what is pasted, sent, opened, stored, backed up and restored. */
export const RECIPE_LIMITS = {
  titleCharacters: 200,
  servings: 1000,
  lines: 100,
  lineCharacters: 2000,
  steps: 400,
  stepCharacters: 5000,
  components: 30,
  componentCharacters: 100,
  tags: 30,
  tagCharacters: 40,
  notesCharacters: 20_000,
  /** Of all lines, steps and notes together. */
  characters: 200_000,
} as const;

export type RecipeLimits = Readonly<Record<keyof typeof RECIPE_LIMITS, number>>;

/** What earlier versions took in one way or another, and keep: it is read, backed up and restored, and has to be shortened before it is saved again. */
export const STORED_RECIPE_LIMITS: RecipeLimits = {
  titleCharacters: 200,
  servings: Number.MAX_VALUE,
  lines: 400,
  lineCharacters: 5000,
  steps: 100_000,
  stepCharacters: 5_000_000,
  components: 1000,
  componentCharacters: 1000,
  tags: 100,
  tagCharacters: 200,
  notesCharacters: 5_000_000,
  characters: 16_000_000,
};

/** What of a recipe is larger than it may be, and where (JSON pointer). */
export interface OverLimit {
  readonly pointer: string;
  readonly detail: string;
}

const counted = (value: number) => String(value).replace(/(\d)(?=(?:\d{3}){1,3}$)/g, "$1,");

/** All that is larger than a recipe here may be; none where it fits. Its shape is taken as given. */
export function overLimits({ title, servings, lines, steps, components = [], tags = [], notes = "" }: Recipe): readonly OverLimit[] {
  const found: OverLimit[] = [];
  const most = (pointer: string, value: number, limit: number, what: string) => {
    if (value > limit) found.push({ pointer, detail: `${what}: ${counted(value)}; at most ${counted(limit)}.` });
  };
  const L = RECIPE_LIMITS;
  most("/title", title.length, L.titleCharacters, "Characters in the title");
  most("/servings", servings, L.servings, "Servings");
  most("/lines", lines.length, L.lines, "Ingredient lines");
  most("/steps", steps.length, L.steps, "Steps");
  most("/components", components.length, L.components, "Parts made on their own");
  most("/tags", tags.length, L.tags, "Words it is found by");
  most("/notes", notes.length, L.notesCharacters, "Characters of notes");
  lines.forEach(({ text }, i) => most(`/lines/${i}/text`, text.length, L.lineCharacters, `Characters in ingredient line ${i + 1}`));
  steps.forEach(({ text }, i) => most(`/steps/${i}/text`, text.length, L.stepCharacters, `Characters in step ${i + 1}`));
  components.forEach(({ name }, i) => most(`/components/${i}/name`, name.length, L.componentCharacters, `Characters in the name of part ${i + 1}`));
  tags.forEach((tag, i) => most(`/tags/${i}`, tag.length, L.tagCharacters, `Characters in word ${i + 1}`));
  const characters = [...lines, ...steps].reduce((sum, { text }) => sum + text.length, notes.length);
  most("", characters, L.characters, "Characters in all");
  return found;
}
