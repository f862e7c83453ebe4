"use client";

import { Go } from "../shell/go";
import { useRouter } from "next/navigation";
import { useEffect, useRef, useState } from "react";
import { Button, buttonClass } from "../parts/button";
import { send, why as whyOf } from "../parts/send";
import { noteSave } from "../shell/documents";
import { PageHead } from "../shell/shell";

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

/** Takes a recipe as plain text. What was typed stays until it is a recipe, over a reload too. */
export function PastePage() {
  const router = useRouter();
  const [text, setText] = useState("");
  const [why, setWhy] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const field = useRef<HTMLTextAreaElement>(null);

  useEffect(() => {
    const draft = sessionStorage.getItem(DRAFT);
    // The draft is only known in the browser, after the page has been shown.
    if (draft) queueMicrotask(() => setText(draft));
    field.current?.focus();
  }, []);

  const change = (next: string) => {
    setText(next);
    setWhy(null);
    try {
      sessionStorage.setItem(DRAFT, next);
    } catch {
      /* a full or blocked store only loses the draft over a reload */
    }
  };
  const submit = async () => {
    setBusy(true);
    setWhy(null);
    try {
      const answer = await send("POST", "/api/recipes", { text });
      noteSave();
      sessionStorage.removeItem(DRAFT);
      router.push(`/recipes/${(answer as { id: string }).id}/recipe`);
      router.refresh();
    } catch (error) {
      setWhy(whyOf(error, "It could not be read."));
      setBusy(false);
      field.current?.focus();
    }
  };
  return (
    <>
      <PageHead title="Paste a recipe" line="A title, ingredient lines, steps. Kitchen measures are fine.">
        <Go href="/recipes" className={buttonClass("quiet")}>
          Back to recipes
        </Go>
      </PageHead>
      <main id="main" className="lg:min-h-[calc(100dvh-82px)] lg:grid lg:grid-cols-[1fr_404px]">
        <form
          className="p-4 md:p-5"
          onSubmit={(event) => {
            event.preventDefault();
            void submit();
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
              if (event.key === "Enter" && (event.ctrlKey || event.metaKey)) void submit();
            }}
          />
          {why && (
            <p id="recipe-why" role="alert" className="mt-2 bg-rose-wash text-rose px-3 py-2">
              {why}
            </p>
          )}
          <div className="mt-4 flex gap-3 items-center">
            <Button kind="primary" type="submit" disabled={busy}>
              {busy ? "Reading" : "Read it"}
            </Button>
            <span className="t-small text-ink2">or Ctrl+Enter</span>
          </div>
        </form>
        <aside className="lg:crease-l p-4 md:p-5">
          <h2 className="t-h2">What can be read</h2>
          <ul className="t-ledger mt-2 rule-t">
            {[
              ["½ cup ghee, 1¼ cups sugar", "fractions as they are written"],
              ["6–7 dates", "a range: the middle, with its spread"],
              ["a handful of cashews, a pinch of salt", "loose measures, with a wide interval"],
              ["8 saffron strands, 3 cardamom pods", "counted things"],
              ["1 can (400 ml) coconut milk", "the size in brackets counts"],
              ["ghee as needed", "left open: you are asked"],
            ].map(([line, what]) => (
              <li key={line} className="border-b border-line py-2">
                <span className="font-[550]">{line}</span>
                <span className="block t-small text-ink2">{what}</span>
              </li>
            ))}
          </ul>
        </aside>
      </main>
    </>
  );
}
