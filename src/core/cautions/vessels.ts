import type { Rule, Verdict } from "../models/diet";
import type { Operation, ReadRecipe } from "../recipe";
import { formatNumber } from "../units";
import { panVolume, type Equipment, type Pan } from "../household";

/** What a household's vessels and tools have to say to a sweet: who is wary of traces, and what does not fit. */
export interface VesselFinding {
  readonly kind: "shared" | "too full" | "not there";
  readonly verdict: Verdict;
  /** Of which rule, by id; null where it is none's. */
  readonly rule: string | null;
  readonly text: string;
}

const GRINDING: readonly Operation[] = ["grind", "press"];
const ON_HEAT: readonly Operation[] = ["roast", "fry", "simmer", "reduce", "caramelise", "dissolve", "temper"];
/** A pan is full enough at two thirds: milk and syrup rise. A rule of thumb. */
const PAN_SHARE = 2 / 3;
/** A pressure cooker with grain, pulses or milk is filled half at most, as its makers say. */
const COOKER_SHARE = 1 / 2;

/** The allergens that a rule avoids, by id. */
const avoidedBy = (rule: Rule): readonly string[] => rule.clauses.flatMap(({ verdict, when }) => (verdict === "allowed" ? [] : (when.allergens ?? [])));

/** What a sweet goes through of a household's vessels and tools, with what else each is used for: allergens, by id. The first pan is the usual one. */
export function vesselsUsed({ steps }: Pick<ReadRecipe, "steps">, { mixer, pressureCooker, pans: [usual] }: Equipment) {
  const operations = steps.flatMap((step) => step.operations);
  const does = (list: readonly Operation[]) => list.some((each) => operations.includes(each));
  return [
    ...(does(GRINDING) && mixer ? [{ name: "The mixer", sharedWith: mixer.sharedWith }] : []),
    ...(does(["pressure"]) && pressureCooker ? [{ name: "The pressure cooker", sharedWith: pressureCooker.sharedWith }] : []),
    ...(does(ON_HEAT) && usual ? [{ name: `The pan${usual.name.trim() ? ` “${usual.name.trim()}”` : ""}`, sharedWith: usual.sharedWith }] : []),
  ];
}

/**
 * What to see to of pans, mixer, cooker and fridge. A gram in a pot is taken as a millilitre. `factor` scales the recipe;
 * of the pans the largest is meant where the usual one is too small.
 */
export function vesselFindings(
  { steps, ledger }: Pick<ReadRecipe, "steps" | "ledger">,
  factor: number,
  chilled: boolean,
  equipment: Equipment,
  rules: readonly Rule[],
): VesselFinding[] {
  const findings: VesselFinding[] = [];
  const operations = new Set(steps.flatMap((step) => step.operations));
  const does = (list: readonly Operation[]) => list.some((each) => operations.has(each));
  const [usual] = equipment.pans;

  for (const { name, sharedWith } of vesselsUsed({ steps }, equipment))
    for (const rule of rules) {
      if (rule.traces === "as an ingredient") continue;
      const met = sharedWith.filter((allergen) => avoidedBy(rule).includes(allergen));
      if (met.length === 0) continue;
      const what = met.map((each) => each.replace("-", " ")).join(" and ");
      findings.push({
        kind: "shared",
        verdict: rule.traces === "avoided" ? "avoid" : "ask",
        rule: rule.id,
        text:
          rule.traces === "avoided"
            ? `${name} is also used for ${what}: take another for this table`
            : `${name} is also used for ${what}: wash it first, or take another`,
      });
    }
  if (does(["grind"]) && equipment.pans.length > 0 && !equipment.mixer)
    findings.push({ kind: "not there", verdict: "ask", rule: null, text: "Something is ground, and the Household names no mixer or grinder" });

  const fullest = (list: readonly Operation[]) =>
    Math.max(
      0,
      ...ledger.entries
        .filter(({ step }) => step !== null && steps[step]?.operations.some((each) => list.includes(each)))
        .map(({ after, driven }) => after.mass + Math.max(0, driven)),
    ) * factor;
  const inPan = fullest(ON_HEAT);
  const largest = equipment.pans.reduce<Pan | undefined>((best, pan) => (best && panVolume(best) >= panVolume(pan) ? best : pan), undefined);
  if (usual && largest && inPan > PAN_SHARE * panVolume(usual)) {
    const fits = inPan <= PAN_SHARE * panVolume(largest);
    findings.push({
      kind: "too full",
      verdict: "ask",
      rule: null,
      text: `About ${litres(inPan)} l cook at once; the usual pan holds ${litres(panVolume(usual))} l and rises over when more than two thirds full: ${fits ? `take “${largest.name.trim() || "the larger one"}”` : "cook it in two batches"}`,
    });
  }
  const underPressure = fullest(["pressure"]);
  const { pressureCooker, fridge } = equipment;
  if (pressureCooker && underPressure > COOKER_SHARE * 1000 * pressureCooker.litres)
    findings.push({
      kind: "too full",
      verdict: "avoid",
      rule: null,
      text: `About ${litres(underPressure)} l under pressure in a cooker of ${formatNumber(pressureCooker.litres)} l: half full is the most with grain, pulses or milk`,
    });
  const finished = ledger.finished.value * factor;
  if (chilled && fridge !== null && finished > 1000 * fridge)
    findings.push({
      kind: "too full",
      verdict: "ask",
      rule: null,
      text: `About ${litres(finished)} l to chill, and ${formatNumber(fridge)} l of room in the fridge`,
    });
  return findings;
}

const litres = (millilitres: number): string => formatNumber(Math.round(millilitres / 100) / 10);
