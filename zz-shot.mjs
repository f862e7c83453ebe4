import { chromium } from "playwright-core";
const b = await chromium.launch({ executablePath: "/usr/bin/chromium", args: ["--no-sandbox"] });
const [,, w, h, out, path, ...acts] = process.argv;
const p = await b.newPage({ viewport: { width: +w, height: +h }, reducedMotion: "reduce" });
p.on("console", (m) => m.type() === "error" && console.log("ERR", m.text()));
p.on("pageerror", (e) => console.log("PAGEERR", e.message));
await p.goto("http://127.0.0.1:3177" + path); await p.waitForLoadState("networkidle");
for (const a of acts) { await eval(`(async () => { ${a} })()`); }
await p.waitForTimeout(400);
await p.screenshot({ path: out });
console.log(await p.evaluate(() => document.documentElement.scrollWidth + " " + innerWidth));
await b.close();
