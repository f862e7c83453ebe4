"use client";

import { useState } from "react";
import { GATHERING_LIMITS, peopleOf, type Gathering } from "../../../core/plan";
import { wordsOf } from "../../panels/eater-words";
import { groupsOf, RuleWishes } from "../../panels/rule-wishes";
import { buttonClass } from "../../parts/button";
import { Go } from "../../shell/go";
import { Amount, NameField, Problems, Section } from "./fields";
import type { SetUpProps } from "./set-up-props";

/** Who eats at a gathering: of the household, and others by what they leave out. */
export function Who({ gathering, eaters, rules, problems, set }: SetUpProps) {
  const [open, setOpen] = useState<string | null>(null);
  const groups = groupsOf(rules);
  const { guests } = gathering;
  const gone = gathering.eaters.filter((id) => !eaters.some((eater) => eater.id === id));
  const change = (id: string, part: Partial<Gathering["guests"][number]>, key?: string) =>
    set({ guests: guests.map((guest) => (guest.id === id ? { ...guest, ...part } : guest)) }, key && `${key} ${id}`);
  const add = () => {
    const id = `guest-${crypto.randomUUID().slice(0, 8)}`;
    set({ guests: [...guests, { id, name: "guests", count: 2, rules: [], isAsked: false }] });
    setOpen(id);
  };
  return (
    <Section
      id="who-title"
      title="Who eats"
      beside={<span className="t-small text-ink2">{peopleOf(gathering) === 1 ? "1 person" : `${peopleOf(gathering)} people`}</span>}
    >
      <Problems of={problems} fields={["people"]} />
      <ul className="grid sm:grid-cols-2 gap-x-6">
        {eaters.map((eater) => (
          <li key={eater.id} className="border-b border-line">
            <label className="flex gap-3 items-start py-2 min-h-11 cursor-pointer">
              <input
                type="checkbox"
                className="mt-0.5 size-5"
                checked={gathering.eaters.includes(eater.id)}
                onChange={() =>
                  set({ eaters: gathering.eaters.includes(eater.id) ? gathering.eaters.filter((id) => id !== eater.id) : [...gathering.eaters, eater.id] })
                }
              />
              <span className="t-ledger">
                {eater.name}
                <span className="block t-small text-ink2">{wordsOf(eater, rules)}</span>
              </span>
            </label>
          </li>
        ))}
      </ul>
      {gone.length > 0 && (
        <p role="alert" className="bg-saffron-wash px-3 py-2 t-ledger mt-2 flex flex-wrap gap-x-4 items-center">
          {gone.length === 1 ? "One who comes is" : `${gone.length} who come are`} not named in the household any more: what they leave out is not known.
          <button type="button" className="underline min-h-11" onClick={() => set({ eaters: gathering.eaters.filter((id) => !gone.includes(id)) })}>
            They do not come
          </button>
        </p>
      )}
      {eaters.length === 0 && (
        <p className="t-small text-ink2 mt-2">
          Nobody is named in the household yet.{" "}
          <Go href="/household#eaters" className="underline">
            Name them
          </Go>
        </p>
      )}
      <ul>
        {guests.map((guest) => (
          <li key={guest.id} className="border-b border-line py-2">
            <div className="flex flex-wrap gap-x-5 gap-y-2 items-end">
              <Amount
                label="how many"
                of={guest.name}
                value={guest.count}
                least={1}
                most={GATHERING_LIMITS.people}
                onChange={(value) => change(guest.id, { count: Math.round(value) }, "count")}
              />
              <NameField
                label="who, in your words"
                className="flex-1 min-w-44"
                maxLength={GATHERING_LIMITS.name}
                value={guest.name}
                onChange={(name) => change(guest.id, { name }, "guest")}
              />
              <button
                type="button"
                aria-expanded={open === guest.id}
                className={buttonClass("plain")}
                onClick={() => setOpen(open === guest.id ? null : guest.id)}
              >
                {guest.rules.length === 0 ? "What they leave out" : wordsOf({ rules: guest.rules, limits: [] }, rules)}
              </button>
              <button type="button" className="underline t-small min-h-11" onClick={() => set({ guests: guests.filter(({ id }) => id !== guest.id) })}>
                Take out<span className="sr-only">: {guest.name}</span>
              </button>
            </div>
            <label className="flex gap-3 items-center t-ledger min-h-11 cursor-pointer">
              <input type="checkbox" className="size-5" checked={guest.isAsked} onChange={() => change(guest.id, { isAsked: !guest.isAsked })} />
              They were asked about allergies
            </label>
            {open === guest.id && <RuleWishes groups={groups} chosen={guest.rules} onChoose={(chosen) => change(guest.id, { rules: chosen })} />}
          </li>
        ))}
      </ul>
      {guests.length < GATHERING_LIMITS.guests && (
        <button type="button" className={buttonClass("plain", "mt-3")} onClick={add}>
          Others who come
        </button>
      )}
    </Section>
  );
}
