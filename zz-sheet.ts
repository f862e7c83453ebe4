import { openBrowser } from "./tests/support/browser";
const browser = await openBrowser();
for (const dark of ["light", "dark"] as const) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 1900 }, colorScheme: dark, reducedMotion: "reduce" });
  await page.goto("http://127.0.0.1:3199/sheet/cues", { waitUntil: "networkidle" });
  for (let i = 0; i < 4; i++) {
    await page.evaluate((y) => window.scrollTo(0, y), i * 1900);
    await page.screenshot({ path: `/tmp/s-${dark}-${i}.png`, clip: { x: 88, y: 0, width: 1192, height: 1900 } });
  }
}
await browser.close();
