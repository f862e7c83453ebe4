import { openBrowser, overflow, axe } from "./tests/support/browser";
const address = "http://127.0.0.1:3199";
const browser = await openBrowser();
const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
const shots: [string, string, number, number][] = [["l1", "/logbook", 1280, 800], ["l2", "/recipes/demo-1/lineage", 1280, 1000], ["l3", "/logbook/new", 1280, 800], ["l4", "/logbook", 390, 844], ["l5", "/recipes/demo-1/lineage", 390, 844]];
for (const [name, path, width, height] of shots) {
  await page.setViewportSize({ width, height });
  const t = Date.now();
  await page.goto(address + path, { waitUntil: "networkidle" });
  console.log(name, Date.now() - t, "overflow", await overflow(page), await axe(page));
  await page.screenshot({ path: `/tmp/${name}.png` });
}
await browser.close();
