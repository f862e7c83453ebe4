"use client";

import { useRouter } from "next/navigation";
import { useCallback, useMemo, useState } from "react";
import { namesOf, ownFoodProblems, whyUnmakeable, type OwnFood } from "../../../core/pantry";
import { isMakingKind, MAKING_KINDS, type Making, type MakingKind } from "../../../core/making";
import { Button, buttonClass } from "../../parts/button";
import { UndoButtons } from "../../parts/undo-buttons";
import { useDraft } from "../../shell/use-draft";
import { useUndoKeys } from "../../parts/use-history";
import { useKitchen } from "../../shell/use-kitchen";
import { Go } from "../../shell/go";
import { toast } from "../../shell/messages";
import { usePantryDocument } from "../../shell/pantry";
import { SaveNotice } from "../../shell/save-notice";
import { useSaving } from "../../shell/saving";
import { PageHead } from "../../shell/shell";
import { MakerForm } from "./maker-forms";
import { blankMaking, KIND_WORDS, madeFoods, newFoodId, withLearned, type MadeFood } from "./maker-model";
import { MakerNotes, MilkWeights } from "./maker-notes";
import { MadeTable, MassBars } from "./maker-result";
import { RemoveFood } from "./remove-food";
import { Touched } from "./touched";
import { PageColumns } from "../../parts/page-columns";

/** The maker: milks, pastes, syrups, caramel, roasted flours and mixtures, made of other foods and put in the pantry. */
export function MakerPage({ kind: given, from }: { readonly kind: MakingKind; readonly from: string | null }) {
  const [kind, setKind] = useState(given);
  const choose = (next: MakingKind) => {
    setKind(next);
    window.history.replaceState(null, "", `/pantry/make?of=${next}`);
  };
  return (
    <>
      <PageHead title="Make it at home" line="What goes in, what comes out, and how much of it. It can stand in the pantry and in your recipes.">
        <Go href="/pantry" className={buttonClass("quiet")}>
          Back to the pantry
        </Go>
      </PageHead>
      <PageColumns>
        <Maker key={kind} kind={kind} from={kind === given ? from : null}>
          <nav aria-label="What to make" className="flex flex-wrap gap-x-1 no-print border-b border-ink">
            {MAKING_KINDS.map((each) => (
              <button
                key={each}
                type="button"
                aria-current={each === kind}
                onClick={() => choose(each)}
                className={`min-h-11 px-3 t-ledger ${each === kind ? "bg-ink text-sheet" : "hover:bg-pressed"}`}
              >
                {KIND_WORDS[each]}
              </button>
            ))}
          </nav>
        </Maker>
      </PageColumns>
    </>
  );
}

/** The maker over a food of one's own that was made with it before. */
export function MadeFoodEdit({ own }: { readonly own: OwnFood & { readonly made: Extract<OwnFood["made"], { kind: "made" }> } }) {
  return (
    <>
      <PageHead title={`Change ${own.name}`} line="Made at home: what changes here changes in all recipes that use it. Kept versions stay as they were.">
        <Go href={`/pantry/${own.id}`} className={buttonClass("quiet")}>
          Leave it
        </Go>
      </PageHead>
      <PageColumns>
        <Maker kind={own.made.making.kind} from={null} over={own} />
      </PageColumns>
    </>
  );
}

interface MakerDraft {
  readonly making: Making;
  /** Names given by hand, by what comes out. */
  readonly names: Readonly<Record<string, string>>;
}

type MadeOwn = OwnFood & { readonly made: Extract<OwnFood["made"], { kind: "made" }> };

function Maker({
  kind,
  from,
  over,
  children,
}: {
  readonly kind: MakingKind;
  readonly from: string | null;
  readonly over?: MadeOwn;
  readonly children?: React.ReactNode;
}) {
  const router = useRouter();
  const { flush } = useSaving();
  const pantry = usePantryDocument();
  const { reference, pantryTables } = useKitchen();
  const { foods, constants } = reference;
  const initial = useCallback(
    (): MakerDraft =>
      over ? { making: over.made.making, names: { [over.made.part]: over.name } } : { making: blankMaking(kind, from, pantryTables.making), names: {} },
    [over, kind, from, pantryTables],
  );
  const fits = useCallback(
    (found: unknown): found is MakerDraft => isDraft(found) && found.making.kind === kind && (from === null || over !== undefined),
    [kind, from, over],
  );
  const draft = useDraft<MakerDraft>(over ? over.id : `make ${kind}`, initial, fits);
  useUndoKeys(draft);
  const { making, names } = draft.present;
  const setMaking = useCallback((next: Making, key?: string) => draft.set((now) => ({ ...now, making: next }), key), [draft]);
  const full = useMemo(() => withLearned(making, pantry.present.pressings, pantryTables.making), [making, pantry.present.pressings, pantryTables]);
  const inUse = useMemo(() => namesOf(foods.values()), [foods]);
  const { made, unmakeable, out } = useMemo(() => madeFoods(full, names, inUse, foods, pantryTables), [full, names, inUse, foods, pantryTables]);
  const [put, setPut] = useState<Readonly<Record<string, { readonly id: string; readonly name: string; readonly making: Making }>>>({});
  const problems = made?.problems ?? [];
  const shown = over ? out.filter(({ part }) => part.key === over.made.part) : out;
  const save = async ({ own, part }: MadeFood) => {
    const name = own.name.trim();
    const saved: OwnFood = over ? { ...over, name, made: own.made, revision: over.revision + 1 } : { ...own, name, id: newFoodId(name) };
    pantry.set((now) => ({ ...now, foods: over ? now.foods.map((food) => (food.id === over.id ? saved : food)) : [...now.foods, saved] }));
    setPut((now) => ({ ...now, [part.key]: { id: saved.id, name, making: full } }));
    draft.forget();
    toast(`“${name}” is in the pantry.`);
    // The document is sent once this page has been shown with it.
    await new Promise((resolve) => setTimeout(resolve));
    await flush();
    if (over) router.push(`/pantry/${saved.id}`);
    router.refresh();
  };
  return (
    <>
      <div className="p-4 md:p-5 min-w-0">
        {children}
        <div className="grid grid-cols-[minmax(0,1fr)] xl:grid-cols-[minmax(0,4fr)_minmax(0,5fr)] gap-x-8 gap-y-6 mt-4">
          <section aria-label="What goes in" className="min-w-0">
            <div className="flex items-end justify-between gap-3 border-b border-ink pb-1">
              <h2 className="t-h2">What goes in</h2>
              <UndoButtons undo={draft.undo} redo={draft.redo} />
            </div>
            <MakerForm making={making} tables={pantryTables.making} foods={foods} problems={problems} onChange={setMaking} />
            {made && making.kind === "milk" && <MilkWeights making={making} made={made} tables={pantryTables.making} foods={foods} onChange={setMaking} />}
          </section>
          <section aria-label="What comes out" className="min-w-0 grid grid-cols-[minmax(0,1fr)] gap-4 content-start">
            <div className="flex items-end justify-between gap-3 border-b border-ink pb-1 min-h-[49px]">
              <h2 className="t-h2">What comes out</h2>
              <SaveNotice document={pantry} />
            </div>
            {unmakeable && <p className="bg-rose-wash px-3 py-2 t-ledger">{whyUnmakeable(unmakeable)} Choose another.</p>}
            {made && shown.length === 0 && !unmakeable && <p className="t-ledger text-ink2 rule-t pt-2">Nothing yet.</p>}
            {made && out.length > 0 && <MassBars made={made} out={out} />}
            {made && shown.length > 0 && <MadeTable out={shown} constants={constants} tables={pantryTables.making} isMilk={making.kind === "milk"} />}
            {shown.length > 0 && (
              <ul className="no-print" aria-label="Put it in the pantry">
                {shown.map((each) => {
                  const saved = put[each.part.key];
                  return saved?.making === full ? (
                    <li key={each.part.key} className="border-b border-line py-2 t-ledger">
                      “{saved.name}” is in the pantry.{" "}
                      <Go href={`/pantry/${saved.id}`} className="underline">
                        Open it
                      </Go>
                    </li>
                  ) : (
                    <SaveRow
                      key={each.part.key}
                      made={each}
                      inUse={inUse}
                      {...(over ? { over } : {})}
                      grave={problems.some(({ grave }) => grave)}
                      onName={(name) => draft.set((now) => ({ ...now, names: { ...now.names, [each.part.key]: name } }), `name ${each.part.key}`)}
                      onSave={() => void save(each)}
                    />
                  );
                })}
              </ul>
            )}
            {over && (
              <div>
                <RemoveFood own={over} />
              </div>
            )}
            {over && shown[0] && <Touched own={{ ...over, name: shown[0].own.name, made: shown[0].own.made }} />}
          </section>
        </div>
      </div>
      <aside className="lg:crease-l p-4 md:p-5" aria-label="Beside the figures">
        {made && <MakerNotes making={making} made={made} out={out} tables={pantryTables.making} foods={foods} />}
      </aside>
    </>
  );
}

const isDraft = (found: unknown): found is MakerDraft =>
  typeof found === "object" &&
  found !== null &&
  "making" in found &&
  "names" in found &&
  typeof found.making === "object" &&
  found.making !== null &&
  "kind" in found.making &&
  isMakingKind(found.making.kind);

function SaveRow({
  made: { own, part },
  over,
  inUse,
  grave,
  onName,
  onSave,
}: {
  readonly made: MadeFood;
  readonly inUse: ReadonlyMap<string, string>;
  readonly over?: MadeOwn;
  readonly grave: boolean;
  readonly onName: (name: string) => void;
  readonly onSave: () => void;
}) {
  const { reference, pantryTables } = useKitchen();
  const why = ownFoodProblems({ ...own, id: over?.id ?? "" }, inUse, reference.foods, reference.constants, pantryTables).find(
    (problem) => problem.field === "name",
  );
  const id = `name-${part.key.replace(" ", "-")}`;
  return (
    <li className="border-b border-line py-2">
      <div className="flex flex-wrap gap-2 items-end">
        <label className="flex-1 min-w-48">
          <span className="t-small text-ink2 block">
            {over || part.key === "whole" ? "Its name, as your recipes call it" : `Name of ${part.key.startsWith("press") ? part.key : `the ${part.key}`}`}
          </span>
          <input
            value={own.name}
            maxLength={100}
            onChange={(event) => onName(event.target.value)}
            aria-invalid={why !== undefined}
            aria-describedby={why ? `${id}-why` : undefined}
            className={`w-full bg-sheet border px-3 min-h-11 ${why ? "border-rose" : "border-edge"}`}
          />
        </label>
        <Button kind={part.key === "milk" || part.key === "whole" || over ? "primary" : "plain"} disabled={grave || why !== undefined} onClick={onSave}>
          {over ? "Save the change" : "Put it in the pantry"}
        </Button>
      </div>
      {why && (
        <p id={`${id}-why`} className="t-small text-rose mt-1">
          {why.why}
        </p>
      )}
    </li>
  );
}
