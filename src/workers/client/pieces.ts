const rehearsal = () => import("./rehearse");

/**
 * What the pages compute with, made ready piece by piece before them, in this order: the tables, the code, and a first
 * use of it on a sample, which is where a browser compiles it. Each by itself, so that none holds the browser up for long.
 */
export const PIECES: readonly (() => Promise<unknown>)[] = [
  () => import("../../data/foods"),
  () => import("parse-ingredient"),
  () => import("../../core/recipe"),
  () => import("../../data"),
  () => import("."),
  rehearsal,
  async () => (await rehearsal()).names(),
  async () => (await rehearsal()).search(),
  async () => (await rehearsal()).text(),
  async () => (await rehearsal()).reading(),
  async () => (await rehearsal()).steps(),
  async () => (await rehearsal()).figures(),
];
