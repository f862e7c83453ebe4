import type { Browser, Page } from "playwright-core";
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { newFolder, removeFolder, startApp, type RunningApp } from "../support/app";
import { axe, openBrowser, overflow } from "../support/browser";

let app: RunningApp;
let browser: Browser;
let page: Page;
let problems: string[];
beforeAll(async () => {
  [app, browser] = await Promise.all([startApp(newFolder()), openBrowser()]);
});
afterAll(async () => {
  await browser.close();
  await app.stop();
  removeFolder(app.folder);
});

async function open(options: Parameters<Browser["newPage"]>[0]): Promise<void> {
  page = await browser.newPage({ reducedMotion: "reduce", ...options });
  page.setDefaultTimeout(20_000);
  problems = [];
  page.on("pageerror", (error) => problems.push(error.message));
  page.on("console", (message) => {
    if (message.type() === "error" && !/Failed to load resource/.test(message.text())) problems.push(message.text());
  });
}
beforeEach(() => open({ viewport: { width: 1280, height: 800 } }));
afterEach(async () => {
  await page.close();
  expect(problems).toEqual([]);
});

const button = (name: string | RegExp) => page.getByRole("button", { name });
const proposalsReady = () => page.getByRole("button", { name: /^Closest/ }).waitFor();
const beam = (id: string) => page.locator(`[data-beam="${id}"]`);

const PASTED = `Walnut semolina squares
Serves 8

1½ cups coarse semolina
200 g butter
1¼ cups brown sugar
3½ cups water
a handful of walnuts
6–7 dates
1 cup dragon scales
ghee as needed

Roast the semolina in the butter for 10 minutes, stirring all the time.
Pour in the water and add the sugar; cook for 8 minutes until it leaves the sides.
Fold in the walnuts and the dates.`;

describe("from a pasted recipe to a kept version", () => {
  it("walks paste, recipe, table, swap, keep, and finds the version again after a restart", async () => {
    await page.goto(`${app.address}/`);
    await page.getByRole("link", { name: "Paste a recipe" }).click();
    await page.getByLabel("The recipe, as it is written").fill(PASTED);
    await button("Read it").click();

    // Recipe: lines became foods and grams; two are asked about.
    await page.waitForURL(/\/recipe$/);
    await page.getByText("1.5 cups of fine semolina = 251 g ± 8 %").waitFor();
    expect(await page.locator("[data-kind='read']").count()).toBe(6);
    await page.getByText("2 lines are not in these figures").waitFor();
    const scales = page.locator("[data-kind='food unknown']");
    expect(await scales.getByLabel("Ingredient line, as written").inputValue()).toBe("1 cup dragon scales");
    await scales.getByRole("combobox").fill("pumpkin se");
    await page.getByRole("option", { name: /Pumpkin seeds/ }).click();
    await page.getByText("1 cup of pumpkin seeds").waitFor();
    await page
      .locator("[data-kind='amount unknown']")
      .getByRole("button", { name: /1 tbsp, 14 g/ })
      .click();
    expect(await page.locator("[data-kind='read']").count()).toBe(8);
    await page.getByLabel("What Dates does in the sweet").selectOption("crunch");

    // Table.
    await page.getByRole("link", { name: /Table/ }).click();
    await page.waitForURL(/\/table$/);
    await page.getByText("Vegan", { exact: true }).click();
    await page.getByText("No walnut", { exact: true }).click();
    await page.getByText("chilled, 8 °C").click();
    await page.getByText("Butter: dairy").waitFor();
    await page.getByText("Walnuts: contains walnut").waitFor();

    // Swap: proposals, beams, a change by hand, the why of a figure.
    await page.getByRole("link", { name: /Swap/ }).click();
    await page.waitForURL(/\/swap$/);
    await proposalsReady();
    const ledger = page.getByLabel("The ledger");
    expect(await ledger.getByText("Butter", { exact: true }).count()).toBe(1);
    expect(await ledger.locator("[data-change='replaced'], [data-change='left out']").count()).toBeGreaterThanOrEqual(3);
    expect(await page.locator("[data-beam]").count()).toBe(9);
    const before = await beam("sweetness.chilled").innerText();
    await page.getByLabel("Grams of Brown sugar for this table").fill("120");
    await expect.poll(() => beam("sweetness.chilled").innerText()).not.toBe(before);
    expect(await beam("sweetness.chilled").getAttribute("data-state")).toBe("outside");
    await page.getByText("less sweet").first().waitFor();
    await button(/Sweetness, chilled for this table/).click();
    const working = page.getByRole("dialog");
    await working.getByText("Tsuzuki & Yamazaki 1953").waitFor();
    await working.getByText("Brown sugar, 120 g").waitFor();
    await working.getByRole("button", { name: "Close" }).click();
    await button("Undo").click();
    await expect.poll(() => beam("sweetness.chilled").innerText()).toBe(before);
    expect(await page.getByLabel("Steps for this table").innerText()).not.toMatch(/in the butter/);

    // Keep, then find it again after a restart, as it was.
    await button(/Keep as a version/).click();
    await page.waitForURL(/\/versions\/.+/);
    await page.getByRole("heading", { name: "Walnut semolina squares" }).waitFor();
    const kept = await page.locator("main").innerText();
    const address = new URL(page.url()).pathname;
    await app.stop();
    app = await startApp(app.folder);
    await page.goto(`${app.address}/versions`);
    await page.getByRole("link", { name: /Walnut semolina squares/ }).click();
    await page.waitForURL((url) => url.pathname === address);
    expect(await page.locator("main").innerText()).toBe(kept);
  }, 120_000);

  it("takes a demo sweet to a version with the keyboard alone", async () => {
    await page.goto(`${app.address}/recipes/demo-2/table`);
    await page.getByLabel("Dairy-free").focus();
    await page.keyboard.press("Space");
    await page.getByText("1 litre full-cream milk").waitFor();
    await page.getByRole("link", { name: /Swap/ }).focus();
    await page.keyboard.press("Enter");
    await proposalsReady();
    await button(/^Open /)
      .first()
      .focus();
    await page.keyboard.press("Enter");
    await page.getByLabel("What could stand here").locator("button").first().focus();
    await page.keyboard.press("Enter");
    await page.getByText("Closest, by hand").waitFor();
    await page.getByLabel("Grams of Sugar for this table").focus();
    const first = Number(await page.getByLabel("Grams of Sugar for this table").inputValue());
    await page.keyboard.press("ArrowUp");
    expect(Number(await page.getByLabel("Grams of Sugar for this table").inputValue())).toBeGreaterThan(first);
    await page.getByRole("button", { name: /^Free sugars .* for this table/ }).focus();
    await page.keyboard.press("Enter");
    await page
      .getByRole("dialog")
      .getByRole("heading", { name: /Free sugars/ })
      .waitFor();
    await page.keyboard.press("Escape");
    await page.getByRole("dialog").waitFor({ state: "detached" });
    await button(/Keep as a version/).focus();
    await page.keyboard.press("Enter");
    await page.waitForURL(/\/versions\/.+/);
  }, 60_000);

  it("keeps work over a reload, stops the solver on request, and says which limits clash", async () => {
    await page.goto(`${app.address}/recipes/demo-1/table`);
    await page.getByText("Low free sugars", { exact: true }).click();
    await page.getByText("All tree nuts", { exact: true }).click();
    await page.getByLabel("Most free sugars per serving, grams").fill("0");
    await page.getByLabel("Servings for this table").fill("12");
    await page.getByText("Saved").waitFor();
    await page.goto(`${app.address}/recipes/demo-1/swap`);
    await page
      .getByRole("status")
      .filter({ hasText: /Working out versions|No version fits/ })
      .waitFor();
    const stop = button("Stop");
    if (await stop.isVisible()) {
      await stop.click({ timeout: 2000 }).catch(() => undefined);
    }
    const again = button("Try again");
    if (await again.isVisible()) await again.click();
    await expect
      .poll(async () => (await page.getByText("No version fits this table").count()) + (await button(/^Closest/).count()), { timeout: 20_000 })
      .toBeGreaterThan(0);
    await page.getByLabel("Grams of Fine semolina for this table").fill("333");
    await page.getByText("Saved").waitFor();
    await page.reload();
    expect(await page.getByLabel("Grams of Fine semolina for this table").inputValue()).toBe("333");
  }, 60_000);
});

describe("on a phone, by the stove", () => {
  beforeEach(async () => {
    await page.close();
    await open({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
  });

  it("does the whole job with a thumb, and never scrolls sideways", async () => {
    await page.goto(`${app.address}/recipes/new`);
    await page
      .getByLabel("The recipe, as it is written")
      .fill(
        "Sago pudding\nServes 4\n1 litre milk\n½ cup sago\n½ cup sugar\na pinch of salt\n2 tbsp pistachios, chopped\n\n1. Simmer the sago in the milk for 20 minutes, stirring.\n2. Add the sugar and the salt. Scatter the pistachios.",
      );
    await button("Read it").tap();
    await page.waitForURL(/\/recipe$/);
    await page.getByText("0.5 cup of sago pearls").waitFor();
    expect(await overflow(page)).toBeLessThanOrEqual(0);
    await page.getByRole("link", { name: /Table/ }).tap();
    await page.getByText("Dairy-free", { exact: true }).tap();
    await page.getByText("No pistachio", { exact: true }).tap();
    await page.getByRole("link", { name: /Swap/ }).tap();
    await proposalsReady();
    expect(await overflow(page)).toBeLessThanOrEqual(0);
    // Thumb-sized: the main action and the places are at least 44 px high, and lie in the lower third.
    for (const target of [button(/Keep as a version/), page.getByRole("link", { name: /^Recipes/ })]) {
      const box = await target.boundingBox();
      expect(box && box.height >= 44 && box.y > 560, JSON.stringify(box)).toBe(true);
    }
    await page.locator("[data-row='4'] button[aria-expanded]").first().tap();
    await page.getByText("No pistachio: Pistachios: contains pistachio").waitFor();
    await page.getByLabel("What could stand here").locator("button").first().tap();
    expect(await page.locator("[data-row='4']").getAttribute("data-change")).toBe("replaced");
    await button(/Keep as a version/).tap();
    await page.waitForURL(/\/versions\/.+/);
    await page.getByRole("heading", { name: "Sago pudding" }).waitFor();
    expect(await overflow(page)).toBeLessThanOrEqual(0);
  }, 60_000);
});

describe("addresses", () => {
  it("can be reloaded and shared, and back and forward do what one expects, with the latest of what was done", async () => {
    await page.goto(`${app.address}/recipes/demo-2/recipe`);
    await page.getByLabel("Grams of Sugar").fill("90");
    await page.getByRole("link", { name: /Table/ }).click();
    await page.waitForURL(/\/table$/);
    await page.goBack();
    await page.waitForURL(/\/recipe$/);
    expect(await page.getByLabel("Grams of Sugar").inputValue()).toBe("90");
    await page.goForward();
    await page.waitForURL(/\/table$/);
    const shared = await browser.newPage();
    await shared.goto(page.url().replace("/table", "/recipe"));
    expect(await shared.getByLabel("Grams of Sugar").inputValue()).toBe("90");
    await shared.close();
  });
  it("finds a recipe by its title, and says when there is none", async () => {
    await page.goto(`${app.address}/?search=PHIRNI`);
    await page
      .getByRole("link", { name: /phirni/i })
      .first()
      .waitFor();
    expect(await page.getByRole("link", { name: /halwa/i }).count()).toBe(0);
    await page.goto(`${app.address}/?search=nothing%20like%20it`);
    await page.getByText("No recipe is called").waitFor();
  });
  it("asks before it deletes, and deletes only then", async () => {
    await page.goto(`${app.address}/recipes/new`);
    await page.getByLabel("The recipe, as it is written").fill("Short lived\n1 cup milk");
    await button("Read it").click();
    await page.waitForURL(/\/recipe$/);
    await page.goto(app.address);
    await button("Delete Short lived").click();
    await button("Keep it").click();
    await button("Delete Short lived").click();
    await button("Delete it for good").click();
    await page.getByText("Short lived").waitFor({ state: "detached" });
  });
  it("prints a kept version without its buttons", async () => {
    await page.goto(`${app.address}/versions`);
    await page.locator("main").getByRole("link").first().click();
    await page.getByRole("heading", { name: "Steps" }).waitFor();
    await page.emulateMedia({ media: "print" });
    expect(await button("Print").isVisible()).toBe(false);
    expect(await page.getByRole("navigation", { name: "Places" }).isVisible()).toBe(false);
    expect(await page.getByRole("heading", { name: "Steps" }).isVisible()).toBe(true);
  });
});

describe("bad input", () => {
  it("is told plainly at its place, and nothing typed is lost", async () => {
    await page.goto(`${app.address}/recipes/new`);
    const field = page.getByLabel("The recipe, as it is written");
    await button("Read it").click();
    await page.getByRole("alert").getByText("There is nothing to read yet").waitFor();
    const long = "1 cup milk\n".repeat(5000);
    await page.context().grantPermissions(["clipboard-read", "clipboard-write"]);
    await page.evaluate((text) => navigator.clipboard.writeText(text), long);
    await field.focus();
    await page.keyboard.press("Control+V");
    await button("Read it").click();
    await page.getByRole("alert").getByText("That is 5,000 lines").waitFor();
    expect(await field.inputValue()).toBe(long);
    await field.fill("🎉 <script>alert(1)</script>\n\n-2 cups sugar\n1/0 cup flour\n0 g ghee\n1 blarg milk\n<b>2 cups</b> water 🙂\n");
    await page.reload();
    await expect.poll(() => field.inputValue()).toMatch(/blarg/);
    await button("Read it").click();
    await page.waitForURL(/\/recipe$/);
    await page.getByText("An amount must be above zero").first().waitFor();
    await page.getByText("the lower figure of a fraction cannot be zero").waitFor();
    expect(await page.getByLabel("Ingredient line, as written").evaluateAll((all) => all.map((each) => (each as HTMLInputElement).value))).toEqual([
      "-2 cups sugar",
      "1/0 cup flour",
      "0 g ghee",
      "1 blarg milk",
      "<b>2 cups</b> water 🙂",
    ]);
    const servings = page.getByLabel("Servings it makes", { exact: true });
    await servings.fill("0");
    await page.getByRole("alert").getByText("At least 1.").waitFor();
    await servings.fill("abc");
    await page.getByRole("alert").getByText("Only digits").waitFor();
    expect(await servings.inputValue()).toBe("abc");
    await page.getByLabel("Title").fill("");
    await page.getByRole("alert").getByText("Give it a name").waitFor();
  });
  it("says so when the server cannot be reached, keeps the work, and saves it when it is back", async () => {
    await page.goto(`${app.address}/recipes/demo-2/recipe`);
    await page.route("**/api/recipes/**", (route) => route.abort());
    await page.getByLabel("Title").fill("Phirni, ours");
    await page
      .getByRole("alert")
      .getByText(/Not saved/)
      .waitFor();
    await page.unroute("**/api/recipes/**");
    await button("Try again").click();
    await page.getByText("Saved", { exact: true }).waitFor();
    await page.reload();
    expect(await page.getByLabel("Title").inputValue()).toBe("Phirni, ours");
  });
  it("has a plain page for what is not there", async () => {
    await page.goto(`${app.address}/recipes/none/swap`);
    await page.getByText("There is nothing at this address").waitFor();
  });
});

describe("every page", () => {
  const places = ["/", "/recipes/new", "/recipes/demo-1/table", "/recipes/demo-1/recipe", "/recipes/demo-1/swap", "/versions"];
  it.each([
    ["light", 1280, 800],
    ["dark", 1280, 800],
    ["light", 390, 844],
    ["dark", 768, 1024],
  ] as const)(
    "is accessible and fits its window (%s, %d wide)",
    async (colorScheme, width, height) => {
      await page.close();
      await open({ viewport: { width, height }, colorScheme });
      for (const place of places) {
        await page.goto(`${app.address}${place}`, { waitUntil: "networkidle" });
        if (place.endsWith("/swap")) {
          await expect
            .poll(
              async () =>
                (await page.getByText("No version fits this table").count()) +
                (await button(/^Closest/).count()) +
                (await page.getByText("Nothing has to change").count()),
              { timeout: 20_000 },
            )
            .toBeGreaterThan(0);
          await page.locator("[data-row='1'] button[aria-expanded]").first().click();
        }
        expect(await axe(page), place).toEqual([]);
        expect(await overflow(page), place).toBeLessThanOrEqual(0);
      }
      await page.goto(`${app.address}/versions`);
      await page
        .getByRole("link", { name: /phirni|Walnut/i })
        .first()
        .click();
      await page.getByRole("heading", { name: "Steps" }).waitFor();
      expect(await axe(page), "version").toEqual([]);
      expect(await overflow(page), "version").toBeLessThanOrEqual(0);
    },
    90_000,
  );

  it("asks for nothing from outside", async () => {
    const outside: string[] = [];
    page.on("request", (request) => {
      if (!request.url().startsWith(app.address) && !request.url().startsWith("data:") && !request.url().startsWith("blob:")) outside.push(request.url());
    });
    for (const place of places) await page.goto(`${app.address}${place}`, { waitUntil: "networkidle" });
    expect(outside).toEqual([]);
  });
});
