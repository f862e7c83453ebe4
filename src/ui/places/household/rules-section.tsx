"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { UndoButtons } from "../../parts/undo-buttons";
import { useKitchen } from "../../shell/use-kitchen";
import { buttonClass } from "../../parts/button";
import { Go } from "../../shell/go";
import { useHouseRulesDocument } from "../../shell/house-rules";
import { SaveNotice } from "../../shell/save-notice";

/** The household's own rule sets, and what it has answered once where rules ask. */
export function RulesSection() {
  const router = useRouter();
  const edited = useHouseRulesDocument();
  const { present, set, undo, redo } = edited;
  const { rules, reference } = useKitchen();
  const [from, setFrom] = useState("");
  return (
    <section id="rules" aria-labelledby="rules-title" className="scroll-mt-4">
      <div className="flex flex-wrap justify-between items-center gap-3">
        <h2 id="rules-title" className="t-h2">
          Rules of the house
        </h2>
        <span className="flex gap-3 items-center no-print">
          <SaveNotice document={edited} />
          <UndoButtons undo={undo} redo={redo} />
        </span>
      </div>
      <p className="t-small text-ink2">Traditions differ. Copy a rule, change it to your elders’ list, and give it a name: it stands beside the others then.</p>
      <ul className="border border-ink bg-sheet mt-2">
        {present.own.map(({ id, name, note, clauses }) => (
          <li key={id} className="border-b border-line px-3 flex flex-wrap gap-x-4 items-center min-h-11">
            <Go href={`/household/rules/${id}`} className="underline t-ledger font-[550]">
              {name || "without a name"}
            </Go>
            <span className="t-small text-ink2 flex-1">
              {clauses.length} {clauses.length === 1 ? "line" : "lines"}
              {note && `; ${note}`}
            </span>
          </li>
        ))}
        <li className="px-3 py-1 flex flex-wrap gap-x-4 gap-y-1 items-center">
          <select
            aria-label="Rule to copy"
            value={from}
            onChange={(event) => setFrom(event.target.value)}
            className="border border-edge bg-sheet px-2 min-h-11 md:min-h-9 t-ledger max-w-full"
          >
            <option value="">begun anew</option>
            {[...rules.values()].map(({ id, name, school }) => (
              <option key={id} value={id}>
                {school === "usual" ? name : `${name}, ${school}`}
              </option>
            ))}
          </select>
          <button
            type="button"
            className={buttonClass("plain")}
            onClick={() => router.push(`/household/rules/own-${crypto.randomUUID()}${from ? `?from=${encodeURIComponent(from)}` : ""}`)}
          >
            {from ? "Copy it and change it" : "Begin a rule set"}
          </button>
        </li>
      </ul>
      <h3 className="t-h2 text-[15px] mt-5">Answered once</h3>
      <p className="t-small text-ink2">Where a rule asks about a food, what you found out holds from then on, for just that question.</p>
      <ul className="border-t border-ink mt-1">
        {present.answers.length === 0 && (
          <li className="t-ledger text-ink2 border-b border-line py-2">
            Nothing yet. A question at a Table has “We know” beside it, for an allergy “The packet says”.
          </li>
        )}
        {present.answers.map((answer, i) => (
          <li key={`${answer.rule} ${answer.food} ${answer.question}`} className="border-b border-line py-2 flex flex-wrap gap-x-4 t-ledger items-baseline">
            <span className="flex-1 min-w-60">
              <span className="font-[550]">
                {reference.foods.get(answer.food)?.name ?? answer.food}, {(rules.get(answer.rule)?.name ?? answer.rule).toLowerCase()}
              </span>
              : {answer.verdict === "allowed" ? "may be eaten" : "is left out"}, since {answer.day}
              <span className="block t-small text-ink2">
                {answer.question}.{answer.note && ` ${answer.note}`}
              </span>
            </span>
            <button
              type="button"
              className="underline t-small min-h-11 md:min-h-8"
              onClick={() => set({ ...present, answers: present.answers.filter((_, other) => other !== i) })}
            >
              Ask again
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
