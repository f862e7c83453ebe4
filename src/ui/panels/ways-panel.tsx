"use client";

import { useEffect, useState } from "react";
import type { Recipe } from "../../core/recipe";
import type { DiningTable } from "../../core/table";
import { capital } from "../../core/units";
import type { ToldFork, ToldWay } from "../../core/views";
import { AS_WRITTEN, type WayPicks } from "../../core/ways";
import { Pick } from "../parts/pick";
import { why as whyOf } from "../parts/send";
import { useCompute } from "../shell/computer";
import { Go } from "../shell/go";

interface WaysPanelProps {
  readonly recipe: Recipe;
  readonly table: DiningTable;
  /** Those of this batch. */
  readonly ways: WayPicks;
  /** What is followed now. */
  readonly taken: readonly ToldWay[];
  /** Null: as the household usually does it. */
  readonly onWay: (way: string, option: string | null) => void;
}

/** Where cooks part: what of this batch is done in which way, why, and what that changes. Folded until it is asked for. */
export function WaysPanel({ taken, ...of }: WaysPanelProps) {
  const [isOpen, setOpen] = useState(false);
  return (
    <details className="mt-2 border-y border-line no-print" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="t-ledger cursor-pointer py-2.5 md:py-1.5">
        <span className="font-[550] pr-2">Ways of making it</span>
        <span className="text-ink2">
          {taken.length === 0 ? "all as written" : taken.map(({ of: what, name }) => `${what.toLowerCase()} ${name}`).join(" · ")}
        </span>
      </summary>
      {isOpen && <Forks {...of} />}
    </details>
  );
}

function Forks({ recipe, table, ways, onWay }: Omit<WaysPanelProps, "taken">) {
  const compute = useCompute();
  const [forks, setForks] = useState<readonly ToldFork[] | { readonly why: string } | null>(null);
  useEffect(() => {
    const controller = new AbortController();
    compute("ways", { recipe, table, ways }, controller.signal)
      .then((told) => !controller.signal.aborted && setForks(told))
      .catch((error: unknown) => !controller.signal.aborted && setForks({ why: whyOf(error, "The ways could not be worked out.") }));
    return () => controller.abort();
  }, [recipe, table, ways, compute]);
  if (forks === null || "why" in forks)
    return (
      <p role={forks ? "alert" : "status"} className={`t-ledger pb-3 ${forks ? "text-rose" : "text-ink2"}`}>
        {forks ? forks.why : "Trying each way …"}
      </p>
    );
  if (forks.length === 0) return <p className="t-ledger text-ink2 pb-3">Its steps leave nothing of this open.</p>;
  return (
    <>
      <p className="t-small text-ink2 max-w-[72ch]">
        For this batch. What you usually do is kept with the{" "}
        <Go className="underline" href="/household#ways">
          Household
        </Go>
        . Only what the words of this recipe can be written in is offered; reasons are rules of thumb, figures are computed.
      </p>
      <ul className="grid lg:grid-cols-2 gap-x-6 pb-3">
        {forks.map((fork) => (
          <ForkRow key={fork.way} fork={fork} onWay={onWay} />
        ))}
      </ul>
    </>
  );
}

function ForkRow({ fork, onWay }: { readonly fork: ToldFork; readonly onWay: WaysPanelProps["onWay"] }) {
  const { way, of, written, picked, isHouse, isFollowed, options } = fork;
  const others = options.filter(({ name }) => name !== written);
  const held = others.find(({ id }) => id === picked);
  const asWritten = written === null ? "as written" : `${written}, as written`;
  return (
    <li className="border-b border-line py-2 min-w-0">
      <Pick
        label={of}
        value={held ? held.id : AS_WRITTEN}
        options={[[AS_WRITTEN, asWritten], ...others.map(({ id, name }) => [id, name] as const)]}
        onChange={(option) => onWay(way, option)}
      />
      <ul className="t-small mt-1 max-w-[60ch]">
        {options.map(({ id, name, reason, does }) => (
          <li key={id} className={id === picked || (picked === AS_WRITTEN && name === written) ? "" : "text-ink2"}>
            <span className="font-[550]">{capital(name)}:</span> {reason}.{does.length > 0 && <span className="t-frac"> {capital(does.join(", "))}.</span>}
          </li>
        ))}
      </ul>
      {isHouse && isFollowed && <p className="t-small text-ink2">So you usually do it.</p>}
      {!isFollowed && <p className="t-small text-ink2">You usually do it otherwise; the words of this recipe cannot be written so.</p>}
    </li>
  );
}
