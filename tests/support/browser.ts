import { execFileSync } from "node:child_process";
import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { chromium, type Browser, type Page } from "playwright-core";

const PATHS = ["chromium", "chromium-browser"];

/** The Chromium on the PATH; scripts/test.mjs sees to it that there is one. */
export function chromiumPath(): string {
  for (const name of PATHS) {
    try {
      return execFileSync("sh", ["-c", `command -v ${name}`], { encoding: "utf8" }).trim();
    } catch {
      continue;
    }
  }
  throw new Error("No Chromium was found on the PATH. Install Debian's chromium package, or run npm test as root.");
}

export const CHROMIUM_ARGUMENTS = [
  "--no-sandbox",
  "--disable-gpu",
  "--disable-quic",
  "--no-first-run",
  "--disable-background-networking",
  "--disable-component-update",
  "--disable-sync",
] as const;

export const openBrowser = (): Promise<Browser> =>
  chromium.launch({
    executablePath: chromiumPath(),
    args: [...CHROMIUM_ARGUMENTS],
  });

const axeSource = readFileSync(createRequire(import.meta.url).resolve("axe-core/axe.min.js"), "utf8");

/** What axe finds on the page against WCAG 2.2 AA, one line each. */
export async function axe(page: Page): Promise<string[]> {
  await page.evaluate(axeSource);
  return page.evaluate(async () => {
    const { axe: runner } = window as unknown as {
      axe: {
        run: (
          context: Document,
          options: object,
        ) => Promise<{ violations: { id: string; help: string; nodes: { html: string; failureSummary?: string }[] }[] }>;
      };
    };
    const { violations } = await runner.run(document, { runOnly: ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa", "best-practice"] });
    return violations.flatMap((violation) =>
      violation.nodes.map((node) => `${violation.id}: ${violation.help}: ${node.html.slice(0, 160)} ${node.failureSummary ?? ""}`),
    );
  });
}

/** By how many pixels the page is wider than its window. */
export const overflow = (page: Page): Promise<number> => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
