import type { KeptFigures, KeptPropertyId } from "../evaluate";
import { strictestVerdict } from "../models/diet";
import type { LineId } from "../recipe";
import { wishText, type GoalId, type Wish } from "../table";
import { cooledState } from "./cooled";
import type { AdaptationProblem } from "./problem";
import type { Version } from "./version";

type Goal = Extract<Wish, { kind: "goal" }>;
const isKind =
  <Kind extends Wish["kind"]>(kind: Kind) =>
  (wish: Wish): wish is Extract<Wish, { kind: Kind }> =>
    wish.kind === kind;

/** What is asked of a problem's lines, foods and figures, by what it is about. */
export interface Asked {
  readonly stays: ReadonlySet<LineId>;
  readonly leaves: ReadonlySet<LineId>;
  readonly lineMost: ReadonlyMap<LineId, number>;
  readonly never: ReadonlySet<string>;
  readonly goesIn: ReadonlyMap<string, number>;
  readonly goals: readonly Goal[];
  readonly mostCost: number | null;
}

export function askedOf({ wishes, parted }: Pick<AdaptationProblem, "wishes" | "parted">): Asked {
  return {
    stays: new Set([...wishes.filter(isKind("line stays")).map(({ line }) => line), ...(parted ?? [])]),
    leaves: new Set(wishes.filter(isKind("line leaves")).map(({ line }) => line)),
    lineMost: new Map(wishes.filter(isKind("line at most")).map(({ line, grams }) => [line, grams] as const)),
    never: new Set(wishes.filter(isKind("food never")).map(({ food }) => food)),
    goesIn: new Map(wishes.filter(isKind("food goes in")).map(({ food, grams }) => [food, grams] as const)),
    goals: wishes.filter(isKind("goal")),
    mostCost: wishes.find(isKind("cost at most"))?.most ?? null,
  };
}

/** The other heat at which a sweetness that is asked for holds too: else a sugar that is sweeter cold would meet it on paper. */
export const otherServe = ({ serve }: Pick<AdaptationProblem, "serve">): "hot" | "chilled" => (serve === "chilled" ? "hot" : "chilled");

/** The figures that a goal is held to: sweetness hot and cold. */
const goalFigures = (goal: GoalId, problem: Pick<AdaptationProblem, "serve" | "archetype">): readonly KeptPropertyId[] =>
  goal === "sweetness" ? [goalProperty(goal, problem), `sweetness.${otherServe(problem)}`] : [goalProperty(goal, problem)];

/** The figure that a goal is about. */
export function goalProperty(goal: GoalId, problem: Pick<AdaptationProblem, "serve" | "archetype">): KeptPropertyId {
  switch (goal) {
    case "sweetness":
      return `sweetness.${problem.serve}`;
    case "body":
      return `body.${cooledState(problem)}`;
    case "richness":
      return "richness";
    case "fibre":
    case "protein":
      return `serving.${goal}`;
  }
}

/** Between what a figure is to lie. "Lower" and "raise" are by half as much again as is noticed; fibre and protein by a quarter, and a gram. */
export function goalBounds(
  { goal, aim, value }: Goal,
  own: number,
  { reference }: Pick<AdaptationProblem, "reference">,
): readonly [least: number, most: number] {
  const { sweetness, body, richness, richnessFloor } = reference.constants.noticeable.value;
  const step =
    CLEARLY *
    (goal === "sweetness"
      ? sweetness * own
      : goal === "body"
        ? body
        : goal === "richness"
          ? Math.max(richness * own, richnessFloor)
          : Math.max(1, own / 4) / CLEARLY);
  switch (aim) {
    case "lower":
      return [-Infinity, Math.max(0, own - step)];
    case "raise":
      return [own + step, Infinity];
    case "as it is":
      return [own - PINNED[goal] * Math.max(own, 1), own + PINNED[goal] * Math.max(own, 1)];
    case "at most":
      return [-Infinity, value ?? own];
    case "at least":
      return [value ?? own, Infinity];
  }
}
const CLEARLY = 1.5;
/** What is pinned moves by no more than this, as a share. */
const PINNED: Readonly<Record<GoalId, number>> = { sweetness: 0.04, body: 0.05, richness: 0.05, fibre: 0.1, protein: 0.1 };

/** What rounding and the models' own curves may take from a goal, as a share of it. */
const MISS = 0.03;
/** Steps of body: its scale is curved, and the programme holds a line to it. */
const BODY_MISS = 0.25;

/** Goals that a version misses all the same: it is then not shown. */
export function missedGoals(problem: AdaptationProblem, recipe: KeptFigures, version: KeptFigures): readonly Goal[] {
  return askedOf(problem).goals.filter((each) => {
    const at = recipe[goalProperty(each.goal, problem)].value;
    const bounds = goalBounds(each, at, problem);
    return goalFigures(each.goal, problem).some((id) => {
      const [least, most] = bounds.map((bound) => (Number.isFinite(bound) && at > 0 ? (bound / at) * recipe[id].value : bound)) as [number, number];
      const slack = each.goal === "body" ? BODY_MISS : MISS * Math.max(1, Math.min(Math.abs(least), Math.abs(most)));
      return version[id].value < least - slack || version[id].value > most + slack;
    });
  });
}

/** Whether the food of a serving costs more than is asked, by what has a price. */
export function isTooDear({ wishes, servings }: Pick<AdaptationProblem, "wishes" | "servings">, { rows }: Version): boolean {
  const most = wishes.find(isKind("cost at most"))?.most;
  const cost = rows.reduce((sum, { food, grams }) => sum + grams * (food?.pricePerGram ?? 0), 0);
  return most !== undefined && cost > most * servings * (1 + MISS);
}

/** A wish that cannot be, and why. */
export interface WishClash {
  readonly wish: Wish;
  readonly words: string;
}

/** Wishes that contradict a rule or each other: told before anything is solved. */
export function wishClashes(problem: AdaptationProblem): readonly WishClash[] {
  const { lines, rules, reference, wishes } = problem;
  const asked = askedOf(problem);
  const avoiding = (food: (typeof lines)[number]["food"]) => rules.filter((rule) => strictestVerdict(food, [rule]) === "avoid").map(({ short }) => short);
  return wishes.flatMap((wish): WishClash[] => {
    const words = wishWords(wish, problem);
    switch (wish.kind) {
      case "line stays": {
        const line = lines.find(({ id }) => id === wish.line);
        const by = line ? avoiding(line.food) : [];
        return by.length > 0 ? [{ wish, words: `${words}, and this table leaves it out: ${by.join(", ")}` }] : [];
      }
      case "food goes in": {
        const food = reference.foods.get(wish.food);
        if (!food) return [{ wish, words: `${words}, and this food is not in the pantry any more` }];
        const by = avoiding(food);
        return by.length > 0 ? [{ wish, words: `${words}, and this table leaves it out: ${by.join(", ")}` }] : [];
      }
      case "food never": {
        const line = lines.find(({ id, food }) => food.id === wish.food && asked.stays.has(id));
        return line ? [{ wish, words: `${words}, and its line is to stay` }] : [];
      }
      default:
        return [];
    }
  });
}

/** A wish in the words of the problem's own lines and foods. */
export const wishWords = (wish: Wish, { lines, reference }: Pick<AdaptationProblem, "lines" | "reference">): string =>
  wishText(wish, {
    line: (id) => lines.find((line) => line.id === id)?.food.name.toLowerCase() ?? "a line that is gone",
    food: (id) => (reference.foods.get(id) ?? lines.find(({ food }) => food.id === id)?.food)?.name.toLowerCase() ?? "a food that is gone",
    currency: "",
  });
