"use client";

import { useRouter } from "next/navigation";
import { lazy, useMemo, useState } from "react";
import { Sheet } from "../parts/sheet";
import { useKeys, useKeysOn } from "./keys";
import { PLACES } from "./places";
import { useSaving } from "./saving";

const HelpContent = lazy(() => import("./help-content"));

/** The button that opens the help sheet; `keys` also listens to the keys of the house. */
export function HelpSheet({ keys = false, className }: { readonly keys?: boolean; readonly className: string }) {
  const [open, setOpen] = useState(false);
  const [on] = useKeysOn();
  return (
    <>
      <button type="button" className={`text-cloth-text hover:underline ${className}`} onClick={() => setOpen(true)} aria-haspopup="dialog">
        Help
      </button>
      {keys && <Keys on={on && !open} onHelp={() => setOpen(true)} />}
      <Sheet open={open} onClose={() => setOpen(false)} title="Help">
        {() => <HelpContent />}
      </Sheet>
    </>
  );
}

function Keys({ on, onHelp }: { readonly on: boolean; readonly onHelp: () => void }) {
  const router = useRouter();
  const { flush } = useSaving();
  const keys = useMemo(() => {
    const go = (href: string) => () => void flush().then(() => router.push(href));
    return {
      ...Object.fromEntries(PLACES.map(({ key, href }) => [`g ${key}`, go(href)])),
      n: go("/recipes/new"),
      "[Shift]+?": onHelp,
      "[Shift]+/": () => {
        const field = document.querySelector<HTMLElement>("[role=search] input, main input[role=combobox]");
        field?.focus();
        return field !== null;
      },
    };
  }, [router, flush, onHelp]);
  useKeys(on, keys);
  return null;
}
