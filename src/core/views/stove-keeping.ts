import { qualitiesOf } from "../evaluate";
import { storageOf, type Storage } from "../keep";
import type { Kitchen } from "../kitchen";
import { isReadWhole } from "./told-figures";
import { stoveStanding, type StoveQuestion, type StoveStanding } from "./stove-standing";

/** How long a batch keeps, by what is in it; as what spoils soonest where not all of that is known. */
export const keepingOfBatch = (question: StoveQuestion, kitchen: Kitchen): Storage => keepingAsItStands(stoveStanding(question, kitchen), kitchen);

export function keepingAsItStands({ input, figures, unknown, ground }: StoveStanding, { reference: { constants }, household }: Kitchen): Storage {
  const { keeping } = qualitiesOf(input, figures, unknown.length === 0 && isReadWhole(ground.read), constants);
  return storageOf(keeping, input, figures, household.keeping ?? {}, constants);
}
