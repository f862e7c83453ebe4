import type { Constants } from "../food";
import type { Archetype } from "../recipe";
import type { Version } from "../substitution";
import { minutesToDone } from "./handling";
import type { MethodStep } from "./step";

type UsualConstants = Pick<Constants, "usualMethods" | "gelatinisationMinutes">;
/** How a sweet of its kind is usually made, for a recipe that tells no steps: each row goes in once, at the first step that takes its role. */
export function usualMethod(version: Version, archetype: Archetype, constants: UsualConstants): MethodStep[] {
  const { usualMethods } = constants;
  const waiting = new Set(version.rows.filter(({ food, grams }) => food !== null && grams > 0));
  return (usualMethods.value[archetype] ?? []).flatMap((step, at): MethodStep[] => {
    const rows = [...waiting].filter(({ role }) => step.roles.includes(role));
    for (const row of rows) waiting.delete(row);
    if (step.roles.length > 0 && rows.length === 0) return [];
    const needed = Math.max(0, ...rows.map(({ food }) => (food && step.heat ? minutesToDone(food, constants) : 0)));
    const times = Math.max(1, needed / step.minutes[1]);
    const [shortest, usual, longest] = step.minutes.map((minutes) => Math.round(minutes * times)) as [number, number, number];
    return [
      {
        id: `usual-${at + 1}`,
        part: null,
        operations: step.operations,
        operation: step.operations[0],
        takes: rows.map(({ id }) => ({ of: { kind: "line", id }, share: 1 })),
        heat: step.heat ?? null,
        covered: false,
        minutes: { shortest, usual, longest },
        timed: true,
        attention: step.attention,
        cue: step.cue ?? null,
        tools: [],
        origin: { kind: "usual", words: step.words.replace("{minutes}", String(usual)) },
        reasons: ["the recipe tells no steps: this is how such a sweet is usually made"],
      },
    ];
  });
}
