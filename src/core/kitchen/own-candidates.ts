import { INDEX, SUGAR_INDICES, sumOf, type Food } from "../food";
import type { Candidate, SubstitutionTables } from "../substitution";

/** What two foods are held beside each other by, g per 100 g. */
const facetsOf = ({ per100g }: Food): readonly number[] => [
  per100g[INDEX.water] ?? 0,
  per100g[INDEX.fat] ?? 0,
  per100g[INDEX.protein] ?? 0,
  sumOf(per100g, SUGAR_INDICES),
];
/** From so much on, summed over these, one food does not do what another does; g per 100 g. A rule of thumb. */
const TOO_FAR = 15;
/** A household's own food costs so much less than the one it is like: it is there. */
const OWN_AFFINITY = -0.15;

/**
 * The candidates of a household: those that ship, and beside each what it has of its own that is like it: of the same family
 * and role, and of about the same make. It may enter as much as that one, and does first.
 */
export function withOwnCandidates(tables: SubstitutionTables, shipped: ReadonlyMap<string, Food>, foods: ReadonlyMap<string, Food>): SubstitutionTables {
  const own = [...foods.values()].filter(({ id }) => !shipped.has(id));
  if (own.length === 0) return tables;
  const known = [...new Set(tables.candidates.map(({ foodId }) => foodId))].flatMap((id) => foods.get(id) ?? []);
  const added = own.flatMap((food): Candidate[] => {
    const facets = facetsOf(food);
    const off = (other: Food) => facetsOf(other).reduce((sum, value, i) => sum + Math.abs(value - (facets[i] ?? 0)), 0);
    const like = known
      .filter((other) => other.family === food.family && other.role === food.role)
      .map((other) => ({ other, off: off(other) }))
      .sort((a, b) => a.off - b.off)[0];
    if (!like || like.off > TOO_FAR) return [];
    return tables.candidates
      .filter(({ foodId }) => foodId === like.other.id)
      .map((candidate) => ({ ...candidate, foodId: food.id, affinity: candidate.affinity + OWN_AFFINITY }));
  });
  return { ...tables, candidates: [...tables.candidates, ...added] };
}
