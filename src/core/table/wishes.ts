/** What of a sweet a goal can be set for: sweetness as sugar and richness in g per 100 g, body in steps, the others in g a serving. */
export const GOALS = ["sweetness", "body", "richness", "fibre", "protein"] as const;
export type GoalId = (typeof GOALS)[number];
export const AIMS = ["lower", "raise", "as it is", "at most", "at least"] as const;
export type Aim = (typeof AIMS)[number];

/** One thing that is asked of versions beside rules and limits. Lines and foods by their ids. */
export type Wish =
  /** As handed down, to the gram. */
  | { readonly kind: "line stays"; readonly line: string }
  | { readonly kind: "line leaves"; readonly line: string }
  /** g, of what is made. */
  | { readonly kind: "line at most"; readonly line: string; readonly grams: number }
  | { readonly kind: "food never"; readonly food: string }
  /** At least so many g of it; where 0, some. */
  | { readonly kind: "food goes in"; readonly food: string; readonly grams: number }
  /** `value` is there for "at most" and "at least", in the goal's unit. */
  | { readonly kind: "goal"; readonly goal: GoalId; readonly aim: Aim; readonly value: number | null }
  /** The food of a serving, in the household's currency. */
  | { readonly kind: "cost at most"; readonly most: number };

export const GOAL_NAMES: Readonly<Record<GoalId, { readonly name: string; readonly unit: string; readonly per: string }>> = {
  sweetness: { name: "sweetness", unit: "g", per: "as sugar per 100 g" },
  body: { name: "body", unit: "", per: "on the scale of body" },
  richness: { name: "richness", unit: "g", per: "fat per 100 g" },
  fibre: { name: "fibre", unit: "g", per: "a serving" },
  protein: { name: "protein", unit: "g", per: "a serving" },
};

/** What a wish is about: of two about the same, the later one holds. */
const about = (wish: Wish): string =>
  "line" in wish ? `line ${wish.line}` : "food" in wish ? `food ${wish.food}` : wish.kind === "goal" ? `goal ${wish.goal}` : wish.kind;

/** Wishes with one more; what was asked of the same before gives way. */
export const withWish = (wishes: readonly Wish[], wish: Wish): readonly Wish[] => [...withoutWish(wishes, wish), wish];
export const withoutWish = (wishes: readonly Wish[], wish: Wish): readonly Wish[] => wishes.filter((each) => about(each) !== about(wish));

interface WishNames {
  readonly line: (id: string) => string;
  readonly food: (id: string) => string;
  readonly currency: string;
}

/** A wish in words: "semolina stays as it is". */
export function wishText(wish: Wish, names: WishNames): string {
  switch (wish.kind) {
    case "line stays":
      return `${names.line(wish.line)} stays as it is`;
    case "line leaves":
      return `no ${names.line(wish.line)}`;
    case "line at most":
      return `at most ${wish.grams} g ${names.line(wish.line)}`;
    case "food never":
      return `never ${names.food(wish.food)}`;
    case "food goes in":
      return wish.grams > 0 ? `at least ${wish.grams} g ${names.food(wish.food)}` : `${names.food(wish.food)} goes in`;
    case "goal": {
      const { name, unit, per } = GOAL_NAMES[wish.goal];
      if (wish.aim === "lower") return `less ${name}`;
      if (wish.aim === "raise") return `more ${name}`;
      return wish.aim === "as it is" ? `${name} as it is` : `${name} ${wish.aim} ${wish.value ?? 0} ${unit} ${per}`.replace(/ {2,}/g, " ");
    }
    case "cost at most":
      return `at most ${wish.most} ${names.currency} a serving`.replace(/ {2,}/g, " ");
  }
}
