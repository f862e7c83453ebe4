/** What is asked of a sweet: each from much too little over just right to much too much. */
export const ATTRIBUTES = ["sweetness", "body", "richness", "aroma", "grain", "binding"] as const;
export type Attribute = (typeof ATTRIBUTES)[number];

/** Five steps: -2 much too little, 0 just right, 2 much too much. */
export const STEPS = [-2, -1, 0, 1, 2] as const;
export type Step = (typeof STEPS)[number];

/** How each is called, and what its ends are. */
export const ATTRIBUTE_WORDS: Readonly<Record<Attribute, { readonly name: string; readonly little: string; readonly much: string }>> = {
  sweetness: { name: "Sweetness", little: "not sweet enough", much: "too sweet" },
  body: { name: "Body", little: "too thin", much: "too thick" },
  richness: { name: "Richness", little: "too lean", much: "too rich" },
  aroma: { name: "Aroma", little: "too faint", much: "too strong" },
  grain: { name: "Grain", little: "too smooth", much: "too coarse" },
  binding: { name: "How it holds", little: "too crumbly", much: "too hard" },
};
/** What is asked of a sweet that is spooned, and of one that is shaped. */
export const asked = (isBound: boolean): readonly Attribute[] =>
  ATTRIBUTES.filter((each) => each !== (isBound ? "body" : "binding") && (!isBound || each !== "grain"));

/** A step in words: "much too sweet", "a little too thin", "just right". */
export function stepWords(attribute: Attribute, step: Step): string {
  if (step === 0) return "just right";
  const { little, much } = ATTRIBUTE_WORDS[attribute];
  const end = step < 0 ? little : much;
  const how = Math.abs(step) === 2 ? "much" : "a little";
  return end.startsWith("not ") ? (how === "much" ? `not nearly ${end.slice(4)}` : `not quite ${end.slice(4)}`) : `${how} ${end}`;
}

/** What somebody said of a sweet: each step, and the liking, null where it was left out. */
export interface TastingAnswer {
  readonly steps: Readonly<Partial<Record<Attribute, Step>>>;
  /** 1 (dislike extremely) to 9 (like extremely). */
  readonly liking: number | null;
  readonly word: string;
}
export const LIKING = { least: 1, most: 9 } as const;
export const LIKING_WORDS = [
  "dislike it extremely",
  "dislike it very much",
  "dislike it",
  "dislike it slightly",
  "neither like nor dislike it",
  "like it slightly",
  "like it",
  "like it very much",
  "like it extremely",
] as const;

/** How many said that of an attribute. */
export interface Counted {
  readonly attribute: Attribute;
  readonly little: number;
  readonly right: number;
  readonly much: number;
}
/** Plain counts, of what anybody answered. */
export function counted(answers: readonly TastingAnswer[]): readonly Counted[] {
  return ATTRIBUTES.flatMap((attribute): Counted[] => {
    const steps = answers.flatMap(({ steps: of }) => (of[attribute] === undefined ? [] : [of[attribute]]));
    if (steps.length === 0) return [];
    const count = (is: (step: Step) => boolean) => steps.filter(is).length;
    return [{ attribute, little: count((step) => step < 0), right: count((step) => step === 0), much: count((step) => step > 0) }];
  });
}

/** What was said, in a line: how many, how much they like it on average, and of each attribute who found it off. Empty where nobody tasted it. */
export function saidWords(answers: readonly TastingAnswer[]): string {
  if (answers.length === 0) return "";
  const likings = answers.flatMap(({ liking }) => (liking === null ? [] : [liking]));
  const off = counted(answers).flatMap(({ attribute, little, much }) =>
    [
      [little, ATTRIBUTE_WORDS[attribute].little],
      [much, ATTRIBUTE_WORDS[attribute].much],
    ].flatMap(([count, words]) => (Number(count) > 0 ? [`${count} ${words}`] : [])),
  );
  const liked = likings.length === 0 ? [] : [`liking ${formatLiking(likings)} of ${LIKING.most}`];
  return `${answers.length} tasted it${[...liked, ...off].map((each) => `, ${each}`).join("")}`;
}
const formatLiking = (likings: readonly number[]): string => String(Math.round((10 * likings.reduce((sum, each) => sum + each, 0)) / likings.length) / 10);

/** Whether somebody says the same end of everything: that tells of the day, or of them, more than of the sweet. */
export function isAllOneEnd({ steps }: Pick<TastingAnswer, "steps">): boolean {
  const all = Object.values(steps);
  return all.length >= 3 && all.every((step) => Math.abs(step) === 2 && step === all[0]);
}
