"use client";

import type { CookHappening, CookSession, StoveLine } from "../../../core/cook";
import { formatGrams, lowerFirst } from "../../../core/units";
import type { StoveView, ToldBlock } from "../../../core/views";
import { AmountForm } from "../../parts/amount-form";
import { buttonClass } from "../../parts/button";

interface HeldProps {
  readonly session: CookSession;
  readonly lines: readonly StoveLine[];
  readonly view: StoveView;
  readonly act: (happening: CookHappening) => boolean;
}

/** What is said of it before the next block goes in. */
const STILL: Readonly<Partial<Record<StoveLine["role"], string>>> = {
  sweetener: "not sweet enough yet",
  liquid: "still too thick",
  richness: "still dry",
  body: "still thin",
  thickener: "still thin",
  binder: "does not hold yet",
  setting: "still thin",
  seasoning: "still flat",
};
const stillOf = ({ role }: StoveLine): string => STILL[role] ?? "not yet";
const TIME = new Intl.DateTimeFormat("en-GB", { hour: "2-digit", minute: "2-digit" });

/** All lines that wait, each bit by bit; and those of the step that is on, to be held back. */
export function HeldBack({ session, lines, view, act }: HeldProps) {
  const on = session.steps.find(({ id }) => id === session.now)?.planned;
  const taken = new Set(on?.takes.map(({ line }) => line) ?? []);
  const isTasted = session.setUp?.tasting !== false;
  const held = lines.filter(({ isHeld }) => isHeld);
  const isBound = view.figures.some(({ id }) => id === "binding");
  const can = lines.filter(({ id, isHeld, grams, role }) => {
    const block = view.blocks[id];
    // The fat that something is roasted in is wanted from the start.
    if (role === "richness" && !isBound && on?.heat == null) return false;
    return taken.has(id) && !isHeld && !session.held.has(id) && block !== undefined && block.grams < 0.7 * grams && (isTasted || !BY_TASTE.includes(role));
  });
  return (
    <>
      {held.map((line) => (
        <Held key={line.id} line={line} block={view.blocks[line.id] ?? null} session={session} served={view.served} act={act} />
      ))}
      {can.length > 0 && (
        <section aria-label="Hold back" className="mb-5">
          <h2 className="t-h2">Hold some back?</h2>
          <p className="t-ledger text-ink2">What waits goes in bit by bit, until it is right. All figures follow.</p>
          <ul className="border-t border-ink mt-1">
            {can.map((line) => {
              const grams = toHold(line.all, view.blocks[line.id]?.grams ?? 0);
              return (
                <li key={line.id} className="border-b border-line flex items-center justify-between gap-3 py-1">
                  <span className="min-w-0">
                    {line.name}, <span className="t-figure">{formatGrams(line.all)} g</span>
                  </span>
                  <button type="button" className={buttonClass("plain", "shrink-0")} onClick={() => act({ kind: "held back", line: line.id, grams })}>
                    Hold {formatGrams(grams)} g
                  </button>
                </li>
              );
            })}
          </ul>
        </section>
      )}
    </>
  );
}
const BY_TASTE: readonly StoveLine["role"][] = ["sweetener", "seasoning"];
/** A third, or three blocks where those are less; never all of it. */
const toHold = (all: number, block: number): number => {
  const grams = Math.min(all / 3, 3 * block);
  return grams < 3 ? Math.max(0.1, Math.round(10 * grams) / 10) : Math.round(grams);
};

/** More blocks than this are not told apart at a glance. */
const MOST_DRAWN = 24;

function Held({
  line,
  block,
  session,
  served,
  act,
}: {
  readonly line: StoveLine;
  readonly block: ToldBlock | null;
  readonly session: CookSession;
  readonly served: string | null;
} & Pick<HeldProps, "act">) {
  const { id, name, waits, all } = line;
  const size = block?.grams ?? Math.max(1, Math.round(waits / 3));
  // What is left over a block goes in with it.
  const grams = waits > 0 && waits < 1.4 * size ? waits : size;
  const short = name.split(",")[0] ?? name;
  const word = stillOf(line);
  const isTasted = session.setUp?.tasting !== false;
  const put = (amount: number) => act({ kind: "put in", line: id, food: line.food, name: lowerFirst(name), grams: amount, word });
  const log = session.putIn.filter((each) => each.line === id);
  const beyond = Math.max(0, all - (session.amounts.get(id) ?? line.grams));
  return (
    <section aria-label={`${short}, held back`} className="mb-5">
      <div className="flex flex-wrap items-baseline justify-between gap-x-3">
        <h2 className="t-h2">{short}, held back</h2>
        <p className="t-ledger text-ink2">
          {waits > 0
            ? `${formatGrams(waits)} of ${formatGrams(all + waits)} g waits`
            : beyond > 0
              ? `${formatGrams(beyond)} g beyond the plan`
              : "all of it is in"}
        </p>
      </div>
      <Blocks all={all} waits={waits} block={size} />
      <p className="t-ledger text-ink2 flex justify-between">
        <span>meant to be in {formatGrams(all)} g</span>
        <span>
          {formatGrams(size)} g: {block?.why ?? "a third of what waits"}
        </span>
      </p>
      {log.length > 0 && (
        <ol className="border-t border-line mt-1 t-ledger">
          {log.map(({ event, at, grams: amount, word: said }) => (
            <li key={event} className="border-b border-line flex gap-4 py-0.5">
              <time className="t-figure text-ink2" dateTime={new Date(at).toISOString()} suppressHydrationWarning>
                {TIME.format(at)}
              </time>
              <span className="t-figure w-16">+{formatGrams(amount)} g</span>
              <span className="min-w-0">{said}</span>
            </li>
          ))}
        </ol>
      )}
      {served && isTasted && BY_TASTE.includes(line.role) && <p className="t-ledger mt-1">{served}</p>}
      <div className="flex gap-2 mt-2">
        <button type="button" className={buttonClass("primary", "min-h-14 flex-1 flex-col")} onClick={() => put(grams)}>
          <span>Add {formatGrams(grams)} g</span>
          <span className="t-small font-normal">{word}</span>
        </button>
        <button type="button" className={buttonClass("plain", "min-h-14 min-w-24 flex-col")} onClick={() => act({ kind: "enough", line: id })}>
          <span>Enough</span>
          <span className="t-small font-normal text-ink2">{isTasted ? "it is right" : "as weighed"}</span>
        </button>
      </div>
      <AmountForm label={`Another amount of ${lowerFirst(short)}, g`} placeholder="another amount, g" words="Add" least={0.1} onTake={put} />
    </section>
  );
}

/** A block for each go: full where it is meant to be in, hatched where it waits. */
function Blocks({ all, waits, block }: { readonly all: number; readonly waits: number; readonly block: number }) {
  const size = Math.max(block, (all + waits) / MOST_DRAWN);
  const full = Math.round(all / size);
  const open = Math.ceil(waits / size - 0.01);
  return (
    <div className="flex gap-0.5 my-1.5" aria-hidden="true">
      {Array.from({ length: full + open }, (_, i) => (
        <span
          key={i}
          className={`flex-1 h-5 border border-brass ${i < full ? "bg-brass" : "border-dashed bg-[repeating-linear-gradient(135deg,var(--color-line)_0_2px,transparent_2px_6px)]"}`}
        />
      ))}
    </div>
  );
}
