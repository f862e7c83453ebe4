import type { MayTaste } from "../../../core/views";

const COUNTS = { yes: "for", ask: "to ask", no: "not for" } as const;
/** For whom a sweet is, in few words. */
export function fitWords(may: readonly MayTaste[]): string {
  const [no, ask] = [may.filter((each) => each.may === "no"), may.filter((each) => each.may === "ask")];
  if (may.length === 0) return "nobody sits there yet";
  if (no.length === 0 && ask.length === 0) return may.length === 1 ? `for ${may[0]?.name ?? "them"}` : "for all who come";
  return [
    ...(no.length > 0 ? [`${COUNTS.no} ${no.map(({ name }) => name).join(", ")}`] : []),
    ...(ask.length > 0 ? [`${COUNTS.ask}: ${ask.map(({ name }) => name).join(", ")}`] : []),
  ].join("; ");
}
