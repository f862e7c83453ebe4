"use client";

import { usePathname } from "next/navigation";
import { useLayoutEffect, type ReactNode } from "react";
import { ScaleMark } from "../parts/scale-mark";
import { Go, OnTheWay } from "./go";
import { HelpSheet } from "./help";
import { Notices, type NoticeData } from "./notices";
import { PLACES, type PlaceId } from "./places";
import { takeWhatWasTyped } from "./typed-before";
import { useWhatWasLeft } from "./use-fresh";

interface ShellProps {
  readonly states: Readonly<Record<PlaceId, string>>;
  readonly notices: readonly NoticeData[];
  readonly children: ReactNode;
}

/** The house: the cloth spine with its places (a bar under the thumb on a phone), and the page beside it. */
export function Shell({ states, notices, children }: ShellProps) {
  const path = usePathname();
  useLayoutEffect(() => takeWhatWasTyped(document), []);
  return (
    <div className="min-h-dvh md:pl-[76px] lg:pl-[88px] pb-[50px] md:pb-0 print:p-0">
      <a href="#main" className="sr-only focus:not-sr-only focus:fixed focus:z-50 focus:bg-sheet focus:p-3">
        Skip to the page
      </a>
      <nav
        aria-label="Places"
        className="no-print fixed z-30 bg-cloth text-cloth-text bottom-0 inset-x-0 h-[50px] stitch-t md:stitch-r md:inset-x-auto md:left-0 md:top-0 md:h-dvh md:w-[76px] lg:w-[88px] flex md:flex-col md:overflow-y-auto"
      >
        <div className="hidden md:flex flex-col items-center pt-4 pb-6 gap-2 pr-2">
          <ScaleMark />
          <span className="text-[16px] font-[600] [font-stretch:104%]">Threpsis</span>
        </div>
        <ul className="flex flex-1 md:block">
          {PLACES.map((place) => {
            const here = place.here(path);
            return (
              <li key={place.id} className="flex-1">
                <Go
                  href={place.href}
                  aria-current={here ? "page" : undefined}
                  className={`relative flex flex-col justify-center items-center md:items-start h-[50px] md:h-[56px] md:pl-3 leading-tight ${here ? "bg-ground text-ink border-t-4 md:border-t-0 md:border-l-4 border-saffron-fill md:pl-2" : "hover:underline"}`}
                >
                  <span className="text-[14px] font-[540] [font-stretch:92%] max-lg:text-[13px] max-lg:[font-stretch:84%]">{place.name}</span>
                  <span className={`text-[13px] [font-stretch:86%] ${here ? "text-ink2" : "text-cloth-second"}`}>{states[place.id]}</span>
                  <OnTheWay />
                </Go>
              </li>
            );
          })}
          <li className="md:hidden w-[58px]">
            <HelpSheet className="h-[50px] w-full text-[14px] font-[540] [font-stretch:92%]" />
          </li>
        </ul>
        <div className="hidden md:block pb-3">
          <HelpSheet keys className="h-11 w-full text-left pl-3 text-[14px] font-[540] [font-stretch:92%]" />
        </div>
      </nav>
      <Notices notices={notices} />
      {children}
    </div>
  );
}

/** A page's head: name, a line under it, and what stands at its right (the thread, or an action). */
export function PageHead({ title, line, children }: { readonly title: ReactNode; readonly line?: ReactNode; readonly children?: ReactNode }) {
  useWhatWasLeft();
  return (
    <header className="crease-b flex flex-wrap items-center gap-x-6 gap-y-2 px-4 md:px-5 py-2 min-h-[66px]">
      <div className="min-w-0 flex-1 basis-64">
        <h1 className="t-h1 max-sm:text-[22px] line-clamp-2">{title}</h1>
        {line && <p className="t-small text-ink2">{line}</p>}
      </div>
      {children}
    </header>
  );
}
