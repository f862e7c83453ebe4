"use client";

import { useState } from "react";
import type { Rule } from "../../../core/models/diet";
import { EATER_KEYS, type Eater, type EatersDocument } from "../../../core/table";
import { UndoButtons } from "../../parts/undo-buttons";
import type { Revised } from "../../shell/documents";
import { SaveNotice } from "../../shell/save-notice";
import { useDocument } from "../../shell/use-document";
import { EaterForm } from "./eater-form";
import { lineOf } from "../../panels/eater-words";

const same = (eaters: EatersDocument): EatersDocument => eaters;
/** Saved once each has a name of their own. */
const named = (document: EatersDocument): EatersDocument | null => (problemsOf(document).size > 0 ? null : document);

function problemsOf({ eaters }: EatersDocument): ReadonlyMap<string, string> {
  const seen = new Set<string>();
  const problems = new Map<string, string>();
  for (const { id, name } of eaters) {
    const key = name.trim().toLowerCase();
    if (key === "") problems.set(id, "Give them a name, or a role.");
    else if (seen.has(key)) problems.set(id, "Somebody is called so already.");
    seen.add(key);
  }
  return problems;
}

/** Who eats at this household: diets and fasts in their schools, allergies, limits a serving. */
export function EatersSection({
  given,
  rules,
  today,
}: {
  readonly given: Revised<EatersDocument>;
  readonly rules: readonly Rule[];
  /** ISO. */
  readonly today: string;
}) {
  const edited = useDocument("/api/eaters", given, same, named, EATER_KEYS);
  const { present, set, undo, redo } = edited;
  const [open, setOpen] = useState<string | null>(null);
  const problems = problemsOf(present);
  const change = (id: string, part: Partial<Eater>, key?: string) =>
    set({ eaters: present.eaters.map((eater) => (eater.id === id ? { ...eater, ...part } : eater)) }, key && `${key} ${id}`);
  const add = () => {
    const id = crypto.randomUUID();
    set({ eaters: [...present.eaters, { id, name: "", rules: [], limits: [], note: "" }] });
    setOpen(id);
  };
  return (
    <section id="eaters" aria-label="Who eats" className="scroll-mt-4">
      <div className="flex flex-wrap justify-between items-center gap-3">
        <h2 className="t-h2">Who eats</h2>
        <span className="flex gap-3 items-center no-print">
          <SaveNotice document={edited} />
          <UndoButtons undo={undo} redo={redo} />
        </span>
      </div>
      <p className="t-small text-ink2">By name or by role. At a recipe’s Table they are seated with a tick.</p>
      <ul className="border border-ink bg-sheet mt-2">
        {present.eaters.map((eater) => (
          <li key={eater.id} className="border-b border-line">
            <div className="flex flex-wrap items-center gap-3 px-3 py-1.5">
              <input
                aria-label="Name or role"
                value={eater.name}
                maxLength={80}
                placeholder="grandmother, niece, neighbour"
                aria-invalid={problems.has(eater.id)}
                onChange={(event) => change(eater.id, { name: event.target.value }, "name")}
                className="border border-edge bg-sheet px-2 min-h-11 md:min-h-9 w-52 font-[550]"
              />
              <span className="t-small text-ink2 flex-1 min-w-40">{lineOf(eater, rules)}</span>
              <button
                type="button"
                aria-expanded={open === eater.id}
                className="underline t-small min-h-11 md:min-h-8"
                onClick={() => setOpen(open === eater.id ? null : eater.id)}
              >
                {open === eater.id ? "Close" : "Change"}
              </button>
              <button
                type="button"
                className="underline t-small min-h-11 md:min-h-8 text-ink2"
                onClick={() => set({ eaters: present.eaters.filter(({ id }) => id !== eater.id) })}
              >
                Take out{eater.name ? ` ${eater.name}` : ""}
              </button>
              {problems.has(eater.id) && (
                <span role="alert" className="t-small text-rose w-full">
                  {problems.get(eater.id)} Until then nothing of this list is saved.
                </span>
              )}
            </div>
            {open === eater.id && <EaterForm eater={eater} rules={rules} today={today} onChange={(part, key) => change(eater.id, part, key)} />}
          </li>
        ))}
        <li className="px-3">
          <button type="button" className="t-ledger min-h-11 w-full text-left hover:underline" onClick={add}>
            + Somebody who eats here
          </button>
        </li>
      </ul>
    </section>
  );
}
