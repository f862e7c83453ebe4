"use client";

import { useRouter } from "next/navigation";
import { useMemo } from "react";
import { Go, OnTheWay } from "./go";
import { useKeys, useKeysOn } from "./keys";
import { useSaving } from "./saving";
import { STATIONS, type StationId, type StationSource } from "./stations";

/** The stations as a thread: done, here, to come. Leaving one waits until what was typed is saved. */
export function StationThread({ recipeId, here, of }: { readonly recipeId: string; readonly here: StationId; readonly of: StationSource }) {
  const router = useRouter();
  const { flush } = useSaving();
  const [keysOn] = useKeysOn();
  const keys = useMemo(() => {
    const at = STATIONS.findIndex(({ id }) => id === here);
    const go = (to: (typeof STATIONS)[number] | undefined) => () => {
      if (to) void flush().then(() => router.push(`/recipes/${recipeId}/${to.id}`));
      return to !== undefined;
    };
    const [back, on] = [go(STATIONS[at - 1]), go(STATIONS[at + 1])];
    // On many keyboards brackets are typed with AltGr.
    return { "[": back, "AltGraph+[": back, "]": on, "AltGraph+]": on };
  }, [router, flush, recipeId, here]);
  useKeys(keysOn, keys);
  return (
    <nav aria-label="Stations" className="no-print w-full lg:w-auto">
      <ol className="flex">
        {STATIONS.map((station, i) => {
          const href = `/recipes/${recipeId}/${station.id}`;
          const current = station.id === here;
          const dashed = !(STATIONS[i + 1]?.settled(of) ?? false);
          return (
            <li key={station.id} className="relative flex-1 lg:flex-none lg:w-[118px]">
              {i < STATIONS.length - 1 && (
                <span aria-hidden="true" className={`absolute top-[11px] left-1/2 w-full border-t-2 ${dashed ? "border-dashed border-edge" : "border-ink"}`} />
              )}
              <Go
                href={href}
                aria-current={current ? "step" : undefined}
                className="relative flex flex-col items-center text-center leading-tight pt-0.5 pb-1 hover:underline"
              >
                <svg width="20" height="20" viewBox="0 0 20 20" aria-hidden="true" className="mb-0.5">
                  <path
                    d="M10 1.500 18.500 10 10 18.500 1.500 10Z"
                    strokeWidth="2"
                    className={current ? "fill-saffron-fill stroke-ink" : station.settled(of) ? "fill-ink stroke-ink" : "fill-ground stroke-edge"}
                    transform={current ? "" : "translate(3 3) scale(.7)"}
                  />
                </svg>
                <span className={`text-[14px] ${current ? "font-[640]" : "font-[480]"}`}>{station.name}</span>
                <span className="t-small text-ink2">{station.state(of)}</span>
                <OnTheWay />
              </Go>
            </li>
          );
        })}
      </ol>
    </nav>
  );
}
