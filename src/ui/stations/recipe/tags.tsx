"use client";

import { useState } from "react";

const read = (text: string): string[] => [
  ...new Set(
    text
      .split(",")
      .map((tag) => tag.trim().slice(0, 40))
      .filter(Boolean),
  ),
];

/** Words to find a recipe by, typed with commas between them. */
export function Tags({ tags, onChange }: { readonly tags: readonly string[]; readonly onChange: (tags: readonly string[]) => void }) {
  const [draft, setDraft] = useState<string | null>(null);
  return (
    <input
      value={draft ?? tags.join(", ")}
      placeholder="winter, festival, fasting day"
      maxLength={400}
      onChange={(event) => {
        setDraft(event.target.value);
        onChange(read(event.target.value).slice(0, 30));
      }}
      onBlur={() => setDraft(null)}
      className="mt-2 w-full bg-sheet border border-edge px-3 min-h-11"
    />
  );
}
