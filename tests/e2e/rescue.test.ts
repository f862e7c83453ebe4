import { describe, expect, it } from "vitest";
import { axe, overflow } from "../support/browser";
import { PHONE, startSession } from "../support/session";

const session = startSession();
const { goto, link } = session;

describe("the method to cook by", () => {
  it("is reached from Swap, tells what to get ready, the hours before and the steps with their times; on a phone too", async () => {
    await goto("/recipes/demo-2/swap");
    await session.page.getByRole("button", { name: /^Start by hand/ }).waitFor();
    await link(/^To cook by/).click();
    await session.page.waitForURL(/demo-2\/method/);
    await session.page.getByRole("heading", { name: "To get ready" }).waitFor();
    expect(await session.page.getByRole("list", { name: "When hands are needed" }).getByRole("listitem").count()).toBeGreaterThan(2);
    expect(await axe(session.page)).toEqual([]);
    const phone = await session.open(PHONE);
    await phone.goto(`${session.app.address}/recipes/demo-1/method`);
    await phone.getByRole("heading", { name: "The steps" }).waitFor();
    expect(await overflow(phone)).toBeLessThanOrEqual(0);
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
