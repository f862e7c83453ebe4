import { randomInt } from "node:crypto";

type Parameters = Readonly<Record<string, string | string[] | undefined>>;
const LARGEST = 2 ** 31;

/** Who practises, by the address; null where it names nobody. */
export const eaterIn = ({ eater }: Parameters, eaters: readonly { readonly id: string }[]): string | null => eaters.find(({ id }) => id === eater)?.id ?? null;

/** The seed of an address, else one by chance. */
export function seedIn({ seed }: Parameters): number {
  const read = typeof seed === "string" && /^\d{1,10}$/.test(seed) ? Number(seed) : null;
  return read !== null && read < LARGEST ? read : randomInt(LARGEST);
}
