import type { LineId, Operation } from "../recipe";
import type { MethodSentence } from "./step";

/** What a sentence is done to: fats in which it is done, and the rest, as they are named now. */
export interface Said {
  readonly line: LineId;
  readonly name: string;
  readonly isFat: boolean;
  readonly isLiquid: boolean;
}

const listed = (names: readonly string[]): string => (names.length < 2 ? names.join("") : `${names.slice(0, -1).join(", ")} and ${names.at(-1)}`);

/** What is done, by operation: `{it}` is what it is done to, `{in}` the fat or liquid in which. */
const WORDS: Readonly<Record<Operation, string>> = {
  wash: "Rinse {it} and drain",
  soak: "Soak {it}{in}",
  peel: "Peel {it}",
  grind: "Grind {it}{in}",
  press: "Press {it}",
  roast: "Roast {it}{in}",
  fry: "Fry {it}{in}",
  simmer: "Simmer {it}{in}",
  reduce: "Cook {it}{in} down",
  pressure: "Cook {it}{in} under pressure",
  steam: "Steam {it}",
  bake: "Bake {it}",
  caramelise: "Melt {it} and let it colour",
  dissolve: "Melt {it}{in}",
  temper: "Temper {it}",
  slake: "Stir {it}{in} until no lump is left",
  infuse: "Let {it} steep",
  chill: "Chill {it}",
  rest: "Let {it} stand",
  shape: "Shape {it}",
  transfer: "Pour in {it}",
  "serve apart": "Hand {it} round apart",
  mix: "Stir in {it}",
};
const DONE_IN_FAT: readonly Operation[] = ["roast", "fry", "grind", "dissolve"];
const DONE_IN_LIQUID: readonly Operation[] = ["soak", "simmer", "reduce", "pressure", "dissolve", "slake", "grind"];

const HEATED: readonly Operation[] = ["simmer", "pressure", "steam", "bake"];

/** A sentence said anew, in plain words: what is done to what is left of it, for how long, until what. */
export function say({ operation, time, attention, covered, cue, liftsOut }: Extract<MethodSentence, { is: "anew" }>, of: readonly Said[]): string {
  const around = of.filter(({ isFat, isLiquid }) => (isFat && DONE_IN_FAT.includes(operation)) || (isLiquid && DONE_IN_LIQUID.includes(operation)));
  const solids = of.filter((each) => !around.includes(each));
  const [things, within] = solids.length > 0 ? [solids, around] : [around, []];
  const it = things.length > 0 ? listed(things.map(({ name }) => name)) : "it";
  const inside = within.length > 0 ? ` in ${listed(within.map(({ name }) => name))}` : "";
  // Of liquid alone nothing is steamed or put under pressure.
  const isBroughtToBoil = solids.length === 0 && things.length > 0 && things.every(({ isLiquid }) => isLiquid) && HEATED.includes(operation);
  if (isBroughtToBoil && (time === "" || operation !== "simmer")) return `Bring ${it} to a simmer.`;
  const words = WORDS[operation].replace("{it}", it).replace("{in}", inside);
  const stirring = attention === "hands on" ? ", stirring" : attention === "now and then" ? ", stirring now and then" : "";
  const isCooked = ["roast", "fry", "simmer", "reduce"].includes(operation);
  const tail = [
    time === "" ? "" : ` for ${time}`,
    covered ? " under a lid" : "",
    isCooked ? stirring : "",
    cue === null ? "" : `${isCooked && stirring !== "" ? "," : ""} until ${cue}`,
    liftsOut ? `, and lift ${things.length > 1 || /s$/.test(it.replace(/ \(.*$/, "")) ? "them" : "it"} out` : "",
  ];
  return `${words}${tail.join("")}.`;
}
