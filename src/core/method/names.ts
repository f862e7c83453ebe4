import type { Food, Role } from "../food";
import { generalNames, mentionsOf, namesOfLine, type FindMentions, type LineId, type ReadRecipe } from "../recipe";

/** A recipe's line as its steps may name it: what it was read as, without what is made of it on the way. */
export interface NamedLine {
  readonly id: LineId;
  readonly food: Food;
  readonly role: Role;
  /** The words of the line without its amount. */
  readonly description: string;
}

/** The lines of a recipe as its steps may name them. */
export const namedLines = (read: Pick<ReadRecipe, "lines" | "byLine">): NamedLine[] =>
  read.lines.map(({ id, food, role }) => {
    const reading = read.byLine.get(id);
    return { id, food, role, description: reading?.kind === "read" && reading.food.id === food.id ? reading.description : food.name };
  });

/** Of one recipe's lines, made once. */
const finders = new WeakMap<ReadRecipe["lines"], { readonly lines: readonly NamedLine[]; readonly find: FindMentions<LineId> }>();
/** The lines of a recipe as its steps may name them, and where a text does. */
export function namesIn(read: Pick<ReadRecipe, "lines" | "byLine" | "structure">): {
  readonly lines: readonly NamedLine[];
  readonly find: FindMentions<LineId>;
} {
  const before = finders.get(read.lines);
  if (before) return before;
  const lines = namedLines(read);
  const made = { lines, find: mentionsOfLines(lines, read.structure) };
  finders.set(read.lines, made);
  return made;
}

/** Where a text names lines, and parts of the recipe too, by their ids. */
export const mentionsOfLines = (lines: readonly NamedLine[], structure?: ReadRecipe["structure"]): FindMentions<LineId> =>
  mentionsOf([
    ...lines.map(({ id, food, description }) => ({ key: id, names: namesOfLine(description, food) })),
    ...[...(structure?.components.values() ?? [])].map(({ id, name }) => ({ key: id, names: [name] })),
    ...generalNames(lines.map(({ id, role }) => ({ key: id, role }))),
  ]);

/** A food as a sentence names it. */
export const shortName = (food: Food): string => (food.name.toLowerCase().split(/,| ?\(/)[0] ?? "").trim();
