import type { Metadata, Viewport } from "next";
import type { ReactNode } from "react";
import { recipesPage } from "@/server/recipes";
import { versionCount } from "@/server/versions";
import { Shell } from "@/ui/shell/shell";
import "./globals.css";

export const metadata: Metadata = {
  title: { default: "Threpsis", template: "%s · Threpsis" },
  description: "The version of a sweet that the whole table can eat.",
};
export const viewport: Viewport = { width: "device-width", initialScale: 1, themeColor: "#1b2559" };
export const dynamic = "force-dynamic";

export default async function Layout({ children }: { readonly children: ReactNode }) {
  const [{ total }, versions] = await Promise.all([recipesPage("", 1), versionCount()]);
  return (
    <html lang="en">
      <body>
        <Shell recipeCount={total} versionCount={versions}>
          {children}
        </Shell>
      </body>
    </html>
  );
}
