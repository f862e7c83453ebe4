"use client";

import type { Rule } from "../../../core/models/diet";
import type { Household } from "../../../core/household";
import { Pick } from "../../parts/pick";
import { groupsOf, schoolOf } from "../../panels/rule-wishes";

interface SchoolsSectionProps {
  readonly schools: NonNullable<Household["schools"]>;
  readonly rules: readonly Rule[];
  readonly onSchools: (schools: NonNullable<Household["schools"]>) => void;
}

/** Where practitioners differ: which way this household usually holds to. Each table can still choose another. */
export function SchoolsSection({ schools, rules, onSchools }: SchoolsSectionProps) {
  const groups = groupsOf(rules.filter(({ kind }) => kind !== "own")).filter(({ base, schools: all }) => all.length > 1 && schoolOf(base) === base);
  return (
    <section id="schools" aria-labelledby="schools-title" className="scroll-mt-4">
      <h2 id="schools-title" className="t-h2">
        Schools
      </h2>
      <p className="t-small text-ink2">
        Where traditions and authorities differ, which way you usually hold to. It is what a tick at a Table chooses first; each table can choose another.
      </p>
      <div className="grid sm:grid-cols-2 gap-x-6 gap-y-3 border-t border-ink mt-1 pt-3">
        <div>
          <Pick
            label="Free sugars"
            value={schools.freeSugars === "who" ? "who" : "uk"}
            options={[
              ["uk", "UK 2018, stricter: puréed fruit counts"],
              ["who", "WHO 2015: added sugars, honey, syrups, juices"],
            ]}
            onChange={(school) => onSchools({ ...schools, freeSugars: school })}
          />
        </div>
        {groups.map(({ base, name, schools: all }) => {
          const held = all.find(({ id }) => id === schools[base]) ?? all[0];
          return held ? (
            <div key={base}>
              <Pick
                label={base === "orthodox-lent" ? "Orthodox fasts" : name}
                value={held.id}
                options={all.map(({ id, school }) => [id, school])}
                onChange={(id) => onSchools({ ...schools, [base]: id })}
              />
              <p className="t-small text-ink2">{held.schoolReason}</p>
            </div>
          ) : null;
        })}
      </div>
    </section>
  );
}
