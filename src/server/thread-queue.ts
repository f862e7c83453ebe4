import { Refusal } from "./http/problems";

interface Asked<Question, Answer> {
  readonly ask: (question: Question, options: { readonly signal: AbortSignal }) => Promise<Answer>;
}
interface Queue<Question, Answer> {
  thread: Asked<Question, Answer> | null;
  waiting: number;
  last: Promise<unknown>;
}
interface QueueOptions<Question, Answer> {
  /** By this it hangs on the process: the framework can bundle a module twice. */
  readonly name: string;
  readonly start: () => Asked<Question, Answer>;
  /** So many wait beside the one that is answered; more get 503. */
  readonly mostWaiting: number;
  readonly mostSeconds: number;
  readonly busy: string;
}

const shared = globalThis as typeof globalThis & { threpsisQueues?: Map<string, unknown> };

/** Questions to one worker thread, one after the other. Whoever leaves gives the place back. */
export function threadQueue<Question, Answer>({ name, start, mostWaiting, mostSeconds, busy }: QueueOptions<Question, Answer>) {
  return async (question: Question, left: AbortSignal): Promise<Answer> => {
    const queues = (shared.threpsisQueues ??= new Map());
    const queue = (queues.get(name) ?? { thread: null, waiting: 0, last: Promise.resolve() }) as Queue<Question, Answer>;
    queues.set(name, queue);
    if (queue.waiting > mostWaiting) throw new Refusal(503, busy, [], { headers: { "retry-after": "5" } });
    queue.waiting++;
    const thread = (queue.thread ??= start());
    // The place is free as soon as the one who had it has gone, whether it was their turn or not.
    let held = true;
    const giveBack = () => {
      if (held) queue.waiting--;
      held = false;
    };
    left.addEventListener("abort", giveBack, { once: true });
    const run = queue.last.then(() => {
      if (left.aborted) throw new Refusal(499, "The one who asked has left.");
      return thread.ask(question, { signal: AbortSignal.any([left, AbortSignal.timeout(mostSeconds * 1000)]) });
    });
    queue.last = run.catch(() => undefined);
    try {
      return await run;
    } finally {
      left.removeEventListener("abort", giveBack);
      giveBack();
    }
  };
}
