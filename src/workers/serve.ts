import type { Asked, Reply } from "./protocol";

/** Answers questions one after the other; the same in a web worker and in a worker thread. */
export function serveQuestions<Question, Step, Answer>(
  work: (question: Question, onProgress: (progress: Step) => void) => Promise<Answer> | Answer,
  reply: (message: Reply<Step, Answer>) => void,
): (asked: Asked<Question>) => void {
  let last: Promise<void> = Promise.resolve();
  return ({ id, question }) => {
    last = last.then(async () => {
      try {
        reply({ kind: "ended", id, answer: await work(question, (progress) => reply({ kind: "progress", id, progress })) });
      } catch (error) {
        reply({ kind: "failed", id, why: error instanceof Error ? error.message : String(error) });
      }
    });
  };
}
