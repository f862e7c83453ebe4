import { formatGrams } from "../units";
import type { StepCooking } from "./step";
import { TIME } from "./wording";

/** A piece of a step's words: as the recipe has it, written in anew, or struck out. */
export interface Segment {
  readonly text: string;
  readonly kind: "plain" | "changed" | "removed";
}

/** Whether the last sentence that stands has no end. */
export const endsOpen = (segments: readonly Segment[]): boolean => {
  const text = segments
    .flatMap(({ kind, text: each }) => (kind === "removed" ? [] : [each]))
    .join("")
    .trimEnd();
  return text !== "" && !/[.!?:;]$/.test(text);
};
/** White space at no end of what stands, and no more than one between its words where something was struck out. */
export function singleSpaced(segments: readonly Segment[]): readonly Segment[] {
  let isSpaced = true;
  const spaced = segments.map((segment) => {
    if (segment.kind === "removed") return segment;
    const text = isSpaced ? segment.text.replace(/^\s+/, "") : segment.text;
    if (text !== "") isSpaced = /\s$/.test(text);
    return { ...segment, text };
  });
  const last = spaced.findLastIndex(({ kind, text }) => kind !== "removed" && text !== "");
  return spaced.map((segment, i) => (i === last ? { ...segment, text: segment.text.trimEnd() } : segment)).filter(({ text }) => text !== "");
}

/** The words with others in one place; null where they do not stand there in one piece. */
function replaced(segments: readonly Segment[], words: string, by: (after: string) => string): readonly Segment[] | null {
  const at = segments.findIndex(({ kind, text }) => kind !== "removed" && text.includes(words));
  const segment = segments[at];
  if (!segment) return null;
  const from = segment.text.indexOf(words);
  const pieces: readonly Segment[] = [
    { text: segment.text.slice(0, from), kind: segment.kind },
    { text: words, kind: "removed" },
    { text: by(segment.text.slice(from + words.length)), kind: "changed" },
    { text: segment.text.slice(from + words.length), kind: segment.kind },
  ];
  return [...segments.slice(0, at), ...pieces.filter(({ text }) => text !== ""), ...segments.slice(at + 1)];
}

const minutesText = (minutes: number) => `${formatGrams(minutes)} ${minutes === 1 ? "minute" : "minutes"}`;

/** The words with the minutes that hold, and what is in the pot then. */
export function timed(segments: readonly Segment[], { open, covered, left, level }: StepCooking): readonly Segment[] {
  const grams = left === null ? "" : formatGrams(Math.round(left / 5) * 5);
  if (level !== undefined) {
    const told = replaced(segments, level, (after) =>
      /\b(?:left|remain)/i.test(level)
        ? `about ${grams} g is left`
        : /^ (?:is |are )?(?:left|remain)/i.test(after)
          ? `until about ${grams} g`
          : `to about ${grams} g in the pot`,
    );
    if (told) return told;
  }
  if (open + covered === 0) return [...segments, { text: ` Cook it down to about ${grams} g in the pot.`, kind: "changed" }];
  const at = segments.findIndex(({ kind, text }) => kind !== "removed" && TIME.test(text));
  const found = TIME.exec(segments[at]?.text ?? "");
  const more = / (?:more|longer)$/i.exec(found?.[0] ?? "")?.[0] ?? "";
  const shut = "with the lid ajar on the lowest flame";
  const times =
    covered === 0
      ? `for ${minutesText(open)}${more}`
      : open === 0
        ? `for ${minutesText(covered)}${more} ${shut}`
        : `for ${minutesText(open)}${more}, then for ${minutesText(covered)} ${shut}`;
  const words = `${times}${left === null ? "" : ` (to about ${grams} g in the pot)`}`;
  if (!found) return [...segments, { text: `${endsOpen(segments) ? "." : ""} Cook it ${words}.`, kind: "changed" }];
  const { text } = segments[at] ?? { text: "" };
  // Under a lid the flame is told with it.
  const [, flame = "", after = ""] =
    (covered > 0 ? /^(,? (?:on|over) (?:a |the )?(?:very )?(?:low|lowest|medium|gentle) (?:flame|heat|fire))?(.*)$/s : /^()(.*)$/s).exec(
      text.slice(found.index + found[0].length),
    ) ?? [];
  const pieces: readonly Segment[] = [
    { text: text.slice(0, found.index), kind: segments[at]?.kind ?? "plain" },
    { text: `${found[0]}${flame}`, kind: "removed" },
    { text: words, kind: "changed" },
    { text: after, kind: segments[at]?.kind ?? "plain" },
  ];
  return [...segments.slice(0, at), ...pieces.filter(({ text: each }) => each !== ""), ...segments.slice(at + 1)];
}
