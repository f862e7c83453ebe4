"use client";

import { useState } from "react";
import type { DayAtPlace } from "../../../core/calendar";
import { eatenThere, fastsNotOver, GATHERING_LIMITS, peopleOf, type Gathering, type GatheringProblem } from "../../../core/plan";
import type { Eater } from "../../../core/table";
import { servingsText } from "../../../core/units";
import type { GatheringSweetView, MayTaste, RuleWords } from "../../../core/views";
import { wordsOf } from "../../panels/eater-words";
import { FindRecipe } from "../../panels/find-recipe";
import { groupsOf, RuleWishes } from "../../panels/rule-wishes";
import { AmountField } from "../../parts/amount-field";
import { buttonClass } from "../../parts/button";
import { WhyMark } from "../../parts/marks";
import { Go } from "../../shell/go";

export interface KeptVersion {
  readonly id: string;
  readonly recipeId: string;
  readonly title: string;
  readonly label: string;
}

interface SetUpProps {
  readonly gathering: Gathering;
  readonly eaters: readonly Eater[];
  readonly rules: readonly RuleWords[];
  readonly versions: readonly KeptVersion[];
  readonly sweets: readonly GatheringSweetView[];
  readonly lost: readonly { readonly id: string; readonly why: string }[];
  /** Sun, moon and fasts of its day; null while the household has named no place. */
  readonly dayAt: DayAtPlace | null;
  readonly problems: readonly GatheringProblem[];
  readonly burners: number;
  readonly set: (part: Partial<Gathering>, key?: string) => void;
}

const field = "block border border-edge bg-sheet px-2 min-h-11 text-ink text-[16px] max-w-full";
const problemsOf = (problems: readonly GatheringProblem[], ...fields: readonly GatheringProblem["field"][]) =>
  problems.filter(({ field: of }) => fields.includes(of));

/** What a gathering is: when, who eats, which sweets, by whom and with what they are cooked. */
export function SetUp(props: SetUpProps) {
  const { gathering, problems, set } = props;
  return (
    <div className="grid gap-x-10 gap-y-8 lg:grid-cols-2 max-w-[1240px]">
      <div className="grid gap-8 content-start min-w-0">
        <section aria-labelledby="when-title">
          <h2 id="when-title" className="t-h2 border-b-[1.5px] border-ink pb-1">
            When
          </h2>
          <div className="flex flex-wrap gap-4 mt-2 items-end">
            <label className="t-small text-ink2 flex-1 min-w-56">
              name
              <input
                className={`${field} w-full`}
                maxLength={GATHERING_LIMITS.title}
                value={gathering.title}
                onChange={(event) => event.target.value.trim() !== "" && set({ title: event.target.value }, "title")}
              />
            </label>
            <label className="t-small text-ink2">
              day
              <input
                type="date"
                className={field}
                value={gathering.day}
                onChange={(event) => event.target.value !== "" && set({ day: event.target.value }, "day")}
              />
            </label>
            <label className="t-small text-ink2">
              served at
              <input
                type="time"
                className={field}
                value={gathering.hour}
                onChange={(event) => event.target.value !== "" && set({ hour: event.target.value }, "hour")}
              />
            </label>
          </div>
          <Problems of={problemsOf(problems, "day")} />
          <DayLines {...props} />
        </section>
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

function Problems({ of }: { readonly of: readonly GatheringProblem[] }) {
  return of.map(({ words }) => (
    <p key={words} role="alert" className="bg-rose-wash text-rose px-3 py-2 t-ledger mt-2">
      {words}
    </p>
  ));
}

function DayLines({ gathering, dayAt, set }: SetUpProps) {
  if (!dayAt)
    return (
      <p className="t-small text-ink2 mt-2">
        Sun, moon and fasts go by where you are.{" "}
        <Go href="/household" className="underline">
          Say where that is
        </Go>
      </p>
    );
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
      {fastsNotOver(gathering.hour, dayAt).map((words) => (
        <p key={words} className="bg-saffron-wash px-3 py-2 mt-2 flex gap-2 items-baseline">
          <WhyMark kind="ask" />
          <span>{words}</span>
        </p>
      ))}
    </div>
  );
}

const COUNTS = { yes: "for", ask: "to ask", no: "not for" } as const;
/** For whom a sweet is, in few words. */
export function fitWords(may: readonly MayTaste[]): string {
  const [no, ask] = [may.filter((each) => each.may === "no"), may.filter((each) => each.may === "ask")];
  if (may.length === 0) return "nobody sits there yet";
  if (no.length === 0 && ask.length === 0) return may.length === 1 ? `for ${may[0]?.name ?? "them"}` : "for all who come";
  return [
    ...(no.length > 0 ? [`${COUNTS.no} ${no.map(({ name }) => name).join(", ")}`] : []),
    ...(ask.length > 0 ? [`${COUNTS.ask}: ${ask.map(({ name }) => name).join(", ")}`] : []),
  ].join("; ");
}

/** Those of whom the same is told, together. */
function togetherBy(may: readonly MayTaste[]): readonly { readonly names: string; readonly may: MayTaste["may"]; readonly why: string }[] {
  const by = new Map<string, readonly MayTaste[]>();
  for (const each of may) {
    const key = `${each.may} ${each.why.join("; ")}`;
    by.set(key, [...(by.get(key) ?? []), each]);
  }
  return [...by.values()].flatMap((all) => (all[0] ? [{ names: all.map(({ name }) => name).join(", "), may: all[0].may, why: all[0].why.join("; ") }] : []));
}

function Sweets({ gathering, versions, sweets, lost, eaters, problems, set }: SetUpProps) {
  const people = peopleOf(gathering);
  const [words, setWords] = useState("");
  const put = (of: { readonly recipe: string; readonly version: string | null; readonly title: string; readonly label: string | null }) =>
    set({ sweets: [...gathering.sweets, { id: crypto.randomUUID().slice(0, 8), ...of, servings: Math.max(1, people), takeHome: 0, before: 0 }] });
  const change = (id: string, part: Partial<Gathering["sweets"][number]>, key: string) =>
    set({ sweets: gathering.sweets.map((sweet) => (sweet.id === id ? { ...sweet, ...part } : sweet)) }, `${key} ${id}`);
  const isFull = gathering.sweets.length >= GATHERING_LIMITS.sweets;
  const shown = versions.filter(
    ({ id, title, label }) => !gathering.sweets.some(({ version }) => version === id) && `${title} ${label}`.toLowerCase().includes(words.trim().toLowerCase()),
  );
  const suits = new URLSearchParams([
    ...gathering.eaters.filter((id) => eaters.some((eater) => eater.id === id)).map((id) => ["eater", id]),
    ...[...new Set(gathering.guests.flatMap(({ rules }) => rules))].map((rule) => ["rule", rule]),
  ]);
  return (
    <section aria-labelledby="sweets-title">
      <div className="flex justify-between items-baseline border-b-[1.5px] border-ink pb-1 gap-4">
        <h2 id="sweets-title" className="t-h2">
          Sweets
        </h2>
        <Go href={`/recipes/suits?${suits.toString()}`} className="underline t-ledger">
          Which recipes suit this table?
        </Go>
      </div>
      <Problems of={problemsOf(problems, "takeHome")} />
      <ul>
        {gathering.sweets.map((sweet) => {
          const view = sweets.find(({ id }) => id === sweet.id);
          const gone = lost.find(({ id }) => id === sweet.id);
          const against = view?.may.filter(({ may }) => may !== "yes") ?? [];
          const { title, label, servings, takeHome, before } = sweet;
          return (
            <li key={sweet.id} className="border-b border-line py-2">
              <div className="flex flex-wrap gap-x-5 gap-y-2 items-end">
                <span className="flex-1 min-w-52 self-center">
                  <Go href={sweet.version === null ? `/recipes/${sweet.recipe}/method` : `/versions/${sweet.version}`} className="t-new underline">
                    {title}
                  </Go>
                  <span className="block t-small text-ink2">{label ?? "as handed down"}</span>
                </span>
                <Amount
                  label="servings made"
                  of={title}
                  value={servings}
                  least={0.5}
                  most={GATHERING_LIMITS.servings}
                  onChange={(value) => change(sweet.id, { servings: value }, "servings")}
                />
                <Amount
                  label="of them taken home"
                  of={title}
                  value={takeHome}
                  least={0}
                  most={GATHERING_LIMITS.servings}
                  onChange={(value) => change(sweet.id, { takeHome: value }, "home")}
                />
                <Amount
                  label="done before, min"
                  of={title}
                  value={before}
                  least={0}
                  most={GATHERING_LIMITS.before}
                  onChange={(value) => change(sweet.id, { before: Math.round(value) }, "before")}
                />
                <button
                  type="button"
                  className="underline t-small min-h-11"
                  onClick={() => set({ sweets: gathering.sweets.filter(({ id }) => id !== sweet.id) })}
                >
                  Take it off<span className="sr-only">: {title}</span>
                </button>
              </div>
              <div className="flex flex-wrap gap-x-4 items-center justify-between t-small">
                <span className="text-ink2">
                  {people > 0 &&
                    `${servingsText(eatenThere(sweet))} for ${people === 1 ? "1 who eats" : `${people} who eat`}${takeHome > 0 ? `, ${servingsText(takeHome)} to take home` : ""}.`}
                </span>
                <button type="button" className="underline min-h-8" onClick={() => set({ sweets: gathering.sweets.filter(({ id }) => id !== sweet.id) })}>
                  Take it off<span className="sr-only">: {title}</span>
                </button>
              </div>
              {gone && (
                <p role="alert" className="bg-rose-wash text-rose px-3 py-2 t-ledger mt-1">
                  {gone.why} It is not in the plan, nor on the list.
                </p>
              )}
              {view && against.length === 0 && people > 0 && <p className="t-small">For all who come, as far as its lines and their rules tell.</p>}
              {view && view.unread.length > 0 && <p className="t-small text-rose">Not read: {view.unread.map((line) => `“${line}”`).join(", ")}.</p>}
              {togetherBy(against).map(({ names, may, why }) => (
                <p key={names} className={`t-small flex gap-2 items-baseline mt-0.5 ${may === "no" ? "text-rose" : "text-saffron"}`}>
                  <WhyMark kind={may === "no" ? "conflict" : "ask"} />
                  <span>
                    {may === "no" ? "Not for" : "To ask for"} {names}: {why}
                  </span>
                </p>
              ))}
              {togetherBy(view?.may.filter(({ may, why }) => may === "yes" && why.length > 0) ?? []).map(({ names, why }) => (
                <p key={names} className="t-small text-ink2 mt-0.5">
                  A whole serving passes a limit of {names}: {why}
                </p>
              ))}
              {!view && !gone && <p className="t-small text-ink2">Being worked out.</p>}
            </li>
          );
        })}
      </ul>
      {isFull ? (
        <p className="t-small text-ink2 mt-2">{GATHERING_LIMITS.sweets} sweets are as many as one gathering holds.</p>
      ) : (
        <div className="grid md:grid-cols-2 gap-x-6 mt-2">
          <div>
            <h3 className="t-small text-ink2">A kept version</h3>
            <input
              aria-label="Find a kept version"
              placeholder="+ a version, by its name"
              maxLength={100}
              className="w-full bg-transparent min-h-11 t-ledger px-1 placeholder:text-ink2"
              value={words}
              onChange={(event) => setWords(event.target.value)}
            />
            <ul aria-label="Versions found">
              {shown.slice(0, words.trim() === "" ? FEW : MANY).map((version) => (
                <li key={version.id}>
                  <button
                    type="button"
                    className="underline t-ledger min-h-11 md:min-h-8 text-left"
                    onClick={() => (setWords(""), put({ recipe: version.recipeId, version: version.id, title: version.title, label: version.label }))}
                  >
                    {version.title}, {version.label}
                  </button>
                </li>
              ))}
              {shown.length === 0 && (
                <li className="t-small text-ink2">
                  {versions.length === 0 ? "None is kept yet: a version is kept at the station Swap." : "No other version of that name."}
                </li>
              )}
            </ul>
          </div>
          <div>
            <h3 className="t-small text-ink2">A recipe, as handed down</h3>
            <FindRecipe
              label="Find a recipe"
              hint="+ a recipe, by its name"
              leave={gathering.sweets.flatMap(({ recipe, version }) => (version === null ? [recipe] : []))}
              onPick={(id, title) => put({ recipe: id, version: null, title, label: null })}
            />
          </div>
        </div>
      )}
    </section>
  );
}
const [FEW, MANY] = [5, 20];

function Amount({
  label,
  of,
  value,
  least,
  most,
  onChange,
}: {
  readonly label: string;
  readonly of: string;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  readonly onChange: (value: number) => void;
}) {
  return (
    <span className="t-small text-ink2">
      {label}
      <span className="block">
        <AmountField label={`${label}, ${of}`} unit="" value={value} least={least} most={most} onChange={onChange} />
      </span>
    </span>
  );
}

function Who({ gathering, eaters, rules, problems, set }: SetUpProps) {
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
    <section aria-labelledby="who-title">
      <div className="flex justify-between items-baseline border-b-[1.5px] border-ink pb-1">
        <h2 id="who-title" className="t-h2">
          Who eats
        </h2>
        <span className="t-small text-ink2">{peopleOf(gathering) === 1 ? "1 person" : `${peopleOf(gathering)} people`}</span>
      </div>
      <Problems of={problemsOf(problems, "people")} />
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
              <label className="t-small text-ink2 flex-1 min-w-44">
                who, in your words
                <input
                  className={`${field} w-full`}
                  maxLength={GATHERING_LIMITS.name}
                  value={guest.name}
                  onChange={(event) => event.target.value.trim() !== "" && change(guest.id, { name: event.target.value }, "guest")}
                />
              </label>
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
    </section>
  );
}

function Work({ gathering, problems, burners, set }: SetUpProps) {
  const { quiet, away, begin } = gathering;
  const time = (label: string, value: string, onChange: (value: string) => void) => (
    <label className="t-small text-ink2">
      {label}
      <input type="time" className={field} value={value} onChange={(event) => event.target.value !== "" && onChange(event.target.value)} />
    </label>
  );
  return (
    <section aria-labelledby="work-title">
      <h2 id="work-title" className="t-h2 border-b-[1.5px] border-ink pb-1">
        By whom, with what, and when not
      </h2>
      <Problems of={problemsOf(problems, "burners", "begin")} />
      <div className="flex flex-wrap gap-x-6 gap-y-3 mt-2 items-end">
        <Amount
          label="who cook"
          of="this gathering"
          value={gathering.cooks}
          least={1}
          most={8}
          onChange={(value) => set({ cooks: Math.round(value) }, "cooks")}
        />
        <Amount
          label={`burners, ${burners} in the house`}
          of="this gathering"
          value={gathering.burners ?? burners}
          least={0}
          most={12}
          onChange={(value) => set({ burners: Math.round(value) }, "burners")}
        />
        <Go href="/household#equipment" className="underline t-small min-h-11 inline-flex items-center">
          Pans and fridge
        </Go>
      </div>
      <div className="mt-4 flex flex-wrap gap-x-6 gap-y-3 items-end">
        <label className="flex gap-3 items-center t-ledger min-h-11 cursor-pointer">
          <input type="checkbox" className="size-5" checked={quiet !== null} onChange={() => set({ quiet: quiet ? null : { from: "22:00", to: "06:00" } })} />
          Nobody is up at night
        </label>
        {quiet && time("from", quiet.from, (from) => set({ quiet: { ...quiet, from } }, "quiet"))}
        {quiet && time("to", quiet.to, (to) => set({ quiet: { ...quiet, to } }, "quiet"))}
      </div>
      <div className="mt-2 flex flex-wrap gap-x-6 gap-y-3 items-end">
        <label className="flex gap-3 items-center t-ledger min-h-11 cursor-pointer">
          <input
            type="checkbox"
            className="size-5"
            checked={gathering.noTasteBefore !== null}
            onChange={() => set({ noTasteBefore: gathering.noTasteBefore === null ? gathering.hour : null })}
          />
          On the day nobody tastes before
        </label>
        {gathering.noTasteBefore !== null && time("hour", gathering.noTasteBefore, (noTasteBefore) => set({ noTasteBefore }, "taste"))}
      </div>
      <div className="mt-2 flex flex-wrap gap-x-6 gap-y-3 items-end">
        <label className="flex gap-3 items-center t-ledger min-h-11 cursor-pointer">
          <input
            type="checkbox"
            className="size-5"
            checked={begin !== null}
            onChange={() => set({ begin: begin ? null : { day: gathering.day, hour: "08:00" } })}
          />
          Cooking begins no sooner than
        </label>
        {begin && (
          <label className="t-small text-ink2">
            day
            <input
              type="date"
              className={field}
              value={begin.day}
              max={gathering.day}
              onChange={(event) => event.target.value !== "" && set({ begin: { ...begin, day: event.target.value } }, "begin")}
            />
          </label>
        )}
        {begin && time("hour", begin.hour, (hour) => set({ begin: { ...begin, hour } }, "begin"))}
      </div>
      <ul className="mt-2">
        {away.map((window) => {
          const change = (part: Partial<typeof window>) =>
            set({ away: away.map((each) => (each.id === window.id ? { ...each, ...part } : each)) }, `away ${window.id}`);
          return (
            <li key={window.id} className="flex flex-wrap gap-x-4 gap-y-2 items-end border-t border-line py-2">
              <span className="t-ledger self-center">Out of the house</span>
              <label className="t-small text-ink2">
                day
                <input
                  type="date"
                  className={field}
                  value={window.day}
                  max={gathering.day}
                  onChange={(event) => event.target.value !== "" && change({ day: event.target.value })}
                />
              </label>
              {time("from", window.from, (from) => change({ from }))}
              {time("to", window.to, (to) => change({ to }))}
              <button type="button" className="underline t-small min-h-11" onClick={() => set({ away: away.filter(({ id }) => id !== window.id) })}>
                Take out<span className="sr-only">: hours away on {window.day}</span>
              </button>
            </li>
          );
        })}
      </ul>
      {away.length < GATHERING_LIMITS.away && (
        <button
          type="button"
          className={buttonClass("plain", "mt-2")}
          onClick={() => set({ away: [...away, { id: crypto.randomUUID().slice(0, 8), day: gathering.day, from: "09:00", to: "17:00" }] })}
        >
          Hours out of the house
        </button>
      )}
    </section>
  );
}
