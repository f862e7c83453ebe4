import { describe, expect, it } from "vitest";
import { axe, overflow } from "../support/browser";
import { DESK, PHONE, startSession } from "../support/session";

const saved = (page: (typeof own)["page"], within = page.locator("main")) =>
  within.getByText("Saved", { exact: true }).filter({ visible: true }).first().waitFor();
const own = startSession({ THREPSIS_SEED: "" });
const demo = startSession();

describe("a household that begins", () => {
  it("is set up in three steps by thumb, with a mistake in each field, and is asked no more", async () => {
    await own.open(PHONE);
    const { page } = own;
    await own.goto("/");
    await own.link("Three first steps").tap();
    await page.getByRole("heading", { name: "Who eats with you" }).waitFor();
    await own.button("+ Somebody who eats here").tap();
    await page.getByText(/Give them a name, or a role/).waitFor();
    await page.getByLabel("Name or role").fill("Aunt");
    await page.getByLabel("Age").selectOption("1 to 5");
    expect(await page.getByLabel("Servings eaten, usually").inputValue()).toBe("0.5");
    await page.getByLabel("Age").selectOption("older");
    await page.getByLabel("Servings eaten, usually").fill("none");
    await page.getByText("Only digits, such as 12.5.").waitFor();
    await page.getByLabel("Servings eaten, usually").fill("1.5");
    await page.getByRole("checkbox", { name: /^walnut$/ }).check();
    await page.getByLabel("Traces from a shared line, pan or grinder").selectOption("avoided");
    await saved(page);
    expect(await axe(page)).toEqual([]);
    expect(await overflow(page)).toBeLessThanOrEqual(0);
    await own.link(/^Next/).tap();
    await page.getByLabel("Cup, millilitres").fill("2");
    await page.getByText("At least 100.").waitFor();
    await page.getByLabel("Cup, millilitres").fill("250");
    await own.button("+ A pan").tap();
    await page.getByLabel("Pan, the usual one").fill("tin pan");
    await page.getByLabel("tin pan, across, centimetres").fill("0");
    await page.getByText("At least 5.").waitFor();
    await page.getByLabel("tin pan, across, centimetres").fill("20");
    await page.getByText("holds 3,150 ml").waitFor();
    expect(await axe(page)).toEqual([]);
    expect(await overflow(page)).toBeLessThanOrEqual(0);
    await own.link(/^Next/).tap();
    await page.getByLabel("Latitude").fill("91");
    await page.getByText("Between −90 and 90.").waitFor();
    await page.getByLabel("Ekadashi fast").selectOption("ekadashi/vaishnava");
    await own.button("Done: to the Kitchen").tap();
    await page.getByRole("heading", { name: "Start with a recipe" }).waitFor();
    expect(await own.link("Three first steps").count()).toBe(0);
    await own.goto("/household");
    await page.getByText("older, no walnut, traces count, 1.5 of a serving").waitFor();
    expect(await page.getByLabel("Cup, millilitres").inputValue()).toBe("250");
  }, 90_000);
  it("can skip them, and does nothing by it", async () => {
    const { page } = own;
    await own.goto("/start?step=2");
    await own.button("Skip the rest").click();
    await page.getByRole("heading", { name: "Start with a recipe" }).waitFor();
  }, 30_000);
});

describe("a rule of the house", () => {
  it("is copied, changed by family and food, shows what it leaves out, is kept, and holds at a table", async () => {
    const { page } = demo;
    await demo.goto("/household");
    await page.getByLabel("Rule to copy").selectOption("navratri");
    await demo.button("Copy it and change it").click();
    await page.getByLabel("Name", { exact: true }).fill("Vegan");
    await page.getByText("There is a rule called “Vegan” already.").waitFor();
    await page.getByLabel("Name", { exact: true }).fill("Autumn fast of the lane");
    await demo.button("+ A line").click();
    const line = page.getByRole("listitem").filter({ has: page.getByLabel(/: the reason$/) });
    await line.getByLabel(/say more of which foods/).selectOption("families");
    await line.getByRole("checkbox", { name: "dairy" }).check();
    await line.getByRole("checkbox", { name: "cereal", exact: true }).uncheck();
    await line.getByLabel(/: the reason$/).fill("is not taken in autumn");
    await page.getByText("foods of the family dairy").waitFor();
    // As typed it outlives a reload.
    await page.reload();
    await page.getByText("foods of the family dairy").waitFor();
    expect(await axe(page)).toEqual([]);
    await demo.button("Keep it").click();
    await page.getByRole("link", { name: "Autumn fast of the lane" }).waitFor();
    await saved(page, page.locator("#rules"));
    await demo.goto("/recipes/demo-5/table");
    await page.getByRole("checkbox", { name: "Autumn fast of the lane" }).check();
    await page
      .getByText(/is not taken in autumn/)
      .first()
      .waitFor();
    await saved(page);
    // A change of it says what it touches, and taking it out is refused while a table keeps it.
    await demo.goto("/household");
    await demo.link("Autumn fast of the lane").click();
    await demo.button(/^Change line 1$/).click();
    await page.getByLabel("Line 1: what is done").selectOption("avoid");
    await page.getByText(/Judged otherwise: Barnyard millet/).waitFor();
    await page.getByText(/recipes of the library hold such a food/).waitFor();
    await demo.button("Take this rule set out").click();
    await page
      .getByText(/is still kept: at the table of/)
      .first()
      .waitFor();
    // Taken off there it goes, and comes back.
    await demo.goto("/recipes/demo-5/table");
    await page.getByRole("checkbox", { name: "Autumn fast of the lane" }).uncheck();
    await saved(page);
    await demo.goto("/household");
    await demo.link("Autumn fast of the lane").click();
    await demo.button("Take this rule set out").click();
    await page
      .getByText(/is taken out/)
      .first()
      .waitFor();
    expect(await demo.link("Autumn fast of the lane").count()).toBe(0);
    await demo.button("Put it back").click();
    await demo.link("Autumn fast of the lane").waitFor();
  }, 90_000);
});

describe("a question that a rule asks", () => {
  it("is answered once, remembered with how it is known, and asked again when that is wanted", async () => {
    const { page } = demo;
    await demo.goto("/recipes/demo-4/table");
    await page.getByRole("checkbox", { name: /^Ekadashi fast/ }).check();
    const means = page.getByRole("region", { name: "What that means for this sweet" });
    const question = means.getByRole("listitem").filter({ has: page.getByRole("button", { name: /^We know/ }) });
    await question.first().waitFor();
    const asked = await question.count();
    expect(asked).toBeGreaterThan(0);
    await question
      .first()
      .getByRole("button", { name: /^We know/ })
      .click();
    await page.getByLabel("How you know").fill("our elders keep it");
    const kept = page.waitForResponse((response) => response.url().includes("/api/house-rules") && response.request().method() === "PUT");
    await demo.button("It may be eaten").click();
    await page
      .getByText(/^Remembered/)
      .first()
      .waitFor();
    await expect.poll(() => question.count()).toBe(asked - 1);
    await kept;
    await demo.goto("/household");
    await page.getByText(/our elders keep it/).waitFor();
    await demo.button("Ask again").click();
    await saved(page, page.locator("#rules"));
    await demo.goto("/recipes/demo-4/table");
    await expect.poll(() => question.count()).toBe(asked);
  });
});

describe("pans, other sweets and the day of a table", () => {
  it("are told where they matter, on a phone too", async () => {
    const { page } = demo;
    await demo.goto("/household");
    await page.getByRole("group").filter({ hasText: "what else the wide one is used for" }).locator("summary").click();
    await page.getByRole("group").filter({ hasText: "what else the wide one is used for" }).getByRole("checkbox", { name: "cashew" }).check();
    await saved(page, page.locator("main"));
    await demo.open(PHONE);
    await demo.goto("/recipes/demo-2/table");
    const phone = demo.page;
    await phone.getByRole("checkbox", { name: /^Niece/ }).check();
    await phone.getByRole("checkbox", { name: /^Neighbour/ }).check();
    await phone.getByText(/the wide one.* is also used for cashew: take another for this table/).waitFor();
    await phone.getByLabel("Served on").fill("2026-12-05");
    await phone.getByText(/Neighbour: ekadashi fast falls on another day/).waitFor();
    await phone.getByLabel("Served on").fill("2026-12-04");
    await phone.getByText(/Neighbour: ekadashi fast falls on another day/).waitFor({ state: "detached" });
    await phone.getByLabel("Find another sweet of the occasion").fill("besan");
    await demo.button(/Besan/).tap();
    await phone.getByText(/not for this table as it is: .*ekadashi/).waitFor();
    await phone.getByText(/Free sugars of all together/).waitFor();
    expect(await axe(phone)).toEqual([]);
    expect(await overflow(phone)).toBeLessThanOrEqual(0);
    await demo.open(DESK);
    await demo.goto("/recipes/demo-2/table");
    await demo.link(/Besan/).waitFor();
  }, 90_000);
});
