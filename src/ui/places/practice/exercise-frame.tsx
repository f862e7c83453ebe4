"use client";

import type { ReactNode } from "react";
import { buttonClass } from "../../parts/button";
import { Go } from "../../shell/go";
import { PageHead } from "../../shell/shell";
import { PRACTICE_WORDS, type PracticeKind } from "./practice-words";

/** The page around an exercise. */
export function ExerciseFrame({ kind, eater, children }: { readonly kind: PracticeKind; readonly eater: string | null; readonly children: ReactNode }) {
  const { title, line } = PRACTICE_WORDS[kind];
  return (
    <>
      <PageHead title={title} line={line}>
        <Go
          href={eater === null ? "/practice" : `/practice?eater=${encodeURIComponent(eater)}`}
          className="underline inline-flex items-center min-h-11 no-print"
        >
          To practice
        </Go>
      </PageHead>
      <main id="main" className="p-4 md:p-6 max-w-[860px]">
        {children}
      </main>
    </>
  );
}

/** What a try came to, and the way to the next. */
export const Outcome = ({ children, onAgain }: { readonly children: ReactNode; readonly onAgain: () => void }) => (
  <div role="status" className="mt-5 border-t-[1.5px] border-ink pt-3 max-w-[64ch]">
    {children}
    <p className="mt-4">
      <button type="button" className={buttonClass("primary", "min-h-14")} onClick={onAgain}>
        Another
      </button>
    </p>
  </div>
);
