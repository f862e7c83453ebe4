"use client";

import { stirring, type CookSession } from "../../../core/cook";
import { CueCard } from "../../parts/cue-card";
import { HazardNote } from "../../parts/hazard-note";
import { spanText } from "../../parts/span-text";

const attention = { "hands on": "hands on", "now and then": "stir now and then", unattended: "goes by itself" } as const;

interface TheStepProps {
  readonly session: CookSession;
  /** The same, right behind: what is drawn of a step follows its words. */
  readonly later: CookSession;
  readonly now: number;
}

/** The step that is on, legible from two metres, with what to look for. */
export function TheStep({ session, later, now }: TheStepProps) {
  const at = session.steps.findIndex(({ id }) => id === session.now);
  const step = session.steps[at];
  if (!step) return null;
  const { planned, began, text, id } = step;
  const stir = stirring(step, session.plan, now);
  return (
    <section aria-label="The step" aria-live="off">
      <p className="t-ledger text-ink2 flex flex-wrap gap-x-4">
        <span className="font-[590] text-ink">
          Step {at + 1} of {session.steps.length}
        </span>
        {planned?.part && <span>{planned.part}</span>}
        {planned && planned.minutes.usual > 0 && (
          <span>
            about {spanText(planned.minutes.usual)}
            {planned.lots ? " in all" : ""}
          </span>
        )}
        {planned?.lots && (
          <span className="font-[590] text-ink">
            lot {step.lotsDone + 1} of {planned.lots}
            {step.lotsDone + 1 < planned.lots ? "; the rest waits" : ""}
          </span>
        )}
        {planned && <span>{attention[planned.attention]}</span>}
        {session.setUp?.pan && <span>{session.setUp.pan.name}</span>}
        {began !== null && now > began + 60_000 && <span>on for {spanText(Math.floor((now - began) / 60_000))}</span>}
      </p>
      <p
        className={`mt-2 font-[600] [font-stretch:92%] leading-[1.08] t-frac text-balance ${
          text.length > LONG ? "text-[clamp(26px,7vw,32px)] md:text-[38px] xl:text-[42px]" : "text-[clamp(30px,8.6vw,39px)] md:text-[52px] xl:text-[60px]"
        }`}
      >
        {text}
      </p>
      {stir && (
        <p
          className={`mt-3 text-[20px] px-3 py-2 ${stir.isDue ? "bg-saffron-wash border-l-4 border-saffron-fill font-[590]" : "text-ink2 border-l-4 border-line"}`}
          role="status"
        >
          {stir.isDue ? "Stir now, down to the bottom." : `Stir every ${stir.every} min.`}
        </p>
      )}
      {planned?.cue && <p className="mt-3 text-[20px] text-ink2">Until {planned.cue}.</p>}
      {planned?.atOnce && <p className="mt-2 text-[18px]">Both hands at once. {planned.atOnce}</p>}
      {planned?.pressure && (
        <p className="mt-2 text-[18px]">
          Under pressure in three times: about {spanText(planned.pressure.comingUp)} until it comes up, {spanText(planned.pressure.minutes)} at pressure, then
          the pressure falls. Timer begins the next.
        </p>
      )}
      {later.now === id && planned?.cues.map((cue) => <CueCard key={`${id} ${cue.id}`} cue={cue} />)}
      {planned?.hazards.map((hazard) => (
        <HazardNote key={hazard.what} what={hazard.what} mend={hazard.mend} />
      ))}
    </section>
  );
}
/** A longer step is set smaller, so that it is seen whole. */
const LONG = 150;
