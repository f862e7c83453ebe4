import { expect, it } from "vitest";
import { ladderPair } from "../../src/core/practice";
import { save, send } from "../support/app";
import { ownApp } from "../support/own-app";

const app = ownApp();

let count = 0;
interface Told {
  readonly miss: number;
  readonly grams?: number;
  readonly isRight?: boolean;
  readonly title?: string;
  readonly best?: number;
}
const attempt = async (kind: string, answer: object, part: object = {}) => {
  const { status, json } = await send(app.address, "POST", "/api/practice", { id: `p${count++}`, kind, eater: null, seed: 7, answer, ...part });
  return { status, told: json as Told };
};
const page = async (path: string) => await (await fetch(`${app.address}${path}`)).text();

it("works out what each try came to, keeps it once, and offers sugar water to nobody whom it is not for", async () => {
  const { address } = app;
  const eaters = [
    { id: "ana", name: "Ana", rules: [], limits: [], note: "", asked: "2026-10-01" },
    { id: "bo", name: "Bo", rules: [], limits: [{ id: "freeSugars", most: 8, school: "uk" }], note: "", asked: "2026-10-01" },
  ];
  expect((await save(address, "/api/eaters", { eaters }, 1)).status).toBe(200);

  // What is right is not told before it is tried.
  const set = await page("/practice/stop?seed=7");
  expect(set).toContain("Light the flame");
  expect(set).not.toMatch(/"cold"|"best"|"cause"/);
  const early = await attempt("stop in time", { minutes: 0 });
  expect([early.status, Math.sign(early.told.miss)]).toEqual([201, -1]);
  const right = await attempt("stop in time", { minutes: early.told.best });
  expect(Math.abs(right.told.miss)).toBeLessThan(0.2);
  // Sent again it is there once.
  for (let i = 0; i < 2; i++) expect((await attempt("stop in time", { minutes: 1000 }, { id: "same" })).told.miss).toBeGreaterThan(0);
  const none = { liquid: 0, thickener: 0, sweetener: 0, "boil off": 0 };
  expect((await attempt("what went wrong", none)).told.miss).toBeGreaterThan(1);
  const guess = await attempt("guess the grams", { grams: 50 });
  expect(guess.told.miss).toBeCloseTo(Math.log(50 / (guess.told.grams ?? 1)), 9);
  expect(await page("/practice")).toMatch(/3 times; the last 3 in the middle off by/);

  expect((await attempt("palate ladder", { step: 0.1, code: "123" }, { eater: "ana" })).told.title).toMatch(/no cup of that code/);
  expect(await page("/practice/ladder?eater=ana")).toContain("The glasses are ready");
  const said = await attempt("palate ladder", { step: 0.1, code: ladderPair(0.1, 7).sweeter }, { eater: "ana" });
  expect(said).toMatchObject({ status: 201, told: { isRight: true } });
  expect(await page("/practice/ladder?eater=ana")).toContain("1 of 30");
  const barred = await page("/practice/ladder?eater=bo&pair=7");
  expect(barred).toContain("minds free sugars");
  expect(barred).not.toContain("The glasses are ready");
  for (const [kind, answer, part] of [
    ["palate ladder", { step: 0.1, code: "123" }, { eater: "bo" }],
    ["palate ladder", { step: 0.1, code: "123" }, {}],
    ["palate ladder", { step: 0.07, code: "123" }, { eater: "ana" }],
    ["stop in time", { minutes: -1 }, {}],
    ["stop in time", { minutes: 3 }, { seed: -1 }],
    ["stop in time", { minutes: 3 }, { seed: 2 ** 31 }],
    ["stop in time", { minutes: 3 }, { eater: "nobody" }],
    ["stop in time", { grams: 3 }, {}],
    ["guess the grams", { grams: 0 }, {}],
    ["what went wrong", { ...none, liquid: 1e6 }, {}],
    ["juggling", {}, {}],
  ] as const)
    expect((await attempt(kind, answer, part)).status, JSON.stringify([kind, answer, part])).toBe(422);

  const backup = await page("/api/backup");
  expect(backup.match(/"table":"practice_run"/g)?.length).toBe(6);
  expect((await send(address, "DELETE", "/api/practice", { kind: "stop in time", eater: null })).status).toBe(204);
  expect(await page("/practice")).toContain("Not tried yet.");
  expect((await fetch(`${address}/api/backup`, { method: "PUT", headers: { "content-type": "application/jsonl" }, body: backup })).status).toBe(200);
  expect(await page("/practice")).toMatch(/3 times; the last 3/);
  expect((await fetch(`${address}/practice/juggling`)).status).toBe(404);
});
