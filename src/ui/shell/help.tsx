"use client";

import { useRouter } from "next/navigation";
import { lazy, useCallback, useState } from "react";
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
  const onKey = useCallback(
    (keys: string) => {
      const place = PLACES.find(({ key }) => keys === `g ${key}`);
      const to = place?.href ?? (keys === "n" ? "/recipes/new" : null);
      if (to !== null) void flush().then(() => router.push(to));
      else if (keys === "?") onHelp();
      else if (keys === "/") {
        const field = document.querySelector<HTMLElement>("[role=search] input, main input[role=combobox]");
        field?.focus();
        return field !== null;
      } else return false;
      return true;
    },
    [router, flush, onHelp],
  );
  useKeys(on, onKey);
  return null;
}
