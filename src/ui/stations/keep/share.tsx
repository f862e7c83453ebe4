"use client";

import { lazy, Suspense, useState } from "react";
import { buttonClass } from "../../parts/button";

// What writes the page, and the page itself, come when they are asked for.
const SharePreview = lazy(() => import("./share-preview").then((module) => ({ default: module.SharePreview })));

const WISHES = [
  ["notes", "personal notes, and why it was made"],
  ["names", "names of those who eat here"],
  ["rules", "what your table leaves out, and the reason of each change"],
] as const;
export type Wishes = Readonly<Record<(typeof WISHES)[number][0], boolean>>;

interface ShareProps {
  readonly kind: "batches" | "versions";
  readonly id: string;
  readonly title: string;
}

/** What goes out of the house: nothing of notes, names and rules unless it is ticked; looked at before it goes. */
export function Share({ kind, id, title }: ShareProps) {
  const [wishes, setWishes] = useState<Wishes>({ notes: false, names: false, rules: false });
  const [isOpen, setOpen] = useState(false);
  const query = new URLSearchParams(WISHES.flatMap(([name]) => (wishes[name] ? [[name, "yes"]] : []))).toString();
  const at = (format: string) => `/api/${kind}/${id}/share?format=${format}${query === "" ? "" : `&${query}`}`;
  return (
    <section aria-labelledby="share-head" className="mt-8 no-print">
      <h2 id="share-head" className="t-h2">
        Send it on
      </h2>
      <p className="t-ledger mt-1">
        Steps, amounts, allergens, keeping and figures go out. These stay here unless you tick them; health and faith are nobody else’s business:
      </p>
      <ul className="mt-1">
        {WISHES.map(([name, words]) => (
          <li key={name}>
            <label className="flex items-center gap-2 min-h-11 md:min-h-9 t-ledger">
              <input type="checkbox" className="size-5" checked={wishes[name]} onChange={(event) => setWishes({ ...wishes, [name]: event.target.checked })} />
              {words}
            </label>
          </li>
        ))}
      </ul>
      <p className="flex flex-wrap gap-3 mt-2">
        <button type="button" className={buttonClass("primary")} onClick={() => setOpen(true)}>
          Look at it, and send
        </button>
        <a className={buttonClass("plain")} href={at("jsonld")} download>
          JSON-LD
        </a>
        <a className={buttonClass("plain")} href={at("threpsis")} download>
          Threpsis file
        </a>
      </p>
      <p className="t-small text-ink2 mt-2">
        The page is one HTML file without a script, which any browser opens. It, and the Threpsis file, come back into another Threpsis as the same recipe with
        its version. What a recipe claims of itself (“healthy”, “sugar-free”) never goes out.
      </p>
      {isOpen && (
        <Suspense fallback={<p role="status">One moment.</p>}>
          <SharePreview key={query} title={title} sweetAt={at("sweet")} textAt={at("text")} onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </section>
  );
}
