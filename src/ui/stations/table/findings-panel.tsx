"use client";

import { capital } from "../../../core/units";
import type { ReactNode } from "react";
import type { Verdict } from "../../../core/models/diet";
import type { RuleWords, ToldFinding, ToldMeeting, ToldPortion } from "../../../core/views";
import { LIMIT_NAMES, type DiningTable } from "../../../core/table";
import { Answer } from "../../panels/answer";
import { StateMark, WhyMark } from "../../parts/marks";

/** Whose rules these are, in brackets. */
export const ofWhom = (names: readonly string[]): string => (names.length > 0 ? ` (${names.join(", ")})` : "");
const schoolWords = (school: string) => (school === "uk" ? "UK, stricter" : school === "who" ? "WHO" : school);

/** The one set of rules that the table comes to: each with its school, and whose it is. */
export function KeptHere({
  table,
  rules,
  whose,
  onRemove,
}: {
  readonly table: DiningTable;
  readonly rules: readonly RuleWords[];
  readonly whose: ReadonlyMap<string, readonly string[]>;
  readonly onRemove: (rule: string) => void;
}) {
  if (rules.length + table.limits.length === 0) return null;
  return (
    <section aria-labelledby="kept-title">
      <h2 id="kept-title" className="t-h2">
        Kept at this table
      </h2>
      <ul className="rule-t mt-1 t-ledger">
        {rules.map(({ id, name, school, traces }) => {
          const names = whose.get(id) ?? [];
          return (
            <li key={id} className="border-b border-line py-1.5 flex gap-3 justify-between items-baseline">
              <span>
                <span className="font-[550]">{name}</span>
                <span className="text-ink2">{names.length > 0 ? `: ${names.join(", ")}` : ": the table’s own"}</span>
                {(school !== "usual" || traces) && (
                  <span className="block t-small text-ink2">
                    {[school === "usual" ? "" : school, traces === "avoided" ? "traces count" : traces === "as an ingredient" ? "traces do not matter" : ""]
                      .filter(Boolean)
                      .join("; ")}
                  </span>
                )}
              </span>
              {names.length === 0 && (
                <button type="button" className="underline t-small min-h-11 md:min-h-8" onClick={() => onRemove(id)}>
                  Take off<span className="sr-only"> {name}</span>
                </button>
              )}
            </li>
          );
        })}
        {table.limits.map((limit) => {
          const { name, unit } = LIMIT_NAMES[limit.id];
          const names = (table.seats ?? []).filter(({ limits }) => limits.some((each) => each.id === limit.id)).map((seat) => seat.name);
          return (
            <li key={limit.id} className="border-b border-line py-1.5">
              <span className="font-[550]">
                {name.charAt(0).toUpperCase() + name.slice(1)} at most {limit.most} {unit}
              </span>
              <span className="text-ink2"> a serving{names.length > 0 ? `: ${names.join(", ")}` : ""}</span>
              {limit.id === "freeSugars" && <span className="block t-small text-ink2">{schoolWords(limit.school)}</span>}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** Rules of this table that get into each other's way. */
export function Meetings({ meetings, whose }: { readonly meetings: readonly ToldMeeting[]; readonly whose: ReadonlyMap<string, readonly string[]> }) {
  if (meetings.length === 0) return null;
  const called = ({ id, name }: RuleWords) => `${name}${ofWhom(whose.get(id) ?? [])}`;
  return (
    <section aria-labelledby="meet-title">
      <h2 id="meet-title" className="t-h2">
        Where wishes meet
      </h2>
      <ul className="rule-t mt-1 t-ledger">
        {meetings.map(({ rule, other, standIns }, i) => (
          <li key={i} className="border-b border-line py-2">
            {standIns === null ? (
              <>
                <span className="font-[550]">{called(rule)}</span> is kept in two schools, {rule.school} and {other.school}
                {ofWhom(whose.get(other.id) ?? [])}. Both hold: the stricter decides.
              </>
            ) : (
              <>
                <span className="font-[550]">
                  {called(rule)} and {called(other)}
                </span>
                : of what could stand in for the {standIns.role}, {foodNames(standIns.taken)} {standIns.taken.length === 1 ? "is" : "are"} left out or asked
                about too.{" "}
                {standIns.left.length === 0 ? (
                  <span className="text-rose">By all rules together nothing is left.</span>
                ) : (
                  <span className="text-ink2">Left: {foodNames(standIns.left)}.</span>
                )}
              </>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

const FEW = 5;
const foodNames = (foods: readonly string[]): string => {
  const names = foods.slice(0, FEW).map((name) => name.toLowerCase());
  return foods.length > FEW ? `${names.join(", ")} and ${foods.length - FEW} more` : names.join(", ");
};

interface FindingsProps {
  readonly found: readonly ToldFinding[];
  readonly whose: ReadonlyMap<string, readonly string[]>;
  readonly today: string;
}

/** Findings on the lines, and on what steps use beside them; a question can be answered once, for the household. */
export function Findings({ found, whose, today }: FindingsProps) {
  const byPlace = [...new Set(found.map(({ place }) => place))].map((place) => found.filter((each) => each.place === place));
  return (
    <ul className="rule-t mt-2">
      {byPlace.map((all) => {
        const [first] = all;
        // What could not be read, and words that were not understood, are asked by every rule: said once.
        const unread = all.filter(({ food, rule }) => food === undefined && !rule.startsWith("limit-"));
        const whys = [...new Set(unread.map(({ reason }) => reason))];
        return (
          <li key={first?.place} className="border-b border-line py-2 t-ledger">
            <span className="font-[550]">{first?.text}</span>
            <span className="t-small text-ink2">{first?.where}</span>
            {whys.map((why) => (
              <Told key={why} verdict="ask">
                {capital(why)}:{" "}
                {unread
                  .filter(({ reason }) => reason === why)
                  .map(({ ruleName, rule }) => `${ruleName}${ofWhom(whose.get(rule) ?? [])}`)
                  .join(", ")}
                .
              </Told>
            ))}
            {all
              .filter((each) => !unread.includes(each))
              .map(({ rule, ruleName, verdict, reason, school, food, isAllergy }) => (
                <Told key={`${rule} ${reason}`} verdict={verdict}>
                  {ruleName}
                  {ofWhom(whose.get(rule) ?? [])}: {reason}.{school !== "usual" && ` School: ${schoolWords(school)}.`}
                  {verdict === "ask" && food !== undefined && !OF_THE_LINE.test(reason) && (
                    <Answer rule={rule} reason={reason} food={food} isAllergy={isAllergy} today={today} />
                  )}
                </Told>
              ))}
          </li>
        );
      })}
    </ul>
  );
}

/** Portions that steps part from the pot: for whom they are fit though the whole is not, and what carries over into them. */
export function Parted({ portions, whose }: { readonly portions: readonly ToldPortion[]; readonly whose: ReadonlyMap<string, readonly string[]> }) {
  if (portions.length === 0) return null;
  const steps = [...new Map(portions.map(({ number, text }) => [number, text] as const))];
  return (
    <section aria-labelledby="parted-title">
      <h2 id="parted-title" className="t-h2">
        Parted from the pot
      </h2>
      <ul className="rule-t mt-1 t-ledger">
        {steps.map(([number, text]) => (
          <li key={number} className="border-b border-line py-2">
            <span className="font-[550]">{text}</span>
            <span className="t-small text-ink2">, step {number}</span>
            {portions
              .filter((each) => each.number === number)
              .map(({ rule, short, verdict, reason }) => (
                <Told key={rule} verdict={verdict}>
                  {capital(short)}
                  {ofWhom(whose.get(rule) ?? [])}: {reason}.
                </Told>
              ))}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Told({ verdict, children }: { readonly verdict: Verdict; readonly children: ReactNode }) {
  return (
    <span className="flex gap-2 text-ink2">
      <span className="pt-0.5">{verdict === "allowed" ? <StateMark state="inside" /> : <WhyMark kind={verdict === "ask" ? "ask" : "conflict"} />}</span>
      <span className="min-w-0 flex-1">{children}</span>
    </span>
  );
}

/** What only the line or the step itself can answer: which of two it is, or what is meant. */
const OF_THE_LINE = /: a choice is left$|, unless it is what is made here$/;
