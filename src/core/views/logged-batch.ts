import { differenceWords, lineDifferences, type ComparedLine } from "../adaptation";
import { sessionOf, stoveLines, stoveState, type CookSession } from "../cook";
import { propertyOf, type PropertyId } from "../evaluate";
import type { Kitchen } from "../kitchen";
import { bodyWords } from "../models/texture";
import { sweetnessAtTable } from "./stove-aim";
import { stoveStanding } from "./stove-standing";
import type { KeptBatch } from "./batch-outcomes";

/** What charts of a sweet's batches show, one below the other. */
export type LoggedName = "sweetness" | "free sugars" | "body" | "binding";

/** A figure of a batch that is done: as it was meant, and as what went in and came of it makes it, 80 %. */
export interface LoggedFigure {
  readonly of: LoggedName;
  readonly name: string;
  readonly unit: string;
  readonly per: string;
  readonly meant: number;
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** What the logbook tells of a batch that is done. */
export interface LoggedBatch {
  /** None of a batch that holds what nobody knows or has read: why is said in `unknown`. */
  readonly figures: readonly LoggedFigure[];
  readonly unknown: string | null;
  /** What went in otherwise than by plan, in grams and words. */
  readonly changes: readonly string[];
  /** How it turned out, as somebody said: "hot: spoonable", "binds". */
  readonly turnedOut: readonly string[];
  /** The body that somebody said, by the house's words, 0 to 10, at the temperature that figures are of; null where nobody did. */
  readonly saidBody: number | null;
  /** What was noted at the stove. */
  readonly notes: readonly string[];
  /** Who sat at its table, by id. */
  readonly seats: readonly string[];
}

/** With the words that it is found by: what went in, by all its names and as the recipe has it, what was noted, how it turned out. */
export interface FoundBatch extends LoggedBatch {
  readonly foundBy: readonly string[];
}

/**
 * What the logbook tells of a batch that is done; null of one that is not. `kitchen` is that of the tables, so that batches of different
 * years stand side by side by one measure.
 */
export function loggedBatch({ plan, events, recipe, table, bench }: Omit<KeptBatch, "id" | "tastings">, kitchen: Kitchen): FoundBatch | null {
  const session = sessionOf(plan, events);
  if (session.endedAt === null) return null;
  const { constants } = kitchen.reference;
  const { figures, meant, aim, isBound, version, ground, unknown } = stoveStanding({ recipe, table, bench, stove: stoveState(session) }, kitchen);
  const figure = (of: LoggedName, id: PropertyId): LoggedFigure => {
    const { name, unit, per } = propertyOf(id);
    const { value, low, high } = figures[id];
    return { of, name, unit, per, meant: meant[id].value, value, low, high };
  };
  const { turnedOut } = session;
  const said = turnedOut.get(aim.body === "body.chilled" ? "chilled" : "hot")?.body ?? null;
  const changes = stoveChanges(session);
  const told = [...turnedOut].flatMap(([when, { body, off, holds }]) => [
    ...(body === null ? [] : [`${when}: ${bodyWords(body, constants)}`]),
    ...(holds === null ? [] : [`${when}: ${holds}`]),
    ...(off === "" ? [] : [off]),
  ]);
  const notes = session.notes.map(({ text }) => text);
  const names = version.rows.flatMap(({ food, grams }) => (food && grams > 0 ? [food.name, ...food.synonyms] : []));
  const unread = ground.read.unresolved.length;
  const left = [
    ...unknown.map((name) => `nobody knows what ${name} holds`),
    ...(unread > 0 ? [`${unread === 1 ? "a line is" : `${unread} lines are`} not read`] : []),
  ];
  return {
    unknown: left.length === 0 ? null : `No figures: ${left.join("; ")}`,
    figures:
      left.length > 0
        ? []
        : [
            figure("sweetness", sweetnessAtTable(table.serve)),
            figure("free sugars", "serving.freeSugarsUk"),
            ...(isBound ? (meant.binding.value > 0 ? [figure("binding", "binding")] : []) : [figure("body", aim.body)]),
          ],
    changes,
    turnedOut: told,
    saidBody: isBound ? null : said,
    notes,
    seats: (table.seats ?? []).map(({ eater }) => eater),
    foundBy: [...new Set([...names, ...session.putIn.map(({ name }) => name), ...recipe.lines.map(({ text }) => text), ...told, ...notes])],
  };
}

/** What went in otherwise than by plan: "jaggery 120 g, now 138 g". */
function stoveChanges(session: CookSession): readonly string[] {
  const before = session.plan.lines.map(({ id, food, name, grams }): ComparedLine => ({ key: id, name, foodId: food, grams }));
  const after = [
    ...stoveLines(session).map(({ id, food, name, all }): ComparedLine => ({ key: id, name, foodId: food, grams: all })),
    ...session.putIn.flatMap(({ event, line, food, name, grams }): ComparedLine[] =>
      line === null ? [{ key: event, name, foodId: food ?? name, grams }] : [],
    ),
  ].filter(({ grams }) => grams > 0);
  return lineDifferences(before, after).map(differenceWords);
}
