"use client";

import { lazy, Suspense, useState } from "react";
import { Chevron } from "./marks";
import type { RowMenuProps } from "./row-menu-box";

const BUTTON = "inline-flex items-center gap-1.5 min-h-11 px-2 text-ink2 hover:bg-pressed data-open:bg-pressed";

const load = () => import("./row-menu-box").then(({ RowMenuBox }) => ({ default: RowMenuBox }));
const RowMenuBox = lazy(load);
const soon = () => void load().catch(() => undefined);

/** What else can be done with a row, behind one button. A list has many: the menu is made when one is first opened. */
export function RowMenu({ label, actions }: RowMenuProps) {
  const [wanted, setWanted] = useState(false);
  const mark = (
    <>
      More <Chevron open={false} />
    </>
  );
  const button = (
    <button
      type="button"
      aria-label={label}
      aria-haspopup="menu"
      aria-expanded={false}
      aria-busy={wanted}
      className={BUTTON}
      onPointerEnter={soon}
      onFocus={soon}
      onClick={() => setWanted(true)}
      onKeyDown={(event) => {
        if (event.key !== "ArrowDown" && event.key !== "ArrowUp") return;
        event.preventDefault();
        setWanted(true);
      }}
    >
      {mark}
    </button>
  );
  if (!wanted) return button;
  return (
    <Suspense fallback={button}>
      <RowMenuBox label={label} actions={actions} className={BUTTON}>
        {mark}
      </RowMenuBox>
    </Suspense>
  );
}
