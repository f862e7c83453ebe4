import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  alarmWords,
  isCookEvent,
  lastToTakeBack,
  missedBetween,
  problemOf,
  nextTimer,
  secondsLeft,
  sessionOf,
  stirring,
  storyOf,
  whereItIs,
  goneIn,
  growingSession,
  transition,
  COOK_LIMITS,
  type CookEvent,
  type CookHappening,
  type CookPlan,
} from ".";

const MINUTE = 60_000;
const step = (id: string, text: string, cue: string | null = null): CookPlan["steps"][number] => ({
  id,
  text,
  part: null,
  minutes: { shortest: 5, usual: 10, longest: 15 },
  attention: "hands on",
  cue,
  cues: [],
  hazards: [],
  atOnce: null,
  isBefore: false,
  takes: [],
  pot: [],
  heat: null,
  driven: 0,
  pressure: null,
});
const PLAN: CookPlan = {
  title: "Semolina halwa",
  label: null,
  servings: 6,
  grams: 900,
  serve: "hot",
  notFor: [],
  unread: 0,
  steps: [step("s1", "Roast the semolina.", "it smells of nuts"), { ...step("s2", "Pour in the water."), lots: 3 }, step("s3", "Stir in the sugar.")],
  lines: [{ id: "l1", food: "semolina", name: "Semolina", grams: 200, measure: "1 cup", role: "body" }],
  tools: [],
};
let count = 0;
const event = (happening: CookHappening, at = 0): CookEvent => ({ ...happening, id: `e${count++}`, at });
const START = () => event({ kind: "started" });
const run = (...events: readonly CookEvent[]) => events.reduce((session, each) => transition(session, each)[0], sessionOf(PLAN, []));
/** All of a session but its events. */
const stateOf = ({ events: _, ...state }: ReturnType<typeof run>) => state;

const happening: fc.Arbitrary<CookHappening> = fc.oneof(
  fc.constant({ kind: "started" } as const),
  fc.record({ kind: fc.constantFrom("done", "skipped", "went to"), step: fc.constantFrom("s1", "s2", "s3", "a1", "nowhere") }) as fc.Arbitrary<CookHappening>,
  fc.record({
    kind: fc.constant("step added" as const),
    step: fc.constantFrom("a1", "a2"),
    text: fc.constant("Rest."),
    after: fc.constantFrom(null, "s1", "nowhere"),
  }),
  fc.record({
    kind: fc.constant("timer started" as const),
    timer: fc.constantFrom("t1", "t2"),
    step: fc.constantFrom(null, "s1"),
    label: fc.constant("Roast"),
    seconds: fc.integer({ min: 1, max: 4000 }),
  }),
  fc.record({ kind: fc.constant("timer longer" as const), timer: fc.constantFrom("t1", "t2"), seconds: fc.constant(60) }),
  fc.record({ kind: fc.constant("timer stopped" as const), timer: fc.constantFrom("t1", "t2") }),
  fc.record({
    kind: fc.constant("put in" as const),
    line: fc.constantFrom("l1", null),
    food: fc.constant("jaggery"),
    name: fc.constant("sugar"),
    grams: fc.integer({ min: 1, max: 90 }),
    word: fc.constant(""),
  }),
  fc.constantFrom<CookHappening>(
    { kind: "set up", setUp: { pan: { name: "wide", diameter: 26, grams: 1180 }, burner: null, tasting: false } },
    { kind: "heat", heat: "brisk" },
    { kind: "goes on", step: "s1", who: null },
    { kind: "goes on", step: "s2", who: "the aunt" },
    { kind: "lot done", step: "s2" },
    { kind: "held back", line: "l1", grams: 60 },
    { kind: "enough", line: "l1" },
    { kind: "amount set", line: "l1", grams: 150 },
    { kind: "fruit tasted", line: "l1", sweetness: { by: "refractometer", brix: 14 } },
    { kind: "stop at", grams: 700 },
    { kind: "depth", centimetres: 3, diameter: 24, grams: 1400, sd: 130 },
    { kind: "temperature", celsius: 80 },
    { kind: "set aside", name: "the first", grams: 40 },
    { kind: "turned out", when: "chilled", body: 4.5, off: "" },
    { kind: "stock", isTaken: false },
    { kind: "left over", grams: 120, place: "fridge", useBy: "2026-12-02" },
  ),
  fc.record({ kind: fc.constant("weighed" as const), grams: fc.integer({ min: 600, max: 2000 }), pan: fc.constant(500) }),
  fc.record({ kind: fc.constant("ended" as const), grams: fc.constantFrom(null, 870) }),
  fc.constant({ kind: "taken up again" } as const),
);
const happenings = fc.array(fc.tuple(happening, fc.integer({ min: 0, max: 50 })), { maxLength: 40 });
const asEvents = (list: readonly (readonly [CookHappening, number])[]) => {
  let at = 0;
  return list.map(([each, minutes]) => event(each, (at += minutes * MINUTE)));
};

describe("a batch on the stove", () => {
  it("is what its events say, however it came to them: one by one, all at once, or some of them twice", () =>
    fc.assert(
      fc.property(happenings, (list) => {
        const events = asEvents(list);
        const one = run(...events);
        expect(stateOf(sessionOf(PLAN, events))).toEqual(stateOf(one));
        // As they grow, some of them taken back, in whatever order the devices' events came.
        const grown = growingSession(PLAN);
        const withBack = events.flatMap((each, i) =>
          i % 5 === 4 ? [each, event({ kind: "taken back", event: events[(7 * i) % events.length]?.id ?? "" })] : [each],
        );
        for (let length = 0; length <= withBack.length; length += 3)
          expect(grown(withBack.slice(0, length))).toEqual(sessionOf(PLAN, withBack.slice(0, length)));
        expect(grown([...withBack].reverse())).toEqual(sessionOf(PLAN, [...withBack].reverse()));
        expect(run(...events.flatMap((each) => [each, each]))).toEqual(one);
        // There is at most one step on, and it is that which is told.
        const on = one.steps.filter(({ state }) => state === "now").map(({ id }) => id);
        expect(on).toEqual(one.now === null ? [] : [one.now]);
      }),
      { numRuns: 300, seed: 21 },
    ));

  it("takes back the last event as if it had not been, with words for it, and again until nothing is left", () =>
    fc.assert(
      fc.property(happenings, (list) => {
        const events = [START(), ...asEvents(list)];
        let session = run(...events);
        for (let left = events.length; left > 0; left--) {
          const last = lastToTakeBack(session);
          if (!last) break;
          expect(last.words).toMatch(/^Take back: \S/);
          const kept = session.events.filter(({ id, kind }) => id !== last.event && kind !== "taken back");
          const gone = new Set(session.events.flatMap((each) => (each.kind === "taken back" ? [each.event] : [])));
          session = transition(session, event({ kind: "taken back", event: last.event }))[0];
          expect(stateOf(session)).toEqual(
            stateOf(
              sessionOf(
                PLAN,
                kept.filter(({ id }) => !gone.has(id)),
              ),
            ),
          );
        }
      }),
      { numRuns: 100, seed: 22 },
    ));

  it("goes from step to step, keeps how long each took, and does once what two devices do at once", () => {
    const done = () => event({ kind: "done", step: "s1" }, 14 * MINUTE);
    const session = run(START(), done(), done());
    expect(session.now).toBe("s2");
    expect(session.steps.map(({ state }) => state)).toEqual(["done", "now", "to come"]);
    expect(session.steps[0]?.took).toBe(14);
    const back = transition(session, event({ kind: "went to", step: "s1" }, 15 * MINUTE))[0];
    expect(back.steps.map(({ state }) => state)).toEqual(["now", "to come", "to come"]);
    // Done again, both goes count.
    expect(transition(back, event({ kind: "done", step: "s1" }, 18 * MINUTE))[0].steps[0]?.took).toBe(17);
  });

  it("decides what has to be done outside: rings, stops ringing, says the next step", () => {
    const begun = run(START());
    const timer = event({ kind: "timer started", timer: "t", step: "s1", label: "Roast", seconds: 600 }, MINUTE);
    const [on, ring] = transition(begun, timer);
    expect(ring).toEqual([{ kind: "ring at", timer: "t", at: 11 * MINUTE, words: "Roast: the time is up. Look: it smells of nuts." }]);
    const [longer, later] = transition(on, event({ kind: "timer longer", timer: "t", seconds: 60 }, 2 * MINUTE));
    expect(later).toMatchObject([{ kind: "ring at", at: 12 * MINUTE }]);
    // A step that is done takes its timer with it.
    expect(transition(longer, event({ kind: "done", step: "s1" }, 3 * MINUTE))[1]).toEqual([
      { kind: "do not ring", timer: "t" },
      { kind: "say", words: "Pour in the water." },
    ]);
    expect(alarmWords({ label: "Tea", step: null }, on)).toBe("Tea: the time is up.");
  });

  it("takes a step under pressure by three timers, one after the other, and says to stir what catches more often", () => {
    const under = { ...step("p", "Pressure cook the rice."), pressure: { minutes: 12, comingUp: 7 } };
    const pot = {
      ...step("k", "Simmer."),
      attention: "now and then" as const,
      heat: "simmer" as const,
      pot: [{ line: "l1", share: 1 }],
    };
    const plan: CookPlan = { ...PLAN, steps: [under, pot] };
    let session = transition(sessionOf(plan, []), START())[0];
    const told: string[] = [];
    for (let i = 0; i < 3; i++) {
      const [now] = session.steps;
      if (!now) throw new Error("no step");
      const next = nextTimer(session, now, 1);
      told.push(`${next.label} ${next.seconds / 60}`);
      expect(alarmWords({ label: next.label, step: "p" }, session)).not.toMatch(/the time is up\.$/);
      session = transition(session, event({ kind: "timer started", timer: `t${i}`, step: "p", ...next }, MINUTE))[0];
    }
    expect(told).toEqual(["Step 1, coming up to pressure 7", "Step 1, at pressure 12", "Step 1, pressure falls 10"]);
    session = transition(session, event({ kind: "done", step: "p" }, 30 * MINUTE))[0];
    const simmer = session.steps[1];
    if (!simmer) throw new Error("no step");
    expect(stirring(simmer, plan, 30 * MINUTE + 1000)).toEqual({ every: 2, isDue: false });
    expect(stirring(simmer, plan, 32 * MINUTE + 1000)).toMatchObject({ isDue: true });
    expect(stirring(simmer, { lines: [] }, 32 * MINUTE + 1000)).toEqual({ every: 4, isDue: false });
    const syrup = [{ id: "l1", food: "white-sugar", name: "Sugar", grams: 200, measure: "1 cup", role: "sweetener" as const }];
    expect(stirring(simmer, { lines: syrup }, 32 * MINUTE + 1000)).toBeNull();
  });

  it("tells the time by the clock: after an hour asleep, after hours of ticks, and with the clock set back", () => {
    const session = run(START(), event({ kind: "timer started", timer: "t", step: null, label: "Soak", seconds: 1800 }, 0));
    const [timer] = session.timers;
    if (!timer) throw new Error("no timer");
    expect(secondsLeft(timer, 10 * MINUTE)).toBe(1200);
    expect(secondsLeft(timer, 60 * MINUTE)).toBe(-1800);
    expect(secondsLeft(timer, -60 * MINUTE)).toBe(1800);
    expect(missedBetween(session, 5 * MINUTE, 65 * MINUTE).map(({ label }) => label)).toEqual(["Soak"]);
    expect(missedBetween(session, 31 * MINUTE, 65 * MINUTE)).toEqual([]);
    for (let second = 0; second <= 8 * 3600; second += 7) expect(secondsLeft(timer, second * 1000)).toBeCloseTo(1800 - second, 9);
  });

  it.each([
    [event({ kind: "timer started", timer: "x", step: null, label: "x", seconds: 0 }), /at least a second/],
    [event({ kind: "timer started", timer: "x", step: null, label: "x", seconds: 30 * 3600 }), /a day at most/],
    [event({ kind: "weighed", grams: 400, pan: 520 }), /not more than the pan/],
    [event({ kind: "weighed", grams: 900_000, pan: 0 }), /grams\?/],
    [event({ kind: "put in", line: "l1", food: null, name: "sugar", grams: 0, word: "" }), /Nothing went in/],
    [event({ kind: "done", step: "nowhere" }), /no such step/],
    [event({ kind: "step added", step: "a", text: "  ", after: null }), /what to do/],
    [event({ kind: "taken back", event: "nowhere" }), /not there/],
    [event({ kind: "ended", grams: 0 }), /leave it empty/],
    [event({ kind: "held back", line: "l1", grams: 900 }), /all of it \(200 g\)/],
    [event({ kind: "held back", line: "nowhere", grams: 9 }), /no such line/],
    [event({ kind: "enough", line: "l1" }), /was held back/],
    [event({ kind: "put in", line: "nowhere", food: null, name: "sugar", grams: 9, word: "" }), /no such line/],
    [event({ kind: "fruit tasted", line: "l1", sweetness: { by: "refractometer", brix: 180 } }), /Brix/],
    [event({ kind: "depth", centimetres: 300, diameter: 24, grams: 1, sd: 1 }), /centimetres\?/],
    [event({ kind: "stop at", grams: 0 }), /above 0/],
  ])("refuses in plain words what cannot be: %#", (bad, words) => {
    const session = run(START());
    expect(problemOf(bad, session)).toMatch(words);
    expect(problemOf(bad, sessionOf(PLAN, []))).not.toBeNull();
    expect(problemOf(bad, run(START(), event({ kind: "ended", grams: null })))).not.toBeNull();
  });
  it.each([
    [event({ kind: "temperature", celsius: 900 }), /°C\?/],
    [event({ kind: "set aside", name: " ", grams: null }), /for whom/],
    [event({ kind: "set aside", name: "the first", grams: 0 }), /weighs something/],
    [event({ kind: "turned out", when: "hot", body: null, off: "" }), /how thick/],
  ])("refuses what cannot be told of it, during and after: %#", (bad, words) => {
    expect(problemOf(bad, run(START()))).toMatch(words);
    expect(problemOf(bad, run(START(), event({ kind: "ended", grams: null })))).toMatch(words);
  });

  it("lets a step go on beside the next, by itself or in other hands, and keeps how long it took", () => {
    const beside = run(START(), event({ kind: "goes on", step: "s1", who: null }, MINUTE), event({ kind: "goes on", step: "s2", who: "the aunt" }, 2 * MINUTE));
    expect(beside.now).toBe("s3");
    expect(beside.steps.map(({ state, who }) => [state, who])).toEqual([
      ["going", null],
      ["going", "the aunt"],
      ["now", null],
    ]);
    const first = transition(beside, event({ kind: "done", step: "s1" }, 9 * MINUTE))[0];
    expect(first).toMatchObject({ now: "s3", steps: [{ state: "done", took: 9 }, { state: "going" }, { state: "now" }] });
    // Gone back to, it is in the cook's own hands, and was begun when it was.
    const back = transition(first, event({ kind: "went to", step: "s2" }, 11 * MINUTE))[0];
    expect(back.steps[1]).toMatchObject({ state: "now", who: null, began: MINUTE });
    expect(transition(back, event({ kind: "done", step: "s2" }, 13 * MINUTE))[0].steps[1]?.took).toBe(12);
    // The last that goes on leaves no step on, and is not lost.
    const last = run(START(), event({ kind: "done", step: "s1" }), event({ kind: "done", step: "s2" }), event({ kind: "goes on", step: "s3", who: null }));
    expect(last).toMatchObject({ now: null, steps: [{}, {}, { state: "going" }] });
    expect(problemOf(event({ kind: "goes on", step: "s1", who: null }), last)).toMatch(/done already/);
  });
  it("is told where it is: its step, what goes on beside, timers", () => {
    const clock = (at: number) => `${at / MINUTE} min`;
    const timer = event({ kind: "timer started", timer: "t", step: "s1", label: "Step 1", seconds: 600 }, MINUTE);
    const beside = run(START(), timer, event({ kind: "goes on", step: "s1", who: "the aunt" }, MINUTE));
    expect(whereItIs(beside, clock, 5 * MINUTE)).toEqual([
      "step 2 of 3: Pour in the water.",
      "in the hands of the aunt: Roast the semolina.",
      "Step 1: until 11 min",
    ]);
    expect(whereItIs(beside, clock, 12 * MINUTE).at(-1)).toBe("Step 1: the time is up");
    expect(whereItIs(sessionOf(PLAN, []), clock, 0)).toEqual(["not begun"]);
    expect(whereItIs(run(START(), ...["s1", "s2", "s3"].map((step) => event({ kind: "done", step }))), clock, 0)).toEqual(["all steps are done"]);
  });
  it("has a timer for each lot", () => {
    const [, second] = run(START(), event({ kind: "done", step: "s1" }), event({ kind: "lot done", step: "s2" })).steps;
    if (!second) return expect.fail("no step");
    expect(nextTimer({ events: [] }, second, 2)).toEqual({ label: "Step 2, lot 2", seconds: 200 });
  });
  it("counts the lots of a step, and no more than there are", () => {
    const lot = () => event({ kind: "lot done", step: "s2" });
    const session = run(START(), event({ kind: "done", step: "s1" }), lot(), lot(), lot());
    expect(session).toMatchObject({ now: "s2", steps: [{}, { lotsDone: 2 }, {}] });
    expect(problemOf(event({ kind: "lot done", step: "s1" }), session)).toMatch(/in one/);
    expect(transition(session, event({ kind: "done", step: "s2" }))[0].now).toBe("s3");
  });

  it("opens a session of many events, and holds no more than it says", () => {
    const many = Array.from({ length: 2000 }, (_, i) => event({ kind: "note", text: `note ${i}`, step: null }, i));
    const session = sessionOf(PLAN, [START(), ...many]);
    expect(session.notes.length).toBe(2000);
    const full = { ...session, events: Array.from({ length: COOK_LIMITS.events }, () => START()) };
    expect(problemOf(event({ kind: "note", text: "one more", step: null }), full)).toMatch(/as many events/);
  });

  it("knows an event that was kept elsewhere from what is none", () => {
    expect(isCookEvent(START())).toBe(true);
    for (const none of [null, 3, "x", {}, { id: "a", at: 1, kind: "exploded" }, { id: "a", kind: "note" }, { id: 1, at: 1, kind: "note" }])
      expect(isCookEvent(none)).toBe(false);
  });

  it("has taken what went in once it is done: as it was meant and put in, each food once, what was left out and what is none not", () => {
    const jaggery: CookHappening = { kind: "put in", line: null, food: "jaggery", name: "jaggery", grams: 15, word: "" };
    const mystery: CookHappening = { kind: "put in", line: null, food: null, name: "a powder", grams: 9, word: "" };
    const meant: CookHappening = { kind: "amount set", line: "l1", grams: 180 };
    const more: CookHappening = { kind: "put in", line: "l1", food: "semolina", name: "semolina", grams: 10, word: "" };
    const cooked = run(START(), event(meant), event(jaggery), event(jaggery), event(mystery), event(more));
    expect(goneIn(cooked)).toEqual([]);
    const end = event({ kind: "ended", grams: 870 });
    expect(goneIn(transition(cooked, end)[0])).toEqual([
      { food: "semolina", name: "Semolina", grams: 190 },
      { food: "jaggery", name: "jaggery", grams: 30 },
    ]);
    const without = { ...PLAN, steps: PLAN.steps.map((each, i) => (i === 0 ? { ...each, takes: [{ line: "l1", share: 1 }] } : each)) };
    expect(goneIn(sessionOf(without, [START(), event({ kind: "skipped", step: "s1" }), end]))).toEqual([]);
  });

  it("has left over no more than came of it, and nothing once it is taken up again", () => {
    const done = run(START(), event({ kind: "ended", grams: 870 }));
    const over = (grams: number) => event({ kind: "left over", grams, place: "fridge", useBy: null });
    expect(problemOf(over(500), run(START()))).toMatch(/not done yet/);
    expect(problemOf(over(880), done)).toBeNull();
    expect(problemOf(over(0), done)).toMatch(/Nothing is left over/);
    const once = transition(done, over(500))[0];
    expect(problemOf(over(500), once)).toBe("870 g came of it, and 500 g of that is kept: 500 g cannot be left.");
    expect(transition(once, event({ kind: "taken up again" }))[0].leftOver).toEqual([]);
  });

  it("is told as a story, without what was taken back", () => {
    const sugar = event({ kind: "put in", line: null, food: "white-sugar", name: "sugar", grams: 10, word: "still flat" }, 20 * MINUTE);
    const events = [START(), event({ kind: "done", step: "s1" }, 14 * MINUTE), sugar, event({ kind: "weighed", grams: 1400, pan: 500 }, 21 * MINUTE)];
    const told = (more: readonly CookEvent[]) => storyOf(sessionOf(PLAN, [...events, ...more])).map(({ words }) => words);
    expect(told([])).toEqual([
      "Semolina halwa, as handed down, was begun.",
      "Done: Roast the semolina. It took 14 min.",
      "10 g sugar went in: still flat.",
      "The pot held 900 g.",
    ]);
    expect(told([event({ kind: "taken back", event: sugar.id })]).join(" ")).not.toMatch(/sugar/);
  });
});
