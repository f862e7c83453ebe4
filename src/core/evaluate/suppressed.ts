import { suppression, type Suppression } from "../models/sweetness";
import { bodyAt } from "../models/texture";
import { addBodySlopes, at, type AddSlope, type Computed } from "./computed";
import { isThickened } from "./deviation";
import { AT, type SumId } from "./sums";

/** Salt of a milligram of sodium, g. */
const SALT_PER_MILLIGRAM = 0.0025;

/** Body at room temperature as the tongue finds it: a bound sweet is chewed, and holds nothing back by it. */
const bodyFelt = (of: Computed): number => (isThickened((100 * at(of, "water")) / of.mass) ? bodyAt(of.hot.value, of.chilled.value, "room", of.constants) : 0);

/** What presses the sweetness of a sweet at room temperature down, or lifts it. */
export const suppressionOf = (of: Computed): Suppression =>
  suppression(
    {
      acid: (100 * at(of, "acid")) / of.mass,
      fat: (100 * at(of, "fat")) / of.mass,
      salt: (100 * SALT_PER_MILLIGRAM * at(of, "sodium")) / of.mass,
    },
    bodyFelt(of),
    of.constants,
  );
/**
 * All of it together, in per cent of the sweetness; below 0 it is lifted.
 * @unit %
 * @range −3 to 60
 * @source rules of thumb of the constants
 */
export const percentSuppressed = ({ acid, thickness, fat, salt }: Suppression): number => -100 * (acid + thickness + fat + salt);

/** As `suppression` has it: between enough salt and so much more it lifts in full. */
const SALT_PLATEAU = 0.2;

/** In parts straight, so that a small step gives its slope exactly but at a corner. */
export function addSuppressionSlopes(of: Computed, add: AddSlope): void {
  const { suppression: constant } = of.constants;
  const per = (sum: SumId) => (100 * at(of, sum)) / of.mass;
  const slope = (sum: SumId, percentPerPercent: number) => {
    if (percentPerPercent === 0) return;
    add(AT[sum], (percentPerPercent * 100) / of.mass);
    add(AT.mass, (-percentPerPercent * per(sum)) / of.mass);
  };
  const { acid, thickness, fat, salt } = constant.value;
  if (per("acid") > 0 && acid.perPercent * per("acid") < acid.most) slope("acid", 100 * acid.perPercent);
  const within = (x: number, [from, to]: readonly [number, number]) => x > from && x < to;
  if (within(per("fat"), fat.percent)) slope("fat", (100 * fat.most) / (fat.percent[1] - fat.percent[0]));
  if (within(bodyFelt(of), thickness.body)) addBodySlopes(of, "room", add, (100 * thickness.most) / (thickness.body[1] - thickness.body[0]));
  const salted = SALT_PER_MILLIGRAM * per("sodium");
  const [little, enough, tooMuch] = salt.percent;
  const lifts = within(salted, [little, enough])
    ? 1 / (enough - little)
    : within(salted, [enough + SALT_PLATEAU, tooMuch])
      ? -1 / (tooMuch - enough - SALT_PLATEAU)
      : 0;
  slope("sodium", -100 * salt.most * lifts * SALT_PER_MILLIGRAM);
}
