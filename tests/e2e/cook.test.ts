import { describe, expect, it } from "vitest";
import { axe, overflow } from "../support/browser";
import { PHONE, startSession } from "../support/session";

const session = startSession();
const { goto } = session;

describe("beside the stove", () => {
  it("is begun from the Method station, goes step by step by key, keeps time, and is seen on another device as it goes", async () => {
    await goto("/recipes/demo-1/method");
    await session.button("Cook it").click();
    await session.page.waitForURL(/\/batches\//);
    const address = session.page.url();
    await session.page.getByRole("checkbox").first().check();
    await session.button("Begin").click();
    await session.page.getByText(/^Step 1 of/).waitFor();
    await session.button(/^Timer/).click();
    await session.page.getByRole("timer").waitFor();
    expect(await axe(session.page)).toEqual([]);

    const phone = await session.another(PHONE);
    await phone.goto(address);
    await phone.getByText(/^Step 1 of/).waitFor();
    expect(await phone.getByRole("timer").count()).toBe(1);
    await phone.getByRole("button", { name: "Next", exact: true }).click();
    await session.page.getByText(/^Step 2 of/).waitFor();
    // Back by key, on the first; the other follows.
    await session.page.locator("body").press("Backspace");
    await phone.getByText(/^Step 1 of/).waitFor();
    expect(await overflow(phone)).toBeLessThanOrEqual(0);
    expect(await axe(phone)).toEqual([]);

    // What cannot be is said, and changes nothing.
    await session.page.getByLabel("The pot on the scale, g").fill("300");
    await session.page.getByLabel("The pan alone, g").fill("800");
    await session.button("Weighed").click();
    await session.page.getByText(/not more than the pan alone/).waitFor();
    await session.page.getByLabel("The pot on the scale, g").fill("1700");
    await session.button("Weighed").click();
    await session.page.getByText("The pot held 900 g.", { exact: true }).waitFor();
    await session.page.getByText("Saved", { exact: true }).waitFor();
    await session.page.reload();
    await session.page.getByText("The pot held 900 g.", { exact: true }).waitFor();

    // To the end.
    for (let left = 12; left > 0 && (await session.page.getByText("No step is left.").count()) === 0; left--)
      await session.page.getByRole("button", { name: /^(?:Next|Last step done)$/ }).click();
    await session.page.getByLabel(/^What all of it weighs/).fill("870");
    await session.button("It is done").click();
    await session.page.getByText(/^870 g/).waitFor();
    await session.page.getByText("Saved", { exact: true }).waitFor();
    await goto("/");
    await session.page.getByRole("region", { name: "Cooked last" }).getByText("870 g").waitFor();
  });

  it("sends what was pressed while the server was away, once it is back", async () => {
    await goto("/recipes/demo-3/method");
    await session.button(/^Cook it$|^Keep it and cook$/).click();
    await session.page.waitForURL(/\/batches\//);
    await session.button("Begin").click();
    await session.page.getByText(/^Step 1 of/).waitFor();
    await session.page.getByText("Saved", { exact: true }).waitFor();
    await session.page.route("**/events", (route) => route.abort());
    await session.button("Next").click();
    await session.page.getByText(/^Step 2 of/).waitFor();
    await session.page.getByText("1 not saved yet").waitFor();
    await session.page.unroute("**/events");
    await session.page.getByText("Saved", { exact: true }).waitFor();
    await session.page.reload();
    await session.page.getByText(/^Step 2 of/).waitFor();
  });
});
