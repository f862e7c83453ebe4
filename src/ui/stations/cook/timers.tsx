"use client";

import { alarmWords, secondsLeft, type CookHappening, type CookSession } from "../../../core/cook";
import { buttonClass } from "../../parts/button";

/** "4:05", "1:02:30"; what has run out counts on, with a plus. */
export function clockText(seconds: number): string {
  const whole = Math.ceil(Math.abs(seconds) - (seconds < 0 ? 1 : 0));
  const [h, m, s] = [Math.floor(whole / 3600), Math.floor((whole % 3600) / 60), whole % 60];
  const text = h > 0 ? `${h}:${String(m).padStart(2, "0")}:${String(s).padStart(2, "0")}` : `${m}:${String(s).padStart(2, "0")}`;
  return seconds < 0 ? `+${text}` : text;
}

interface TimersProps {
  readonly session: CookSession;
  readonly now: number;
  readonly act: (happening: CookHappening) => boolean;
}

/** All timers that run, each with its name, its time and one large button; one that has run out says what to do. */
export function Timers({ session, now, act }: TimersProps) {
  if (session.timers.length === 0) return null;
  return (
    <ul className="grid sm:grid-cols-2 border-t border-ink md:mt-4 max-md:order-first max-md:mb-4" aria-label="Timers">
      {session.timers.map((timer) => {
        const left = secondsLeft(timer, now);
        const isUp = left <= 0;
        return (
          <li key={timer.id} className={`border-b border-line sm:odd:border-r p-3 min-w-0 ${isUp ? "bg-saffron-wash border-t-4 border-t-saffron-fill" : ""}`}>
            <p className="t-ledger">{timer.label}</p>
            <div className="flex flex-wrap items-center justify-between gap-2">
              <p className="text-[52px] leading-none font-[520] [font-stretch:80%] tabular-nums" role="timer" aria-label={timer.label}>
                {isUp ? "Now" : clockText(left)}
              </p>
              <span className="flex gap-2">
                <button type="button" className={buttonClass("plain", "min-h-14")} onClick={() => act({ kind: "timer longer", timer: timer.id, seconds: 60 })}>
                  +1 min
                </button>
                <button
                  type="button"
                  className={buttonClass(isUp ? "primary" : "plain", "min-h-14 min-w-20")}
                  onClick={() => act({ kind: "timer stopped", timer: timer.id })}
                >
                  Stop
                </button>
              </span>
            </div>
            {isUp && (
              <p role="alert" className="mt-1">
                {alarmWords(timer, session)} <span className="text-ink2">{clockText(left)}</span>
              </p>
            )}
          </li>
        );
      })}
    </ul>
  );
}
