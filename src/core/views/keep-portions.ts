import type { Figures } from "../evaluate";
import type { Food } from "../food";
import { judge, type Rule } from "../models/diet";
import { limitProperty } from "../substitution";
import { LIMIT_NAMES, rulesAt, seat, type DiningTable, type Limit, type Seat } from "../table";
import type { MayTaste } from "./may-taste";
import { palatesOf } from "./palates";
import { sweetnessAtTable, type Constants } from "./stove-aim";

/** The box of somebody at the table. */
export interface PortionFor {
  readonly eater: string;
  readonly name: string;
  readonly may: MayTaste["may"];
  readonly whyNot: readonly string[];
  /** g of the sweet; 0 where it is not for them. */
  readonly grams: number;
  /** Why it is less than they usually have, in words; null where it is not. */
  readonly less: string | null;
  /** g of sugar that go with it, to be passed at the table as such or as syrup; 0 of none, with why where they would want some and may not. */
  readonly sugar: number;
  readonly sugarWhy: string;
}

interface PortionGround {
  readonly table: DiningTable;
  readonly figures: Figures;
  /** As handed down: what each wants is told beside it. */
  readonly usual: Figures;
  readonly may: readonly MayTaste[];
  readonly rules: ReadonlyMap<string, Rule>;
  readonly sugar: Food | undefined;
  readonly isBound: boolean;
  readonly constants: Constants;
}

/** Boxes are weighed by so many grams. */
const STEP = 5;
/** Less sugar than this nobody passes, g. */
const LEAST = 1;

/** Who gets which box: as much as they usually have, less where their own limit would be passed at the upper end of what is known; and what is passed beside. */
export function portionsOf({ table, figures, usual, may, rules, sugar, isBound, constants }: PortionGround): readonly PortionFor[] {
  const serving = figures.servingMass.value;
  return (table.seats ?? []).map((at): PortionFor => {
    const judged = may.find(({ eater }) => eater === at.eater);
    const { share, less } = within(at, figures);
    const grams = judged?.may === "no" ? 0 : Math.floor((serving * at.servings * share + 1e-9) / STEP) * STEP;
    const passed = grams > 0 ? sugarFor(at, grams, { table, figures, usual, rules, sugar, isBound, constants }) : { grams: 0, why: "" };
    return {
      eater: at.eater,
      name: at.name,
      may: judged?.may ?? "ask",
      whyNot: judged && judged.may !== "yes" ? judged.why : [],
      grams,
      less: judged?.may === "no" ? null : less,
      sugar: passed.grams,
      sugarWhy: passed.why,
    };
  });
}

/** What of their usual servings stays within all their own limits, as a share. */
function within({ servings, limits }: Seat, figures: Figures): { readonly share: number; readonly less: string | null } {
  const shares = limits.map((limit) => {
    const { high } = figures[limitProperty(limit)];
    return { limit, share: high > 0 ? limit.most / (high * servings) : Infinity };
  });
  const tightest = shares.toSorted((a, b) => a.share - b.share)[0];
  if (!tightest || tightest.share >= 1) return { share: 1, less: null };
  const { name, unit } = LIMIT_NAMES[tightest.limit.id];
  return { share: tightest.share, less: `so much holds no more than ${tightest.limit.most} ${unit} ${name}`.replace("  ", " ") };
}

/** Sugar for whom it is not sweet enough: as much as their rules and limits leave room for. */
function sugarFor(
  at: Seat,
  grams: number,
  { table, figures, usual, rules, sugar, isBound, constants }: Omit<PortionGround, "may">,
): { readonly grams: number; readonly why: string } {
  const palate = palatesOf({ ...table, seats: [at] }, usual, figures, constants).find(({ of }) => of === "sweetness");
  if (palate?.state !== "not sweet enough") return { grams: 0, why: "" };
  const wanted = ((palate.level.low + palate.level.high) / 2 - figures[sweetnessAtTable(table.serve)].value) * (grams / 100);
  const kept = rulesAt(
    seat({ ...table, rules: [], limits: [], seats: [] }, { id: at.eater, name: at.name, note: "", rules: at.rules, limits: at.limits }),
    rules,
  );
  const broken = sugar ? kept.find((rule) => judge(sugar, rule).verdict !== "allowed") : undefined;
  if (!sugar || broken) return { grams: 0, why: `likes it sweeter; sugar is against “${broken?.short ?? "what is known"}”` };
  const room = Math.min(Infinity, ...at.limits.map((limit) => roomOf(limit, grams, figures)));
  const least = Math.floor(Math.min(wanted, room));
  if (least < LEAST) return { grams: 0, why: room < wanted ? "likes it sweeter; their limit leaves no room for sugar" : "" };
  return {
    grams: least,
    why: `likes it sweeter: ${isBound ? "as syrup over it" : "stirred in, or as syrup"}${room < wanted ? ", as far as their limit goes" : ""}`,
  };
}

/** g of sugar that a limit leaves room for beside a box; of limits that sugar has no part in any. */
function roomOf(limit: Limit, grams: number, figures: Figures): number {
  const has = (figures[limitProperty(limit)].high * grams) / Math.max(1e-9, figures.servingMass.value);
  const left = Math.max(0, limit.most - has);
  // Sugar: all of it free sugars, 17 kJ a gram, GI 65.
  if (limit.id === "freeSugars") return left;
  if (limit.id === "energy") return left / 17;
  if (limit.id === "glycaemicLoad") return left / 0.65;
  return Infinity;
}
