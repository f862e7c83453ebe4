"use client";

import { useState } from "react";
import { eatenThere, GATHERING_LIMITS, peopleOf, type Gathering } from "../../../core/plan";
import { servingsText } from "../../../core/units";
import type { MayTaste } from "../../../core/views";
import { FindRecipe } from "../../panels/find-recipe";
import { WhyMark } from "../../parts/marks";
import { Go } from "../../shell/go";
import { Amount, Problems, Section } from "./fields";
import type { SetUpProps } from "./set-up-props";

/** Those of whom the same is told, together. */
function togetherBy(may: readonly MayTaste[]): readonly { readonly names: string; readonly may: MayTaste["may"]; readonly why: string }[] {
  const by = new Map<string, readonly MayTaste[]>();
  for (const each of may) {
    const key = `${each.may} ${each.why.join("; ")}`;
    by.set(key, [...(by.get(key) ?? []), each]);
  }
  return [...by.values()].flatMap((all) => (all[0] ? [{ names: all.map(({ name }) => name).join(", "), may: all[0].may, why: all[0].why.join("; ") }] : []));
}

/** The sweets of a gathering: how many servings, for whom each is not, and others that are put on. */
export function Sweets({ gathering, versions, sweets, lost, eaters, problems, set }: SetUpProps) {
  const people = peopleOf(gathering);
  const [words, setWords] = useState("");
  const put = (of: { readonly recipe: string; readonly version: string | null; readonly title: string; readonly label: string | null }) =>
    set({
      sweets: [...gathering.sweets, { id: crypto.randomUUID().slice(0, 8), ...of, servings: people > 0 ? people : USUAL_SERVINGS, takeHome: 0, before: 0 }],
    });
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
    <Section
      id="sweets-title"
      title="Sweets"
      beside={
        <Go href={`/recipes/suits?${suits.toString()}`} className="underline t-ledger">
          Which recipes suit this table?
        </Go>
      }
    >
      <Problems of={problems} fields={["takeHome"]} />
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
              </div>
              <div className="flex flex-wrap gap-x-4 items-center justify-between t-small">
                <span className="text-ink2">
                  {people > 0 &&
                    `${servingsText(eatenThere(sweet))} for ${people === 1 ? "1 who eats" : `${people} who eat`}${takeHome > 0 ? `, ${servingsText(takeHome)} to take home` : ""}.`}
                  {people > 0 && eatenThere(sweet) !== people && (
                    <button
                      type="button"
                      className="underline min-h-8 ml-2 text-ink"
                      onClick={() => change(sweet.id, { servings: people + takeHome }, "servings")}
                    >
                      Make it {servingsText(people + takeHome)}
                    </button>
                  )}
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
              {view && view.unread.length > 0 && <p className="t-small text-rose">Not read: {view.unread.join("; ")}.</p>}
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
    </Section>
  );
}
const [FEW, MANY] = [5, 20];
/** Made while nobody has said who comes. */
const USUAL_SERVINGS = 6;
