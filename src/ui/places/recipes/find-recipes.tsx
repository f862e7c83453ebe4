"use client";

import type { RecipeSearch } from "../../../core/recipe";
import { formatNumber } from "../../../core/units";
import { FIND_SELECT, FindForm, useFind } from "../../shell/find-form";
import { Go } from "../../shell/go";

/** What there is to choose from; `waiting` says how many recipes are still to be looked through. */
export interface FindChoices {
  readonly tags: readonly string[];
  readonly diets: readonly { readonly id: string; readonly name: string }[];
  readonly waiting: string | null;
}

export const isLooking = ({ words, foodId, diets, tag, minutes }: RecipeSearch): boolean =>
  words !== "" || foodId !== null || diets.length > 0 || tag !== null || minutes !== null;

const TIMES = [
  [30, "half an hour"],
  [60, "an hour"],
  [120, "two hours"],
  [480, "eight hours"],
] as const;

/** "45 min", "3 h". */
export const timeWords = (minutes: number): string => (minutes < 90 ? `${minutes} min` : `${Math.round(minutes / 30) / 2} h`);

/** Finding a recipe: by name or food, by a diet that it already meets, by time, by its words. All in the address. */
export function FindRecipes({
  search,
  foodName,
  choices,
  total,
}: {
  readonly search: RecipeSearch;
  readonly foodName: string | null;
  readonly choices: FindChoices;
  readonly total: number;
}) {
  const go = useFind("/recipes");
  return (
    <FindForm
      label="Find a recipe by its name or a food in it"
      placeholder="Name, or a food in it"
      words={search.words}
      onFind={(found) => go("search", found)}
      under={
        <>
          {" "}
          {(isLooking(search) || choices.waiting !== null) && (
            <p className="t-small text-ink2 mt-2">
              {isLooking(search) && (
                <>
                  {formatNumber(total)} found{foodName ? ` with ${foodName.toLowerCase()}` : ""}.{" "}
                  <Go className="underline" href="/recipes">
                    Show all
                  </Go>{" "}
                </>
              )}
              {choices.waiting !== null && <>{choices.waiting} recipes are still being looked through; they may be missing here.</>}
            </p>
          )}
          {search.diets.length > 0 && (
            <p className="t-small text-ink2 mt-1">Only recipes of which every line is read and allowed: what is not known is never counted as fit.</p>
          )}
        </>
      }
    >
      <select
        aria-label="Already fit for"
        value={search.diets[0] ?? ""}
        onChange={(event) => go("diet", event.target.value)}
        className={`${FIND_SELECT} sm:w-40`}
      >
        <option value="">any diet</option>
        {choices.diets.map(({ id, name }) => (
          <option key={id} value={id}>
            already {name.toLowerCase()}
          </option>
        ))}
      </select>
      <select aria-label="Ready within" value={search.minutes ?? ""} onChange={(event) => go("minutes", event.target.value)} className={FIND_SELECT}>
        <option value="">any time</option>
        {TIMES.map(([minutes, name]) => (
          <option key={minutes} value={minutes}>
            within {name}
          </option>
        ))}
      </select>
      {choices.tags.length > 0 && (
        <select aria-label="With the word" value={search.tag ?? ""} onChange={(event) => go("tag", event.target.value)} className={FIND_SELECT}>
          <option value="">any season or occasion</option>
          {choices.tags.map((tag) => (
            <option key={tag} value={tag}>
              {tag}
            </option>
          ))}
        </select>
      )}
    </FindForm>
  );
}
