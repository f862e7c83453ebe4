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
    const learned = async () => await (await fetch(`${app.address}/logbook/learned`)).text();
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

  it("takes off the stock what went in, once it is done and for as long as it is, and puts by what is left with its last day", async () => {
    const put = (id: string, foodId: string | null, grams: number, part: object = {}) =>
      send(app.address, "POST", "/api/stock", {
        ...{ id, foodId, name: id, grams, kind: "bought", place: "cupboard", gotOn: "2026-01-02", useBy: null, note: "" },
        ...part,
      });
    interface Stock {
      readonly items: readonly {
        readonly id: string;
        readonly name: string;
        readonly grams: number;
        readonly useBy: string | null;
        readonly revision: number;
      }[];
      readonly moves: readonly { readonly id: string; readonly why: string; readonly grams: number }[];
    }
    const stock = async () => (await send(app.address, "GET", "/api/stock")).json as Stock;
    const left = async (id: string) => (await stock()).items.find((each) => each.id === id)?.grams ?? 0;
    const batch = await begin();
    const { title, planned } = (await (await fetch(`${app.address}/api/batches/${batch}/export?format=json`)).json()) as {
      readonly title: string;
      readonly planned: { readonly lines: readonly { readonly food: string; readonly grams: number }[] };
    };
    const [first, second] = planned.lines.filter(({ food }) => food !== "water");
    if (!first || !second) throw new Error("The demo's first recipe has two foods.");
    expect((await put("enough", first.food, first.grams + 500)).status).toBe(201);
    expect((await put("enough", first.food, first.grams + 500)).status).toBe(201);
    expect((await put("little", second.food, 7)).status).toBe(201);
    for (const bad of [
      put("x", "no such food", 5),
      put("x", null, 0),
      put("x", null, 5, { gotOn: "2126-01-01" }),
      put("x", null, 5, { useBy: "2025-12-31" }),
      put("x", null, 5, { useBy: "2026-02-30" }),
      put("x", null, 5, { name: " " }),
    ])
      expect((await bad).status).toBe(422);

    await add(batch, event({ kind: "started" }));
    expect((await add(batch, event({ kind: "left over", grams: 300, place: "fridge", useBy: null }))).title).toMatch(/not done yet/);
    expect(await left("enough")).toBeCloseTo(first.grams + 500, 6);
    const ended = event({ kind: "ended", grams: 900 });
    await add(batch, ended);
    await add(batch, ended);
    expect(await left("enough")).toBeCloseTo(500, 6);
    expect(await left("little")).toBe(0);
    const told = (await send(app.address, "GET", `/api/batches/${batch}/stock`)).json as { readonly missing: readonly { readonly grams: number }[] };
    expect(told.missing.some(({ grams }) => Math.abs(grams - (second.grams - 7)) < 0.01)).toBe(true);

    // What is left is put by for no longer than it keeps, and no more of it than there is.
    const over = (part: object) => add(batch, event({ kind: "left over", grams: 300, place: "fridge", useBy: "2026-09-23", ...part }));
    expect((await over({ useBy: "2027-09-30" })).title).toMatch(/at the most/);
    expect((await over({ useBy: null })).title).toMatch(/at the most/);
    expect((await over({ grams: 1200 })).title).toMatch(/cannot be left/);
    const kept = event({ kind: "left over", grams: 300, place: "fridge", useBy: "2026-09-22" });
    expect((await add(batch, kept)).status).toBe(200);
    const sweet = (await stock()).items.find(({ name }) => name === title);
    expect(sweet).toMatchObject({ grams: 300, useBy: "2026-09-22" });
    const said = { foodId: null, name: title, kind: "left over", place: "fridge", gotOn: "2026-09-21", useBy: "2026-10-30", note: "" };
    const change = (part: object, revision = 1) =>
      send(app.address, "PUT", `/api/stock/${encodeURIComponent(sweet?.id ?? "")}`, { document: { ...said, ...part }, revision });
    expect((await change({})).status).toBe(422);
    expect((await change({ place: "cupboard", useBy: "2026-09-22" })).status).toBe(422);
    expect((await change({ useBy: "2026-09-21" })).json).toEqual({ revision: 2 });
    expect((await change({ useBy: "2026-09-22", note: "late" })).status).toBe(422);
    expect((await change({ useBy: "2026-09-21", note: "late" })).status).toBe(409);

    // Taken, weighed, taken back; never below nothing.
    const move = (id: string, of: string, why: string, grams: number) => send(app.address, "POST", `/api/stock/${of}/moves`, { id, why, grams });
    expect((await move("m1", "enough", "used", 200)).json).toEqual({ left: 300 });
    expect((await move("m1", "enough", "used", 200)).json).toEqual({ left: 300 });
    expect((await move("m2", "enough", "used", 301)).status).toBe(422);
    expect((await move("m3", "enough", "weighed", 120)).json).toEqual({ left: 120 });
    expect((await send(app.address, "DELETE", "/api/stock/moves/enough")).status).toBe(409);
    for (const id of ["m3", "m1"]) expect((await send(app.address, "DELETE", `/api/stock/moves/${id}`)).status).toBe(204);
    expect(await left("enough")).toBeCloseTo(500, 6);
    const took = (await stock()).moves.find(({ why }) => why === "cooked");
    expect((await send(app.address, "DELETE", `/api/stock/moves/${encodeURIComponent(took?.id ?? "")}`)).status).toBe(409);

    // It goes with the backup; then nothing is taken, as somebody says so; then it is on the stove again.
    const backup = await (await fetch(`${app.address}/api/backup`)).text();
    await move("m4", "enough", "thrown away", 500);
    expect((await fetch(`${app.address}/api/backup`, { method: "PUT", headers: { "content-type": "application/jsonl" }, body: backup })).status).toBe(200);
    expect(await left("enough")).toBeCloseTo(500, 6);
    await add(batch, event({ kind: "stock", isTaken: false }));
    expect(await left("enough")).toBeCloseTo(first.grams + 500, 6);
    expect(await left("little")).toBe(7);
    await add(batch, event({ kind: "stock", isTaken: true }));
    expect(await left("enough")).toBeCloseTo(500, 6);
    await add(batch, event({ kind: "taken back", event: kept.id }));
    expect((await stock()).items.some(({ name }) => name === title)).toBe(false);
    await add(batch, event({ kind: "taken up again" }));
    expect(await left("enough")).toBeCloseTo(first.grams + 500, 6);
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
