"use client";

import { useEffect } from "react";
import { Toaster as Sonner, toast as show } from "sonner";
import { hear } from "./messages";

const CLASSES = {
  toast: "w-full bg-ink text-sheet px-4 py-3 flex flex-wrap items-center gap-x-4 gap-y-1 t-ledger",
  title: "font-[480]",
  actionButton: "ml-auto underline underline-offset-3 min-h-8 px-1 font-[560]",
};
const SHOWN_MS = 8000;

/** Messages above the thumb bar on a phone, at the lower left of the page on a desk. */
export default function Toaster() {
  useEffect(
    () =>
      hear(({ text, action, stays, key }) => {
        if (text === "") return void show.dismiss(key);
        show(text, {
          duration: stays ? Infinity : SHOWN_MS,
          ...(key ? { id: key } : {}),
          ...(action ? { action: { label: action.label, onClick: action.run } } : {}),
        });
      }),
    [],
  );
  return (
    <Sonner
      position="bottom-left"
      offset={{ bottom: 20, left: 108 }}
      mobileOffset={{ bottom: 70, left: 12, right: 12 }}
      visibleToasts={3}
      gap={8}
      hotkey={["altKey", "KeyT"]}
      containerAriaLabel="Messages"
      className="no-print"
      toastOptions={{ unstyled: true, classNames: CLASSES }}
    />
  );
}
