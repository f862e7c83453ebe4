"use client";

import { hourBreaks } from "../../../core/calendar";
import { GATHERING_LIMITS } from "../../../core/plan";
import { WhyMark } from "../../parts/marks";
import { Go } from "../../shell/go";
import { DayField, HourField, NameField, Problems, Section } from "./fields";
import type { SetUpProps } from "./set-up-props";
import { Sweets } from "./sweets-part";
import { Who } from "./who-part";
import { Work } from "./work-part";

/** What a gathering is: when, who eats, which sweets, by whom and with what they are cooked. */
export function SetUp(props: SetUpProps) {
  const { gathering, problems, set } = props;
  return (
    <div className="grid gap-x-10 gap-y-8 lg:grid-cols-2 max-w-[1240px]">
      <div className="grid gap-8 content-start min-w-0">
        <Section id="when-title" title="When">
          <div className="flex flex-wrap gap-4 mt-2 items-end">
            <NameField
              label="name"
              className="flex-1 min-w-56"
              maxLength={GATHERING_LIMITS.title}
              value={gathering.title}
              onChange={(title) => set({ title }, "title")}
            />
            <DayField label="day" value={gathering.day} onChange={(day) => set({ day }, "day")} />
            <HourField label="served at" value={gathering.hour} onChange={(hour) => set({ hour }, "hour")} />
          </div>
          <Problems of={problems} fields={["day"]} />
          <DayLines {...props} />
        </Section>
        <Sweets {...props} />
      </div>
      <div className="grid gap-8 content-start min-w-0">
        <Who {...props} />
        <Work {...props} />
        <label className="t-small text-ink2">
          note, for the household alone
          <textarea
            className="block w-full border border-edge bg-sheet p-2 text-ink text-[16px] min-h-20"
            maxLength={GATHERING_LIMITS.note}
            value={gathering.note}
            onChange={(event) => set({ note: event.target.value }, "note")}
          />
        </label>
      </div>
    </div>
  );
}

function DayLines({ gathering, eaters, dayAt, set }: SetUpProps) {
  const kept = [...eaters.filter(({ id }) => gathering.eaters.includes(id)), ...gathering.guests].flatMap(({ rules }) => rules);
  if (!dayAt)
    return (
      <p className="t-small text-ink2 mt-2">
        Sun, moon and fasts go by where you are.{" "}
        <Go href="/household" className="underline">
          Say where that is
        </Go>
      </p>
    );
  if (dayAt.day !== gathering.day) return null;
  const times = [
    ["sunrise", dayAt.sunrise],
    ["sunset", dayAt.sunset],
    ["moonrise", dayAt.moonrise],
  ] as const;
  return (
    <div className="mt-2 t-ledger">
      <p className="flex flex-wrap gap-x-5 gap-y-1 items-center">
        {times.map(([name, at]) =>
          at === null ? null : (
            <span key={name} className="inline-flex gap-2 items-center">
              {name} <span className="t-figure">{at}</span>
              {name !== "sunrise" && at !== gathering.hour && (
                <button type="button" className="underline t-small min-h-8" onClick={() => set({ hour: at })}>
                  Serve then
                </button>
              )}
            </span>
          ),
        )}
      </p>
      {dayAt.fasts.length > 0 && (
        <p className="t-small text-ink2 mt-1">
          Falls on it: {dayAt.fasts.map(({ name, ends }) => `${name}${ends ? `, until ${ends.what} at ${ends.at}` : ""}`).join("; ")}.
        </p>
      )}
      {hourBreaks(gathering.hour, dayAt, kept).map((words) => (
        <p key={words} className="bg-saffron-wash px-3 py-2 mt-2 flex gap-2 items-baseline">
          <WhyMark kind="ask" />
          <span>{words}</span>
        </p>
      ))}
    </div>
  );
}
