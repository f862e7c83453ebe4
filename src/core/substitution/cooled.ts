import type { Cooled } from "../process";
import type { Archetype } from "../recipe";
import type { AdaptationProblem } from "./problem";

/** What sets is judged set, however it is served. */
const SET: readonly Archetype[] = ["set pudding", "cultured", "frozen"];
export const isSet = (archetype: Archetype): boolean => SET.includes(archetype);
/** Hot sweets are judged hot, all others as they have set. */
export const cooledState = ({ serve, archetype }: Pick<AdaptationProblem, "serve" | "archetype">): Cooled =>
  (serve === "hot" || serve === "warm") && !isSet(archetype) ? "hot" : "chilled";
