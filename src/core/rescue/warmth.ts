import type { Figures } from "../evaluate";
import type { Constants, ServingTemperature } from "../food";
import { powerOf } from "../process";
import type { Target } from "./faults";
import type { WayOut } from "./way";

/** From here on a pot is judged hot, below that cold; °C. */
const HOT = 50;
const COLD = 25;
const SIMMERS = 95;
/** kJ that a kilogram of a sweet takes up for each degree: most of it is water (rule of thumb). */
const HEAT_CAPACITY = 3.6;
/** A small flame, where the household names no burner, kW in the pot (rule of thumb). */
const SMALL_FLAME = 0.8;
/** A difference in body that is seen. */
const SEEN = 0.7;

/** Whether a way out needs the pot hot: what is boiled off, and what goes in slaked or dissolved. */
export const isHeated = ({ boilOff, adds }: WayOut): boolean => boilOff !== null || adds.some(({ food }, i) => i > 0 && food.family === "water");

/**
 * Minutes until a pot simmers again, by its mass and the household's burner; 0 where it is hot, or nobody says how warm it is.
 * @unit minutes
 * @range 0 or more
 * @source heat capacity of a moist food over the power that reaches the pot (rule of thumb)
 */
export function warming(grams: number, celsius: number | null, { process: { value } }: Pick<Constants, "process">): number {
  if (celsius === null || celsius >= SIMMERS - 10) return 0;
  const kilowatts = value.cap === null ? SMALL_FLAME : powerOf(value.cap);
  return Math.round(((grams / 1000) * HEAT_CAPACITY * (SIMMERS - celsius)) / (60 * kilowatts));
}

/** Where a pot is judged at another warmth than it is eaten at, what that does to what is judged; null where it does nothing, or nobody says. */
export function warmthWords(target: Target | null, figures: Figures, celsius: number | null, serve: ServingTemperature): string | null {
  if (celsius === null || target === null) return null;
  const [hot, cold] = [figures["body.hot"].value, figures["body.chilled"].value];
  const isBody = target.property.startsWith("body.");
  const isSweetness = target.property.startsWith("sweetness.");
  const [warm, chilled] = [figures["sweetness.hot"].value, figures["sweetness.chilled"].value];
  if (celsius >= HOT && serve !== "hot") {
    if (isBody && Math.abs(cold - hot) > SEEN)
      return `It is hot still: as it cools its body goes from ${hot.toFixed(1)} to ${cold.toFixed(1)}. Judge it by a spoonful on a cold plate before anything goes in.`;
    if (isSweetness && Math.abs(chilled - warm) > 0.05 * warm)
      return `It is hot still: cold it tastes of ${chilled.toFixed(1)} instead of ${warm.toFixed(1)} g as sugar in 100 g. Taste a cooled spoonful.`;
  }
  if (celsius <= COLD && serve === "hot") {
    if (isBody && Math.abs(cold - hot) > SEEN)
      return `It is cold: warmed through, its body goes from ${cold.toFixed(1)} to ${hot.toFixed(1)}. Warm a spoonful before anything goes in.`;
    if (isSweetness && Math.abs(chilled - warm) > 0.05 * warm)
      return `It is cold: warm it tastes of ${warm.toFixed(1)} instead of ${chilled.toFixed(1)} g as sugar in 100 g. Taste a warmed spoonful.`;
  }
  return null;
}
