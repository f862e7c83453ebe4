import { join } from "node:path";
import { Worker } from "node:worker_threads";
import type { Recipe } from "../../core/recipe";
import { Cancelled, createWorkerClient, type WorkerClient } from "../../workers/worker-client";
import { Refusal, type ProblemError } from "../http/problems";
import type { FileReading } from "./read-file";
import { threadOf } from "../thread";

/** Something to read beside the server: pasted text, or a file by its text and name. */
export type TextToRead = { readonly kind: "paste"; readonly text: string } | { readonly kind: "file"; readonly text: string; readonly name: string };
/** What was read, or why it was refused. */
export type TextRead =
  | { readonly kind: "recipe"; readonly recipe: Recipe }
  | { readonly kind: "file"; readonly file: FileReading }
  | { readonly kind: "refused"; readonly status: number; readonly title: string; readonly errors: readonly ProblemError[] };

const MOST_WAITING = 8;
const MOST_SECONDS = 20;
const shared = globalThis as typeof globalThis & {
  threpsisReader?: { client: WorkerClient<TextToRead, never, TextRead>; waiting: number; last: Promise<unknown> };
};

export function readBeside(text: Extract<TextToRead, { kind: "paste" }>, left: AbortSignal): Promise<Recipe>;
export function readBeside(text: Extract<TextToRead, { kind: "file" }>, left: AbortSignal): Promise<FileReading>;
/** Reads what somebody else wrote on a thread of its own, in turn: what takes too long is stopped, and holds up nobody but its own sender. */
export async function readBeside(text: TextToRead, left: AbortSignal): Promise<Recipe | FileReading> {
  const reader = (shared.threpsisReader ??= {
    client: createWorkerClient(threadOf(() => new Worker(join(process.cwd(), ".build", "reading.thread.mjs")))),
    waiting: 0,
    last: Promise.resolve(),
  });
  if (reader.waiting > MOST_WAITING)
    throw new Refusal(503, "Others are reading just now; try again in a few seconds.", [], { headers: { "retry-after": "5" } });
  reader.waiting++;
  const tooLong = () => AbortSignal.timeout(MOST_SECONDS * 1000);
  const run = reader.last.then(() => reader.client.ask(text, { signal: AbortSignal.any([left, tooLong()]) }));
  reader.last = run.catch(() => undefined);
  try {
    const read = await run;
    if (read.kind === "refused") throw new Refusal(read.status, read.title, read.errors);
    return read.kind === "recipe" ? read.recipe : read.file;
  } catch (error) {
    if (!(error instanceof Cancelled)) throw error;
    throw new Refusal(
      422,
      `This could not be read within ${MOST_SECONDS} seconds, and reading was stopped. Take out what is no part of the recipe, and try again.`,
    );
  } finally {
    reader.waiting--;
  }
}
