"use client";

import { useRouter } from "next/navigation";
import { useState, type SubmitEvent } from "react";
import { dayWords, type FastAhead } from "../../../core/calendar";
import { newGathering } from "../../../core/plan";
import { servingsText } from "../../../core/units";
import { buttonClass } from "../../parts/button";
import { PageColumns } from "../../parts/page-columns";
import { useSendOnce } from "../../parts/use-send-once";
import { Go } from "../../shell/go";
import { PageHead } from "../../shell/shell";
import { useFresh } from "../../shell/use-fresh";

export interface GatheringRow {
  readonly id: string;
  readonly title: string;
  readonly day: string;
  readonly hour: string;
  readonly sweets: readonly string[];
  readonly people: number;
  /** When its cooking begins by plan, in words; null where nothing is planned. */
  readonly begins: string | null;
  readonly isPast: boolean;
}

interface PlanPageProps {
  readonly rows: readonly GatheringRow[];
  readonly timeZone: string;
  /** The day where the household is. */
  readonly today: string;
  readonly fasts: readonly FastAhead[] | null;
  /** A kept version that a new gathering begins with. */
  readonly begunWith: BegunWith | null;
  readonly at: number;
}

interface BegunWith {
  readonly version: string;
  readonly recipe: string;
  readonly title: string;
  readonly label: string;
  readonly servings: number;
}

const field = "block border border-edge bg-sheet px-2 min-h-11 text-ink text-[16px]";

/** The Plan place: gatherings to come and past, and a new one. */
export function PlanPage({ rows, timeZone, today, fasts, begunWith, at }: PlanPageProps) {
  useFresh(at);
  const [coming, past] = [rows.filter(({ isPast }) => !isPast), rows.filter(({ isPast }) => isPast)];
  return (
    <>
      <PageHead
        title="Plan"
        line={coming.length === 0 ? "No gathering is planned" : `${coming.length === 1 ? "1 gathering" : `${coming.length} gatherings`} to come`}
      />
      <PageColumns>
        <div className="p-4 md:p-5 min-w-0">
          {coming.length > 0 ? (
            <Rows title="To come" rows={coming} />
          ) : (
            <p className="max-w-[62ch]">
              Give a gathering its day and hour, say who eats and which sweets. Their steps are laid backwards from the hour at which all is served, over your
              burners, pans and hours; out come a timeline, a list by the clock, entries for your calendar and what is to be bought.
            </p>
          )}
          {past.length > 0 && <Rows title="Past" rows={past} />}
        </div>
        <aside className="crease-l p-4 md:p-5 max-lg:border-t max-lg:border-line" aria-label="A new gathering">
          <NewGathering key={begunWith?.version} timeZone={timeZone} today={today} begunWith={begunWith} />
          {fasts && fasts.length > 0 && (
            <section aria-labelledby="fasts-title" className="mt-6">
              <h2 id="fasts-title" className="t-h2 border-b-[1.5px] border-ink pb-1">
                Fasting days ahead
              </h2>
              <ul>
                {fasts.slice(0, 8).map((fast) => (
                  <li key={`${fast.day} ${fast.name}`} className="border-b border-line py-1 t-ledger flex justify-between gap-3">
                    <span>{fast.name}</span>
                    <span className="text-ink2 whitespace-nowrap">
                      {fast.dayWords}
                      {fast.ends ? `, until ${fast.ends.at}` : ""}
                    </span>
                  </li>
                ))}
              </ul>
            </section>
          )}
        </aside>
      </PageColumns>
    </>
  );
}

function Rows({ title, rows }: { readonly title: string; readonly rows: readonly GatheringRow[] }) {
  return (
    <section aria-label={title} className="mb-7">
      <h2 className="t-h2 border-b-[1.5px] border-ink pb-1">{title}</h2>
      <ul>
        {rows.map(({ id, title: name, day, hour, sweets, people, begins, isPast }) => (
          <li key={id} className="border-b border-line">
            <Go href={`/plan/${id}`} className="grid grid-cols-[92px_minmax(0,1fr)] gap-x-4 py-2.5 min-h-11 hover:bg-pressed">
              <span>
                <span className="block t-new">{dayWords(day)}</span>
                <span className="block t-figure text-ink2">{hour}</span>
              </span>
              <span className="min-w-0">
                <span className="block text-[17px] font-[560]">{name}</span>
                <span className="block t-small text-ink2">
                  {sweets.length === 0 ? "no sweet yet" : sweets.join(", ")}; {people === 1 ? "1 person" : `${people} people`}
                </span>
                {!isPast && <span className="block t-ledger">{begins === null ? "not planned yet" : `cooking begins ${begins}`}</span>}
              </span>
            </Go>
          </li>
        ))}
      </ul>
    </section>
  );
}

function NewGathering({ timeZone, today, begunWith }: Pick<PlanPageProps, "timeZone" | "today" | "begunWith">) {
  const router = useRouter();
  const { id, why, setWhy, isSending, sendIt } = useSendOnce("It could not be kept. Try again.");
  const [title, setTitle] = useState(begunWith?.title ?? "");
  const [day, setDay] = useState("");
  const [hour, setHour] = useState("19:30");
  const submit = async (event: SubmitEvent) => {
    event.preventDefault();
    if (title.trim() === "") return setWhy("Give it a name.");
    if (day === "") return setWhy("Give its day.");
    if (day < today) return setWhy("That day is past: give one to come.");
    if (hour === "") return setWhy("Give the hour at which it is served.");
    const empty = newGathering({ title: title.trim(), day, hour, timeZone });
    const document = begunWith ? { ...empty, sweets: [{ id: "first", ...begunWith, takeHome: 0, before: 0 }] } : empty;
    if (await sendIt("/api/gatherings", { id, document })) router.push(`/plan/${id}/setup`);
  };
  return (
    <form className="grid gap-3" noValidate onSubmit={(event) => void submit(event)}>
      <h2 className="t-h2">A new gathering</h2>
      {begunWith && (
        <p className="t-ledger bg-pistachio-wash px-3 py-2">
          It begins with {begunWith.title}, {begunWith.label}: {servingsText(begunWith.servings)}. Its timeline and what is to be bought are there at once.
        </p>
      )}
      <label className="t-small text-ink2">
        name
        <input className={`${field} w-full`} maxLength={120} placeholder="Moonrise supper" value={title} onChange={(event) => setTitle(event.target.value)} />
      </label>
      <div className="flex flex-wrap gap-3">
        <label className="t-small text-ink2">
          day
          <input type="date" className={field} min={today} value={day} onChange={(event) => setDay(event.target.value)} />
        </label>
        <label className="t-small text-ink2">
          served at
          <input type="time" className={field} value={hour} onChange={(event) => setHour(event.target.value)} />
        </label>
      </div>
      {why !== null && (
        <p role="alert" className="bg-rose-wash text-rose px-3 py-2 t-ledger">
          {why}
        </p>
      )}
      <button type="submit" className={buttonClass("primary")} disabled={isSending}>
        Plan it
      </button>
    </form>
  );
}
