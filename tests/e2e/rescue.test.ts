import { describe, expect, it } from "vitest";
import { axe, overflow } from "../support/browser";
import { PHONE, startSession } from "../support/session";

const session = startSession();
const { goto, link } = session;

describe("the Method station", () => {
  it("follows Swap in the thread: what to get ready, the hours before, times, hands, cues one can see; on a phone too", async () => {
    await goto("/recipes/demo-2/swap");
    await session.page.getByRole("button", { name: /^Start by hand/ }).waitFor();
    await session.page
      .getByRole("navigation", { name: "Stations" })
      .getByRole("link", { name: /^Method/ })
      .click();
    await session.page.waitForURL(/demo-2\/method/);
    await session.page.getByRole("heading", { name: "To get ready" }).waitFor();
    expect(await session.page.getByRole("list", { name: "When hands are needed" }).getByRole("listitem").count()).toBeGreaterThan(2);
    const cues = session.page.getByRole("list", { name: /^When .* is right$/ });
    expect(await cues.count()).toBeGreaterThan(3);
    const states = await cues.first().getByRole("listitem").allInnerTexts();
    expect(states.map((text) => text.split("\n")[0]?.trim())).toEqual(["Not yet", "Now", "Too far"]);
    expect(new Set(states.map((text) => text.split("\n").slice(1).join(" ").trim())).size).toBe(3);
    expect(await axe(session.page)).toEqual([]);
    const phone = await session.open(PHONE);
    await phone.goto(`${session.app.address}/recipes/demo-1/method`);
    await phone.getByRole("heading", { name: "The steps" }).waitFor();
    expect(await overflow(phone)).toBeLessThanOrEqual(0);
    // Beside the stove only what is looked for, until the rest is asked for.
    expect(await phone.getByText("Not yet").first().isVisible()).toBe(false);
    const more = phone.getByRole("button", { name: /^To the (?:ear|nose|hand)/ }).first();
    await more.click();
    await phone.getByText("Not yet").first().waitFor();
    expect(await overflow(phone)).toBeLessThanOrEqual(0);
    expect(await axe(phone)).toEqual([]);
  });

  it("makes this batch in another way, which Swap then lies in; undone in one go", async () => {
    await goto("/recipes/demo-9/method");
    await session.page.getByText("Ways of making it").click();
    const followed = session.page.locator("summary", { hasText: "Ways of making it" });
    await session.page.getByLabel("Lid").selectOption("on");
    await followed.getByText("lid on").waitFor();
    await session.button("Undo").click();
    await followed.getByText("all as written").waitFor();
    await session.button("Redo").click();
    await followed.getByText("lid on").waitFor();
    await session.quiet();
    await goto("/recipes/demo-9/swap");
    await session.page.getByText(/^Ways of making it/).waitFor();
    expect(await session.page.getByText("all as written").count()).toBe(0);
  });
});

describe("it went wrong in the pot", () => {
  it("is asked from the recipe, takes what the pot weighs, and gives ways out that the table takes; on a phone too", async () => {
    await goto("/recipes/demo-2/recipe");
    await link(/^It went wrong/).click();
    await session.page.waitForURL(/demo-2\/rescue/);
    await session.page.getByText("Say what is wrong with it", { exact: false }).waitFor();
    await session.page.getByLabel("it is too thin").check();
    await session.page.getByRole("heading", { name: /^it is too thin/i }).waitFor();
    expect(await session.page.getByRole("listitem").count()).toBeGreaterThan(2);
    expect(await axe(session.page)).toEqual([]);
    const weight = session.page.getByLabel("What the pot weighs");
    await weight.fill("heavy");
    await session.page.getByText("Only digits, such as 12.5.").waitFor();
    await weight.fill("1");
    await session.page.getByText(/not even what is dry of it/).waitFor();
    await weight.fill("90000");
    await session.page.getByText(/more than all that went in/).waitFor();
    // A deep link says the same again.
    expect(session.page.url()).toMatch(/fault=too\+thin&grams=90000/);
    await session.page.reload();
    await session.page.getByText(/more than all that went in/).waitFor();

    const phone = await session.open(PHONE);
    await phone.goto(`${session.app.address}/recipes/demo-3/rescue?fault=crumbles`);
    await phone.getByRole("heading", { name: /^it crumbles/i }).waitFor();
    expect(await overflow(phone)).toBeLessThanOrEqual(0);
    expect(await axe(phone)).toEqual([]);
  });
});
