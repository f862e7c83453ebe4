import type { AdaptationProblem, Ending, Progress, TradeOff } from "../../core/substitution";
import type { KitchenSources } from "../../core/kitchen";
import type { ViewAnswer, ViewKind, ViewQuestion } from "../../core/views";
import type { ComputeAnswer, ComputeQuestion, ReadingAnswer, ReadingQuestion, Reply, SolverAnswer, SolverQuestion } from "../protocol";
import type { PlanAnswer, PlanProgress, PlanQuestion } from "../planning";
import type { ProofAnswer, ProofQuestion } from "../proving";
import { Cancelled, createWorkerClient, type WorkerClient, type WorkerListeners } from "../worker-client";

export { Cancelled };

type Ask<Answer> = (
  problem: AdaptationProblem,
  options: { readonly signal: AbortSignal; readonly onProgress?: (progress: Progress) => void },
) => Promise<Answer>;
export interface SolverClient {
  readonly versions: Ask<Ending>;
  readonly tradeOff: Ask<TradeOff>;
  readonly close: () => void;
}
export type ReadingClient = WorkerClient<ReadingQuestion, never, ReadingAnswer>;

function handleOf<Step, Answer>(worker: Worker, { onReply, onCrash }: WorkerListeners<Step, Answer>, lost: string) {
  worker.onmessage = (event: MessageEvent<Reply<Step, Answer>>) => onReply(event.data);
  worker.onerror = (event) => onCrash(event.message || lost);
  return { post: (asked: object) => worker.postMessage(asked), terminate: () => worker.terminate() };
}

/** The bench's solver: a web worker, loaded only when a version is first asked for. */
export function createBrowserSolver(): SolverClient {
  const client = createWorkerClient<SolverQuestion, Progress, SolverAnswer>((listeners) =>
    handleOf(new Worker(new URL("../solver.worker.ts", import.meta.url), { type: "module" }), listeners, "The solver could not be loaded."),
  );
  return {
    versions: (problem, options) => client.ask({ of: "versions", problem }, options) as Promise<Ending>,
    tradeOff: (problem, options) => client.ask({ of: "trade-off", problem }, options) as Promise<TradeOff>,
    close: () => client.close(),
  };
}

export interface Computer {
  /** With a signal that aborts, the worker ends, and all that waits for it. */
  readonly ask: <Kind extends ViewKind>(kind: Kind, question: ViewQuestion<Kind>, sources: KitchenSources, signal?: AbortSignal) => Promise<ViewAnswer<Kind>>;
}

/** What stations show is computed beside the page, in one worker for as long as the window is open. */
export function createBrowserComputer(): Computer {
  const known = new Map<string, unknown>();
  const open = new AbortController().signal;
  const client = createWorkerClient<ComputeQuestion, never, ComputeAnswer>((listeners) => {
    const worker = new Worker(new URL("../compute.worker.ts", import.meta.url), { type: "module" });
    const { post, terminate } = handleOf(worker, listeners, "What computes could not be loaded.");
    const end = () => {
      // The next one knows nothing yet.
      known.clear();
      terminate();
    };
    return { post, terminate: end };
  });
  return {
    ask: <Kind extends ViewKind>(kind: Kind, question: ViewQuestion<Kind>, sources: KitchenSources, signal = open) => {
      if (signal.aborted) return Promise.reject(new Cancelled());
      const fresh = Object.fromEntries(Object.entries({ ...question, sources }).filter(([name, value]) => !known.has(name) || known.get(name) !== value));
      const asked = client.ask({ kind, names: Object.keys(question), fresh }, { signal }) as Promise<ViewAnswer<Kind>>;
      for (const [name, value] of Object.entries(fresh)) known.set(name, value);
      return asked;
    },
  };
}

export type PlanClient = WorkerClient<PlanQuestion, PlanProgress, PlanAnswer>;

/** Plans are solved beside the page; stopping ends the worker. */
export const createBrowserPlanner = (): PlanClient =>
  createWorkerClient((listeners) =>
    handleOf(new Worker(new URL("../plan.worker.ts", import.meta.url), { type: "module" }), listeners, "What plans could not be loaded."),
  );

export type ProofClient = WorkerClient<ProofQuestion, never, ProofAnswer>;

/** How late a plan can begin is proven beside the page; stopping ends the worker. */
export const createBrowserProver = (): ProofClient =>
  createWorkerClient((listeners) =>
    handleOf(new Worker(new URL("../proof.worker.ts", import.meta.url), { type: "module" }), listeners, "The solver could not be loaded."),
  );

/** Reading beside the page: a text that takes long can be stopped, and typing goes on meanwhile. */
export const createBrowserReader = (): ReadingClient =>
  createWorkerClient((listeners) =>
    handleOf(new Worker(new URL("../reading.worker.ts", import.meta.url), { type: "module" }), listeners, "What reads could not be loaded."),
  );
