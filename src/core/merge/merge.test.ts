import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { merged } from "./merge";

interface Thing {
  readonly id: string;
  readonly n: number;
}
interface Things {
  readonly things: readonly Thing[];
}
const keys = { things: ({ id }: Thing) => id };
const of = (...rows: readonly (readonly [string, number])[]): Things => ({ things: rows.map(([id, n]) => ({ id, n })) });

const IDS = ["a", "b", "c", "d", "e", "f"];
const someThings = fc
  .uniqueArray(fc.record({ id: fc.constantFrom(...IDS), n: fc.integer({ min: 0, max: 3 }) }, { noNullPrototype: true }), { selector: ({ id }) => id })
  .map((things): Things => ({ things }));
const byId = ({ things }: Things) => new Map(things.map(({ id, n }) => [id, n]));

describe("what two made of one document", () => {
  it("takes from each what only that one changed", () =>
    expect(merged(keys, of(["a", 1], ["b", 1], ["c", 1]), of(["a", 2], ["b", 1], ["d", 4]), of(["a", 1], ["b", 5], ["c", 1], ["e", 6]))).toEqual(
      of(["a", 2], ["b", 5], ["e", 6], ["d", 4]),
    ));
  it("asks where both changed the same, and where one changed what the other took out", () => {
    expect(merged(keys, of(["a", 1]), of(["a", 2]), of(["a", 3]))).toBeNull();
    expect(merged(keys, of(["a", 1]), of(["a", 2]), of())).toBeNull();
    expect(merged(keys, of(["a", 1]), of(["a", 2]), of(["a", 3]), "mine")).toEqual(of(["a", 2]));
  });
  it("keeps an order that was changed here", () =>
    expect(merged(keys, of(["a", 1], ["b", 1]), of(["b", 1], ["a", 1]), of(["a", 1], ["b", 1], ["c", 1]))).toEqual(of(["b", 1], ["a", 1], ["c", 1])));
  it("loses nothing that either did, whatever the two did", () =>
    fc.assert(
      fc.property(someThings, someThings, someThings, (base, mine, theirs) => {
        const together = merged(keys, base, mine, theirs);
        const [was, own, other] = [byId(base), byId(mine), byId(theirs)];
        const clash = IDS.some((id) => was.get(id) !== own.get(id) && was.get(id) !== other.get(id) && own.get(id) !== other.get(id));
        expect(together === null).toBe(clash);
        if (!together) return;
        const now = byId(together);
        expect(now.size).toBe(together.things.length);
        for (const id of IDS) expect(now.get(id)).toBe(was.get(id) !== own.get(id) ? own.get(id) : other.get(id));
      }),
    ));
});
