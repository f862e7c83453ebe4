import { costOf } from "../models/cost";
import { formatGrams } from "../units";
import type { Figures } from "../evaluate";
import { beamReadings, insideCount, type BeamReading } from "./beams";
import type { AdaptationProblem } from "./problem";
import type { Proposal, ProposalPlan } from "./proposal";
import { ISOLATES } from "./slots";
import type { Version, VersionRow } from "./version";

/** Of the mass that leads a sweet, what has to differ for another version of it. */
const OTHER_LEAD = 0.2;
/** Free sugars a serving that are told apart: g, and as a share. */
const OTHER_SUGARS = 1;
const OTHER_SUGARS_SHARE = 0.15;

/** Whether two versions are two: a fifth of what leads the sweet differs, or one figure by what is noticed of it. */
export function isDistinct(a: Proposal, b: Proposal, problem: AdaptationProblem): boolean {
  const lead = problem.tables.profiles.get(problem.archetype)?.lead ?? [];
  const inLead = ({ version }: Proposal) => {
    const grams = new Map<string, number>();
    for (const { food, grams: mass, role } of version.rows)
      if (food && food.id !== "water" && lead.includes(role)) grams.set(food.id, (grams.get(food.id) ?? 0) + mass);
    return grams;
  };
  const [one, other] = [inLead(a), inLead(b)];
  const all = Math.max(1, ...[one, other].map((of) => [...of.values()].reduce((sum, grams) => sum + grams, 0)));
  const moved = [...new Set([...one.keys(), ...other.keys()])].reduce((sum, id) => sum + Math.abs((one.get(id) ?? 0) - (other.get(id) ?? 0)), 0) / 2;
  if (moved >= OTHER_LEAD * all) return true;
  const [sugars, others] = [a, b].map(({ figures }) => figures["serving.freeSugarsUk"].value) as [number, number];
  if (Math.abs(sugars - others) >= Math.max(OTHER_SUGARS, OTHER_SUGARS_SHARE * sugars)) return true;
  return beamReadings(a.figures, b.figures, [], problem.serve, problem.reference.constants).some(
    ({ group, deviation }) => group === "tongue" && deviation.state !== "inside",
  );
}

/** Amounts of two foods that stand for each other differ by no more than this share. */
const AS_MUCH = 0.3;
const MOST_WHY = 180;

/** A version with what another one, that is no other, has in a line's place: "or sunflower oil". */
export function withAlternative(proposal: Proposal, other: Proposal): Proposal {
  const rows = proposal.version.rows.map((row): VersionRow => {
    const there = other.version.rows.find(({ id, line }) => id === row.id && line === row.line);
    const { food } = row;
    if (!food || !there?.food || there.food.id === food.id || there.role !== row.role) return row;
    if (row.change !== "replaced" || there.change !== "replaced" || Math.abs(there.grams - row.grams) > AS_MUCH * row.grams) return row;
    const also = `or ${plainName(there.food.name)}`;
    return row.why.includes(also) || row.why.length + also.length > MOST_WHY ? row : { ...row, why: `${row.why}, ${also}` };
  });
  return { ...proposal, version: { ...proposal.version, rows } };
}

const plainName = (name: string): string => (name.split(",")[0] ?? "").toLowerCase();
const isChanged = ({ change }: VersionRow): boolean => change === "replaced" || change === "added" || change === "left out";
const isolatesIn = ({ rows }: Version): boolean =>
  rows.some(({ food, change }) => food !== null && (change === "replaced" || change === "added") && ISOLATES.includes(food.id));

/** From so much less on, as a share, a version is called cheaper. */
const CHEAPER = 0.1;

/** Versions named by what each is best at, the closest first; each label once, else by the food that sets it apart. */
export function labelled(proposals: readonly Proposal[], problem: AdaptationProblem): Proposal[] {
  const [closest, ...others] = proposals;
  if (!closest) return [];
  const taken = new Set<string>([closest.label]);
  const sugarsOf = ({ figures }: Proposal) => figures["serving.freeSugarsUk"].value;
  const changesOf = ({ version }: Proposal) => version.rows.filter(isChanged).length;
  // What has no price makes a version look cheap: it is not compared.
  const priceOf = ({ version }: Proposal): number | null => {
    const cost = costOf(version.rows.flatMap(({ food, grams, role }) => (food && grams > 0 ? [{ food, grams, sd: 0, role }] : [])));
    return cost === null || cost.unpriced.length > 0 ? null : cost.total.value;
  };
  const best = (of: (proposal: Proposal) => number | null, isBetter: (value: number, than: number) => boolean) => {
    const values = proposals.map(of);
    const [first] = values;
    const least = Math.min(...values.map((value) => value ?? Infinity));
    return (proposal: Proposal) => first !== null && first !== undefined && of(proposal) === least && isBetter(least, first);
  };
  const isLeastSweet = best(sugarsOf, (value, than) => value <= than - OTHER_SUGARS);
  const isFewest = best(changesOf, (value, than) => value < than);
  const isCheapest = best(priceOf, (value, than) => value < (1 - CHEAPER) * than);
  const plans: readonly (readonly [ProposalPlan, (proposal: Proposal) => boolean])[] = [
    ["Least free sugars", (proposal) => isLeastSweet(proposal) && !isolatesIn(proposal.version)],
    ["Fewest changes", isFewest],
    ["Cheapest", isCheapest],
  ];
  return [
    closest,
    ...others.map((proposal, i) => {
      const [plan] = plans.find(([label, is]) => !taken.has(label) && is(proposal)) ?? ["Another way" as const];
      const label = plan === "Another way" ? apartLabel(proposal.version, [closest, ...others.slice(0, i)], taken) : plan;
      taken.add(label);
      const { version, beams, figures } = proposal;
      return { ...proposal, plan, label, reason: reasonOf(plan, version, problem, beams, figures) };
    }),
  ];
}

/** Names a version by its largest new food that the versions before it do not hold, else by its largest new food that no other is named by. */
function apartLabel({ rows }: Version, before: readonly Proposal[], taken: ReadonlySet<string>): string {
  const known = new Set(before.flatMap(({ version }) => version.rows.map(({ food }) => food?.id)));
  const fresh = rows
    .flatMap(({ food, change, grams }) => (food && (change === "replaced" || change === "added") ? [{ food, grams }] : []))
    .sort((a, b) => Number(known.has(a.food.id)) - Number(known.has(b.food.id)) || b.grams - a.grams);
  const names = fresh.map(({ food }) => `With ${plainName(food.name)}`);
  const free = names.find((name) => !taken.has(name));
  if (free) return free;
  let n = 2;
  while (taken.has(`Another way ${n}`)) n++;
  return taken.has("Another way") ? `Another way ${n}` : "Another way";
}

/** So many exchanges are told. */
const MOST_TOLD = 3;

/** Why this one: what it exchanges, with grams, and what it is best at. */
export function reasonOf(
  plan: ProposalPlan,
  { rows }: Version,
  { lines }: Pick<AdaptationProblem, "lines">,
  beams: readonly BeamReading[],
  figures: Figures,
): string {
  const told = rows.flatMap(({ food, grams, change, line }) => {
    const was = lines.find(({ id }) => id === line);
    // How much water goes in is no exchange.
    if ((food ?? was?.food)?.id === "water") return [];
    if (change === "left out") return was ? [{ words: `no ${plainName(was.food.name)}`, grams: was.grams }] : [];
    if (!food || (change !== "replaced" && change !== "added")) return [];
    const amount = `${formatGrams(grams)} g ${plainName(food.name)}`;
    return [
      { words: change === "replaced" && was ? `${amount} for the ${plainName(was.food.name)}` : `${amount} more`, grams: Math.max(grams, was?.grams ?? 0) },
    ];
  });
  const [most, rest] = [told.sort((a, b) => b.grams - a.grams).slice(0, MOST_TOLD), told.length - MOST_TOLD];
  const exchanges = [...most.map(({ words }) => words), ...(rest > 0 ? [`${rest} more`] : [])].join(", ") || "other amounts of the same foods";
  const { inside, of } = insideCount(beams);
  const like = `${inside} of ${of} inside`;
  const sugars = figures["serving.freeSugarsUk"].value;
  const tail = plan === "Least free sugars" ? `${formatGrams(sugars)} g of free sugars a serving${lessSweet(beams)}` : like;
  return `${exchanges.charAt(0).toUpperCase()}${exchanges.slice(1)}; ${tail}`;
}

function lessSweet(beams: readonly BeamReading[]): string {
  const sweet = beams.find(({ id }) => id.startsWith("sweetness"))?.deviation.relative ?? 0;
  return sweet < -0.05 ? `, ${Math.round(-100 * sweet)} % less sweet` : "";
}
