import { propertyOf, valueOf, type EvaluationInput, type Figures, type PropertyId } from "../evaluate";
import type { Food, Role, ServingTemperature } from "../food";
import type { BalancedLine } from "../recipe";
import { dose, withMore } from "../rescue";
import { bodyAtTable, sweetnessAtTable, type Constants } from "./stove-aim";

/** How a line goes in bit by bit: the least that is noticed, and by what. */
export interface ToldBlock {
  readonly grams: number;
  readonly measure: string;
  readonly why: string;
}

/** What of binding is told apart by the squeeze of a ball: a rule of thumb. */
export const SQUEEZED = 0.05;
/** g of salt that is tasted in a kilogram: a rule of thumb. */
const SALTED = 0.5;

const STIRRED_IN: readonly Food["family"][] = ["starch", "gum"];

export interface BlockGround {
  readonly input: EvaluationInput;
  readonly figures: Figures;
  readonly isBound: boolean;
  readonly serve: ServingTemperature;
  readonly most: number;
}

/** By what a line that waits is judged; null where it is not put in bit by bit. */
function judgedBy(role: Role, { isBound, serve }: Pick<BlockGround, "isBound" | "serve">): { readonly id: PropertyId; readonly why: string } | null {
  switch (role) {
    case "sweetener":
      return { id: sweetnessAtTable(serve), why: "one step sweeter that is just noticed" };
    case "liquid":
      return isBound ? { id: "binding", why: "until a pressed ball holds" } : { id: bodyAtTable(serve), why: "one step thinner that is just noticed" };
    case "richness":
      return isBound ? { id: "binding", why: "until a pressed ball holds" } : { id: "richness", why: "one step richer that is just noticed" };
    case "thickener":
    case "binder":
    case "setting":
      return isBound ? { id: "binding", why: "until a pressed ball holds" } : { id: bodyAtTable(serve), why: "one step thicker that is just noticed" };
    default:
      return null;
  }
}

/** The least of a line that is noticed, g: what goes in at one go; a rule of thumb for salt. Null where nothing tells it. */
export function blockOf(line: BalancedLine, ground: BlockGround, constants: Constants): Omit<ToldBlock, "measure"> | null {
  if (line.food.family === "salt") return { grams: toWeigh((SALTED * ground.figures.yield.value) / 1000), why: "a pinch that is just tasted, a rule of thumb" };
  // A grain or flour is cooked from the start; starch and gum are stirred in last.
  const by = line.role === "body" && STIRRED_IN.includes(line.food.family) ? judgedBy("thickener", ground) : judgedBy(line.role, ground);
  if (!by) return null;
  const at = (grams: number) => valueOf(withMore(ground.input, [{ ...line, grams }]), by.id, constants);
  const now = at(0);
  const noticed = by.id === "binding" ? SQUEEZED : (propertyOf(by.id).noticed?.(now, constants.noticeable.value) ?? 0);
  const sign = Math.sign(at(ground.most / 20) - now);
  if (sign === 0 || noticed <= 0) return null;
  const found = dose(at, now + sign * noticed, noticed / 2, ground.most);
  // More than all of it: half of what is meant goes in at one go.
  return { grams: toWeigh(Math.min(found?.amount ?? ground.most / 4, ground.most / 4)), why: found ? by.why : "half of it" };
}
/** As a kitchen scale shows it. */
const toWeigh = (grams: number): number => (grams < 3 ? Math.max(0.1, Math.round(10 * grams) / 10) : Math.round(grams));
