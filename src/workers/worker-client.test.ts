import { describe, expect, it } from "vitest";
import { halwa, problem } from "../../tests/support/kitchen";
import type { Ending, Progress } from "../core/substitution";
import type { SolverAnswer, SolverAsked, SolverQuestion } from "./protocol";
import { Cancelled, createWorkerClient, type WorkerListeners } from "./worker-client";

const of: SolverQuestion = { of: "versions", problem: problem(halwa(), { rules: ["vegan"] }) };
const ending = { kind: "time-ran-out" } as Ending;
const never = () => new AbortController().signal;

/** A worker that answers only when told to. */
function bench() {
  const workers: { posted: SolverAsked[]; terminated: boolean; listeners: WorkerListeners<Progress, SolverAnswer> }[] = [];
  const client = createWorkerClient<SolverQuestion, Progress, SolverAnswer>((listeners) => {
    const worker = { posted: [] as SolverAsked[], terminated: false, listeners };
    workers.push(worker);
    return { post: (request) => worker.posted.push(request), terminate: () => (worker.terminated = true) };
  });
  return { client, workers };
}

describe("a worker's client", () => {
  it("starts a worker only when asked, passes progress on, and gives the ending", async () => {
    const { client, workers } = bench();
    expect(workers).toHaveLength(0);
    const seen: string[] = [];
    const run = client.ask(of, { signal: never(), onProgress: ({ doing }) => seen.push(doing) });
    const [worker] = workers;
    const id = worker?.posted[0]?.id ?? 0;
    worker?.listeners.onReply({ kind: "progress", id, progress: { done: 0, of: 2, doing: "Closest" } });
    worker?.listeners.onReply({ kind: "progress", id: id + 5, progress: { done: 0, of: 2, doing: "not ours" } });
    worker?.listeners.onReply({ kind: "ended", id, answer: ending });
    await expect(run).resolves.toBe(ending);
    expect(seen).toEqual(["Closest"]);
    worker?.listeners.onReply({ kind: "ended", id, answer: ending });
  });

  it("ends the worker on cancel, and starts another for the next request", async () => {
    const { client, workers } = bench();
    const controller = new AbortController();
    const run = client.ask(of, { signal: controller.signal, onProgress: () => undefined });
    controller.abort();
    await expect(run).rejects.toBeInstanceOf(Cancelled);
    expect(workers[0]?.terminated).toBe(true);
    const again = client.ask(of, { signal: never(), onProgress: () => undefined });
    expect(workers).toHaveLength(2);
    workers[1]?.listeners.onReply({ kind: "ended", id: workers[1].posted[0]?.id ?? 0, answer: ending });
    await expect(again).resolves.toBe(ending);
    expect(workers[1]?.terminated).toBe(false);
  });

  it("does not start at all for what was cancelled before", async () => {
    const { client, workers } = bench();
    await expect(client.ask(of, { signal: AbortSignal.abort(), onProgress: () => undefined })).rejects.toBeInstanceOf(Cancelled);
    expect(workers).toHaveLength(0);
  });

  it("tells every waiting request when the worker crashes, and one when it alone failed", async () => {
    const { client, workers } = bench();
    const both = [0, 1].map(() => client.ask(of, { signal: never(), onProgress: () => undefined }));
    const [first, second] = workers[0]?.posted ?? [];
    workers[0]?.listeners.onReply({ kind: "failed", id: first?.id ?? 0, why: "bad model" });
    await expect(both[0]).rejects.toThrow("bad model");
    expect(second?.id).not.toBe(first?.id);
    workers[0]?.listeners.onCrash("out of memory");
    await expect(both[1]).rejects.toThrow("out of memory");
    expect(workers[0]?.terminated).toBe(true);
  });

  it("lets go of its worker when closed", async () => {
    const { client, workers } = bench();
    const run = client.ask(of, { signal: never(), onProgress: () => undefined });
    client.close();
    await expect(run).rejects.toBeInstanceOf(Cancelled);
    expect(workers[0]?.terminated).toBe(true);
  });

  it("sends a problem that survives being cloned, as a worker gets it", () => {
    const clone = structuredClone({ id: 1, question: of } satisfies SolverAsked);
    expect(clone.question.problem.reference.foods).toEqual(of.problem.reference.foods);
    expect(clone.question.problem.tables.candidates.length).toBe(of.problem.tables.candidates.length);
  });
});
