// usage: tsx zz-shot.ts out path width height dark full
import { openBrowser } from "./tests/support/browser";
const [out, path, w = "1280", h = "800", dark, full] = process.argv.slice(2);
const browser = await openBrowser();
const page = await browser.newPage({ viewport: { width: +w, height: +h }, colorScheme: dark === "dark" ? "dark" : "light", reducedMotion: "reduce" });
page.on("console", (m) => m.type() === "error" && console.log(m.text()));
await page.goto("http://127.0.0.1:3199" + path, { waitUntil: "networkidle" });
await page.waitForTimeout(300);
await page.screenshot({ path: out!, fullPage: full === "full" });
await browser.close();
