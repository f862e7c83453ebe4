"use client";

import { useRouter } from "next/navigation";
import { useMemo } from "react";
import type { EatersDocument } from "../../../core/table";
import { MEASURE_WORDS } from "../../../core/units";
import type { Household } from "../../../core/household";
import { AmountField } from "../../parts/amount-field";
import { Button, buttonClass } from "../../parts/button";
import { Choice } from "../../parts/choice";
import { useKitchen } from "../../shell/use-kitchen";
import type { Revised } from "../../shell/documents";
import { Go } from "../../shell/go";
import { useHouseholdDocument } from "../../shell/household";
import { SaveNotice } from "../../shell/save-notice";
import { PageHead } from "../../shell/shell";
import { EatersSection } from "./eaters-section";
import { EquipmentSection } from "./equipment-section";
import { PlaceSection } from "./place-section";
import { SchoolsSection } from "./schools-section";
import { WORDS } from "./household-page";

const TITLES: readonly string[] = ["Who eats with you", "What you measure and cook with", "Where you are, and what you hold to"];
const STEPS = TITLES.length;

/** A short way in: three steps, each of which can be left out. All of it stands in the Household afterwards. */
export function FirstSteps({
  step,
  eaters,
  today,
}: {
  readonly step: 1 | 2 | 3;
  readonly eaters: Revised<EatersDocument>;
  /** ISO. */
  readonly today: string;
}) {
  const router = useRouter();
  const household = useHouseholdDocument();
  const { rules: byId } = useKitchen();
  const rules = useMemo(() => [...byId.values()], [byId]);
  const { present, set } = household;
  const done = () => {
    set((now: Household) => ({ ...now, setUp: true }));
    router.push("/");
  };
  return (
    <>
      <PageHead title={TITLES[step - 1] ?? ""} line={`Step ${step} of ${STEPS}. Leave out what you like: it all stands in the Household afterwards.`}>
        <button type="button" className="underline t-ledger min-h-11" onClick={done}>
          Skip the rest
        </button>
      </PageHead>
      <main id="main" className="p-4 md:p-5 max-w-[920px] grid gap-7">
        {step === 1 && <EatersSection given={eaters} rules={rules} today={today} />}
        {step === 2 && (
          <>
            <section aria-labelledby="cup-title">
              <div className="flex justify-between items-center gap-3">
                <h2 id="cup-title" className="t-h2">
                  Your cup
                </h2>
                <SaveNotice document={household} />
              </div>
              <p className="t-small text-ink2">Fill it with water on the scale: 1 g is 1 ml. Sets have 240 or 250 ml.</p>
              <div className="flex flex-wrap gap-x-8 gap-y-2 border-t border-ink mt-1 pt-2 items-center">
                <AmountField
                  label="Cup, millilitres"
                  unit="ml"
                  value={present.measures.cup}
                  shownAs={String(present.measures.cup)}
                  least={100}
                  most={500}
                  onChange={(cup) => set((now: Household) => ({ ...now, measures: { ...now.measures, cup } }), "cup")}
                />
                {MEASURE_WORDS.map((words) => (
                  <Choice
                    key={words}
                    name="words"
                    label={WORDS[words]}
                    checked={present.measures.words === words}
                    onChange={() => set((now: Household) => ({ ...now, measures: { ...now.measures, words } }))}
                  />
                ))}
              </div>
            </section>
            <EquipmentSection
              equipment={present.equipment}
              onEquipment={(equipment, key) => set((now: Household) => ({ ...now, equipment }), key && `equipment ${key}`)}
            />
          </>
        )}
        {step === 3 && (
          <>
            <PlaceSection
              place={present.place ?? null}
              onPlace={(place) => set((now: Household) => ({ ...now, place }), "place")}
              altitude={present.altitude ?? 0}
              onAltitude={(altitude) => set((now: Household) => ({ ...now, altitude }), "altitude")}
            />
            <SchoolsSection schools={present.schools ?? {}} rules={rules} onSchools={(schools) => set((now: Household) => ({ ...now, schools }))} />
          </>
        )}
        <p className="flex flex-wrap gap-3 items-center border-t border-ink pt-4">
          {step > 1 && (
            <Go href={`/start?step=${step - 1}`} className={buttonClass("plain")}>
              Back
            </Go>
          )}
          {step < STEPS ? (
            <Go href={`/start?step=${step + 1}`} className={buttonClass("primary")}>
              Next: {TITLES[step]?.toLowerCase()}
            </Go>
          ) : (
            <Button kind="primary" onClick={done}>
              Done: to the Kitchen
            </Button>
          )}
        </p>
      </main>
    </>
  );
}
