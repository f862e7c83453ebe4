import { randomUUID } from "node:crypto";
import { isFullDisk } from "../../db/durable-files";
import { log } from "./log";
import { problemResponse, Refusal } from "./problems";

const READ_ONLY = new Set(["EROFS", "EACCES", "EPERM"]);

/** What the disk or the database said of a write, in words that whoever is in front of the screen can do something with. */
function storeRefusal(error: unknown): Refusal | null {
  for (let each = error; each instanceof Error; each = each.cause) {
    const code = "code" in each ? String(each.code) : "";
    if (isFullDisk(each)) return new Refusal(507, "The disk is full: this was not saved. Make room on it, then try again; what you typed stays here.");
    if (READ_ONLY.has(code)) return new Refusal(507, "The data folder cannot be written to: this was not saved. Make it writable, then try again.");
    // Class 22, data exception: a value that no column can hold.
    if (/^22[0-9A-Z]{3}$/.test(code)) return new Refusal(422, "A value in the request is not one that can be kept. Nothing was changed.");
  }
  return null;
}

/** Runs a route: refusals are told as they are, anything unexpected is logged under the request's id and told as a plain apology. */
export async function answer(request: Request, work: () => Promise<Response>): Promise<Response> {
  try {
    return await work();
  } catch (error) {
    if (error instanceof Refusal) return problemResponse(error);
    const known = storeRefusal(error);
    if (known) {
      log.warn({ method: request.method, path: new URL(request.url).pathname, err: error }, known.title);
      return problemResponse(known);
    }
    const id = request.headers.get("x-request-id") ?? randomUUID();
    log.error({ id, method: request.method, path: new URL(request.url).pathname, err: error }, "unexpected");
    return problemResponse(new Refusal(500, `Something went wrong here (record ${id}). Nothing that was saved has changed; please try again.`));
  }
}
