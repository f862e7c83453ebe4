import type { Recipe, RecipeComponent } from "./recipe";

export type ComponentProblem =
  { readonly kind: "goes round"; readonly components: readonly string[] } | { readonly kind: "no such component"; readonly of: string; readonly named: string };

/** How the components of a recipe hang together. */
export interface Structure {
  readonly components: ReadonlyMap<string, RecipeComponent>;
  /** What each goes into; undefined is the sweet itself, where those end that go round, into what is not there, or are served apart. */
  readonly into: ReadonlyMap<string, string | undefined>;
  /** Share of each component that ends on the table, through all that it goes into. */
  readonly share: ReadonlyMap<string, number>;
  /** Components served beside the sweet, with all that goes into them. */
  readonly apart: ReadonlySet<string>;
  readonly problems: readonly ComponentProblem[];
}

/** Follows each component to the sweet it ends in. One that goes round to itself, or into what is not there, is taken into the sweet itself, and told. */
export function structureOf(recipe: Pick<Recipe, "components" | "lines" | "steps">): Structure {
  const components = new Map((recipe.components ?? []).map((component) => [component.id, component] as const));
  const problems: ComponentProblem[] = [];
  const into = new Map<string, string | undefined>();
  const rounds = new Set<string>();
  for (const { id, name, use, into: named } of components.values()) {
    const known = named !== undefined && components.has(named);
    if (named !== undefined && !known) problems.push({ kind: "no such component", of: name, named });
    const round = roundOf(id, components);
    if (round.length > 0 && !rounds.has(id)) problems.push({ kind: "goes round", components: round.map((each) => components.get(each)?.name ?? "") });
    for (const each of round) rounds.add(each);
    into.set(id, known && round.length === 0 && use.kind !== "apart" ? named : undefined);
  }
  for (const { text, component } of [...recipe.lines, ...recipe.steps])
    if (component !== undefined && !components.has(component)) problems.push({ kind: "no such component", of: text, named: component });
  const chainOf = (id: string): RecipeComponent[] => {
    const component = components.get(id);
    const next = into.get(id);
    return component ? [component, ...(next === undefined ? [] : chainOf(next))] : [];
  };
  return {
    components,
    into,
    share: new Map([...components.keys()].map((id) => [id, chainOf(id).reduce((part, { use }) => part * (use.kind === "part" ? use.share : 1), 1)] as const)),
    apart: new Set([...components.keys()].filter((id) => chainOf(id).some(({ use }) => use.kind === "apart"))),
    problems,
  };
}

/** The components that one passes on its way back to itself, itself first; none where it comes to an end. */
function roundOf(id: string, components: ReadonlyMap<string, RecipeComponent>): string[] {
  const passed: string[] = [];
  for (let at: string | undefined = id; at !== undefined && !passed.includes(at); at = components.get(at)?.into) {
    passed.push(at);
    if (components.get(at)?.into === id) return passed;
  }
  return [];
}
