"use client";

import { Dialog, DialogPanel, DialogTitle } from "@headlessui/react";
import type { ReactNode } from "react";
import { Button } from "./button";

/** Asks before something large: what will happen, in words; the safe way out comes first. */
export default function Confirm({
  title,
  children,
  action,
  leave,
  onAction,
  onLeave,
}: {
  readonly title: string;
  readonly children: ReactNode;
  /** The verb of the button that does it. */
  readonly action: string;
  readonly leave: string;
  readonly onAction: () => void;
  readonly onLeave: () => void;
}) {
  return (
    <Dialog open onClose={onLeave} className="relative z-40 focus:outline-none">
      <div aria-hidden="true" className="fixed inset-0 bg-[light-dark(rgb(22_28_68/0.25),rgb(0_0_0/0.5))]" />
      <div className="fixed inset-0 grid place-items-center p-4 overflow-y-auto">
        <DialogPanel className="w-full max-w-[460px] bg-sheet border border-ink p-5">
          <DialogTitle className="t-h2">{title}</DialogTitle>
          <div className="mt-2 grid gap-2">{children}</div>
          <div className="mt-5 flex flex-wrap gap-3">
            <Button onClick={onLeave}>{leave}</Button>
            <Button kind="primary" onClick={onAction}>
              {action}
            </Button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
