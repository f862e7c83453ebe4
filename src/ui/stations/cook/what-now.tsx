"use client";

interface WhatNowProps {
  /** What would be taken back, in words; null where nothing can be. */
  readonly back: string | null;
  /** What the timer would be set to, in words; null where no step is on. */
  readonly timer: string | null;
  readonly next: string | null;
  readonly onBack: () => void;
  readonly onWrong: () => void;
  readonly onTimer: () => void;
  readonly onLeaveOut: () => void;
  readonly onNext: () => void;
}

/** The bar under the thumb: take back, what went wrong, the timer, and what comes next. */
export const WhatNow = ({ back, timer, next, onBack, onWrong, onTimer, onLeaveOut, onNext }: WhatNowProps) => (
  <div
    className="no-print fixed z-20 inset-x-0 bottom-[50px] md:bottom-0 md:left-[76px] lg:left-[88px] h-14 md:h-[88px] bg-ground border-t border-ink flex"
    role="group"
    aria-label="What to do now"
  >
    <button
      type="button"
      disabled={back === null}
      aria-label={back ?? "Take back"}
      className="px-2 md:px-3 min-w-16 max-w-64 border-r border-line t-ledger hover:bg-pressed disabled:text-edge"
      onClick={onBack}
    >
      <span className="max-md:hidden">{back ?? "Take back"}</span>
      <span className="md:hidden">Take back</span>
    </button>
    <button type="button" className="px-2 md:px-4 min-w-16 border-r border-line text-rose hover:bg-pressed" onClick={onWrong}>
      Wrong?
    </button>
    <button
      type="button"
      disabled={timer === null}
      className="px-2 md:px-4 min-w-16 border-r border-line hover:bg-pressed disabled:text-edge"
      onClick={onTimer}
    >
      Timer<span className="max-md:hidden">{timer}</span>
    </button>
    <button
      type="button"
      disabled={next === null}
      className="px-3 min-w-20 border-r border-line hover:bg-pressed disabled:text-edge max-md:hidden"
      onClick={onLeaveOut}
    >
      Leave out
    </button>
    <button type="button" disabled={next === null} className="flex-1 min-w-28 bg-ink text-sheet text-[22px] font-[590] disabled:bg-edge" onClick={onNext}>
      {next ?? "Next"}
    </button>
  </div>
);
