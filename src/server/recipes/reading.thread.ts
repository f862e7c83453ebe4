import { parentPort } from "node:worker_threads";
import type { Asked } from "../../workers/protocol";
import { serveQuestions } from "../../workers/serve";
import { Refusal } from "../http/problems";
import { readFileText, readPastedText } from "./read-file";
import type { TextRead, TextToRead } from "./reading-thread";

const handle = serveQuestions<TextToRead, never, TextRead>(
  (asked) => {
    try {
      return asked.kind === "paste" ? { kind: "recipe", recipe: readPastedText(asked.text) } : { kind: "file", file: readFileText(asked.text, asked.name) };
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      const { status, title, errors } = error;
      return { kind: "refused", status, title, errors };
    }
  },
  (message) => parentPort?.postMessage(message),
);
parentPort?.on("message", (asked: Asked<TextToRead>) => handle(asked));
