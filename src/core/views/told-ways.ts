import type { Kitchen } from "../kitchen";

/** A way that was followed, in words. */
export interface ToldWay {
  readonly way: string;
  readonly of: string;
  readonly name: string;
  readonly reason: string;
}
interface Taken {
  readonly way: string;
  readonly option: string;
}

/** The ways that were followed, in words. */
export const toldWays = (taken: readonly Taken[], { ways }: Pick<Kitchen, "ways">): readonly ToldWay[] =>
  taken.flatMap(({ way, option }) =>
    ways.flatMap(({ id, of, options }) =>
      options.flatMap((each) => (id === way && each.id === option ? [{ way, of, name: each.name, reason: each.reason }] : [])),
    ),
  );

/** "coconut milk off the heat, under a lid". */
export const wayWords = (taken: Taken, kitchen: Pick<Kitchen, "ways">): string =>
  toldWays([taken], kitchen)
    .map(({ of, name }) => `${of.toLowerCase()} ${name}`)
    .join("");
