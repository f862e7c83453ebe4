import { Refused } from "./send";

/** Sends JSON to the app's own server, and gives its answer line by line as it comes, each parsed; throws Refused where it refuses. */
export async function* streamedLines(url: string, body: unknown, signal: AbortSignal): AsyncGenerator<unknown, void> {
  const response = await fetch(url, { method: "POST", headers: { "content-type": "application/json" }, body: JSON.stringify(body), signal });
  if (!response.ok || !response.body) {
    const said = (await response.json().catch(() => ({}))) as Readonly<Record<string, unknown>>;
    throw new Refused(typeof said.title === "string" ? said.title : `The server answered ${response.status}.`, response.status, said);
  }
  const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
  let rest = "";
  for (;;) {
    const { done, value = "" } = await reader.read();
    const lines = (rest + value).split("\n");
    rest = done ? "" : (lines.pop() ?? "");
    for (const line of lines) if (line !== "") yield JSON.parse(line) as unknown;
    if (done) return;
  }
}
