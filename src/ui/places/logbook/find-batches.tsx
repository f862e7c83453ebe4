"use client";

import { formatNumber } from "../../../core/units";
import { FIND_SELECT, FindForm, useFind } from "../../shell/find-form";
import { Go } from "../../shell/go";

interface FindBatchesProps {
  readonly words: string;
  readonly eater: string | null;
  readonly season: string | null;
  readonly eaters: readonly { readonly id: string; readonly name: string }[];
  readonly seasons: readonly { readonly id: string; readonly name: string }[];
  readonly total: number;
}

/** Finding a batch: by its name, a food or a word in it, by who tasted it or sat at its table, by season. All in the address. */
export function FindBatches({ words, eater, season, eaters, seasons, total }: FindBatchesProps) {
  const go = useFind("/logbook");
  const isLooking = words !== "" || eater !== null || season !== null;
  return (
    <FindForm
      label="Find a batch by its name, a food in it, or a word that was noted"
      placeholder="Name, a food in it, or a word"
      words={words}
      onFind={(found) => go("search", found)}
      under={
        <>
          {" "}
          {isLooking && (
            <p className="t-small text-ink2 mt-2">
              {formatNumber(total)} found.{" "}
              <Go className="underline" href="/logbook">
                Show all
              </Go>
            </p>
          )}
        </>
      }
    >
      {eaters.length > 0 && (
        <select aria-label="Of whom" value={eater ?? ""} onChange={(event) => go("eater", event.target.value)} className={FIND_SELECT}>
          <option value="">of anybody</option>
          {eaters.map(({ id, name }) => (
            <option key={id} value={id}>
              {name} ate or tasted
            </option>
          ))}
        </select>
      )}
      <select aria-label="Of what season" value={season ?? ""} onChange={(event) => go("season", event.target.value)} className={FIND_SELECT}>
        <option value="">all year</option>
        {seasons.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
    </FindForm>
  );
}
