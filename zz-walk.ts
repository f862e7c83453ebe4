import { openBrowser, overflow, axe } from "./tests/support/browser";
const browser = await openBrowser();
const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
const base = "http://127.0.0.1:3199";
page.on("pageerror", (e) => console.log("ERR", e.message));
page.on("console", (m) => m.type() === "error" && console.log("CON", m.text().slice(0, 200)));
await page.goto(base + "/recipes/demo-1/method");
await page.getByRole("button", { name: /^Cook it$|^Keep it and cook$/ }).click();
await page.waitForURL(/batches/);
await page.screenshot({ path: "/tmp/a1.png" });
await page.getByRole("button", { name: "Begin" }).click();
await page.getByText(/^Step 1 of/).first().waitFor();
await page.waitForTimeout(800);
for (let i = 0; i < 9; i++) {
  const t = await page.getByRole("region", { name: "The step" }).innerText().catch(() => "end");
  console.log(i, t.split("\n").slice(0, 8).join(" | ").slice(0, 300));
  for (const name of ["Hold back", "Cook down"]) {
    const r = page.getByRole("region", { name });
    if (await r.count()) console.log("   ", name, (await r.innerText()).replace(/\n/g, " | ").slice(0, 500));
  }
  const n = page.getByRole("button", { name: /^(Next|Last step done)$/ });
  if (t === "end" || !(await n.isEnabled())) break;
  if (await page.getByRole("region", { name: "Cook down" }).count()) await page.screenshot({ path: `/tmp/a2-${i}.png`, fullPage: false });
  await n.click();
  await page.waitForTimeout(500);
}
console.log(page.url());
await browser.close();
