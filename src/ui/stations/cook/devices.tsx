"use client";

import { lazy, Suspense, useState } from "react";
import type { CookHappening, CookSession } from "../../../core/cook";
import type { StoveView } from "../../../core/views";

const PotDevices = lazy(() => import("./pot-devices"));

interface DevicesProps {
  readonly session: CookSession;
  readonly view: StoveView;
  readonly act: (happening: CookHappening) => boolean;
}

/** Devices beside the pot, folded until they are asked for. Without any, all goes by hand. */
export function Devices(of: DevicesProps) {
  const [isOpen, setOpen] = useState(false);
  return (
    <details className="mb-5 border-y border-line no-print" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="py-2.5 cursor-pointer t-ledger">
        <span className="font-[550]">Scale and probe</span> <span className="text-ink2">read by themselves</span>
      </summary>
      {isOpen && (
        <Suspense fallback={<p className="t-small">Coming.</p>}>
          <PotDevices {...of} />
        </Suspense>
      )}
    </details>
  );
}
