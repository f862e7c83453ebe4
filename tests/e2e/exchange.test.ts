import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { axe } from "../support/browser";
import { PHONE, startSession } from "../support/session";

const session = startSession();
const file = (name: string, text: string, mimeType = "text/html") => ({ name, mimeType, buffer: Buffer.from(text) });
const PAGE = `<!doctype html><title>A sweet</title><script type="application/ld+json">${JSON.stringify({
  "@type": "Recipe",
  name: "Sorghum ladoo",
  recipeYield: "12 pieces, 12 servings",
  recipeIngredient: ["1 cup sorghum flour", "½ cup moon syrup", "ghee as needed"],
  recipeInstructions: "Roast the flour for 10 minutes.\nMix and shape.",
})}</script>`;

describe("a recipe from a file", () => {
  it("shows what is understood before it is kept, learns what an answer teaches, and goes out again in open formats", async () => {
    const { page } = session;
    await session.goto("/recipes/new");
    const choose = (given: ReturnType<typeof file>) => page.getByLabel("Open a file").setInputFiles(given);
    await choose(file("odd.csv", "name,colour\na,b\n", "text/csv"));
    await page
      .getByRole("alert")
      .getByText(/row 1.*“text”/)
      .waitFor();
    await page.getByLabel("The recipe, as it is written").fill("My own\n1 heaped tbsp semolina\nNote: good for the skin");
    await page.getByRole("region", { name: "Understood so far" }).getByText("Fine semolina").waitFor();
    await page.getByText("Noted apart, for you alone: good for the skin").waitFor();
    await choose(file("sweet.html", PAGE));
    const read = page.getByRole("region", { name: "From the file" });
    await read.getByText("Read as a web page. Nothing is kept yet.").waitFor();
    await read.getByText(/2 will be asked about/).waitFor();
    expect(await axe(page)).toEqual([]);
    await session.button("Keep it").click();
    await page.waitForURL(/\/recipes\/.+\/recipe$/);
    // What it is answered with holds for every recipe.
    const asked = page.locator("[data-kind='food unknown']");
    await asked.getByRole("combobox", { name: "Another food" }).fill("jaggery syrup");
    await page.getByRole("option", { name: /^Jaggery syrup/ }).click();
    await page.getByText("“moon syrup” is read as Jaggery syrup from now on.").waitFor();
    await page.getByText("Saved", { exact: true }).filter({ visible: true }).first().waitFor();
    const [download] = await Promise.all([page.waitForEvent("download"), session.link("schema.org JSON-LD").click()]);
    expect(download.suggestedFilename()).toBe("Sorghum-ladoo.jsonld");
    expect(JSON.parse(readFileSync(await download.path(), "utf8"))).toMatchObject({
      name: "Sorghum ladoo",
      recipeIngredient: ["1 cup sorghum flour", "½ cup moon syrup", "ghee as needed"],
    });
    await session.goto("/recipes/new");
    await page.getByLabel("The recipe, as it is written").fill("Another\n2 tbsp moon syrup");
    await page.getByRole("region", { name: "Understood so far" }).getByText("Jaggery syrup").waitFor();
    await session.goto("/pantry/jaggery-syrup");
    await session.button("Forget the name moon syrup").click();
    await page.getByRole("region", { name: "Called here" }).waitFor({ state: "detached" });
    await page.getByText("Saved", { exact: true }).filter({ visible: true }).first().waitFor();
  });

  it("keeps those of several that are chosen, on a phone", async () => {
    await session.open(PHONE);
    const { page } = session;
    await session.goto("/recipes/new");
    await page.getByLabel("Open a file").setInputFiles(file("two.csv", "recipe,text\nFirst sweet,1 cup sugar\nSecond sweet,1 cup milk\n", "text/csv"));
    await page.getByLabel("keep First sweet").uncheck();
    expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
    await session.button("Keep 1 of 2").tap();
    await page.waitForURL(/\/recipes\/.+\/recipe$/);
    await page.getByRole("heading", { name: "Second sweet", level: 1 }).waitFor();
  });
});

describe("a recipe for another quantity", () => {
  it("goes by what there is of one ingredient, says what cannot be, and is kept as one of its own", async () => {
    const { page } = session;
    await session.goto("/recipes/demo-1/recipe");
    await session.link("For another quantity").click();
    await page.getByRole("heading", { name: "Semolina halwa, for another quantity" }).waitFor();
    await page.getByLabel("Servings", { exact: true }).fill("900");
    await page
      .getByRole("alert")
      .getByText(/150 times the recipe/)
      .waitFor();
    await page.getByRole("radio", { name: "for a pan or mould" }).check();
    await page.getByText("942 ml").waitFor();
    await page.getByRole("radio", { name: "by what there is of one ingredient" }).check();
    await page.getByLabel("Which ingredient").selectOption({ label: "Ghee" });
    await page.getByLabel("Grams there are of it").fill("218.4");
    const row = page.getByRole("row", { name: /^Fine semolina/ });
    await expect.poll(() => row.locator("td").last().innerText()).toBe("330 g");
    expect(await axe(page)).toEqual([]);
    await session.button("Make it a recipe of its own").click();
    await page.waitForURL(/\/recipes\/(?!demo).+\/recipe$/);
    expect(await page.getByLabel("Grams of Ghee").inputValue()).toBe("218");
    expect(await page.getByLabel("Servings it makes").inputValue()).toBe("12");
  });
});
