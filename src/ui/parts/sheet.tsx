"use client";

import { lazy, Suspense, type ReactNode } from "react";
import type { SheetPanelProps } from "./sheet-panel";

const SheetPanel = lazy(() => import("./sheet-panel"));

/** A panel from the right, on a phone from below, over the page: for what is looked up beside the work. Its code comes when it is first opened. */
export function Sheet({ open, children, ...rest }: Omit<SheetPanelProps, "children"> & { readonly open: boolean; readonly children: () => ReactNode }) {
  return open ? (
    <Suspense>
      <SheetPanel {...rest}>{children()}</SheetPanel>
    </Suspense>
  ) : null;
}
