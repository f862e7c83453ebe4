import { merged } from "../../core/merge";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type * as Documents from "./documents";

type Body = { readonly document: unknown; readonly revision: number };
const URL = "/api/recipes/a";
let documents: typeof Documents;
let stored: Map<string, string>;
let answers: ((body: Body) => { readonly status: number; readonly json: unknown })[];
let sent: Body[];

/** A window: its own memory, over a browser's store that other windows share. */
const newWindow = async () => {
  vi.resetModules();
  documents = await import("./documents");
};
beforeEach(async () => {
  stored = new Map();
  answers = [];
  sent = [];
  vi.stubGlobal("BroadcastChannel", undefined);
  vi.stubGlobal(
    "localStorage",
    new Proxy(
      {
        getItem: (key: string) => stored.get(key) ?? null,
        setItem: (key: string, value: string) => void stored.set(key, value),
        removeItem: (key: string) => void stored.delete(key),
      },
      { ownKeys: () => [...stored.keys()], getOwnPropertyDescriptor: () => ({ enumerable: true, configurable: true }) },
    ),
  );
  vi.stubGlobal("fetch", (_url: string, { body }: { body: string }) => {
    const said = JSON.parse(body) as Body;
    sent.push(said);
    const answer = answers.shift();
    if (!answer) return Promise.reject(new Error("no server"));
    const { status, json } = answer(said);
    return Promise.resolve(new Response(JSON.stringify(json), { status }));
  });
  await newWindow();
});
afterEach(() => vi.unstubAllGlobals());

/** Shows a document; what an earlier window left of it that is shown in its place, and what is offered beside. */
let offered: Documents.Revised<unknown>[];
function show(given: Documents.Revised<unknown>, url = URL): Documents.Revised<unknown> | null {
  let unsaved: Documents.Revised<unknown> | null = null;
  offered = [];
  documents.show(url, given, (left, settled) => {
    if (settled) offered.push(left);
    else unsaved = left;
  });
  return unsaved;
}

const saved = (revision: number) => () => ({ status: 200, json: { revision } });
const refused = (document: unknown, revision: number) => () => ({ status: 409, json: { title: "Changed.", current: { document, revision } } });

describe("a document that is edited", () => {
  it("is held in the store until it is saved, over the revision it was made on", async () => {
    show({ document: { title: "One" }, revision: 3 });
    expect(documents.edit(URL, { title: "One" })).toBe(false);
    expect(documents.edit(URL, { title: "Two" })).toBe(true);
    expect(stored.size).toBe(1);
    answers = [saved(4)];
    await documents.deliver(URL);
    expect(sent).toEqual([{ document: { title: "Two" }, revision: 3 }]);
    expect(stored.size).toBe(0);
    expect(documents.latest(URL, { document: { title: "One" }, revision: 3 })).toEqual({ document: { title: "Two" }, revision: 4 });
    // What the server knows by now is newer than what is remembered here.
    expect(documents.latest(URL, { document: { title: "Three" }, revision: 5 }).revision).toBe(5);
  });

  it("goes on being unsaved where it was edited again while it was sent", async () => {
    show({ document: 1, revision: 1 });
    documents.edit(URL, 2);
    answers = [
      () => {
        documents.edit(URL, 3);
        return saved(2)();
      },
      saved(3),
    ];
    await documents.deliver(URL);
    expect(documents.heldAt(URL)).toMatchObject({ document: 3, revision: 2, unsaved: true });
    await documents.deliver(URL);
    expect(sent.map(({ revision }) => revision)).toEqual([1, 2]);
    expect(documents.heldAt(URL)?.unsaved).toBe(false);
  });

  it("comes back in a new window where the server did not answer, unless it is there already", async () => {
    show({ document: { title: "One" }, revision: 1 });
    documents.edit(URL, { title: "Two" });
    await expect(documents.deliver(URL)).rejects.toThrow(/does not answer/);
    await newWindow();
    expect(show({ document: { title: "One" }, revision: 1 })).toEqual({ document: { title: "Two" }, revision: 1 });
    await newWindow();
    expect(show({ document: { title: "Two" }, revision: 2 })).toBeNull();
    expect(stored.size).toBe(0);
  });

  it("has a place of its own in each window: nothing of either is lost where both are closed unsaved", async () => {
    show({ document: "base", revision: 1 });
    documents.edit(URL, "of the first");
    await newWindow();
    // The second window came up while the first was open: it does not look into its place.
    stored = new Map([...stored].map(([place, text]) => [place.replace("unsaved", "hidden"), text]));
    show({ document: "base", revision: 1 });
    documents.edit(URL, "of the second");
    stored = new Map([...stored].map(([place, text]) => [place.replace("hidden", "unsaved"), text]));
    expect([...stored.values()].map((text) => (JSON.parse(text) as { document: string }).document)).toEqual(["of the first", "of the second"]);
    await newWindow();
    expect(show({ document: "base", revision: 1 })?.document).toBe("of the first");
    expect(offered.map(({ document }) => document)).toEqual(["of the second"]);
    // Kept until it is settled, for the window after this one too.
    await newWindow();
    show({ document: "base", revision: 1 });
    expect(offered.map(({ document }) => document)).toEqual(["of the second"]);
  });

  it("of windows that are gone is told from that of windows that live by the browser's locks", async () => {
    const held = new Set<string>();
    vi.stubGlobal("navigator", {
      locks: {
        request: (name: string) => {
          held.add(name);
          return new Promise(() => undefined);
        },
        query: () => Promise.resolve({ held: [...held].map((name) => ({ name })) }),
      },
    });
    const names: string[] = [];
    for (const name of ["first", "second"]) {
      await newWindow();
      // A window that is gone looks for nothing any more.
      documents.show(URL, { document: "base", revision: 1 }, () => undefined)();
      await vi.waitFor(() => expect(held.size).toBe(names.length + 1));
      documents.edit(URL, `of the ${name}`);
      names.push([...held].at(-1) ?? "");
    }
    await newWindow();
    const seen: [unknown, boolean][] = [];
    const end = documents.show(URL, { document: "base", revision: 1 }, (left, settled) => seen.push([left.document, settled !== null]));
    await new Promise((resolve) => setTimeout(resolve, 50));
    expect(seen).toEqual([]);
    for (const name of names) held.delete(name);
    await vi.waitFor(() => expect(seen.length).toBe(2), { timeout: 3000 });
    expect(seen).toEqual([
      ["of the first", false],
      ["of the second", true],
    ]);
    end();
  });

  it("says so where the browser's store takes nothing more, and is sent all the same", async () => {
    const messages = await import("./messages");
    const told: string[] = [];
    messages.hear(({ text }) => told.push(text));
    vi.stubGlobal("localStorage", {
      setItem: () => {
        throw new DOMException("full", "QuotaExceededError");
      },
      removeItem: () => undefined,
      getItem: () => null,
    });
    show({ document: 1, revision: 1 });
    documents.edit(URL, 2);
    expect(told.join()).toMatch(/store is full/);
    answers = [saved(2)];
    await documents.deliver(URL);
    expect(sent.at(-1)).toEqual({ document: 2, revision: 1 });
  });

  it("is not in its own way where it arrived after the page that left it", async () => {
    show({ document: "one", revision: 1 });
    documents.edit(URL, "two");
    await newWindow();
    // The page came before the save of the page before it arrived, and was edited before that was known.
    expect(show({ document: "one", revision: 1 })?.document).toBe("two");
    documents.edit(URL, "three");
    answers = [refused("two", 2), saved(3)];
    await documents.deliver(URL);
    expect(sent.slice(-2).map(({ document, revision }) => [document, revision])).toEqual([
      ["three", 1],
      ["three", 2],
    ]);
    expect(documents.heldAt(URL)).toMatchObject({ document: "three", revision: 3, unsaved: false, theirs: null });
    // What another window saved is still in the way.
    documents.edit(URL, "four");
    answers = [refused("theirs", 4)];
    await expect(documents.deliver(URL)).rejects.toBeInstanceOf(documents.Conflict);
  });

  it("is not in its own way where it arrived though the answer did not", async () => {
    show({ document: "one", revision: 1 });
    for (const document of ["two", "three"]) {
      documents.edit(URL, document);
      await expect(documents.deliver(URL)).rejects.toThrow("does not answer");
    }
    // The first arrived, the second did not; what is sent then is made on it.
    documents.edit(URL, "four");
    answers = [refused("two", 2), saved(3)];
    await documents.deliver(URL);
    expect(sent.at(-1)).toEqual({ document: "four", revision: 2 });
    documents.edit(URL, "five");
    await expect(documents.deliver(URL)).rejects.toThrow("does not answer");
    // It arrived itself: nothing has to be sent again.
    answers = [refused("five", 4)];
    await documents.deliver(URL);
    expect(documents.heldAt(URL)).toMatchObject({ document: "five", revision: 4, unsaved: false, theirs: null });
    expect(sent).toHaveLength(6);
  });

  it("is not brought back from a store that holds nonsense, nor after everything was replaced", async () => {
    stored.set(`threpsis.unsaved ${URL}`, "{nonsense");
    expect(show({ document: 1, revision: 1 })).toBeNull();
    stored.set("threpsis.unsaved /api/recipes/b", JSON.stringify({ document: 2, revision: 1 }));
    stored.set("another", "stays");
    documents.letGo();
    expect([...stored.keys()]).toEqual(["another"]);
    await newWindow();
    expect(show({ document: 1, revision: 1 }, "/api/recipes/b")).toBeNull();
  });
});

describe("where another save came between", () => {
  beforeEach(async () => {
    show({ document: "base", revision: 1 });
    documents.edit(URL, "mine");
    answers = [refused("theirs", 2)];
    await expect(documents.deliver(URL)).rejects.toBeInstanceOf(documents.Conflict);
  });

  it("nothing is sent again until it is chosen, whatever is typed", async () => {
    documents.edit(URL, "mine too");
    await expect(documents.deliver(URL)).rejects.toBeInstanceOf(documents.Conflict);
    expect(sent.length).toBe(1);
    expect(documents.heldAt(URL)?.theirs).toMatchObject({ document: "theirs", inTheWay: true });
  });
  it("keeping mine sends it over what they saved", async () => {
    documents.overwriteTheirs(URL);
    answers = [saved(3)];
    await documents.deliver(URL);
    expect(sent.at(-1)).toEqual({ document: "mine", revision: 2 });
  });
  it("taking theirs sends nothing, and an undo then goes over theirs", async () => {
    expect(documents.acceptTheirs(URL)).toBe("theirs");
    await documents.deliver(URL);
    expect(sent.length).toBe(1);
    expect(stored.size).toBe(0);
    documents.edit(URL, "mine");
    answers = [saved(3)];
    await documents.deliver(URL);
    expect(sent.at(-1)).toEqual({ document: "mine", revision: 2 });
  });
  it("another refusal than a conflict is told in the server's words, and the edit stays", async () => {
    documents.overwriteTheirs(URL);
    answers = [() => ({ status: 422, json: { title: "The request does not fit.", errors: [{ pointer: "/document/title", detail: "Too long." }] } })];
    await expect(documents.deliver(URL)).rejects.toThrow("The request does not fit. document, title: Too long.");
    expect(documents.heldAt(URL)).toMatchObject({ document: "mine", unsaved: true });
  });
});

describe("where another save of a list came between", () => {
  const ID = "/api/pantry";
  const keys = { prices: ({ id }: { readonly id: string }) => id };
  const pantry = (...prices: readonly (readonly [string, number])[]) => ({ prices: prices.map(([id, price]) => ({ id, price })) });
  const came = vi.fn();
  const opened = () => {
    show({ document: pantry(["rice", 1], ["milk", 1]), revision: 1 }, ID);
    documents.bringTogether(ID, { bring: (base, mine, theirs) => merged(keys, base as object, mine as object, theirs as object), came });
  };

  it("changes of different things are both saved, and what came is told to the page", async () => {
    opened();
    documents.edit(ID, pantry(["rice", 2], ["milk", 1]));
    answers = [refused(pantry(["rice", 1], ["milk", 5], ["figs", 9]), 2), saved(3)];
    await documents.deliver(ID);
    expect(sent.at(-1)).toEqual({ document: pantry(["rice", 2], ["milk", 5], ["figs", 9]), revision: 2 });
    expect(came).toHaveBeenCalledWith(pantry(["rice", 1], ["milk", 1]), pantry(["rice", 1], ["milk", 5], ["figs", 9]));
    expect(documents.heldAt(ID)).toMatchObject({ unsaved: false, revision: 3, theirs: null });
    expect(stored.size).toBe(0);
  });
  it("changes of the same thing are asked about", async () => {
    opened();
    documents.edit(ID, pantry(["rice", 2], ["milk", 1]));
    answers = [refused(pantry(["rice", 7], ["milk", 1]), 2)];
    await expect(documents.deliver(ID)).rejects.toBeInstanceOf(documents.Conflict);
    expect(documents.heldAt(ID)?.theirs).toMatchObject({ inTheWay: true });
  });
  it("what a closed window left unsaved comes together too", async () => {
    opened();
    documents.edit(ID, pantry(["rice", 2], ["milk", 1]));
    await newWindow();
    show({ document: pantry(["rice", 1], ["milk", 5]), revision: 2 }, ID);
    documents.bringTogether(ID, { bring: (base, mine, theirs) => merged(keys, base as object, mine as object, theirs as object), came });
    answers = [refused(pantry(["rice", 1], ["milk", 5]), 2), saved(3)];
    documents.edit(ID, pantry(["rice", 2], ["milk", 1]));
    await documents.deliver(ID);
    expect(sent.at(-1)).toEqual({ document: pantry(["rice", 2], ["milk", 5]), revision: 2 });
  });
});
