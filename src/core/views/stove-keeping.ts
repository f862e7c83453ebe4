import { qualitiesOf, type Qualities } from "../evaluate";
import type { Kitchen } from "../kitchen";
import { isReadWhole } from "./told-figures";
import { stoveStanding, type StoveQuestion, type StoveStanding } from "./stove-standing";

/** How long a batch keeps, by what is in it; why not, in words, where not all of that is known. */
export const keepingOfBatch = (question: StoveQuestion, kitchen: Kitchen): Qualities["keeping"] =>
  keepingAsItStands(stoveStanding(question, kitchen), kitchen.reference.constants);

export function keepingAsItStands({ input, figures, unknown, ground }: StoveStanding, constants: Kitchen["reference"]["constants"]): Qualities["keeping"] {
  return qualitiesOf(input, figures, unknown.length === 0 && isReadWhole(ground.read), constants).keeping;
}
