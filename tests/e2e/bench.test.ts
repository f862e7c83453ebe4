import { describe, expect, it } from "vitest";
import { axe, overflow } from "../support/browser";
import { PHONE, startSession } from "../support/session";

const session = startSession();
const { button, goto } = session;
const saved = () => session.page.getByText("Saved", { exact: true }).filter({ visible: true }).first().waitFor();
const sit = async (recipe: string, eaters: readonly string[], wishes: readonly string[] = []) => {
  await goto(`/recipes/${recipe}/table`);
  for (const who of eaters)
    await session.page
      .getByRole("checkbox", { name: new RegExp(`^${who}`) })
      .first()
      .check();
  for (const wish of wishes)
    await session.page
      .getByRole("checkbox", { name: new RegExp(`^${wish}`) })
      .first()
      .check();
  await saved();
};
const openBench = async (recipe: string) => {
  await goto(`/recipes/${recipe}/swap`);
  await button(/^Closest/).waitFor();
};

describe("which of my recipes suits a table", () => {
  it("ranks them for a table that is set there, and sets it for the one that is taken", async () => {
    await goto("/recipes/suits");
    await session.page.getByText("Nothing is asked of it yet").waitFor();
    await session.page.getByText("Vegan", { exact: true }).first().click();
    await session.page.getByRole("region", { name: /^Fit once changed/ }).waitFor();
    await expect.poll(() => session.page.getByRole("progressbar").count()).toBe(0);
    expect(session.page.url()).toContain("rule=vegan");
    expect(await axe(session.page)).toEqual([]);
    await button(/^Work out the next/).click();
    await expect.poll(() => session.page.getByText("Have to change; not worked out yet").count(), { timeout: 60_000 }).toBe(0);
    const fit = session.page.getByRole("region", { name: /^Fit once changed/ });
    await fit.getByRole("listitem").filter({ hasText: "Besan ladoo" }).getByRole("button", { name: "Set this table for it" }).click();
    await session.page.waitForURL(/demo-3\/swap$/);
    await button(/^Closest/).waitFor();
    expect(await session.page.getByText("1 wish", { exact: false }).count()).toBeGreaterThan(0);
  });
  it("asks before a table that is set gives way, and is reached from a table that no version fits", async () => {
    await sit("demo-10", ["Cousin"], ["Gluten-free", "All tree nuts", "Soya-free"]);
    await goto("/recipes/demo-10/swap");
    await session.page.getByRole("link", { name: /which of my recipes suits this table/ }).click();
    await session.page.waitForURL(/suits\?table=demo-10/);
    await expect.poll(() => session.page.getByRole("progressbar").count(), { timeout: 60_000 }).toBe(0);
    await sit("demo-4", ["Grandmother", "Uncle"]);
    await goto("/recipes/suits?table=demo-10");
    const row = session.page.getByRole("listitem").filter({ has: session.page.getByRole("link", { name: "Sesame-jaggery ladoo" }) });
    await row.getByRole("button", { name: /^Set th/ }).click();
    // The question stays while its row moves from what waits to what fits.
    await button("Leave it").waitFor();
    await expect.poll(() => session.page.getByRole("progressbar").count(), { timeout: 60_000 }).toBe(0);
    await button("Leave it").click();
    await row.getByRole("button", { name: /^Set th/ }).click();
    await button("Set this table instead").click();
    await session.page.waitForURL(/demo-4\/swap$/);
    await goto("/recipes/demo-4/table");
    expect(
      await session.page
        .getByRole("checkbox", { name: /^Cousin/ })
        .first()
        .isChecked(),
    ).toBe(true);
    expect(
      await session.page
        .getByRole("checkbox", { name: /^Uncle/ })
        .first()
        .isChecked(),
    ).toBe(false);
  });
});

describe("what is asked of versions", () => {
  it("is asked, told in words, kept, met by what comes, and let go of again", async () => {
    await sit("demo-6", ["Cousin"]);
    await openBench("demo-6");
    await button("Ask more of the versions").click();
    await button("Ask for it").first().click();
    await session.page.getByRole("button", { name: /^less sweetness/ }).waitFor();
    await session.page.locator("[data-beam='sweetness.hot']").getByText("less sweet", { exact: true }).waitFor();
    // One line of the recipe stays in every version.
    const row = session.page.locator("[data-row]").filter({ hasText: "Almonds" });
    await row.getByRole("button").first().click();
    await button("In no version").click();
    await session.page.getByRole("button", { name: /^no almonds/i }).waitFor();
    await saved();
    await session.page.reload();
    await session.page.getByRole("button", { name: /^no almonds/i }).waitFor();
    await session.page.getByRole("button", { name: /^less sweetness/ }).click();
    await expect.poll(() => session.page.getByRole("button", { name: /^less sweetness/ }).count()).toBe(0);
    expect(await axe(session.page)).toEqual([]);
  });
  it("that cannot be names what to let go of, with a button that does it", async () => {
    await sit("demo-3", ["Cousin"]);
    await openBench("demo-3");
    await button("Ask more of the versions").click();
    await session.page.getByLabel("Which figure").selectOption("richness");
    await session.page.getByLabel("What is wanted of it").selectOption("at least");
    await session.page.getByLabel("How much of it").fill("80");
    await button("Ask for it").first().click();
    await session.page.getByText("No version fits this table").waitFor();
    await session.page.getByRole("button", { name: "Let go of it", exact: true }).click();
    await button(/^Closest/).waitFor();
    expect(await session.page.getByText("No version fits this table").count()).toBe(0);
  });
});

describe("what less sugar costs, and a pot that is split", () => {
  it("are worked out with progress, each point laid on the bench, each portion kept for who eats it; on a phone too", async () => {
    await sit("demo-9", ["Grandmother", "Niece", "Uncle"]);
    await openBench("demo-9");
    await session.page.getByLabel("Who is content").getByText("content").first().waitFor();
    await button("Work them out").click();
    await session.page.getByRole("columnheader", { name: "what changes" }).waitFor();
    await button(/^Lay it on/)
      .first()
      .click();
    await session.page.getByText("your own amounts").waitFor();
    await button("See where it parts").click();
    await session.page.getByText(/^Together up to step/).waitFor();
    expect(await axe(session.page)).toEqual([]);
    await saved();

    const phone = await session.open(PHONE);
    await phone.goto(`${session.app.address}/recipes/demo-9/swap`);
    await phone.getByRole("button", { name: "See where it parts" }).click();
    await phone.getByText(/^Together up to step/).waitFor();
    expect(await overflow(phone)).toBeLessThanOrEqual(0);
    const niece = phone.getByRole("listitem").filter({ has: phone.getByRole("heading", { name: /^Niece/ }) });
    expect(await niece.getByText(/^Holds/).innerText()).not.toMatch(/cashew/);
    await niece.getByRole("button", { name: "Keep this portion as a version" }).click();
    await phone.waitForURL(/\/versions\/.+/);
    await phone
      .getByText(/Parted for Niece/)
      .first()
      .waitFor();
  });
});
