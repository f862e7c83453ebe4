/** What is ground and pressed: amounts of each nutrient in the whole of it, and the share of each that can leave with the water. */
export interface Ground {
  /** Grams of the material, its own water included. */
  readonly grams: number;
  /** Amount of each nutrient in it, in any unit, water among them. */
  readonly amounts: readonly number[];
  /** Share of each that can leave, 0 to 1; of water all. */
  readonly leaving: readonly number[];
  /** Grams of solids that cannot leave: Σ (1 − E)·mass. */
  readonly staying: number;
}

interface Pressed {
  readonly grams: number;
  /** In the units of what was ground. */
  readonly amounts: readonly number[];
}

interface Extraction {
  /** What each press gives, after the handling loss. */
  readonly presses: readonly Pressed[];
  readonly pulp: Pressed;
  /** What stays on mixer, bowl and cloth. */
  readonly lost: Pressed;
}

/**
 * Washing in steps. Each press of a well-mixed mash with liquid Λ gives L = Λ − h·P and takes L/Λ of what can leave and is
 * still there; P are the solids that stay, h the grams of liquid that a gram of them holds. `loss` of every press stays on
 * the tools. A press whose water the pulp holds whole gives nothing.
 */
export function pressOut(ground: Ground, pressWaters: readonly number[], holds: number, loss: number, waterIndex: number): Extraction {
  const held = holds * ground.staying;
  const fixed = ground.amounts.map((amount, n) => amount * (1 - (ground.leaving[n] ?? 0)));
  let mobile = ground.amounts.map((amount, n) => amount * (ground.leaving[n] ?? 0));
  let liquid = ground.grams - ground.staying;
  const presses: Pressed[] = [];
  const lost = { grams: 0, amounts: mobile.map(() => 0) };
  for (const water of pressWaters) {
    liquid += water;
    mobile = mobile.map((amount, n) => (n === waterIndex ? amount + water : amount));
    const out = Math.max(0, liquid - held);
    const share = liquid > 0 ? out / liquid : 0;
    presses.push({ grams: out * (1 - loss), amounts: mobile.map((amount) => amount * share * (1 - loss)) });
    lost.grams += out * loss;
    mobile.forEach((amount, n) => (lost.amounts[n] = (lost.amounts[n] ?? 0) + amount * share * loss));
    mobile = mobile.map((amount) => amount * (1 - share));
    liquid -= out;
  }
  return { presses, pulp: { grams: ground.staying + liquid, amounts: fixed.map((amount, n) => amount + (mobile[n] ?? 0)) }, lost };
}
