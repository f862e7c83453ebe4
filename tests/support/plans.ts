import type { PlacedTask, PlanProblem, PlanTask, Window } from "../../src/core/plan";
import { randomOf } from "./sweets";

/** Four sweets of fifty steps in all in some kitchen, with an evening or a night and a day before them. */
export function randomPlan(seed: number): PlanProblem {
  const random = randomOf(seed);
  const whole = (low: number, high: number) => low + Math.floor(random() * (high - low + 1));
  const chance = (share: number) => random() < share;
  const sweets = Array.from({ length: 4 }, (_, i) => ({
    id: `s${i}`,
    name: `Sweet ${i}`,
    due: -whole(0, 3) * 10,
    fresh: chance(0.3) ? 60 * whole(2, 6) : null,
    best: chance(0.5) ? 15 * whole(1, 6) : null,
  }));
  const pots: { id: string; ml: number }[] = [];
  const tasks: PlanTask[] = [];
  for (const [s, { id: sweet }] of sweets.entries()) {
    const count = s < 2 ? 13 : 12;
    const pot = `${sweet}-pot`;
    pots.push({ id: pot, ml: whole(5, 25) * 100 });
    for (let i = 0; i < count; i++) {
      const kind = random();
      const isSoak = i === 0 && chance(0.5);
      const isCold = i === count - 1 && chance(0.5);
      const attention = isSoak || isCold ? "unattended" : kind < 0.5 ? "hands on" : kind < 0.75 ? "now and then" : "unattended";
      const inPot = !isSoak && !isCold && i > 2 && chance(0.6);
      // Mostly one after the other; now and then what is done apart and joins.
      const after = i === 0 ? [] : chance(0.8) || i < 2 ? [`${sweet}-${i - 1}`] : [`${sweet}-${i - 1}`, `${sweet}-${whole(0, i - 2)}`];
      tasks.push({
        id: `${sweet}-${i}`,
        sweet,
        words: "",
        minutes: isSoak ? whole(4, 9) * 60 : isCold ? whole(1, 3) * 60 : attention === "hands on" ? whole(2, 15) : whole(5, 40),
        attention,
        handsFirst: attention === "unattended" && chance(0.5) ? 2 : 0,
        after,
        within: inPot && chance(0.2) ? { [after[0] ?? ""]: whole(30, 120) } : {},
        burner: inPot,
        oven: !inPot && !isSoak && !isCold && chance(0.04),
        noisy: attention === "hands on" && chance(0.15),
        tastes: attention === "hands on" && chance(0.05),
        fridge: isCold ? whole(1, 4) / 2 : 0,
        pot: inPot ? pot : null,
      });
    }
  }
  const night: Window = { from: -21 * 60, to: -13 * 60 };
  return {
    sweets,
    tasks,
    pots,
    pinned: {},
    kitchen: {
      cooks: whole(1, 2),
      burners: whole(2, 4),
      ovens: 1,
      mixers: 1,
      pans: Array.from({ length: whole(3, 6) }, (_, i) => ({ id: `p${i}`, name: `Pan ${i}`, ml: [3000, 2500, 2000, 1500, 3000, 4000][i] ?? 2000 })),
      fridge: chance(0.7) ? whole(4, 10) : null,
      quiet: [night],
      away: chance(0.4) ? [{ from: -8 * 60, to: -5 * 60 }] : [],
      nights: chance(0.2) ? [{ from: -20 * 60, to: -14 * 60 }] : [],
      notTasting: chance(0.3) ? [{ from: -30 * 60, to: -9 * 60 }] : [],
      from: -30 * 60,
    },
  };
}

/** What is wrong with a plan, found minute by minute and without anything of the solver's own. */
export function breachesOf({ tasks, sweets, pots, kitchen }: PlanProblem, placed: readonly PlacedTask[]): readonly string[] {
  const wrong: string[] = [];
  const at = new Map(placed.map((row) => [row.id, row]));
  const of = new Map(tasks.map((task) => [task.id, task]));
  for (const row of placed) {
    const task = of.get(row.id);
    if (!task) {
      wrong.push(`${row.id} is no task`);
      continue;
    }
    if (row.end - row.start !== task.minutes) wrong.push(`${row.id} takes ${row.end - row.start}`);
    if (row.start < kitchen.from) wrong.push(`${row.id} begins in the past`);
    const sweet = sweets.find(({ id }) => id === task.sweet);
    if (sweet && row.end > sweet.due) wrong.push(`${row.id} ends too late`);
    if (sweet?.fresh != null && !tasks.some(({ after }) => after.includes(task.id)) && row.end < sweet.due - sweet.fresh)
      wrong.push(`${row.id} is done too soon`);
    for (const before of task.after) {
      const earlier = at.get(before);
      if (earlier && earlier.end > row.start) wrong.push(`${row.id} before ${before}`);
      if (earlier && row.start - earlier.end > (task.within[before] ?? Infinity)) wrong.push(`${row.id} waits too long`);
    }
    if ((task.pot === null) !== (row.pan === null)) wrong.push(`${row.id} has no pan`);
    if (task.pot !== null && (kitchen.pans.find(({ id }) => id === row.pan)?.ml ?? 0) < (pots.find(({ id }) => id === task.pot)?.ml ?? 0))
      wrong.push(`${row.id} does not fit its pan`);
  }
  // A pot is in one pan from its first task to its last, and nothing else is in it.
  const held = pots.flatMap(({ id }) => {
    const rows = placed.filter((row) => of.get(row.id)?.pot === id);
    const pans = new Set(rows.map(({ pan }) => pan));
    if (pans.size > 1) wrong.push(`${id} is in ${pans.size} pans`);
    return rows.length === 0 ? [] : [{ id, pan: [...pans][0], from: Math.min(...rows.map(({ start }) => start)), to: Math.max(...rows.map(({ end }) => end)) }];
  });
  for (const [i, one] of held.entries())
    for (const other of held.slice(i + 1))
      if (one.pan === other.pan && one.from < other.to && other.from < one.to) wrong.push(`${one.id} and ${other.id} in one pan`);
  const first = Math.min(0, ...placed.map(({ start }) => start));
  for (let minute = first; minute < 0; minute++) {
    const rows = placed.filter(({ start, end }) => start <= minute && minute < end);
    const going = rows.flatMap(({ id }) => of.get(id) ?? []);
    const atWork = rows.flatMap(({ id, start }) => {
      const task = of.get(id);
      return task && (task.attention !== "unattended" || minute < start + task.handsFirst) ? [task] : [];
    });
    const inHand = rows.filter(({ id, start }) => {
      const task = of.get(id);
      return task?.attention === "hands on" || minute < start + (task?.handsFirst ?? 0);
    });
    const count = (is: (task: PlanTask) => boolean) => going.filter(is).length;
    const within = (windows: readonly Window[]) => windows.some(({ from, to }) => from <= minute && minute < to);
    if (inHand.length > kitchen.cooks) wrong.push(`too many hands at ${minute}`);
    if (atWork.length > 2 * kitchen.cooks) wrong.push(`too much at once at ${minute}`);
    if (count(({ burner }) => burner) > kitchen.burners) wrong.push(`too many burners at ${minute}`);
    if (count(({ oven }) => oven) > kitchen.ovens) wrong.push(`too many ovens at ${minute}`);
    if (count(({ noisy }) => noisy) > kitchen.mixers) wrong.push(`too many mixers at ${minute}`);
    if (kitchen.fridge !== null && going.reduce((sum, { fridge }) => sum + fridge, 0) > kitchen.fridge + 1e-9)
      wrong.push(`the fridge is too full at ${minute}`);
    if (within(kitchen.quiet) && count(({ noisy }) => noisy) > 0) wrong.push(`noise at ${minute}`);
    if (within(kitchen.away) && (atWork.length > 0 || count(({ burner }) => burner) > 0)) wrong.push(`nobody there at ${minute}`);
    if (within(kitchen.nights) && (atWork.length > 0 || count(({ burner, noisy }) => burner || noisy) > 0)) wrong.push(`nobody is up at ${minute}`);
    if (within(kitchen.notTasting) && count(({ tastes }) => tastes) > 0) wrong.push(`tasted at ${minute}`);
  }
  return wrong;
}
