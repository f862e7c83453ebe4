"use client";

import { Go } from "../../shell/go";
import { useRouter } from "next/navigation";
import { lazy, Suspense, useDeferredValue, useEffect, useRef, useState } from "react";
import type { Recipe } from "../../../core/recipe";
import { Button, buttonClass } from "../../parts/button";
import { send, why as whyOf } from "../../parts/send";
import { noteSave } from "../../shell/documents";
import { toast } from "../../shell/messages";
import { PageHead } from "../../shell/shell";

const UnderstoodText = lazy(() => import("./understood").then((page) => ({ default: page.UnderstoodText })));
const UnderstoodRecipes = lazy(() => import("./understood").then((page) => ({ default: page.UnderstoodRecipes })));

const DRAFT = "threpsis.paste";
const EXAMPLE = `Rice and milk
Serves 4

½ cup rice
1 litre full-cream milk
6–7 dates
a handful of cashews
a pinch of salt

1. Wash the rice. Simmer it in the milk for 40 minutes.
2. Stir in the rest.`;
const FILES = ".json,.jsonld,.html,.htm,.csv,.txt,.md,application/json,application/ld+json,text/html,text/csv,text/plain";

/** A file that was read, not kept yet. */
interface OpenedFile {
  readonly name: string;
  readonly format: string;
  readonly recipes: readonly Recipe[];
  /** Versions that came with them, each with the place of its recipe. */
  readonly versions?: readonly { readonly recipe: number; readonly snapshot: unknown }[];
}

/** Takes a recipe as plain text or as a file, and shows what it understands before anything is kept. What was typed stays until it is a recipe, over a reload too. */
export function PastePage() {
  const router = useRouter();
  const [text, setText] = useState("");
  const [opened, setOpened] = useState<OpenedFile | null>(null);
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
  const [why, setWhy] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const field = useRef<HTMLTextAreaElement>(null);
  const shown = useDeferredValue(text);

  useEffect(() => {
    const draft = sessionStorage.getItem(DRAFT);
    // The draft is only known in the browser, after the page has been shown.
    if (draft) queueMicrotask(() => setText(draft));
    field.current?.focus();
  }, []);

  const change = (next: string) => {
    // Kept before it is read.
    let warning: string | null = null;
    try {
      sessionStorage.setItem(DRAFT, next);
    } catch {
      warning = "This browser's store is full: what you type here is lost if the page goes before it is kept.";
    }
    setText(next);
    setWhy(warning);
    setOpened(null);
  };
  /** Runs it with the button waiting; what the server refuses is told, and all stays as it is. */
  const doing = async (work: () => Promise<void>) => {
    setBusy(true);
    setWhy(null);
    try {
      await work();
    } catch (error) {
      setWhy(whyOf(error, "It could not be read."));
    }
    setBusy(false);
  };
  const open = (file: File) =>
    doing(async () => {
      setOpened(null);
      const read = (await send("POST", `/api/recipes/read?name=${encodeURIComponent(file.name)}`, await file.text(), { type: "text/plain" })) as Omit<
        OpenedFile,
        "name"
      >;
      setLeft(new Set());
      setOpened({ name: file.name, ...read });
    });
  const keepText = () =>
    doing(async () => {
      const answer = await send("POST", "/api/recipes", { text });
      noteSave();
      sessionStorage.removeItem(DRAFT);
      router.push(`/recipes/${(answer as { id: string }).id}/recipe`);
      router.refresh();
    }).then(() => field.current?.focus());
  const keepFile = ({ recipes, versions = [] }: OpenedFile) =>
    doing(async () => {
      const places = recipes.flatMap((_, i) => (left.has(i) ? [] : [i]));
      const chosen = places.flatMap((i) => recipes[i] ?? []);
      const along = versions.flatMap(({ recipe, snapshot }) => (places.includes(recipe) ? [{ recipe: places.indexOf(recipe), snapshot }] : []));
      const { ids } = (await send("POST", "/api/recipes/import", { recipes: chosen, ...(along.length > 0 ? { versions: along } : {}) })) as {
        readonly ids: readonly string[];
      };
      noteSave();
      const more = along.length === 0 ? "" : along.length === 1 ? " With it came a version." : ` With them came ${along.length} versions.`;
      toast(`${ids.length === 1 ? "1 recipe is kept." : `${ids.length} recipes are kept.`}${more}`);
      router.push(ids.length === 1 ? `/recipes/${ids[0]}/recipe` : "/recipes");
      router.refresh();
    });
  const chosen = opened ? opened.recipes.length - left.size : 0;
  return (
    <>
      <PageHead title="Paste a recipe" line="As text, or from a file. You see what is understood before it is kept.">
        <Go href="/recipes" className={buttonClass("quiet")}>
          Back to recipes
        </Go>
      </PageHead>
      <main
        id="main"
        className="lg:min-h-[calc(100dvh-82px)] lg:grid lg:grid-cols-[1fr_404px]"
        onDragOver={(event) => event.preventDefault()}
        onDrop={(event) => {
          const file = event.dataTransfer.files[0];
          if (!file) return;
          event.preventDefault();
          void open(file);
        }}
      >
        <form
          className="p-4 md:p-5"
          onSubmit={(event) => {
            event.preventDefault();
            void keepText();
          }}
        >
          <label htmlFor="recipe-text" className="t-h2">
            The recipe, as it is written
          </label>
          <textarea
            ref={field}
            id="recipe-text"
            value={text}
            onChange={(event) => change(event.target.value)}
            placeholder={EXAMPLE}
            spellCheck={false}
            aria-invalid={why !== null}
            aria-describedby={why ? "recipe-why" : undefined}
            className={`mt-2 block w-full min-h-[52dvh] bg-sheet border p-4 leading-relaxed ${why ? "border-rose" : "border-edge"}`}
            onKeyDown={(event) => {
              if (event.key === "Enter" && (event.ctrlKey || event.metaKey)) void keepText();
            }}
          />
          {why && (
            <p id="recipe-why" role="alert" className="mt-2 bg-rose-wash text-rose px-3 py-2">
              {why}
            </p>
          )}
          <div className="mt-4 flex flex-wrap gap-3 items-center">
            <Button kind="primary" type="submit" disabled={busy}>
              {busy ? "Reading" : "Read it"}
            </Button>
            <span className="t-small text-ink2">or Ctrl+Enter</span>
            <label className={buttonClass("plain", "cursor-pointer ml-auto focus-within:outline-2 focus-within:outline-saffron")}>
              Open a file
              <input
                type="file"
                accept={FILES}
                className="sr-only"
                onChange={(event) => {
                  const file = event.target.files?.[0];
                  event.target.value = "";
                  if (file) void open(file);
                }}
              />
            </label>
          </div>
          <p className="t-small text-ink2 mt-2">
            A file may be a saved web page, schema.org JSON-LD, CSV, plain text, or one that Threpsis wrote; up to 5 MB. Nothing in it is run or fetched.
          </p>
        </form>
        <aside className="lg:crease-l p-4 md:p-5" aria-label="What is understood">
          {opened ? (
            <section aria-label="From the file">
              <h2 className="t-h2">From {opened.name}</h2>
              <p className="t-small text-ink2">Read as {opened.format}. Nothing is kept yet.</p>
              <div className="flex flex-wrap gap-3 my-3">
                <Button kind="primary" disabled={busy || chosen === 0} onClick={() => void keepFile(opened)}>
                  {opened.recipes.length === 1 ? "Keep it" : `Keep ${chosen} of ${opened.recipes.length}`}
                </Button>
                <Button onClick={() => setOpened(null)}>Leave it</Button>
              </div>
              <Suspense fallback={null}>
                <UnderstoodRecipes
                  recipes={opened.recipes}
                  before={(i) =>
                    opened.recipes.length > 1 && (
                      <label className="flex gap-2 items-center min-h-9 t-ledger">
                        <input
                          type="checkbox"
                          checked={!left.has(i)}
                          onChange={() => setLeft((now) => new Set(now.has(i) ? [...now].filter((each) => each !== i) : [...now, i]))}
                          className="size-5 accent-ink"
                        />
                        keep {opened.recipes[i]?.title}
                      </label>
                    )
                  }
                />
              </Suspense>
            </section>
          ) : shown.trim() ? (
            <section aria-label="Understood so far">
              <h2 className="t-h2">Understood so far</h2>
              <Suspense fallback={null}>
                <UnderstoodText text={shown} />
              </Suspense>
            </section>
          ) : (
            <WhatCanBeRead />
          )}
        </aside>
      </main>
    </>
  );
}

function WhatCanBeRead() {
  return (
    <>
      <h2 className="t-h2">What can be read</h2>
      <ul className="t-ledger mt-2 rule-t">
        {[
          ["½ cup ghee, 1,5 cups sugar, three quarters of a cup", "fractions and amounts as they are written"],
          ["6–7 dates, a dozen almonds", "a range: the middle, with its spread"],
          ["1 heaped tbsp, a scant cup, 1 cup packed", "how the measure is filled"],
          ["a handful of cashews, a pinch of salt", "loose measures, with a wide interval"],
          ["1 can (400 ml) coconut milk, 100 g / 3.5 oz", "the size in brackets counts; one amount in two measures"],
          ["Sugar – 200 g", "the amount last"],
          ["ghee as needed, milk or water", "left open: you are asked"],
        ].map(([line, what]) => (
          <li key={line} className="border-b border-line py-2">
            <span className="font-[550]">{line}</span>
            <span className="block t-small text-ink2">{what}</span>
          </li>
        ))}
      </ul>
    </>
  );
}
