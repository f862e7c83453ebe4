import type { Metadata } from "next";
import { cookies } from "next/headers";
import { aboutPeople, canUndoRestore } from "@/server/data/backup";
import { getEaters } from "@/server/kitchen/sources";
import { shippedConstants, shownFoods } from "@/server/kitchen/pantry";
import { HouseholdPage } from "@/ui/places/household/household-page";
import { THEME_COOKIE, themeOf } from "@/ui/shell/theme";

export const metadata: Metadata = { title: "Household" };

export default async function Page() {
  const theme = themeOf((await cookies()).get(THEME_COOKIE)?.value);
  const today = new Date().toISOString().slice(0, 10);
  return (
    <HouseholdPage
      theme={theme}
      canGoBack={canUndoRestore()}
      people={await aboutPeople()}
      eaters={await getEaters()}
      today={today}
      shown={await shownFoods()}
      constants={shippedConstants()}
    />
  );
}
