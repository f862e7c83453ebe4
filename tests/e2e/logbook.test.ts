import { describe, expect, it } from "vitest";
import { send } from "../support/app";
import { axe, overflow } from "../support/browser";
import { PHONE, startSession } from "../support/session";

const session = startSession();

describe("the logbook", () => {
  it("takes a batch after the fact with its mistakes told, shows it as chart and table, finds it, and makes it again", async () => {
    const { page, button, link } = session;
    await session.goto("/logbook");
    await page.getByText("A batch begins at the Method station").waitFor();
    await link("Enter one after the fact").click();
    await page.getByRole("combobox", { name: "What", exact: true }).selectOption({ label: "Semolina halwa" });
    await page.getByLabel("What came of it, g").fill("plenty");
    await button("Enter it").click();
    await page.getByText("What it weighed: Only digits, such as 12.5.").waitFor();
    await page.getByLabel("What came of it, g").fill("900");
    await page.getByLabel("A note").fill("by the old stove");
    // What is typed outlives a reload.
    await page.reload();
    await page.getByText("What was typed here last time is back.").waitFor();
    expect(await page.getByLabel("A note").inputValue()).toBe("by the old stove");
    await page.getByLabel("Day").fill("2099-01-01");
    await button("Enter it").click();
    await page.getByText(/That is still to come/).waitFor();
    for (const day of ["2026-03-02", "2026-04-02"]) {
      await session.goto("/logbook/new");
      await page.getByRole("combobox", { name: "What", exact: true }).selectOption({ label: "Semolina halwa" });
      await page.getByLabel("Day").fill(day);
      await page.getByLabel("What came of it, g").fill(day.endsWith("03-02") ? "900" : "960");
      await page.getByLabel("A note").fill(`noted ${day}`);
      await button("Enter it").click();
      await page.getByText("Done.", { exact: true }).waitFor();
    }
    await session.goto("/logbook");
    await page.getByText("As a table").click();
    await page.getByRole("row", { name: /2 Mar, Semolina halwa/ }).waitFor();
    expect([await axe(page), await overflow(page)]).toEqual([[], 0]);
    await link(/^All of this sweet/)
      .first()
      .click();
    await page.getByRole("heading", { name: "How it came out" }).waitFor();
    await page.getByText("“noted 2026-03-02”").waitFor();
    await page.getByRole("combobox", { name: "Shown" }).selectOption({ label: "What came of it, g" });
    await page.getByText("As a table").click();
    await page.getByRole("row", { name: /2 Apr.*960/ }).waitFor();
    expect([await axe(page), await overflow(page)]).toEqual([[], 0]);
    await button(/^As last time/)
      .first()
      .click();
    await page.waitForURL(/\/batches\//);
    await page
      .getByText(/as last time/)
      .first()
      .waitFor();
    // Found by what was noted, once there is enough to look through.
    for (let i = 0; i < 2; i++) await send(session.app.address, "POST", "/api/batches", { recipeId: "demo-2", versionId: null });
    await session.goto("/logbook");
    await page.getByLabel(/^Find a batch/).fill("noted 2026-04");
    await button("Find").click();
    await page.getByText("1 found.").waitFor();
    await page.getByLabel("Of what season").selectOption({ label: "September to November" });
    await page.getByText("No batch is found by that.").waitFor();
  });
});

describe("practice", () => {
  it("is done on a phone: a pot stopped, one mended, grams guessed, a pair tasted; and what it tells is used", async () => {
    await session.open(PHONE);
    const { page, button, link } = session;
    await session.goto("/practice");
    await link(/^Begin.*Stop in time/).tap();
    await button("Light the flame").tap();
    await page.getByText(/^[1-9]\d* min$/).waitFor();
    await button("Stop").tap();
    await page.getByText(/At 8 °C it is:/).waitFor();
    expect([await axe(page), await overflow(page)]).toEqual([[], 0]);
    const before = page.url();
    await button("Another").tap();
    await page.waitForURL((url) => url.href !== before);
    await button("Light the flame").waitFor();

    await session.goto("/practice/wrong?seed=5");
    await page.getByLabel(/^Boil off/).fill("some");
    await button("Do it").tap();
    await page.getByText(/Boil off water: Only digits/).waitFor();
    await page.getByLabel(/^Boil off/).fill("20");
    await button("Do it").tap();
    await page.getByText(/One thing alone does most|No one thing alone/).waitFor();
    expect([await axe(page), await overflow(page)]).toEqual([[], 0]);

    for (let seed = 1; seed <= 2; seed++) {
      await session.goto(`/practice/grams?seed=${seed}`);
      await page.getByLabel("Grams, by eye").fill("30");
      await button("Put it on the scale").tap();
      await page.getByText(/By the room that it takes up/).waitFor();
    }
    expect([await axe(page), await overflow(page)]).toEqual([[], 0]);

    await session.goto("/practice/ladder");
    await page.getByText(/It is not offered to .*Uncle \(minds free sugars\)/).waitFor();
    await button("Grandmother").tap();
    await button("The glasses are ready").tap();
    await button("Poured: hand it to Grandmother").tap();
    expect([await axe(page), await overflow(page)]).toEqual([[], 0]);
    await page
      .getByRole("button", { name: /^\d{3}$/ })
      .first()
      .tap();
    await page.getByText("Too few pairs to tell: 1 of 30.", { exact: false }).waitFor();
    await session.goto("/practice");
    await page.getByText("As a table").tap();
    await page.getByRole("columnheader", { name: "Try" }).waitFor();
    await page.getByText("2 foods were guessed once or twice").waitFor();
    expect([await axe(page), await overflow(page)]).toEqual([[], 0]);
  });
});
