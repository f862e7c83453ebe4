import { asShared, NOTHING_MORE, recipeAsShared, writeMessage, writeOwnFile, writeSweetJsonLd, type SharedSweet, type ShareWishes } from "../../core/exchange";
import { groundAsCooked, shareView } from "../../core/views";
import { download } from "../http/download";
import { Refusal } from "../http/problems";
import { storedSnapshot } from "../http/schemas/snapshot";
import { getKitchen } from "../kitchen/kitchen";
import { snapshotOfGround } from "../versions/snapshots";
import { requireKept, type KeptKind } from "./keep";

const FORMATS = ["sweet", "text", "jsonld", "threpsis"] as const;
type ShareFormat = (typeof FORMATS)[number];
const isFormat = (word: string): word is ShareFormat => FORMATS.some((each) => each === word);

/** What is wanted beside the sweet itself, as an address says it: nothing unless it is ticked. */
const wishesOf = (query: URLSearchParams): ShareWishes => {
  const wants = (name: keyof ShareWishes) => query.get(name) === "yes";
  return { ...NOTHING_MORE, notes: wants("notes"), names: wants("names"), rules: wants("rules") };
};

/** The own file of a sweet: its recipe, with the version that was made of it where one was. */
async function ownFile(kind: KeptKind, id: string, wishes: ShareWishes): Promise<object> {
  const [kept, kitchen] = await Promise.all([requireKept(kind, id), getKitchen()]);
  const ground = groundAsCooked(kept.question, kept.label, kitchen);
  const recipe = recipeAsShared(ground.recipe, wishes);
  const snapshot = kept.version?.snapshot ?? (ground.bench ? snapshotOfGround({ ...ground, bench: ground.bench }, kitchen) : null);
  if (!snapshot) return writeOwnFile([recipe]);
  const sent = storedSnapshot(asShared(snapshot, wishes));
  if (!sent.ok)
    throw new Refusal(422, "The figures of this version cannot be computed, so that it cannot be sent. Look for an amount that is far too large or too small.");
  return writeOwnFile([recipe], [{ recipe: 0, snapshot: sent.value }]);
}

/** A sweet as it goes out, with its own file (so that a page of it comes back whole). */
export interface SweetToSend {
  readonly sweet: SharedSweet;
  readonly file: object;
}

/** A sweet to be sent on, in one of the formats. */
export async function shareSweet(kind: KeptKind, id: string, query: URLSearchParams): Promise<Response> {
  const format = query.get("format") ?? "sweet";
  if (!isFormat(format)) throw new Refusal(404, `There is no such format: ${FORMATS.join(", ")}.`);
  const wishes = wishesOf(query);
  if (format === "threpsis") {
    const file = await ownFile(kind, id, wishes);
    return download(
      `${JSON.stringify(file, null, 2)}\n`,
      (file as { readonly recipes: readonly { readonly title: string }[] }).recipes[0]?.title ?? "",
      "sweet",
      {
        type: "application/json",
        ending: "threpsis.json",
      },
    );
  }
  const [{ question, label, version }, kitchen] = await Promise.all([requireKept(kind, id), getKitchen()]);
  const sweet = shareView({ ...question, label, why: version?.why ?? "", wishes }, kitchen);
  switch (format) {
    case "sweet":
      return Response.json({ sweet, file: await ownFile(kind, id, wishes) } satisfies SweetToSend, { headers: { "cache-control": "no-store" } });
    case "text":
      return download(writeMessage(sweet), sweet.title, "sweet", { type: "text/plain", ending: "txt" });
    case "jsonld":
      return download(`${JSON.stringify(writeSweetJsonLd(sweet), null, 2)}\n`, sweet.title, "sweet", { type: "application/ld+json", ending: "jsonld" });
  }
}
