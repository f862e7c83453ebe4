import { describe, expect, it } from "vitest";
import { axe } from "../support/browser";
import { DESK, heard, PHONE, startSession } from "../support/session";

const session = startSession();
const saved = () => session.page.getByText("Saved", { exact: true }).filter({ visible: true }).first().waitFor();
/** Figures of one column of what comes out. */
const cell = async (row: string, column: string): Promise<string> => {
  const table = session.page.getByRole("region", { name: "What comes out of it" });
  const heads = await table.getByRole("columnheader").allInnerTexts();
  return table
    .getByRole("row", { name: new RegExp(`^${row}`) })
    .locator("td")
    .nth(heads.indexOf(column) - 1)
    .innerText();
};

describe("what is in stock", () => {
  it("comes in by a line as in a recipe, is taken, weighed and taken back, by hand on a phone, with a mistake in every field", async () => {
    await session.open(PHONE);
    await session.goto("/pantry/stock");
    const { page, button } = session;
    await button("Put in stock").tap();
    await page.getByText("Say what it is, and how much: 1 kg jaggery.").waitFor();
    const line = page.getByLabel("What comes in");
    const read = page.locator("#stock-read");
    await line.fill("rose syrup of my aunt");
    await read.getByText(/no food of the tables for sure/).waitFor();
    await button("Put in stock").tap();
    await page.getByText(/How much of it is there/).waitFor();
    await page.getByLabel("How much, g").fill("plenty");
    await button("Put in stock").tap();
    await page.getByText("Only digits, such as 12.5.").waitFor();
    await page.getByLabel("How much, g").fill("250");
    await page.getByLabel("came on").fill("2026-01-02");
    await page.getByLabel("last day, if it has one").fill("2025-01-02");
    await button("Put in stock").tap();
    await page.getByText(/Its last day is before the day on which it came/).waitFor();
    await page.getByLabel("last day, if it has one").fill("2026-01-03");
    await button("Put in stock").tap();
    const row = (name: string) => page.getByRole("listitem").filter({ hasText: name }).filter({ hasText: "Change" });
    await row("Rose syrup of my aunt")
      .getByText(/days past its date/)
      .waitFor();
    await line.fill("half a kilo of jaggery");
    await read.getByText(/500 g/).waitFor();
    await page.getByLabel("came on").fill("2026-01-02");
    await button("Put in stock").tap();
    const jaggery = row("Jaggery");
    await jaggery.getByText("500 g", { exact: true }).waitFor();
    const take = async (grams: string, reason: string, press: string) => {
      await jaggery.getByRole("button", { name: /^Take some/ }).tap();
      await jaggery.getByLabel("what of it").selectOption(reason);
      await jaggery.getByRole("textbox").fill(grams);
      await jaggery.getByRole("button", { name: press, exact: true }).tap();
    };
    await take("900", "used", "Take");
    await page.getByText(/900 g cannot be taken/).waitFor();
    await jaggery.getByRole("button", { name: /^Take some/ }).tap();
    await take("120", "used", "Take");
    await jaggery.getByText("380 g", { exact: true }).waitFor();
    await take("300", "weighed", "Put right");
    await jaggery.getByText("300 g", { exact: true }).waitFor();
    expect(await axe(page)).toEqual([]);
    expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
    await page.getByRole("button", { name: /^Undo Jaggery.*weighed/ }).tap();
    await jaggery.getByText("380 g", { exact: true }).waitFor();
    await page.reload();
    await jaggery.getByText("380 g", { exact: true }).waitFor();
  });
});

describe("the maker", () => {
  it("presses a milk on a phone, says what is wrong in each field, learns from the scale, and puts milk and pulp in the pantry", async () => {
    await session.open(PHONE);
    await session.goto("/pantry/make?of=milk&from=hazelnut");
    const { page } = session;
    expect(await page.getByLabel("Material", { exact: true }).inputValue()).toBe("hazelnut");
    const field = (name: string) => page.getByLabel(name, { exact: true });
    const mistake = async (name: string, typed: string, why: RegExp) => {
      await field(name).fill(typed);
      await page.getByText(why).first().waitFor();
    };
    await mistake("Mass of the material, grams", "much", /Only digits/);
    await field("Mass of the material, grams").fill("150");
    await mistake("Hours of soaking", "40", /sour and slippery/);
    await mistake("Hours of soaking", "-3", /Not below 0/);
    await mistake("Hours of soaking", "0", /stays gritty/);
    await mistake("Water of press 1, grams", "0", /The pulp holds all the liquid/);
    expect(await session.button("Put it in the pantry").first().isDisabled()).toBe(true);
    await field("Hours of soaking").fill("8");
    await field("Water of press 1, grams").fill("600");
    const predicted = await cell("It weighs", "milk");
    await mistake("Milk, grams", "900", /Is the bowl’s weight in it|Is the bowl's weight in it/);
    await field("Milk, grams").fill("");
    await field("Milk, grams").fill("0");
    // The pulp from the scale.
    await page.getByRole("button", { name: "from the scale" }).nth(1).tap();
    await field("On it lies, g").fill("230");
    await page.getByText("stands still").waitFor();
    await session.button("Take it").tap();
    expect(Math.abs(Number(await field("Wet pulp, grams").inputValue()) - 230)).toBeLessThan(6);
    await expect.poll(() => cell("It weighs", "milk")).not.toBe(predicted);
    await session.button("Remember what my pulp holds").tap();
    await page.getByText(/Seen once with this squeeze/).waitFor();
    // A reload in the middle of it loses nothing.
    await saved();
    await page.goto(`${session.app.address}/pantry/make?of=milk`);
    await heard(page);
    await page.getByText("What was typed here last time is back.").waitFor();
    expect(await field("Mass of the material, grams").inputValue()).toBe("150");

    await page.getByLabel("Name of the milk").fill("sugar");
    await page.getByText(/There is a food called “sugar” already/).waitFor();
    await page.getByLabel("Name of the milk").fill("Hazelnut milk of ours");
    await session.button("Put it in the pantry").first().tap();
    await page.getByText("“Hazelnut milk of ours” is in the pantry.", { exact: false }).first().waitFor();
    await session.button("Put it in the pantry").tap();
    await page.getByText("“Hazelnut pulp, wet” is in the pantry.", { exact: false }).first().waitFor();
    await saved();
    await session.goto("/pantry?search=hazelnut");
    await session.link(/Hazelnut milk of ours/).waitFor();
    await session.link(/Hazelnut pulp, wet/).waitFor();
    expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
  });

  it("makes pastes, syrups, caramel, roasted flours and mixtures, each with what it needs", async () => {
    const { page } = session;
    await session.goto("/pantry/make?of=syrup");
    const of = async (name: string) => session.button(name).click();
    await page.getByLabel("Strength, per cent of solids").fill("40");
    await page.getByText(/It is stronger than that before it boils/).waitFor();
    await page.getByLabel(/^Boiling point/).fill("112");
    await expect.poll(() => page.getByLabel("Strength, per cent of solids").inputValue()).toBe("80");
    await page.getByRole("radio", { name: "soft ball" }).check();
    await page.getByText("Soft ball: a drop in cold water gathers to a ball that flattens.").waitFor();
    await session.button("Undo").click();
    await expect.poll(() => page.getByLabel("Strength, per cent of solids").inputValue()).toBe("80");
    await of("Caramel");
    await page.getByRole("radio", { name: "dark" }).check();
    await page.getByText("30 % of the sugar’s").waitFor();
    await page.getByText("clear", { exact: true }).waitFor();
    await of("Roasted flour");
    await page.getByLabel("Weight when done, grams").fill("300");
    await page.getByText(/cannot weigh more than the 250 g/).waitFor();
    await of("Fruit paste");
    await page.getByLabel("Fruit", { exact: true }).selectOption("dried-figs");
    await expect.poll(() => cell("It weighs", "Fig paste")).toMatch(/^250 g/);
    await of("A mixture");
    await page.getByText("Name at least one food that it is made of.").waitFor();
    await page.getByLabel("Find the first food in it").fill("jaggery");
    await page.getByRole("option", { name: /^Jaggery, cane/ }).click();
    await page.getByLabel("Its name, as your recipes call it").fill("Sweetener of ours");
    await session.button("Put it in the pantry").click();
    await page.getByText("“Sweetener of ours” is in the pantry.", { exact: false }).first().waitFor();
    await saved();
  });

  it("says what a change of an own food does to recipes, and what taking it out leaves behind", async () => {
    const { page } = session;
    await session.goto("/recipes/new");
    await page
      .getByLabel(/recipe/i)
      .first()
      .fill("Oat cups\nServes 4\n500 g oat milk of the house\n60 g semolina\n1 heaped tbsp sugar");
    await session.button(/^Read it/).click();
    await page.waitForURL(/recipe$/);
    await page
      .getByText(/1 heaped tbsp/)
      .filter({ visible: true })
      .first()
      .waitFor();
    // What it costs, by the household's prices.
    await page.getByRole("region", { name: "Cost" }).getByText("crowns").first().waitFor();
    await session.goto("/pantry/own-house-oat-milk");
    await session.link("Oat cups").first().waitFor();
    await session.goto("/pantry/own-house-oat-milk/edit");
    const touched = page.getByRole("region", { name: "What this changes" });
    await touched.getByText("no figure changes").first().waitFor();
    await page.getByLabel("Water of press 1, grams").fill("850");
    await touched.getByText("Energy").first().waitFor();
    await session.button("Take it out of the pantry").click();
    await page
      .getByRole("dialog")
      .getByText(/Read in Oat cups/)
      .waitFor();
    await session.button("Leave it").click();
    await session.button("Save the change").click();
    await page.waitForURL(/own-house-oat-milk$/);
    await session.goto("/pantry/make?of=mixture&from=own-house-oat-milk");
    await page.getByLabel("Its name, as your recipes call it").fill("Oat base");
    await session.button("Put it in the pantry").click();
    await page.getByText("“Oat base” is in the pantry.", { exact: false }).first().waitFor();
    await saved();
    await session.goto("/pantry/own-house-oat-milk/edit");
    await session.button("Take it out of the pantry").click();
    await page.getByText(/It stays: Oat base is made of it/).waitFor();
  });

  it("keeps what was typed of a label over a reload", async () => {
    await session.open(DESK);
    const { page } = session;
    await session.goto("/pantry/new");
    await page.getByLabel("Name, as your recipes call it").fill("Seed bar of the fair");
    await page.getByLabel("Fat", { exact: true }).fill("12,x");
    await page.reload();
    await heard(page);
    await expect.poll(() => page.getByLabel("Name, as your recipes call it").inputValue()).toBe("Seed bar of the fair");
    expect(await page.getByLabel("Fat", { exact: true }).inputValue()).toBe("12,x");
  });

  it("makes a food of a packet's text: figures, list, allergens, date; asks what it does not know, and judges by all of it", async () => {
    await session.open(PHONE);
    const { page } = session;
    await session.goto("/pantry/new");
    await session.button("Read the packet").tap();
    await page.getByRole("alert").getByText("Paste or type what the packet says first.").waitFor();
    await page.getByLabel("What the packet says").fill("hello there");
    await session.button("Read the packet").tap();
    await page
      .getByRole("alert")
      .getByText(/No list of ingredients/)
      .waitFor();
    await page
      .getByLabel("What the packet says")
      .fill(
        "Crisp rounds\nIngredients: rice flour, sugar, palm oil, kremolin, soya lecithin. May contain sesame.\nPer 100 g: energy 480 kcal, fat 18 g, saturates 9 g, carbohydrate 75 g, sugars 22 g, protein 5 g, salt 0.1 g\nUse by 3 Feb 2027",
      );
    await session.button("Read the packet").tap();
    await page.getByText("5 ingredients · 7 figures of the table · contains soy · may contain sesame · use by 2027-02-03").waitFor();
    expect(await page.getByLabel("Name, as your recipes call it").inputValue()).toBe("Crisp rounds");
    expect(await page.getByLabel("Fat", { exact: true }).inputValue()).toBe("18");
    const list = page.getByRole("region", { name: "What it lists" });
    await list.getByText("E322 of soya, emulsifier").waitFor();
    await page.getByText(/Not understood in the list: “kremolin”/).waitFor();
    expect(await axe(page)).toEqual([]);
    expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
    await session.button("Put it in the pantry").tap();
    await page.waitForURL(/own-crisp-rounds/);
    await page.getByText("Use by 3 February 2027").waitFor();
    await session.link("Change it").tap();
    await page.waitForURL(/edit$/);
    await list.getByLabel("What “kremolin” is").fill("milk powder");
    await page.getByRole("option", { name: /^Whole-milk powder/ }).tap();
    await list.getByText("Whole-milk powder").waitFor();
    await expect.poll(() => page.getByText(/Not understood in the list/).count()).toBe(0);
    await session.button("Save the change").tap();
    await page.waitForURL(/own-crisp-rounds[^/]*$/);
    await saved();
  });
});
