import Papa from "papaparse";
import { storyOf, type CookSession } from "../cook";
import { neutral } from "./csv";

/** A moment (ms) by ISO 8601. */
type Iso = (at: number) => string;

/** What happened at the stove as a table: a row for each event that was not taken back. */
export const writeBatchCsv = (session: CookSession, iso: Iso): string =>
  Papa.unparse(
    [
      ["time", "what", "in words", "g", "°C"],
      ...storyOf(session).map(({ at, words, event }) => [
        iso(at),
        event.kind,
        neutral(words),
        event.kind === "weighed" ? event.grams - event.pan : "grams" in event ? (event.grams ?? "") : "",
        event.kind === "temperature" ? event.celsius : "",
      ]),
    ],
    { newline: "\r\n" },
  );

/** A picture: JPEG, base64; the shade that was picked from it; ISO time. */
interface BatchPhoto {
  readonly jpeg: string;
  readonly shade: string | null;
  readonly taken: string;
}

/** A batch with its plan, all that happened, and what came of it; masses in g, times by ISO 8601. */
export const writeBatchJson = (session: CookSession, iso: Iso, photo: BatchPhoto | null): object => ({
  format: "threpsis-batch",
  version: 1,
  title: session.plan.title,
  label: session.plan.label,
  servings: session.plan.servings,
  planned: { grams: session.plan.grams, lines: session.plan.lines.map(({ name, food, grams }) => ({ name, food, grams })) },
  begun: session.startedAt === null ? null : iso(session.startedAt),
  ended: session.endedAt === null ? null : iso(session.endedAt),
  got: session.got,
  steps: session.steps.map(({ text, state, took }) => ({ text, state, minutes: took === null ? null : Math.round(10 * took) / 10 })),
  weighings: session.weighings.map(({ at, grams, sd, by }) => ({ at: iso(at), grams, sd, by })),
  turnedOut: Object.fromEntries(session.turnedOut),
  setAside: session.setAside.map(({ event: _, ...portion }) => portion),
  leftOver: session.leftOver.map(({ event: _, at: __, ...left }) => left),
  story: storyOf(session).map(({ at, words }) => ({ at: iso(at), words })),
  photo,
  events: session.events.map(({ at, ...event }) => ({ ...event, at: iso(at) })),
});
