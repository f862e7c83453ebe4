import type { Metadata, Viewport } from "next";
import { cookies } from "next/headers";
import type { ReactNode } from "react";
import { getHousehold, getHouseRules, getPantry } from "@/server/kitchen/sources";
import { getTaught } from "@/server/cook/learned";
import { placeStates } from "@/server/recipes/on-the-go";
import { unreadNotices } from "@/server/data/notices";
import { HouseholdProvider } from "@/ui/shell/household";
import { HouseRulesProvider } from "@/ui/shell/house-rules";
import { LearnedProvider } from "@/ui/shell/learned";
import { PantryProvider } from "@/ui/shell/pantry";
import { SavingProvider } from "@/ui/shell/saving";
import { Shell } from "@/ui/shell/shell";
import { THEME_COOKIE, themeOf } from "@/ui/shell/theme";
import { Toasts } from "@/ui/shell/toasts";
import { anekLatin } from "./font";
import { dateWords } from "./words";
import "./globals.css";

export const metadata: Metadata = {
  title: { default: "Threpsis", template: "%s · Threpsis" },
  description: "The version of a sweet that the whole table can eat.",
};
export const viewport: Viewport = { width: "device-width", initialScale: 1, themeColor: "#1b2559" };
export const dynamic = "force-dynamic";

export default async function Layout({ children }: { readonly children: ReactNode }) {
  const [household, pantry, houseRules, taught, states, notices, jar] = await Promise.all([
    getHousehold(),
    getPantry(),
    getHouseRules(),
    getTaught(),
    placeStates(),
    unreadNotices(),
    cookies(),
  ]);
  const theme = themeOf(jar.get(THEME_COOKIE)?.value);
  return (
    <html lang="en" data-theme={theme} className={anekLatin.variable}>
      <body>
        <SavingProvider>
          <HouseholdProvider given={household}>
            <PantryProvider given={pantry}>
              <HouseRulesProvider given={houseRules}>
                <LearnedProvider given={taught.learned}>
                  <Shell states={states} notices={notices.map(({ id, text, at }) => ({ id, text, when: dateWords(at) }))}>
                    {children}
                  </Shell>
                </LearnedProvider>
              </HouseRulesProvider>
            </PantryProvider>
          </HouseholdProvider>
        </SavingProvider>
        <Toasts />
      </body>
    </html>
  );
}
