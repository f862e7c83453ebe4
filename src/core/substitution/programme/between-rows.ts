import type { Opening } from "../open-roles";
import type { Programme, Term } from "./programme";

/** Two foods that go badly together cost something where both are used. */
export function clashRows({ builder, problem, all, y, settle }: Programme): void {
  for (const { foods, cost } of problem.tables.clashes) {
    const [first, second] = foods.map((id) => all.flatMap((slot, i) => (slot.food.id === id ? [{ slot, use: y[i] ?? 0 }] : [])));
    for (const a of first ?? [])
      for (const b of second ?? []) {
        const both = builder.column(`clash_${a.slot.key}_${b.slot.key}`, 0, 1, cost * settle);
        builder.row(`clash_row_${a.slot.key}_${b.slot.key}`, -1, Infinity, [
          [both, 1],
          [a.use, -1],
          [b.use, -1],
        ]);
      }
  }
}

/** Roles in which versions should differ: those opened, but for fat, garnish and thickener unless nothing else is open. */
export function leadRoles(opening: Opening): ReadonlySet<string> {
  const lead = [...opening.opened].filter((role) => !["richness", "crunch", "thickener", "aroma", "colour", "seasoning"].includes(role));
  return new Set(lead.length > 0 ? lead : opening.opened);
}

/** Keeps two exchanges away from versions already found: Hamming distance ≥ 2 on the lead slots. */
export function diversityRows({ builder, opening, all, y, run }: Programme): void {
  const lead = leadRoles(opening);
  run.cuts.forEach((cut, c) => {
    let inside = 0;
    const terms = all.flatMap((slot, i): Term[] => {
      if (!lead.has(slot.role) || slot.food.id === "water") return [];
      if (!cut.has(slot.key)) return [[y[i] ?? 0, 1]];
      inside++;
      return [[y[i] ?? 0, -1]];
    });
    if (terms.length > 1) builder.row(`different_${c}`, 2 - inside, Infinity, terms);
  });
}
