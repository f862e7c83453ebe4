import { sessionOf } from "../../core/cook";
import { writeBatchCsv, writeBatchJson } from "../../core/exchange";
import { download } from "../http/download";
import { Refusal } from "../http/problems";
import { getBatch } from "./batches";
import { keptPhoto } from "./photos";

const EXPORTS = {
  json: { type: "application/json", ending: "batch.json" },
  csv: { type: "text/csv", ending: "csv" },
} as const;
const isExportFormat = (word: string): word is keyof typeof EXPORTS => Object.hasOwn(EXPORTS, word);

const iso = (at: number): string => new Date(at).toISOString();

/** A batch as a file to keep or work with. */
export async function exportBatch(id: string, format: string): Promise<Response> {
  if (!isExportFormat(format)) throw new Refusal(404, `There is no such format: ${Object.keys(EXPORTS).join(", ")}.`);
  const { batch, events } = await getBatch(id);
  const session = sessionOf(
    batch.plan,
    events.map(({ event }) => event),
  );
  const body = format === "csv" ? writeBatchCsv(session, iso) : `${JSON.stringify(writeBatchJson(session, iso, await keptPhoto(id)), null, 2)}\n`;
  return download(body, batch.title, "batch", EXPORTS[format]);
}
