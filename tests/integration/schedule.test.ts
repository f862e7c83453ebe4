import { Ajv2020 } from "ajv/dist/2020";
import { describe, expect, it } from "vitest";
import { scheduleResponseSchema } from "../../src/server/http/schemas/schedule";
import { send } from "../support/app";
import { ownApp } from "../support/own-app";

const app = ownApp();
const fits = new Ajv2020().compile(scheduleResponseSchema);

interface Answer {
  readonly kind: "planned" | "clash";
  readonly begin: string;
  readonly steps: readonly { readonly sweet: string; readonly step: string; readonly start: string; readonly end: string; readonly pan: string | null }[];
  readonly bounds: { readonly criticalPath_min: number; readonly latestBegin: string };
  readonly clashes: readonly {
    readonly step: string;
    readonly because: string;
    readonly givesWay: readonly { readonly kind: string; readonly minutes?: number; readonly ml?: number }[];
  }[];
  readonly title?: string;
  readonly errors?: readonly { readonly pointer: string; readonly detail: string }[];
}
const ask = async (body: object) => {
  const { status, json } = await send(app.address, "POST", "/api/v1/schedule", body);
  return { status, answer: json as Answer };
};
const READY = "2026-12-05T19:30:00+05:30";
const NOW = "2026-12-04T18:00:00+05:30";
const kheer = {
  id: "kheer",
  pots: [{ id: "pot", ml: 2500 }],
  steps: [
    { id: "soak", minutes: 480, attention: "unattended" },
    { id: "grind", minutes: 5, mixer: true },
    { id: "simmer", minutes: 40, attention: "now and then", burner: true, pot: "pot" },
    { id: "chill", minutes: 180, attention: "unattended", fridge_l: 2 },
  ],
};
const halwa = {
  id: "halwa",
  freshFor_min: 90,
  pots: [{ id: "pan", ml: 2000 }],
  steps: [
    { id: "roast", minutes: 15, burner: true, pot: "pan" },
    { id: "stir", minutes: 12, burner: true, pot: "pan", within_min: 0 },
  ],
};
const kitchen = {
  cooks: 1,
  burners: 2,
  pans: [
    { id: "wide", ml: 3000 },
    { id: "small", ml: 2000 },
  ],
  quiet: [{ from: "2026-12-04T21:00:00+05:30", to: "2026-12-05T07:00:00+05:30" }],
};

describe("POST /api/v1/schedule", () => {
  it("plans several sweets in one kitchen, as late as can be, in quiet hours without the mixer, as its description says", async () => {
    const { status, answer } = await ask({ ready: READY, now: NOW, sweets: [kheer, halwa], kitchen });
    expect(status).toBe(200);
    expect(fits(answer), JSON.stringify(fits.errors)).toBe(true);
    expect(answer).toMatchObject({ kind: "planned", bounds: { criticalPath_min: 705 }, clashes: [] });
    const at = (sweet: string, step: string) => answer.steps.find((each) => each.sweet === sweet && each.step === step);
    const minutes = (from: string | undefined, to: string | undefined) => (Date.parse(to ?? "") - Date.parse(from ?? "")) / 60_000;
    expect(minutes(at("halwa", "stir")?.end, READY)).toBeGreaterThanOrEqual(0);
    expect(at("halwa", "stir")?.start).toBe(at("halwa", "roast")?.end);
    expect(at("halwa", "stir")?.pan).not.toBeNull();
    expect(at("kheer", "simmer")?.pan).toBe("wide");
    expect(Date.parse(at("kheer", "grind")?.start ?? "")).toBeGreaterThanOrEqual(Date.parse("2026-12-05T07:00:00+05:30"));
    expect(Date.parse(answer.begin)).toBeLessThanOrEqual(Date.parse(answer.bounds.latestBegin));
    const described = (await send(app.address, "GET", "/api/v1/openapi.json")).json as { readonly paths: object };
    expect(Object.keys(described.paths)).toContain("/api/v1/schedule");
  });
  it("names what finds no place, and what would have to give way", async () => {
    const late = await ask({ ready: READY, now: "2026-12-05T16:00:00+05:30", sweets: [kheer], kitchen });
    expect(late.answer.kind).toBe("clash");
    expect(late.answer.clashes[0]?.givesWay.some(({ kind, minutes = 0 }) => kind === "later" && minutes >= 480)).toBe(true);
    const noPan = await ask({ ready: READY, now: NOW, sweets: [kheer], kitchen: { ...kitchen, pans: [{ ml: 1000 }] } });
    expect(noPan.answer.clashes[0]).toMatchObject({
      step: "simmer",
      because: "pan",
      givesWay: expect.arrayContaining([{ kind: "pan", ml: 2500 }]) as unknown[],
    });
    const noBurner = await ask({ ready: READY, now: NOW, sweets: [halwa], kitchen: { ...kitchen, burners: 0 } });
    expect(noBurner.answer.clashes.map(({ because }) => because)).toContain("burner");
  });
  it("refuses what cannot be, with where and how to mend it", async () => {
    const wrong = async (body: object) => {
      const { status, answer } = await ask({ ready: READY, now: NOW, sweets: [halwa], kitchen, ...body });
      return [status, answer.errors?.[0]?.pointer];
    };
    expect(await wrong({ ready: "2026-12-01T10:00:00Z" })).toEqual([422, "/ready"]);
    expect(await wrong({ ready: "next Tuesday" })).toEqual([422, "/ready"]);
    expect(await wrong({ sweets: [] })).toEqual([422, "/sweets"]);
    expect(await wrong({ sweets: [halwa, halwa] })).toEqual([422, "/sweets/1/id"]);
    expect(await wrong({ sweets: [{ id: "a", steps: [{ id: "x", minutes: 5, after: ["y"] }] }] })).toEqual([422, "/sweets/0/steps/0/after/0"]);
    const circle = [
      { id: "x", minutes: 5, after: ["y"] },
      { id: "y", minutes: 5, after: ["x"] },
    ];
    expect((await wrong({ sweets: [{ id: "a", steps: circle }] }))[0]).toBe(422);
    expect(await wrong({ sweets: [{ id: "a", steps: [{ id: "x", minutes: 5, pot: "none" }] }] })).toEqual([422, "/sweets/0/steps/0/pot"]);
    expect((await wrong({ sweets: [{ id: "a", steps: [{ id: "x", minutes: -5 }] }] }))[0]).toBe(422);
    expect(await wrong({ kitchen: { ...kitchen, quiet: [{ from: READY, to: NOW }] } })).toEqual([422, "/kitchen/quiet/0"]);
    expect(await wrong({ pinned: [{ sweet: "halwa", step: "none", at: READY }] })).toEqual([422, "/pinned/0"]);
  });
});
