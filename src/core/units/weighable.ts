/**
 * What a kitchen can weigh or spoon, g: traces by 0.01 g, spices by 0.1, small amounts by 1, then by 5 g, from 200 g by 10. A rule of thumb for scales of 1 g and spoons.
 * @unit g
 * @range 0.01 to 10
 * @source rule of thumb for a scale of 1 g and spoons
 */
export function weighingStep(grams: number): number {
  if (grams < 0.5) return 0.01;
  if (grams < 3) return 0.1;
  if (grams < 20) return 1;
  return grams < 200 ? 5 : 10;
}

/**
 * To what a kitchen can weigh, g, never to nothing; downwards where it must not be more.
 * @unit g
 * @range 0.01 or more
 * @source rule of thumb, by weighingStep
 */
export function weighable(grams: number, down = false): number {
  const step = weighingStep(grams);
  const times = grams / step;
  return Math.max(step, (down ? Math.floor(times + 1e-9) : Math.round(times)) * step);
}
