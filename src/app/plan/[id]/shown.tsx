import { notFound } from "next/navigation";
import { ruleWords } from "@/core/views";
import { Refusal } from "@/server/http/problems";
import { getKitchen } from "@/server/kitchen/kitchen";
import { getEaters } from "@/server/kitchen/sources";
import { viewOfGathering } from "@/server/plan/gatherings";
import { versionsOf } from "@/server/versions/versions";
import { GatheringPage, type Part } from "@/ui/places/plan/gathering-page";

/** A gathering with all that is worked out for it, one part of it shown. */
export async function Gathering({ id, show }: { readonly id: string; readonly show: Part }) {
  const at = new Date().getTime();
  const [view, kitchen, { document }, versions] = await Promise.all([found(id), getKitchen(), getEaters(), versionsOf(null)]);
  const { document: gathering, revision, plan, sweets, lost, shopping, ticks, live, equipment, dayAt } = view;
  return (
    <GatheringPage
      key={id}
      id={id}
      show={show}
      given={{ document: gathering, revision }}
      {...{ plan, sweets, lost, shopping, ticks, live, equipment, dayAt, at }}
      eaters={document.eaters}
      rules={kitchen.diets.map(ruleWords)}
      versions={versions.flatMap(({ id: own, recipeId, title, label }) => (recipeId === null ? [] : [{ id: own, recipeId, title, label }]))}
    />
  );
}

async function found(id: string): ReturnType<typeof viewOfGathering> {
  try {
    return await viewOfGathering(id);
  } catch (error) {
    if (error instanceof Refusal && error.status === 404) notFound();
    throw error;
  }
}
