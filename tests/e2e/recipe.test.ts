import { describe, expect, it } from "vitest";
import { axe, overflow } from "../support/browser";
import { PHONE, startSession } from "../support/session";

const session = startSession();
const saved = () => session.page.getByText("Saved", { exact: true }).filter({ visible: true }).first().waitFor();
const steps = () =>
  session.page.locator("[data-step] textarea").evaluateAll((fields) => fields.map((field) => (field as HTMLTextAreaElement).value.slice(0, 12)));
const SWEET = `Lake rice
Serves 4

For the syrup:
40 g jaggery
60 ml water

For the rice:
80 g rice
600 ml milk
sugar to taste

Method
For the syrup:
1. Melt the jaggery in the water and strain it.
For the rice:
2. Simmer the rice in the milk for 25 minutes, stirring now and then, until it is soft.
3. Off the heat stir in the syrup and the sugar.`;

describe("a recipe with parts", () => {
  it("is read with its parts and steps, put in another order by keys, weighed, and kept in proportion", async () => {
    const { page } = session;
    await session.goto("/recipes/new");
    await page.getByLabel("The recipe, as it is written").fill(SWEET);
    await session.button("Read it").click();
    await page.waitForURL(/\/recipe$/);
    await page.getByRole("list", { name: "Lines of Syrup" }).getByText("Jaggery, cane", { exact: true }).waitFor();
    // No amount is told: it is proposed, with its range and by what, and asked.
    await page.getByRole("button", { name: /for the usual sweetness of a pudding.*inferred/ }).click();
    const ledger = page.getByRole("region", { name: "Mass, step by step" });
    await ledger.getByText(/syrup \d+ g/).waitFor();
    await ledger.getByText("25 min of open cooking, in a 26 cm pan").waitFor();
    // By keys alone: the first step goes last, and what used it is told.
    await page.getByRole("button", { name: "Step 1: move it" }).focus();
    await page.keyboard.press("Space");
    await page.getByText("Place 1 of 3.").waitFor({ state: "attached" });
    for (const place of [2, 3]) {
      await page.keyboard.press("ArrowDown");
      await page.getByText(`Place ${place} of 3.`).waitFor({ state: "attached" });
    }
    await page.keyboard.press("Space");
    await expect.poll(steps).toEqual(["Simmer the r", "Off the heat", "Melt the jag"]);
    await page.getByText(/Step 2 uses Syrup, which is not made yet/).waitFor();
    await session.button("Undo").first().click();
    await expect.poll(steps).toEqual(["Melt the jag", "Simmer the r", "Off the heat"]);
    // A weighed pot goes before what is reckoned; one that cannot be is told.
    await page.locator("[data-step]").nth(1).getByRole("button", { expanded: false }).last().click();
    await session.button("It was weighed").click();
    await page.getByLabel("Weighed pot, grams").fill("5000");
    await page.getByText(/the pot cannot weigh 5,000 g, only/).waitFor();
    await page.getByLabel("Weighed pot, grams").fill("430");
    await ledger
      .getByText(/weighed/)
      .first()
      .waitFor();
    await ledger.getByText("430 g").first().waitFor();
    // A part of the syrup is enough.
    await page.getByLabel("How much of Syrup is used").selectOption("part");
    await page.getByLabel("Share of Syrup that is used, per cent").fill("50");
    await ledger.getByText(/syrup (49|50) g/).waitFor();
    // The milk is kept at so many times the rice.
    await page
      .getByRole("button", { name: /Whole milk/ })
      .first()
      .click();
    await page.getByRole("button", { name: /× the white rice/ }).click();
    await page.getByLabel("Grams of White rice").fill("100");
    await page.getByText(/kept at 7.7\d times white rice = 77\d g/).waitFor();
    await saved();
    expect(await axe(page)).toEqual([]);
    await page.reload();
    await page.getByText(/kept at 7.7\d times white rice/).waitFor();
  });

  it("is written and moved by one thumb", async () => {
    await session.open(PHONE);
    const { page } = session;
    await session.goto("/recipes/demo-3/recipe");
    await session.button("+ Add a step").tap();
    await page.locator("[data-step] textarea").last().fill("Leave them to rest for 10 minutes.");
    await page.locator("[data-step]").last().getByText("rest, cool", { exact: true }).waitFor();
    await session.button("More for step 5").tap();
    await page.getByRole("menuitem", { name: "Move up" }).tap();
    await expect.poll(async () => (await steps())[3]).toBe("Leave them t");
    await session.button("More for step 4").tap();
    await page.getByRole("menuitem", { name: "Take it out" }).tap();
    await expect.poll(async () => (await steps()).length).toBe(4);
    expect(await overflow(page)).toBeLessThanOrEqual(0);
    await saved();
  });

  it("asks by whose cup it is read", async () => {
    const { page } = session;
    await session.goto("/recipes/new");
    await page.getByLabel("The recipe, as it is written").fill("Cups\nServes 2\n2 cups (400 ml) milk\n1 cup sugar\n1. Simmer for 5 minutes.");
    await session.button("Read it").click();
    await page.waitForURL(/\/recipe$/);
    await page.getByText(/The writer’s cup holds about 200 ml/).waitFor();
    const grams = page.getByLabel("Grams of Sugar");
    const before = Number(await grams.inputValue());
    await session.button("Read it by the writer’s").click();
    await expect.poll(async () => Number(await grams.inputValue())).toBe(Math.round((before * 200) / 240));
  });
});

describe("versions of versions", () => {
  it("are kept with why and for whom, worked on from, and held side by side", async () => {
    const { page } = session;
    await session.goto("/recipes/demo-6/swap");
    await session.button(/Keep as a version/).click();
    await page.waitForURL(/\/versions\//);
    await page.getByLabel("Called").fill("Grandmother's");
    await page.getByLabel("Why", { exact: true }).fill("as she made it");
    await session.button("Note it").click();
    await page.getByText("Grandmother's, kept").waitFor();
    await session.button("Work on from it").click();
    await page.waitForURL(/\/swap$/);
    await page.getByLabel("Grams of Sugar for this table").first().fill("60");
    await saved();
    await session.button(/Keep as a version/).click();
    await page.waitForURL(/\/versions\//);
    await session.link("Lineage").click();
    await page.getByText("sugar 101 g, now 60 g").waitFor({ state: "attached" });
    for (const box of await page.getByRole("checkbox").all()) await box.check();
    await session.link("Side by side").click();
    await page.waitForURL(/\/compare/);
    await page.locator("[role='img'] svg").first().waitFor();
    await page
      .getByRole("columnheader", { name: /Grandmother's, by hand/ })
      .first()
      .waitFor();
    await page.getByText("less sweet").or(page.getByText("outside")).first().waitFor();
    expect(await axe(page)).toEqual([]);
  });
});

describe("the library", () => {
  it("is searched by diet, time and season, in the address", async () => {
    const { page } = session;
    await session.goto("/recipes");
    await page.getByLabel("With the word").selectOption("fasting day");
    await page.waitForURL(/tag=fasting/);
    await page.getByLabel("Ready within").selectOption("60");
    await page.waitForURL(/minutes=60/);
    await page.getByText(/found\./).waitFor();
    expect(await page.getByRole("link", { name: /Baked milk custard/ }).count()).toBe(0);
    await page
      .getByRole("link", { name: /Amaranth ladoo/ })
      .first()
      .waitFor();
    await session.link("Show all").click();
    await page
      .getByRole("link", { name: /Baked milk custard/ })
      .first()
      .waitFor();
  });
});
