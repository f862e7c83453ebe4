import fc from "fast-check";
import { afterEach, describe, expect, it, vi } from "vitest";
import { validateAdapt } from "./schemas/adapt";
import { answer } from "./answer";
import { checked } from "./checked";
import { readJson } from "./body";
import { log } from "./log";
import { Refusal } from "./problems";
import { validateBench, validateTable } from "./schemas/documents";
import { validateRecipe } from "./schemas/recipe";

const request = (body: string, type = "application/json") => new Request("http://localhost/x", { method: "POST", headers: { "content-type": type }, body });
const refusal = async (work: Promise<unknown>): Promise<Refusal> =>
  work.then(
    () => {
      throw new Error("not refused");
    },
    (error: unknown) => {
      if (error instanceof Refusal) return error;
      throw error;
    },
  );
afterEach(() => vi.restoreAllMocks());

describe("what comes in by HTTP", () => {
  it("reads JSON by its type, plain or with a suffix", async () => {
    expect(await readJson(request('{"a":1}', "application/ld+json; charset=utf-8"))).toEqual({ a: 1 });
    expect((await refusal(readJson(request("{}", "text/html")))).status).toBe(415);
    expect((await refusal(readJson(request("{", "application/json")))).status).toBe(400);
    expect((await refusal(readJson(request("")))).status).toBe(400);
  });
  it("stops reading past what is allowed, whatever the length header says", async () => {
    let sent = 0;
    const endless = new ReadableStream<Uint8Array>({
      pull: (controller) => {
        sent += 65_536;
        controller.enqueue(new Uint8Array(65_536).fill(32));
      },
    });
    const streamed = new Request("http://localhost/x", {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: endless,
      duplex: "half",
    } as RequestInit);
    expect((await refusal(readJson(streamed, 256 * 1024))).status).toBe(413);
    expect(sent).toBeLessThan(700_000);
  });
  it("tells every miss with a pointer and what was allowed", () => {
    const body = { rules: ["vegan", "Fruit, mostly"], limits: [{ id: "sugar", most: -1, school: "uk" }], servings: 0, serve: "tepid", extra: 1 };
    try {
      checked(validateTable, body);
      throw new Error("not refused");
    } catch (error) {
      const { status, errors } = error as Refusal;
      expect(status).toBe(422);
      const at = new Map(errors.map((each) => [each.pointer, each.detail]));
      expect([...at.keys()]).toEqual(expect.arrayContaining(["/rules/1", "/limits/0/id", "/limits/0/most", "/servings", "/serve", ""]));
      expect(at.get("/serve")).toMatch(/hot, warm, room, chilled/);
      expect(at.get("")).toMatch(/"extra"/);
    }
  });
  it("turns the unexpected into an apology with a record, and logs it, without its inside", async () => {
    const told = vi.spyOn(log, "error").mockImplementation(() => undefined);
    const response = await answer(new Request("http://localhost/x", { headers: { "x-request-id": "r1" } }), async () => {
      throw new Error("secret path");
    });
    const body = (await response.json()) as { title: string };
    expect(response.status).toBe(500);
    expect(body.title).not.toMatch(/secret/);
    expect(body.title).toMatch(/record r1/);
    expect(told.mock.calls[0]?.[0]).toMatchObject({ id: "r1", path: "/x", err: { message: "secret path" } });
  });
  it("lets no body through that does not have the shape it promises", () => {
    fc.assert(
      fc.property(fc.jsonValue(), (body) => {
        for (const validate of [validateTable, validateBench, validateRecipe, validateAdapt]) expect(typeof validate(body)).toBe("boolean");
        expect(validateTable(body) && typeof (body as { servings: unknown }).servings !== "number").toBe(false);
      }),
      { numRuns: 300 },
    );
  });
});
