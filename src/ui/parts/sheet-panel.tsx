"use client";

import { Dialog, DialogPanel, DialogTitle } from "@headlessui/react";
import type { ReactNode } from "react";
import { Button } from "./button";

export interface SheetPanelProps {
  readonly onClose: () => void;
  readonly title: ReactNode;
  /** A small line above the title. */
  readonly above?: ReactNode;
  readonly children: ReactNode;
}

/** The open panel of a sheet. Escape, its button or a tap outside close it. */
export default function SheetPanel({ onClose, title, above, children }: SheetPanelProps) {
  return (
    <Dialog open onClose={onClose} className="relative z-40 focus:outline-none">
      <div aria-hidden="true" className="fixed inset-0 bg-[light-dark(rgb(22_28_68/0.25),rgb(0_0_0/0.5))]" />
      <div className="fixed inset-0 flex justify-end max-md:items-end">
        <DialogPanel className="w-full md:max-w-[480px] h-full max-md:h-auto max-md:max-h-[88dvh] overflow-y-auto bg-sheet md:border-l max-md:border-t border-ink p-5 pb-24 max-md:pb-8">
          <div className="flex justify-between gap-4 items-start">
            <div>
              {above && <p className="t-small text-ink2">{above}</p>}
              <DialogTitle className="t-h1">{title}</DialogTitle>
            </div>
            <Button onClick={onClose}>Close</Button>
          </div>
          {children}
        </DialogPanel>
      </div>
    </Dialog>
  );
}
