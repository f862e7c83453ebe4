"use client";

import { useEffect, useState } from "react";
import { send, why as whyOf } from "../parts/send";
import { failed } from "../shell/messages";

const PAUSE_MS = 250;

interface FindRecipeProps {
  readonly leave: readonly string[];
  readonly onPick: (id: string, title: string) => void;
  readonly label?: string;
  readonly hint?: string;
}

/** Finds a recipe of the library by its name. */
export function FindRecipe({ leave, onPick, label = "Find another sweet of the occasion", hint = "+ another sweet, by its name" }: FindRecipeProps) {
  const [words, setWords] = useState("");
  const [found, setFound] = useState<readonly { readonly id: string; readonly title: string }[]>([]);
  useEffect(() => {
    if (words.trim() === "") return;
    let left = false;
    const timer = setTimeout(() => {
      send("GET", `/api/recipes?search=${encodeURIComponent(words)}`)
        .then((titles) => (left ? undefined : setFound(titles as typeof found)))
        .catch((error: unknown) => (left ? undefined : failed(whyOf(error, "The recipes could not be looked through."))));
    }, PAUSE_MS);
    return () => {
      left = true;
      clearTimeout(timer);
    };
  }, [words]);
  const shown = words.trim() === "" ? [] : found.filter(({ id }) => !leave.includes(id));
  return (
    <div>
      <input
        value={words}
        maxLength={100}
        aria-label={label}
        placeholder={hint}
        onChange={(event) => setWords(event.target.value)}
        className="w-full bg-transparent min-h-11 t-ledger px-1 placeholder:text-ink2"
      />
      {words.trim() !== "" && (
        <ul aria-label="Recipes found" className="border-l-2 border-ink pl-3">
          {shown.map(({ id, title }) => (
            <li key={id}>
              <button
                type="button"
                className="underline t-ledger min-h-11 md:min-h-8 text-left"
                onClick={() => {
                  setWords("");
                  onPick(id, title);
                }}
              >
                {title}
              </button>
            </li>
          ))}
          {shown.length === 0 && (
            <li className="t-small text-ink2" role="status">
              No other recipe of that name.
            </li>
          )}
        </ul>
      )}
    </div>
  );
}
