import { redirect } from "next/navigation";
import type { StationParams } from "./station";

export default async function Page({ params }: StationParams) {
  redirect(`/recipes/${(await params).id}/recipe`);
}
