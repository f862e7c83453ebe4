/** Takes the pictures of docs/screenshots from fresh demo data. Needs a build and Chromium. */
import { newFolder, removeFolder, save, startApp } from "../tests/support/app";
import { openBrowser } from "../tests/support/browser";
import { tableOf } from "../tests/support/kitchen";

const OUT = "docs/screenshots";
const folder = newFolder();
let app = await startApp(folder);
const browser = await openBrowser();

async function shot(
  name: string,
  path: string,
  options: {
    readonly width?: number;
    readonly height?: number;
    readonly dark?: boolean;
    readonly then?: (page: Awaited<ReturnType<typeof browser.newPage>>) => Promise<void>;
  } = {},
) {
  const page = await browser.newPage({
    viewport: { width: options.width ?? 1280, height: options.height ?? 800 },
    colorScheme: options.dark ? "dark" : "light",
    reducedMotion: "reduce",
  });
  await page.addInitScript(() => localStorage.setItem("threpsis.beam-explained", "yes"));
  await page.goto(`${app.address}${path}`, { waitUntil: "networkidle" });
  if (path.endsWith("/swap")) await page.getByRole("button", { name: /^Closest/ }).waitFor();
  await options.then?.(page);
  await page.waitForTimeout(400);
  await page.screenshot({ path: `${OUT}/${name}.png` });
  await page.close();
}

await save(app.address, "/api/recipes/demo-1/table", tableOf({ rules: ["vegan", "no-cashew"] }));
await save(
  app.address,
  "/api/recipes/demo-2/table",
  tableOf({ rules: ["dairy-free"], limits: [{ id: "freeSugars", most: 8, school: "uk" }], serve: "chilled" }),
);
await shot("swap", "/recipes/demo-2/swap");
await shot("swap-phone", "/recipes/demo-2/swap", { width: 390, height: 844 });
await shot("recipe", "/recipes/demo-1/recipe");
await shot("table", "/recipes/demo-1/table", {
  then: async (page) => {
    for (const who of ["Grandmother", "Neighbour", "Niece", "Uncle"]) await page.getByRole("checkbox", { name: new RegExp(`^${who}`) }).check();
    await page.getByRole("heading", { name: "Where wishes meet" }).waitFor();
  },
});
await shot("recipes", "/recipes");
await shot("nutrition", "/recipes/demo-2/nutrition", { then: (page) => page.locator("svg path").first().waitFor() });
await shot("pantry", "/pantry?family=sweetener");
await shot("household", "/household");
await shot("rescue", "/recipes/demo-9/rescue?fault=too+thin&grams=1400", { then: (page) => page.getByRole("listitem").first().waitFor() });
await app.stop();
removeFolder(folder);

// The demo as a newcomer finds it, with work under way.
const atWork = newFolder();
app = await startApp(atWork, { environment: { THREPSIS_SEED: "demo at work" } });
await shot("kitchen", "/");
await shot("method", "/recipes/demo-6/method", { height: 1300 });
await shot("cook", "/logbook", {
  height: 900,
  then: async (page) => {
    await page.getByRole("link", { name: /on the stove/ }).click();
    await page.getByRole("region", { name: "Cook down" }).locator("svg").waitFor();
  },
});
await shot("logbook", "/logbook", { then: (page) => page.locator("svg path").first().waitFor() });
await shot("taste", "/recipes/demo-1/lineage", {
  height: 900,
  then: async (page) => {
    await page.getByRole("link", { name: /^Cooked yesterday/ }).click();
    await page.getByRole("link", { name: "Taste it" }).click();
    await page.getByRole("button", { name: "See what was said" }).click();
    await page.getByRole("heading", { name: "Next time" }).waitFor();
    await page.getByText(/^One moment/).waitFor({ state: "detached" });
  },
});
await shot("keep", "/recipes/demo-1/lineage", {
  height: 1000,
  then: async (page) => {
    await page.getByRole("link", { name: /^Cooked yesterday/ }).click();
    await page.getByRole("link", { name: "Boxes, label, what is left" }).click();
    await page.getByRole("heading", { name: "How long it keeps" }).waitFor();
  },
});
await shot("plan", "/plan/demo-supper", { height: 1000, then: (page) => page.getByRole("heading", { name: "What each is holding" }).waitFor() });
await shot("learned", "/logbook/learned", { height: 1060 });
await shot("suits", "/recipes/suits?table=demo-10", {
  then: (page) => page.waitForFunction(() => document.querySelector("progress") === null, null, { timeout: 60_000 }).then(() => undefined),
});
await shot("bench", "/recipes/demo-9/swap", {
  height: 1500,
  then: async (page) => {
    await page.getByRole("button", { name: "See where it parts" }).click();
    await page.getByText(/^Together up to step/).waitFor();
    await page.getByRole("button", { name: "Work them out" }).click();
    await page.getByRole("columnheader", { name: "what changes" }).waitFor();
    await page.getByRole("heading", { name: "Or split the pot" }).evaluate((heading) => heading.scrollIntoView({ block: "start" }));
  },
});
await browser.close();
await app.stop();
removeFolder(atWork);
