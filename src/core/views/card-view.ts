import type { CookSession } from "../cook";
import type { Kitchen } from "../kitchen";
import { bodyWords } from "../models/texture";
import { propertyOf, type PropertyId } from "../evaluate";
import { capital, formatGrams, formatToSpread } from "../units";
import { groundAsCooked } from "./share-view";
import type { KeepQuestion } from "./keep-view";
import { methodView } from "./method-view";
import { nextTime, type SaidOfBatch } from "./next-time";
import { sweetnessAtTable } from "./stove-aim";
import { stoveStanding } from "./stove-standing";

/** What who cooks it next is told: what stands for what and why, what to aim at, how it went, and what to change. */
export interface CardView {
  readonly label: string | null;
  readonly lines: readonly { readonly id: string; readonly name: string; readonly measure: string; readonly grams: number; readonly why: string }[];
  /** Lines of the recipe that nobody could read, as they are written. */
  readonly unread: readonly string[];
  readonly steps: readonly { readonly id: string; readonly text: string; readonly takes: string; readonly now: string; readonly hazards: readonly string[] }[];
  readonly aims: readonly { readonly name: string; readonly words: string }[];
  /** For whom it is not, and what is to be asked. */
  readonly minded: readonly string[];
  /** How it turned out and what was noted; empty of what nobody has cooked. */
  readonly went: readonly string[];
  /** What to change, by what was said of it; empty where nobody tasted. */
  readonly change: readonly string[];
}

/** What went in otherwise, in words, is told by the batch's own plan: the lines are as it was cooked. */
export function cardView(
  question: KeepQuestion,
  { label, session, tastings }: { readonly label: string | null; readonly session: CookSession | null; readonly tastings: readonly SaidOfBatch[] },
  kitchen: Kitchen,
): CardView {
  const { constants } = kitchen.reference;
  const ground = groundAsCooked(question, label, kitchen);
  const method = methodView(ground, kitchen);
  const { figures, isBound, ground: of } = stoveStanding(question, kitchen);
  const rows = new Map(method.bench.rows.map((row) => [row.id, row] as const));
  const { serve } = question.table;
  const aim = (id: PropertyId) => {
    const { value, low, high } = figures[id];
    const { name, unit, per } = propertyOf(id);
    return { name, words: `${formatToSpread(value, (high - low) / 2)} ${unit}${per ? `, ${per}` : ""}`.trim() };
  };
  const body: PropertyId = serve === "chilled" || serve === "room" ? "body.chilled" : "body.hot";
  const told = tastings.length === 0 || session?.endedAt == null ? null : nextTime({ ...question, tastings, endedAt: session.endedAt }, kitchen);
  return {
    label,
    lines: method.ready.map(({ id, name, measure, grams }) => {
      const row = rows.get(id);
      const was = row?.was ? `in place of ${row.was.name.toLowerCase()}` : "";
      const why =
        row === undefined || row.change === "as is" || row.change === "amount"
          ? ""
          : row.change === "replaced"
            ? [was, row.why].filter(Boolean).join(": ")
            : row.why;
      return { id, name, measure, grams, why };
    }),
    unread: of.read.recipe.lines.filter(({ id }) => of.read.unresolved.includes(id)).map(({ text }) => text),
    steps: [...method.before, ...method.steps].map(({ id, text, minutes, cues, hazards }) => ({
      id,
      text,
      takes: minutes.usual > 0 ? `${Math.round(minutes.usual)} min` : "",
      now: cues[0]?.told[0]?.words[1] ?? "",
      hazards: hazards.map(({ what, mend }) => `${what} ${mend}`),
    })),
    aims: [
      { name: "Finished", words: `${formatGrams(Math.round(figures.yield.value))} g` },
      ...(isBound ? [aim("binding")] : [{ name: "Body", words: `${bodyWords(figures[body].value, constants)}, ${serve === "room" ? "at room heat" : serve}` }]),
      aim(sweetnessAtTable(serve)),
    ],
    minded: [
      ...(method.verdict.notFor.length > 0 ? [`Not for ${method.verdict.notFor.join(", ")}: ${method.verdict.breaches.join("; ")}.`] : method.verdict.breaches),
      ...method.verdict.questions,
    ],
    went: session === null ? [] : wentOf(session, constants),
    change: told === null ? [] : [...told.changes.map(changeWords), ...told.left],
  };
}

function wentOf({ got, plan, turnedOut, notes }: CookSession, constants: Kitchen["reference"]["constants"]): readonly string[] {
  return [
    ...(got === null ? [] : [`It came to ${formatGrams(got)} g, ${formatGrams(Math.round(plan.grams))} g by plan.`]),
    ...[...turnedOut].flatMap(([when, { body, holds, off }]) => [
      ...(body === null ? [] : [`${when === "hot" ? "Hot" : "Chilled"}: ${bodyWords(body, constants)}.`]),
      ...(holds ? [`It ${holds === "crumbles" || holds === "binds" ? holds : `is ${holds}`}.`] : []),
      ...(off === "" ? [] : [off]),
    ]),
    ...notes.map(({ text }) => text),
  ];
}

const changeWords = ({ attribute, share, ways, cookedTo }: ReturnType<typeof nextTime>["changes"][number]): string => {
  const more = `${Math.round(Math.abs(100 * share))} % ${attribute === "sweetness" ? (share > 0 ? "sweeter" : "less sweet") : share > 0 ? "thicker" : "thinner"}`;
  const way = ways[0];
  const by = way
    ? `${formatGrams(Math.abs(way.grams))} g ${way.grams > 0 ? "more" : "less"} ${way.name.toLowerCase()}`
    : cookedTo === null
      ? ""
      : `cooked down to ${formatGrams(Math.round(cookedTo))} g`;
  return `${capital(more)}${by === "" ? "" : `: ${by}`}.`;
};
