import { asTreated, type Constants } from "../../food";
import type { BalancedLine } from "../../recipe";
import { ofFood } from "./colour";

/** A taste or smell that a sweet will have beside its sweetness. */
export interface FlavourNote {
  /** "coconut", "molasses", "cooling" … */
  readonly note: string;
  /** Times the amount from which it is noticed; 1 or more. */
  readonly strength: number;
  readonly isStrong: boolean;
  readonly from: readonly string[];
}

/** From so many times its least amount on a note is strong. */
const STRONG_NOTE = 3;

/** The notes of a sweet that are noticed, the strongest first: amounts of its foods in 100 g against those from which each is noticed (rule of thumb). */
export function flavourNotes(lines: readonly BalancedLine[], finishedMass: number, { flavour: { value } }: Pick<Constants, "flavour">): readonly FlavourNote[] {
  const notes = new Map<string, { strength: number; from: { readonly name: string; readonly strength: number }[] }>();
  const add = (note: string, strength: number, name: string) => {
    const known = notes.get(note) ?? { strength: 0, from: [] };
    known.strength += strength;
    known.from.push({ name, strength });
    notes.set(note, known);
  };
  for (const line of lines) {
    const food = asTreated(line.food, line.treated);
    const percent = (100 * line.grams) / Math.max(1e-9, finishedMass);
    for (const [note, from] of ofFood(value.notes, food) ?? []) add(note, percent / from, food.name);
    if (food.treated?.toasted && value.toastable.includes(food.family)) add("toasted", percent / value.toastedFrom, food.name);
    if (food.treated?.caramel) add("caramel", (percent * (food.treated.caramelShare ?? 1)) / value.caramelFrom[food.treated.caramel], food.name);
  }
  return [...notes]
    .filter(([, { strength }]) => strength >= 1)
    .sort(([, a], [, b]) => b.strength - a.strength)
    .map(([note, { strength, from }]) => ({
      note,
      strength,
      isStrong: strength >= STRONG_NOTE,
      from: from.sort((a, b) => b.strength - a.strength).map(({ name }) => name),
    }));
}
