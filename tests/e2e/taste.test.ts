import { expect, describe, it } from "vitest";
import { send } from "../support/app";
import { axe, overflow } from "../support/browser";
import { PHONE, startSession } from "../support/session";

const session = startSession();

/** A batch of the demo's semolina halwa that is done. */
async function cooked(): Promise<string> {
  const { address } = session.app;
  const { id } = (await send(address, "POST", "/api/batches", { recipeId: "demo-1", versionId: null })).json as { readonly id: string };
  const at = Date.now() - 3_600_000;
  const events = [
    { id: "a", at, kind: "started" },
    { id: "b", at: at + 1_800_000, kind: "ended", grams: null },
  ];
  expect((await send(address, "POST", `/api/batches/${id}/events`, { events })).status).toBe(200);
  return id;
}

describe("a batch that is tasted", () => {
  it("is handed round on a phone: who may, what each says, a guest who is asked first, and what to change next time", async () => {
    await session.open(PHONE);
    const { page, button } = session;
    await session.goto(`/batches/${await cooked()}`);
    await session.link("Taste it").tap();
    await page.getByRole("heading", { name: "Who tastes it?" }).waitFor();
    // Whom it is not for is not offered it.
    const barred = page.getByRole("region", { name: "It is not for" });
    await barred.waitFor();
    const firstBarred = await barred.getByRole("listitem").first().innerText();
    expect(await page.getByRole("button", { name: new RegExp(`^${firstBarred.split(":")[0] ?? ""}`) }).count()).toBe(0);
    expect(await axe(page)).toEqual([]);
    expect(await overflow(page)).toBeLessThanOrEqual(0);

    const say = async (name: string, sweetness: string, liking: string) => {
      await page.getByRole("button", { name: new RegExp(`^${name}`) }).tap();
      const settle = button(/^I have settled this/);
      if (await settle.count()) await settle.tap();
      await button("Done, hand it on").tap();
      await page.getByText("Say at least one thing, or leave it.").waitFor();
      await page.getByRole("radio", { name: `Sweetness: ${sweetness}` }).check({ force: true });
      await page.getByRole("radio", { name: new RegExp(`^${liking}:`) }).check({ force: true });
      if (name === "Grandmother") {
        expect(await axe(page)).toEqual([]);
        expect(await overflow(page)).toBeLessThanOrEqual(0);
      }
      await button("Done, hand it on").tap();
      await page.getByText(`Thank you, ${name}. Hand it to the next.`).waitFor();
    };
    await say("Grandmother", "not quite sweet enough", "6");
    // Nothing of it is shown to who is next.
    expect(await page.getByText("not quite sweet enough").count()).toBe(0);

    await button("A guest").tap();
    await page.getByLabel("Name").fill("The neighbour’s aunt");
    await button("Taste it").tap();
    await page.getByText(/Ask first/).waitFor();
    // Each thing once, by what it is.
    const named = await page.getByRole("checkbox").evaluateAll((boxes) => boxes.map((box) => box.closest("label")?.textContent ?? ""));
    expect(new Set(named).size).toBe(named.length);
    await page.getByLabel("Something else").fill("kiwi");
    await button("Taste it").tap();
    await page.getByText(/“kiwi” is in it, no rule tells/).waitFor();
    await page.getByLabel(/^No, nothing does/).check();
    expect(await axe(page)).toEqual([]);
    await button("Taste it").tap();
    const settle = button(/^I have settled this/);
    await page
      .getByText(/The neighbour’s aunt|I have settled this/)
      .first()
      .waitFor();
    if (await settle.count()) await settle.tap();
    await page.getByRole("radio", { name: "Sweetness: not nearly sweet enough" }).check({ force: true });
    await button("Done, hand it on").tap();
    await page.getByText(/Thank you, The neighbour’s aunt/).waitFor();

    await button("See what was said").tap();
    await page.getByRole("row", { name: /^Sweetness 2/ }).waitFor();
    await page.getByText(/Grandmother.*after: not sweet enough/).waitFor();
    await page.getByText(/% sweeter/).waitFor();
    await page
      .getByText(/more .*sugar/i)
      .first()
      .waitFor();
    expect(await axe(page)).toEqual([]);
    expect(await overflow(page)).toBeLessThanOrEqual(0);
    await button(/^Draft it with .*sugar/)
      .first()
      .tap();
    await page.waitForURL(/\/swap$/);
    await page
      .getByText(/% sweeter/)
      .first()
      .waitFor();
    await page.goBack();
    await button("See what was said").tap();
    await button(/^Take back what The neighbour/).tap();
    await page.getByRole("row", { name: /^Sweetness 1/ }).waitFor();
    await page.reload();
    await page.getByText(/has tasted it/).waitFor();
    await session.goto("/logbook/learned");
    await page.getByRole("heading", { name: "How sweet each wants it" }).waitFor();
    await page.getByText("Grandmother").first().waitFor();
  });
});

describe("a triangle test", () => {
  it("is set up, served from its sheets, and handed round on a phone; what it comes to is told at the end", async () => {
    await session.open(PHONE);
    const { page, button, link } = session;
    const [first] = [await cooked(), await cooked()];
    await session.goto(`/batches/${first}/taste`);
    await link("Can anybody tell it from another?").tap();
    await page.getByRole("textbox", { name: "Tests" }).fill("2");
    await button("Code the cups").tap();
    await page
      .getByText(/A whole number from 3 to 200/)
      .last()
      .waitFor();
    await page.getByRole("textbox", { name: "Tests" }).fill("3");
    await page.getByText(/With a multiple of 6, as 6/).waitFor();
    await page.getByRole("combobox", { name: "Who serves, and does not taste" }).selectOption("somebody else");
    await button("Code the cups").tap();
    await page.getByText("Who serves? Who serves knows the cups, and does not taste.").waitFor();
    expect([await axe(page), await overflow(page)]).toEqual([[], 0]);
    await page.getByRole("textbox", { name: "Name" }).fill("The aunt");
    await button("Code the cups").tap();
    await page.getByText("0 of 3 answered, The aunt serves").waitFor();

    await link("Sheets, for The aunt only").tap();
    await page.getByRole("heading", { name: "What goes into each cup" }).waitFor();
    const odd = await page.getByRole("row").evaluateAll((rows) => rows.slice(1).map((row) => row.lastElementChild?.textContent ?? ""));
    expect(odd.length).toBe(3);
    expect([await axe(page), await overflow(page)]).toEqual([[], 0]);
    await link("Back to the test").tap();
    for (const [i, code] of odd.entries()) {
      await button(/^Neighbour/).tap();
      const settle = button(/^I have settled this/);
      if (await settle.count()) await settle.tap();
      await page.getByText(`set ${i + 1}`).waitFor();
      await button("This one, hand it on").tap();
      await page.getByText("Choose one of the three. Who cannot tell guesses.").waitFor();
      if (i === 0) expect([await axe(page), await overflow(page)]).toEqual([[], 0]);
      await page.getByRole("radio", { name: code }).check({ force: true });
      await button("This one, hand it on").tap();
      if (i < 2) await page.getByText("Thank you, Neighbour. Hand it to the next.").waitFor();
    }
    await page.getByRole("heading", { name: /They are told apart/ }).waitFor();
    await page.getByText("One person gave the 3 answers: it holds for that one, not for others.").waitFor();
    expect([await axe(page), await overflow(page)]).toEqual([[], 0]);
    await page.getByRole("checkbox", { name: "Neighbour, set 2, saw the codes" }).check();
    await page.getByText("An answer is left out: the codes were seen.").waitFor();
    await page.getByRole("heading", { name: /Nobody was shown to tell them apart/ }).waitFor();
    await button("Delete this test").tap();
    await button("Delete it").tap();
    await page.waitForURL(/\/taste$/);
    expect(await page.getByText(/3 tests, begun/).count()).toBe(0);
  });
});
