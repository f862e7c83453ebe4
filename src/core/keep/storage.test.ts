import { describe, expect, it } from "vitest";
import { randomOf, randomSweet, toKeep } from "../../../tests/support/sweets";
import { kitchenOf, REFERENCE } from "../../data";
import { USUAL_SOURCES } from "../kitchen";
import { keepingOfBatch, keepView } from "../views";
import { addDays } from "../calendar";
import { datedLabel, keepingProblem, lastDay, movedUntil, timeIn, timeWords } from ".";

const { keeping } = REFERENCE.constants;
const tables = kitchenOf(USUAL_SOURCES);
const TODAY = "2026-12-01";
const storageOf = (text: string, sources = USUAL_SOURCES) => keepingOfBatch(toKeep(text, { sources }), kitchenOf(sources));

const KHEER = "Rice kheer\nServes 4\n\n1 litre milk\n80 g rice\n80 g sugar\n\n1. Simmer for 40 minutes.";
const LADOO =
  "Besan ladoo\nMakes 12\n\n250 g besan\n120 g ghee\n130 g icing sugar\n\n1. Roast the besan in the ghee for 15 minutes.\n2. Cool, mix in the icing sugar, and shape into balls.";

describe("how long a sweet keeps", () => {
  it("is told by place, with its reason: a pudding in the fridge alone, a ladoo in the room, neither where it is warmer than 30 °C", () => {
    const kheer = storageOf(KHEER);
    expect(["room", "warm room", "fridge"].map((place) => timeWords(kheer, place as "room"))).toEqual(["2 hours at the most", "1 hour at the most", "3 days"]);
    expect(kheer.thaw).toMatch(/75 °C/);
    const ladoo = storageOf(LADOO);
    expect(timeIn(ladoo, "room").days).toBeGreaterThan(10);
    expect(timeIn(ladoo, "warm room")).toMatchObject({ days: 0, hours: 2, by: "warmth" });
    expect(ladoo.opened.room).toBeLessThan(timeIn(ladoo, "room").days ?? 0);
    expect(ladoo.opened.wetSpoon).toBeLessThanOrEqual(2);
  });
  it("is never longer than its cap, never lengthened by the household, and goes by the upper end of its water activity: 300 random sweets", () => {
    const own = Object.fromEntries(Object.keys(keeping.value.kinds).map((kind, i) => [kind, { room: i, fridge: 400, freezer: 20 }]));
    const house = kitchenOf({ ...USUAL_SOURCES, household: { ...USUAL_SOURCES.household, keeping: own } });
    let [told, unknown, byActivity] = [0, 0, 0];
    for (let seed = 1; seed <= 300; seed++) {
      const question = toKeep(randomSweet(randomOf(seed)).text);
      const usual = keepingOfBatch(question, tables);
      const shorter = keepingOfBatch(question, house);
      const cap = keeping.value.kinds[usual.kind] ?? keeping.value.unknown;
      if (usual.unknown === null) told++;
      else unknown++;
      for (const place of ["room", "fridge", "freezer"] as const) {
        const days = timeIn(usual, place).days ?? 0;
        expect(days, `${seed} ${place}`).toBeLessThanOrEqual(cap[place]);
        expect(timeIn(shorter, place).days ?? 0).toBeLessThanOrEqual(days);
        if (usual.unknown === null && timeIn(usual, place).days !== null)
          expect(timeIn(shorter, place).days).toBe(Math.min(days, own[usual.kind]?.[place] ?? 999));
      }
      if (usual.activity !== null) {
        const row = keeping.value.byActivity.find(([from]) => (usual.activity ?? 1) >= from) ?? keeping.value.byActivity.at(-1);
        expect(timeIn(usual, "room").days).toBe(Math.min(cap.room, row?.[1] ?? 0));
        expect(timeIn(usual, "fridge").days).toBe(Math.min(cap.fridge, row?.[2] ?? 0));
        if ((row?.[1] ?? 0) < cap.room) byActivity++;
      }
      expect(usual.opened.room).toBeLessThanOrEqual(timeIn(usual, "room").days ?? 0);
      expect(usual.thawed).toBeLessThanOrEqual(timeIn(usual, "fridge").days ?? 0);
    }
    // Of each kind there are some, so that nothing of this is empty.
    expect(Math.min(told, unknown, byActivity)).toBeGreaterThan(15);
  });
  it("is that of what spoils soonest where a line is not read, and says so", () => {
    const storage = storageOf(LADOO.replace("130 g icing sugar", "130 g icing sugar\na handful of what the neighbour dried"));
    expect(storage.unknown).not.toBeNull();
    expect(timeIn(storage, "room").days).toBe(0);
    expect(keepingProblem(storage, "fridge", TODAY, addDays(TODAY, 3))).toMatch(/2 days in the fridge at the most, as long as nobody knows/);
    expect(lastDay(storage, "freezer", TODAY)).not.toBeNull();
  });
  it("is not longer for being sealed, vacuum-packed or canned: milk, nuts and coconut are refused in the room, as is what is moist or not known", () => {
    expect(storageOf(LADOO).notSealed).toMatch(/holds milk.*tested process/s);
    const sesame = "Til chikki\nMakes 16\n\n200 g sesame seeds\n180 g jaggery\n\n1. Boil the jaggery to a hard crack.\n2. Stir in the sesame and roll out.";
    expect(storageOf(sesame).notSealed).toMatch(/oily seeds/);
    const brittle =
      "Puffed rice brittle\nMakes 12\n\n100 g puffed rice\n200 g sugar\n\n1. Boil the sugar to a hard crack.\n2. Stir in the puffed rice and roll out.";
    expect(storageOf(brittle).notSealed).toBeNull();
    const compote = "Apple sauce\nServes 4\n\n500 g apple\n60 g sugar\n100 ml water\n\n1. Simmer for 15 minutes.";
    expect(storageOf(compote).notSealed).toMatch(/water activity may be (?:0\.9\d|1\.00)/);
    expect(storageOf(brittle.replace("200 g sugar", "200 g sugar\nsome of the neighbour's powder")).notSealed).toMatch(/not all that is in it is known/i);
  });
  it("tells what the frost spoils, and how the rest is thawed", () => {
    const jelly =
      "Almond jelly\nServes 4\n\n500 ml almond milk\n6 g agar powder\n50 g sugar\n\n1. Simmer for 5 minutes.\n2. Pour into moulds and chill to set.";
    expect(storageOf(jelly)).toMatchObject({ freezing: "gel" });
    expect(lastDay(storageOf(jelly), "freezer", TODAY)).toBeNull();
    expect(keepingProblem(storageOf(jelly), "freezer", TODAY, null)).toMatch(/breaks in the frost/);
    expect(storageOf("Kulfi\nServes 6\n\n1 litre milk\n100 g sugar\n\n1. Simmer for an hour.\n2. Freeze in moulds.").thaw).toMatch(/eaten frozen/);
  });
});

describe("a sweet that is put by", () => {
  it("is never put by for longer, nor where it does not keep; sooner is for the household to say", () => {
    const [kheer, ladoo] = [storageOf(KHEER), storageOf(LADOO)];
    expect(lastDay(kheer, "fridge", TODAY)).toBe("2026-12-04");
    expect(keepingProblem(kheer, "fridge", TODAY, "2026-12-04")).toBeNull();
    expect(keepingProblem(kheer, "fridge", TODAY, "2026-12-02")).toBeNull();
    expect(keepingProblem(kheer, "fridge", TODAY, "2026-12-05")).toMatch(/3 days in the fridge at the most/);
    expect(keepingProblem(kheer, "fridge", TODAY, null)).toMatch(/at the most/);
    expect(keepingProblem(kheer, "cupboard", TODAY, TODAY)).toMatch(/2 hours/);
    expect(keepingProblem(kheer, "freezer", TODAY, addDays(TODAY, 61))).toMatch(/60 days in the freezer/);
    expect(keepingProblem(ladoo, "cupboard", TODAY, lastDay(ladoo, "cupboard", TODAY))).toBeNull();
    expect(keepingProblem(ladoo, "fridge", TODAY, "2026-11-30")).toMatch(/before the day on which it was made/);
  });
  it("goes into the frost while it is good, and out of it for as long as what was thawed keeps", () => {
    const kheer = storageOf(KHEER);
    const moved = (part: Partial<Parameters<typeof movedUntil>[1]>, today = TODAY) =>
      movedUntil(kheer, { from: "fridge", to: "freezer", madeOn: TODAY, useBy: "2026-12-04", ...part }, today);
    expect(moved({})).toEqual({ ok: true, value: addDays(TODAY, 60) });
    expect(moved({}, "2026-12-05")).toMatchObject({ ok: false, why: expect.stringMatching(/good until Fri/) as string });
    expect(moved({ from: "freezer", to: "fridge", useBy: "2027-01-30" }, "2027-01-10")).toEqual({ ok: true, value: "2027-01-12" });
    expect(moved({ from: "freezer", to: "cupboard", useBy: "2027-01-30" })).toMatchObject({ ok: false });
    expect(moved({ to: "cupboard" })).toMatchObject({ ok: false, why: expect.stringMatching(/2 hours/) as string });
    const ladoo = storageOf(LADOO);
    const later = addDays(TODAY, 20);
    // In the fridge for a while it is not good in the room for longer than it would have been.
    expect(movedUntil(ladoo, { from: "fridge", to: "cupboard", madeOn: TODAY, useBy: addDays(TODAY, 40) }, later)).toMatchObject({
      ok: (timeIn(ladoo, "room").days ?? 0) >= 20,
    });
  });
  it("has a label with its days; none of what is past, kept where it does not keep, or longer", () => {
    const { label } = keepView(toKeep(KHEER), tables);
    const of = (part: Partial<Parameters<typeof datedLabel>[1]>) =>
      datedLabel(label, { madeOn: TODAY, place: "fridge", packing: "covered", useBy: null, ...part }, TODAY);
    expect(of({})).toMatchObject({ ok: true, value: { useBy: "2026-12-04", serve: expect.stringMatching(/hot/) as string } });
    expect(of({ useBy: "2026-12-02" })).toMatchObject({ ok: true, value: { useBy: "2026-12-02" } });
    expect(of({ madeOn: "2026-11-20" })).toMatchObject({ ok: false, field: "madeOn", why: expect.stringMatching(/that is past/) as string });
    expect(of({ useBy: "2026-12-20" })).toMatchObject({ ok: false, field: "useBy" });
    expect(of({ packing: "vacuum-packed" })).toMatchObject({
      ok: true,
      value: { useBy: "2026-12-04", keep: expect.arrayContaining(["Vacuum-packed it keeps no longer."]) as string[] },
    });
    const ladoo = keepView(toKeep(LADOO), tables).label;
    for (const packing of ["sealed", "vacuum-packed", "canned"] as const)
      expect(datedLabel(ladoo, { madeOn: TODAY, place: "cupboard", packing, useBy: null }, TODAY)).toMatchObject({
        ok: false,
        field: "packing",
        why: expect.stringMatching(/Follow a tested process/) as string,
      });
    expect(of({ place: "cupboard" })).toMatchObject({ ok: false, field: "place", why: expect.stringMatching(/2 hours/) as string });
    expect(of({ madeOn: "2026-11-30", useBy: "2026-11-30" })).toMatchObject({ ok: false, field: "useBy", why: expect.stringMatching(/is past/) as string });
  });
});
