"use client";

import { useRouter } from "next/navigation";
import { lazy, Suspense, useState } from "react";
import { foodsIn } from "../../../core/making";
import type { OwnFood } from "../../../core/pantry";
import { failed, toast } from "../../shell/messages";
import { usePantryDocument } from "../../shell/pantry";
import { useSaving } from "../../shell/saving";
import { fetchUses, type Uses } from "./use-uses";

const Confirm = lazy(() => import("../../parts/confirm"));
const NONE: Uses = { recipes: [], more: false, benches: [] };

/** Takes a food of one's own out of the pantry: at once where nothing uses it, else after saying what does. It can be taken back. */
export function RemoveFood({ own }: { readonly own: OwnFood }) {
  const router = useRouter();
  const { flush } = useSaving();
  const pantry = usePantryDocument();
  const [asking, setAsking] = useState<Uses | null>(null);
  const [held, setHeld] = useState(false);
  const madeOf = pantry.present.foods.filter(({ made }) => made.kind === "made" && foodsIn(made.making).some(({ foodId }) => foodId === own.id));
  const remove = async () => {
    const at = pantry.present.foods.findIndex(({ id }) => id === own.id);
    pantry.set((now) => ({ ...now, foods: now.foods.filter(({ id }) => id !== own.id) }));
    toast(`“${own.name}” is no longer in the pantry.`, {
      label: "Undo",
      run: () => pantry.set((now) => ({ ...now, foods: [...now.foods.slice(0, at), own, ...now.foods.slice(at)] })),
    });
    // The document is sent once this page has been shown with it.
    await new Promise((resolve) => setTimeout(resolve));
    await flush();
    router.push("/pantry");
    router.refresh();
  };
  const ask = () => {
    setHeld(madeOf.length > 0);
    if (madeOf.length > 0) return;
    fetchUses(own.id).then(
      (uses) => {
        if (uses.recipes.length + uses.benches.length > 0) setAsking(uses);
        else void remove();
      },
      (error: unknown) => failed(`It was not taken out: what uses it could not be told. ${error instanceof Error ? error.message : ""}`, ask),
    );
  };
  const { recipes, benches, more } = asking ?? NONE;
  return (
    <>
      <button type="button" className="underline text-ink2 min-h-11" onClick={ask}>
        Take it out of the pantry
      </button>
      {held && madeOf.length > 0 && (
        <p role="alert" className="t-small text-rose w-full">
          It stays: {madeOf.map(({ name }) => name).join(", ")} {madeOf.length === 1 ? "is" : "are"} made of it. Take that out first, or make it of something
          else.
        </p>
      )}
      {asking && (
        <Suspense fallback={null}>
          <Confirm
            title={`${own.name} is in use`}
            action="Take it out"
            leave="Leave it"
            onLeave={() => setAsking(null)}
            onAction={() => {
              setAsking(null);
              void remove();
            }}
          >
            {recipes.length > 0 && (
              <p>
                Read in {recipes.map(({ recipe }) => recipe.title).join(", ")}
                {more && " and perhaps more"}: {recipes.length === 1 ? "its line" : "their lines"} will be asked about.
              </p>
            )}
            {benches.length > 0 && <p>On the bench of {benches.map(({ title }) => title).join(", ")}: that version is laid aside until the food is back.</p>}
            <p className="t-small text-ink2">Versions that were kept hold it as it was. You can take it back.</p>
          </Confirm>
        </Suspense>
      )}
    </>
  );
}
