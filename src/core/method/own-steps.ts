import type { LineId, StepId } from "../recipe";
import { shortName } from "./names";
import type { Method } from "./step";
import type { StepWords } from "./words";
import type { VersionRow } from "../substitution";

/** What a maker has set of a version's steps: words of their own, which are never rebuilt, and the order. */
export interface OwnSteps {
  readonly texts: readonly { readonly step: StepId; readonly text: string }[];
  /** Steps by id, in the maker's order; those that are not in it stay behind the one that they came after. Null where nothing was moved. */
  readonly order: readonly StepId[] | null;
}

/** Steps in an order of the maker's: what it does not name stays behind the one that it came after. */
export function inOwnOrder<T>(steps: readonly T[], idOf: (step: T) => StepId, order: readonly StepId[] | null): readonly T[] {
  if (order === null) return steps;
  const at = new Map(order.map((id, i) => [id, i] as const));
  const placed: { readonly step: T; readonly place: number }[] = [];
  let last = -1;
  for (const step of steps) {
    last = at.get(idOf(step)) ?? last;
    placed.push({ step, place: last });
  }
  // The sort is stable: what shares a place keeps its order.
  return placed.sort((a, b) => a.place - b.place).map(({ step }) => step);
}

/** A method in the maker's own order. */
export const methodInOwnOrder = (method: Method, { order }: OwnSteps): Method => ({ ...method, steps: inOwnOrder(method.steps, ({ id }) => id, order) });

interface Ground {
  readonly method: Method;
  readonly rows: readonly VersionRow[];
  /** Lines that a text names. */
  readonly find: (text: string) => readonly { readonly key: LineId; readonly words: string }[];
}

/** What stands against a step in the maker's words: they name what is not in the version, or do not name what goes in there anew. */
function conflictsOf(text: string, step: Method["steps"][number] | undefined, { rows, find }: Ground): string[] {
  const named = find(text);
  const lines = new Map(rows.flatMap((row) => (row.line === null ? [] : [[row.line, row] as const])));
  const gone = named.filter(({ key }) => {
    const row = lines.get(key);
    return row !== undefined && (row.food === null || row.change === "replaced");
  });
  const goesIn = (step?.takes ?? []).flatMap(({ of }) => rows.find(({ id }) => id === of.id) ?? []);
  const unnamed = goesIn.filter(
    ({ food, change }) => food !== null && (change === "replaced" || change === "added") && !text.toLowerCase().includes(shortName(food)),
  );
  return [
    ...(step === undefined ? ["the recipe's step that they were written for is no longer needed"] : []),
    ...[...new Set(gone.map(({ words }) => words.toLowerCase()))].map((words) => `they name ${words}, which is not in this version`),
    ...unnamed.map(({ food }) => `they do not name ${food ? shortName(food) : ""}, which goes in here`),
  ];
}

/** The words of a method with those that are the maker's own in their place, each with what stands against it. */
export function withOwnSteps(words: readonly StepWords[], own: OwnSteps, ground: Ground): readonly StepWords[] {
  const steps = new Map(ground.method.steps.map((step) => [step.id, step] as const));
  const texts = new Map(own.texts.map(({ step, text }) => [step, text] as const));
  const said = words.map((each): StepWords => {
    const text = texts.get(each.step);
    if (text === undefined) return each;
    return { ...each, segments: [{ text, kind: "plain" }], why: "", isOwn: true, conflicts: conflictsOf(text, steps.get(each.step), ground) };
  });
  const there = new Set(words.map(({ step }) => step));
  // What was written for a step that is not there any more is not lost.
  const lost = own.texts
    .filter(({ step }) => !there.has(step))
    .map(({ step, text }): StepWords => ({
      step,
      from: null,
      segments: [{ text, kind: "plain" }],
      why: "",
      isOwn: true,
      conflicts: conflictsOf(text, undefined, ground),
    }));
  return inOwnOrder([...said, ...lost], ({ step }) => step, own.order);
}
