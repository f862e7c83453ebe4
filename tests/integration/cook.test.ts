import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { newFolder, removeFolder, send, startApp, type RunningApp } from "../support/app";

interface Placed {
  readonly place: number;
  readonly event: { readonly id: string; readonly kind: string };
}

const folder = newFolder();
let app: RunningApp;
beforeAll(async () => void (app = await startApp(folder)));
afterAll(async () => {
  await app.stop();
  removeFolder(folder);
});

let count = 0;
const event = (happening: object) => ({ id: `e${count++}`, at: 1_790_000_000_000 + count * 1000, ...happening });
const begin = async () => {
  const { status, json } = await send(app.address, "POST", "/api/batches", { recipeId: "demo-1", versionId: null });
  expect(status).toBe(201);
  return (json as { readonly id: string }).id;
};
const add = async (batch: string, ...events: readonly object[]) => {
  const { status, json } = await send(app.address, "POST", `/api/batches/${batch}/events`, { events });
  return { status, added: (json as { readonly added?: readonly Placed[] }).added ?? [], title: (json as { readonly title?: string }).title ?? "" };
};
/** What a live stream gives from a place on, until so many events have come. */
async function live(batch: string, after: number, most: number): Promise<readonly { readonly place: number; readonly id: string }[]> {
  const control = new AbortController();
  const response = await fetch(`${app.address}/api/batches/${batch}/live?after=${after}`, { signal: control.signal });
  expect(response.headers.get("content-type")).toMatch(/event-stream/);
  const reader = response.body?.getReader();
  const decoder = new TextDecoder();
  let text = "";
  const found = () =>
    [...text.matchAll(/^id: (\d+)\ndata: (.+)$/gm)].map(([, place, data]) => ({
      place: Number(place),
      id: (JSON.parse(data ?? "{}") as { readonly id: string }).id,
    }));
  while (reader && found().length < most) {
    const { done, value } = await reader.read();
    if (done) break;
    text += decoder.decode(value);
  }
  control.abort();
  return found();
}

/** What walks as a JPEG: its segments, with what a camera writes beside. */
function jpegOf(beside: string, width = 320, height = 200): Buffer {
  const segment = (marker: number, body: Buffer) => Buffer.concat([Buffer.from([0xff, marker, (body.length + 2) >> 8, (body.length + 2) & 0xff]), body]);
  const frame = Buffer.from([8, height >> 8, height & 0xff, (width >> 8) & 0xff, width & 0xff, 1, 1, 0x11, 0]);
  return Buffer.concat([
    Buffer.from([0xff, 0xd8]),
    segment(0xe0, Buffer.from("JFIF")),
    ...(beside === "" ? [] : [segment(0xe1, Buffer.from(beside))]),
    segment(0xc0, frame),
    segment(0xda, Buffer.from([1, 1, 0, 0, 63, 0])),
    Buffer.alloc(60, 7),
    Buffer.from([0xff, 0xd9]),
  ]);
}

describe("a batch", () => {
  it("keeps every event once, in one order, however often and from wherever it is sent", async () => {
    const batch = await begin();
    const start = event({ kind: "started" });
    expect((await add(batch, start)).added.map(({ place }) => place)).toEqual([1]);
    expect((await add(batch, start)).added).toEqual([]);
    const notes = Array.from({ length: 12 }, (_, i) => event({ kind: "note", text: `note ${i}`, step: null }));
    // From several devices at once, some of it twice.
    const answers = await Promise.all([...notes, ...notes.slice(0, 6)].map((note) => add(batch, note)));
    expect(answers.every(({ status }) => status === 200)).toBe(true);
    const places = answers.flatMap(({ added }) => added.map(({ place }) => place)).sort((a, b) => a - b);
    expect(places).toEqual(Array.from({ length: 12 }, (_, i) => i + 2));
  });

  it("tells who listens at once, and who was away all that came since", async () => {
    const batch = await begin();
    await add(batch, event({ kind: "started" }));
    const listening = live(batch, 1, 2);
    const [one, two] = [event({ kind: "note", text: "one", step: null }), event({ kind: "note", text: "two", step: null })];
    await add(batch, one);
    await add(batch, two);
    expect(await listening).toEqual([
      { place: 2, id: one.id },
      { place: 3, id: two.id },
    ]);
    expect(await live(batch, 2, 1)).toEqual([{ place: 3, id: two.id }]);
  });

  it("is there whole after the server was killed in the middle", async () => {
    const batch = await begin();
    await add(batch, event({ kind: "started" }));
    const sent: string[] = [];
    const writing = (async () => {
      for (let i = 0; i < 400; i++) {
        const note = event({ kind: "note", text: `note ${i}`, step: null });
        const answer = await add(batch, note).catch(() => null);
        if (answer?.status !== 200) return;
        sent.push(note.id);
      }
    })();
    await expect.poll(() => sent.length, { timeout: 30_000 }).toBeGreaterThan(20);
    await app.stop("SIGKILL");
    await writing;
    app = await startApp(folder);
    const there = await live(batch, 1, sent.length);
    expect(new Set(there.map(({ id }) => id)).size).toBe(there.length);
    expect(there.map(({ place }) => place)).toEqual(there.map((_, i) => i + 2));
    for (const id of sent) expect(there.map((each) => each.id)).toContain(id);
  });

  it("refuses in plain words what cannot be, and then adds nothing of what was sent with it", async () => {
    const batch = await begin();
    await add(batch, event({ kind: "started" }));
    const cases: readonly (readonly [object, RegExp])[] = [
      [event({ kind: "timer started", timer: "t", step: null, label: "Rest", seconds: 0 }), /at least a second/],
      [event({ kind: "timer started", timer: "t", step: null, label: "Rest", seconds: 30 * 3600 }), /a day at most/],
      [event({ kind: "weighed", grams: 300, pan: 800 }), /not more than the pan/],
      [event({ kind: "done", step: "nowhere" }), /no such step/],
      [event({ kind: "note", text: "", step: null }), /does not fit/],
      [event({ kind: "exploded" }), /does not fit/],
    ];
    for (const [bad, words] of cases) {
      const { status, title } = await add(batch, event({ kind: "note", text: "with it", step: null }), bad);
      expect(status).toBe(422);
      expect(title).toMatch(words);
    }
    expect((await add(batch, event({ kind: "note", text: "after", step: null }))).added.map(({ place }) => place)).toEqual([2]);
    expect((await add("nowhere", event({ kind: "started" }))).status).toBe(404);
    expect((await send(app.address, "GET", "/api/batches/nowhere/live")).status).toBe(404);
    expect((await send(app.address, "POST", "/api/batches", { recipeId: "nowhere", versionId: null })).status).toBe(404);
    expect((await send(app.address, "POST", "/api/batches", { recipeId: "demo-1", versionId: "nowhere" })).status).toBe(404);
  });

  it("teaches once it is done, for as long as it is there and was not taken up again", async () => {
    const learned = async () => await (await fetch(`${app.address}/batches/learned`)).text();
    const ROW = "Wheat, semolina and vermicelli, hot";
    const batch = await begin();
    await add(batch, event({ kind: "started" }));
    expect(await learned()).not.toContain(ROW);
    const ended = event({ kind: "ended", grams: 900 });
    await add(batch, ended, event({ kind: "turned out", when: "hot", body: 6, off: "" }));
    expect(await learned()).toContain(ROW);
    await add(batch, event({ kind: "taken up again" }));
    expect(await learned()).not.toContain(ROW);
    await add(batch, event({ kind: "ended", grams: 900 }));
    expect(await learned()).toContain(ROW);
    await app.stop();
    app = await startApp(folder);
    expect(await learned()).toContain(ROW);
    expect((await send(app.address, "DELETE", `/api/batches/${batch}`)).status).toBe(204);
    expect(await learned()).not.toContain(ROW);
    expect((await send(app.address, "POST", `/api/batches/${batch}/restore`)).status).toBe(204);
    expect(await learned()).toContain(ROW);
  });

  it("keeps a picture without what a camera wrote beside it, takes nothing else for one, and is backed up with it", async () => {
    const batch = await begin();
    const path = `/api/batches/${batch}/photo`;
    const put = (jpeg: string, shade: string | null = null) => send(app.address, "PUT", path, { jpeg, shade });
    const withPlace = jpegOf("Exif place and time");
    expect((await put(withPlace.toString("base64"))).json).toMatchObject({ width: 320, height: 200, shade: null });
    const got = await fetch(`${app.address}${path}`);
    expect(got.headers.get("content-type")).toBe("image/jpeg");
    const bytes = Buffer.from(await got.arrayBuffer());
    expect(bytes.includes("Exif")).toBe(false);
    expect(bytes.subarray(-12)).toEqual(withPlace.subarray(-12));
    expect((await send(app.address, "PUT", `${path}/shade`, { shade: "#d7a452" })).status).toBe(204);
    const refused = [
      await put(Buffer.from("no picture ".repeat(20)).toString("base64")),
      await put("not base64! ".repeat(20)),
      await put(jpegOf("", 70_000, 200).toString("base64")),
      await put(Buffer.concat([jpegOf(""), Buffer.alloc(1024 ** 2)]).toString("base64")),
      await send(app.address, "PUT", `${path}/shade`, { shade: "gold" }),
      await send(app.address, "PUT", "/api/batches/none/photo", { jpeg: withPlace.toString("base64"), shade: null }),
    ].map(({ status }) => status);
    expect(refused).toEqual([422, 422, 422, 413, 422, 404]);
    const backup = await (await fetch(`${app.address}/api/backup`)).text();
    expect((await send(app.address, "DELETE", path)).status).toBe(204);
    expect((await fetch(`${app.address}${path}`)).status).toBe(404);
    const restored = await fetch(`${app.address}/api/backup`, { method: "PUT", headers: { "content-type": "text/plain" }, body: backup });
    expect(restored.status).toBe(200);
    expect(Buffer.from(await (await fetch(`${app.address}${path}`)).arrayBuffer())).toEqual(bytes);
    const file = (await (await fetch(`${app.address}/api/batches/${batch}/export?format=json`)).json()) as { readonly photo: { readonly shade: string } };
    expect(file.photo.shade).toBe("#d7a452");
  });

  it("goes with the backup, and comes back with it", async () => {
    const batch = await begin();
    await add(batch, event({ kind: "started" }), event({ kind: "note", text: "kept", step: null }));
    const backup = await (await fetch(`${app.address}/api/backup`)).text();
    expect(backup).toContain('"kept"');
    await add(batch, event({ kind: "note", text: "later", step: null }));
    const restored = await fetch(`${app.address}/api/backup`, { method: "PUT", headers: { "content-type": "application/jsonl" }, body: backup });
    expect(restored.status).toBeLessThan(300);
    expect((await live(batch, 0, 2)).length).toBe(2);
    expect((await add(batch, event({ kind: "note", text: "on", step: null }))).added.map(({ place }) => place)).toEqual([3]);
  });

  it("is a file to keep, and is gone and back", async () => {
    const batch = await begin();
    await add(batch, event({ kind: "started" }), event({ kind: "note", text: "=1+1", step: null }));
    const got = async (format: string) => {
      const response = await fetch(`${app.address}/api/batches/${batch}/export?format=${format}`);
      return { status: response.status, text: await response.text() };
    };
    const json = JSON.parse((await got("json")).text) as { readonly format: string; readonly events: readonly object[] };
    expect(json).toMatchObject({ format: "threpsis-batch" });
    expect(json.events.length).toBe(2);
    // What a spreadsheet would run is text there.
    expect((await got("csv")).text).toMatch(/note,'=1\+1/);
    expect((await got("xls")).status).toBe(404);
    expect((await send(app.address, "DELETE", `/api/batches/${batch}`)).status).toBe(204);
    expect((await add(batch, event({ kind: "note", text: "later", step: null }))).status).toBe(404);
    expect((await send(app.address, "DELETE", `/api/batches/${batch}`)).status).toBe(404);
    expect((await send(app.address, "POST", `/api/batches/${batch}/restore`)).status).toBe(204);
    expect((await add(batch, event({ kind: "note", text: "later", step: null }))).status).toBe(200);
  });
});
