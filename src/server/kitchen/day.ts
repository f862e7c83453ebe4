import { dayOf } from "../../core/calendar";
import { getHousehold } from "./sources";

/** Days where the household is, of moments; by this machine's zone while it has named no place. */
export async function dayHere(): Promise<(at: number) => string> {
  const { place } = (await getHousehold()).document;
  const zone = place ?? { timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone };
  return (at) => dayOf(at, zone);
}
