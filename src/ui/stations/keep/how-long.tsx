import { addDays, dayWords } from "../../../core/calendar";
import { daysWords, timeWords, type Storage, type StoragePlace, type StorageTime } from "../../../core/keep";
import { ColumnHead, RowHead } from "../../parts/table-heads";

const PLACES: Readonly<Record<StoragePlace, string>> = {
  room: "In the room, up to 30 °C",
  "warm room": "In a room warmer than 30 °C",
  fridge: "In the fridge, at 5 °C",
  freezer: "In the freezer, at −18 °C",
};

function whyWords({ by }: StorageTime, { kind, activity, unknown }: Storage): string {
  switch (by) {
    case "kind":
      return `as ${kind} keeps`;
    case "water activity":
      return `its water activity may be ${activity === null ? "high" : activity.toFixed(2)}`;
    case "your own count":
      return "your own count, in Household";
    case "warmth":
      return "so warm no days are told";
    case "frost":
      return "by what the frost does to it";
    case "not known":
      return unknown === null ? "what it does in the frost is not known" : "as what spoils soonest";
  }
}

/** How long it keeps, where and why, covered and clean; and what opening, a wet spoon and sealing do to that. */
export function HowLong({ storage, madeOn }: { readonly storage: Storage; readonly madeOn: string }) {
  const { times, opened, thaw, thawed, notSealed, unknown, activity, kind } = storage;
  return (
    <section aria-labelledby="how-long">
      <h2 id="how-long" className="t-h2">
        How long it keeps
      </h2>
      {unknown !== null && (
        <p className="bg-rose-wash text-rose px-3 py-2 mt-1 t-ledger">How long it keeps is {unknown}. It is counted as what spoils soonest.</p>
      )}
      <table className="w-full mt-1">
        <caption className="sr-only">Days by place</caption>
        <thead>
          <tr className="border-y border-ink t-small text-ink2">
            <ColumnHead>Covered and clean</ColumnHead>
            <ColumnHead>keeps</ColumnHead>
            <ColumnHead>until</ColumnHead>
            <ColumnHead>because</ColumnHead>
          </tr>
        </thead>
        <tbody>
          {times.map((time) => (
            <tr key={time.place} className="border-b border-line t-ledger align-baseline">
              <RowHead className="py-1.5 pr-3">{PLACES[time.place]}</RowHead>
              <td className="pr-3 font-[550]">{timeWords(storage, time.place)}</td>
              <td className="pr-3 whitespace-nowrap">{time.days !== null && time.days > 0 ? dayWords(addDays(madeOn, time.days)) : ""}</td>
              <td className="text-ink2">{whyWords(time, storage)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <ul className="mt-2 t-ledger grid gap-1.5 max-w-[72ch]">
        {opened.room > 0 || opened.fridge > 0 ? (
          <li>
            <b className="font-[550]">Once opened</b>, taken out with a dry clean spoon: {opened.room > 0 ? `${daysWords(opened.room)} in the room, ` : ""}
            {daysWords(opened.fridge)} in the fridge, and never past its date.
          </li>
        ) : null}
        <li>
          <b className="font-[550]">A wet spoon</b> was in it: into the fridge, and eaten{" "}
          {opened.wetSpoon === 0 ? "that day" : `within ${daysWords(opened.wetSpoon)}`}.
        </li>
        <li>
          <b className="font-[550]">Thawing.</b> {thaw}
          {times.some(({ place, days }) => place === "freezer" && days !== null) && thawed > 0
            ? ` Then ${daysWords(thawed)} in the fridge; never frozen again.`
            : ""}
        </li>
        <li>
          <b className="font-[550]">Sealed, vacuum-packed or canned</b> it keeps no longer.{" "}
          {notSealed === null ? "Closed up dry it only stays as it is." : <span className="text-rose">Not closed off from air in the room: {notSealed}</span>}
        </li>
      </ul>
      <p className="t-small text-ink2 mt-2 max-w-[72ch]">
        Rules of thumb: days by kind of sweet ({kind}) and by the upper end of its water activity{activity === null ? "" : ` (${activity.toFixed(2)})`}, the
        shorter of the two. You may count shorter in Household, never longer. When it smells, looks or tastes off, throw it away whatever its date.
      </p>
    </section>
  );
}
