import { openBrowser } from "./tests/support/browser";
import { writeFileSync } from "node:fs";
const browser = await openBrowser();
for (const n of [1, 2, 3, 5, 6, 9, 11, 12]) {
  const page = await browser.newPage();
  await page.goto(`http://127.0.0.1:3199/recipes/demo-${n}/method`, { waitUntil: "networkidle" });
  const pdf = await page.pdf({ format: "A4", preferCSSPageSize: true });
  console.log(n, (pdf.toString("latin1").match(/\/Type\s*\/Page[^s]/g) ?? []).length);
  if (n === 2) { writeFileSync("/tmp/p.pdf", pdf); await page.emulateMedia({ media: "print" }); await page.setViewportSize({ width: 718, height: 1046 }); await page.screenshot({ path: "/tmp/p.png", fullPage: true }); }
  await page.close();
}
await browser.close();
