import { openInWays, openTable, type Kitchen } from "../kitchen";
import type { Archetype, Recipe } from "../recipe";
import { changedShare, insideCount, suitOf, whyNone, type AdaptationProblem, type Ending, type Suit } from "../substitution";
import { LIMIT_NAMES, type DiningTable } from "../table";
import { formatNumber } from "../units";
import { withoutStrays } from "./bench-ending";
import { groundFor } from "./bench-ground";

/** A recipe of the library at a table that is asked for. */
export interface SuitQuestion {
  readonly recipe: Recipe;
  readonly table: DiningTable;
}

/** How a recipe of the library stands to a table, in words. */
export interface ToldSuit {
  readonly archetype: Archetype;
  readonly kind: Suit["kind"];
  /** The least of it that has to change, a share; 0 where nothing has to. */
  readonly least: number;
  readonly why: string;
}

/** A recipe of the library at the table that is asked for. */
export interface SuitRow extends ToldSuit {
  readonly id: string;
  readonly title: string;
  /** There where foods have to change: what the solver is asked with. */
  readonly recipe?: Recipe;
}
export type SuitLine =
  | { readonly kind: "progress"; readonly done: number; readonly of: number }
  /** All that were looked at, those that fit first, then by how little has to change; of how many in all. */
  | { readonly kind: "ended"; readonly rows: readonly SuitRow[]; readonly of: number };

/** A version of it that was worked out for the table, or why there is none. */
export type ToldSuited =
  | {
      readonly kind: "version";
      /** Of what goes in, what leaves, a share. */
      readonly changed: number;
      readonly inside: number;
      readonly of: number;
      /** What it exchanges, with grams. */
      readonly exchanges: string;
      /** What is still to ask before it fits, in sentences. */
      readonly questions: readonly string[];
    }
  | { readonly kind: "none"; readonly why: string };

/**
 * A table as it is set for another recipe: who eats and what they leave stays; how much is made is that recipe's own batch, and
 * what is asked of versions was asked of this one's own lines and figures.
 */
export function tableFor(recipe: Pick<Recipe, "servings">, { otherSweets: _, wishes: __, ...table }: DiningTable): DiningTable {
  return { ...table, servings: recipe.servings, batch: "recipe" };
}

/** Figures a serving, as limits are told. */
const amountWords = (value: number): string => (value < 10 ? value.toFixed(1) : formatNumber(Math.round(value)));

/** How a recipe stands to a table, told without a solver. */
export function suitView({ recipe, table }: SuitQuestion, kitchen: Kitchen): ToldSuit {
  const { read } = openInWays(recipe, undefined, kitchen);
  const suit = suitOf(openTable(read, tableFor(recipe, table), kitchen));
  return { archetype: read.archetype, kind: suit.kind, least: suit.kind === "to adapt" ? suit.least : 0, why: suitWords(suit) };
}

function suitWords(suit: Suit): string {
  switch (suit.kind) {
    case "fits":
      return "";
    case "cannot tell":
      return suit.questions.join(" ");
    case "by hand":
      return suit.why;
    case "to adapt": {
      const over = suit.over.map(({ limit, value }) => {
        const { name, unit } = LIMIT_NAMES[limit.id];
        return `${name} ${amountWords(value)} ${unit} a serving, over ${formatNumber(limit.most)}`.replace("  ", " ");
      });
      return [suit.leaving.map((name) => name.toLowerCase()).join(", "), ...over].filter(Boolean).join("; ");
    }
  }
}

/** What the solver is asked for a recipe of the library: its closest version. */
export const suitProblem = ({ recipe, table }: SuitQuestion, kitchen: Kitchen): AdaptationProblem => ({
  ...groundFor({ recipe, table: tableFor(recipe, table) }, kitchen).problem,
  maxProposals: 1,
});

/** How the solver ended for it. */
export function suitEnding({ recipe, table, ending }: SuitQuestion & { readonly ending: Ending }, kitchen: Kitchen): ToldSuited {
  const at = tableFor(recipe, table);
  const ground = groundFor({ recipe, table: at }, kitchen);
  const held = withoutStrays(ending, ground, at, kitchen);
  const [proposal] = held.kind === "proposals" ? held.proposals : [];
  const broken = proposal?.standing.breaches.map(({ reason }) => reason) ?? [];
  if (!proposal || broken.length > 0)
    return { kind: "none", why: broken.join("; ") || (whyNone(held, (id) => kitchen.rules.get(id)?.name ?? id) ?? "No version was found.") };
  const { inside, of } = insideCount(proposal.beams);
  return {
    kind: "version",
    changed: changedShare(proposal.version, ground.problem),
    inside,
    of,
    exchanges: proposal.reason.split("; ")[0] ?? "",
    questions: proposal.standing.questions.map(({ text }) => text),
  };
}
