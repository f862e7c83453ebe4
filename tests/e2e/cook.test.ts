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

    // Let go on beside the next, seen on both, and gone back to.
    await session.page.getByLabel("Let it go on").selectOption("by itself");
    await session.page.getByText(/^Step 2 of/).waitFor();
    const beside = phone.getByRole("region", { name: "Going on beside" });
    await beside.waitFor();
    expect(await axe(session.page)).toEqual([]);
    await session.button("Go to it").click();
    await beside.waitFor({ state: "detached" });
    await session.page.getByText(/^Step 1 of/).waitFor();

    // What cannot be is said, and changes nothing.
    await session.page.getByLabel("The pot on the scale, g").fill("300");
    await session.page.getByLabel("The pan alone, g").fill("800");
    await session.button("Weighed").click();
    await session.page.getByText(/not more than the pan alone/).waitFor();
    await session.page.getByLabel("The pot on the scale, g").fill("1700");
    await session.button("Weighed").click();
    // More than has gone in by this step: it is asked about once.
    await session.page.getByText(/If it is right, press once more/).waitFor();
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
    await session.page.getByLabel("Hot, from the fire").selectOption({ label: "mounds" });
    await session.page.getByText("Saved", { exact: true }).waitFor();

    // A picture from the device, and a shade that is picked from it; what is no picture is said.
    const looks = session.page.getByRole("region", { name: "What it looks like" });
    await looks.getByLabel("A picture of it").setInputFiles({ name: "no.jpg", mimeType: "image/jpeg", buffer: Buffer.from("no picture") });
    await looks.getByText(/no picture that the browser can read/).waitFor();
    const shot = await session.page.screenshot();
    await looks.getByLabel("A picture of it").setInputFiles({ name: "it.png", mimeType: "image/png", buffer: shot });
    await looks.getByRole("button", { name: /^Pick the shade/ }).click();
    await looks.getByText(/picked:/).waitFor();
    await session.page.reload();
    await looks.getByText(/picked:/).waitFor();
    await looks.getByRole("button", { name: "Take the picture out" }).click();
    await session.button("Take a picture").waitFor();
    await session.page.getByRole("button", { name: "Undo", exact: true }).first().click();
    await looks.getByText(/picked:/).waitFor();

    // What it taught, learned anew, and taken back.
    await session.page.getByRole("link", { name: "What your batches taught" }).click();
    const taught = session.button(/^Learn anew.*Wheat, semolina/);
    await taught.waitFor();
    expect(await axe(session.page)).toEqual([]);
    await taught.click();
    await taught.waitFor({ state: "detached" });
    await session.page.getByRole("button", { name: "Undo", exact: true }).first().click();
    await taught.waitFor();
    await session.page.getByLabel("Use what was learned here").uncheck();
    await session.page.getByText("Not used: all goes by the tables").waitFor();
    await session.page.getByLabel("Use what was learned here").check();
    await taught.waitFor();
    await goto("/");
    await session.page.getByRole("region", { name: "Cooked last" }).getByText("870 g").waitFor();
  });

  it("holds some back, takes more of it by block, cooks down to a weight, and goes on after what went wrong", async () => {
    const { page, button } = session;
    await goto("/recipes/demo-1/method");
    await button(/^Cook it$|^Keep it and cook$/).click();
    await page.waitForURL(/\/batches\//);
    await button("Begin").click();
    const next = page.getByRole("button", { name: /^(?:Next|Last step done)$/ });
    const figures = page.getByRole("region", { name: "As it stands" });
    const sweet = figures.getByRole("row", { name: /^Sweetness/ });
    await figures.waitFor();
    for (let left = 8; left > 0 && (await page.getByRole("button", { name: /^Hold/ }).count()) === 0; left--) await next.click();
    // To the step at which a sweetener goes in.
    const hold = page.getByRole("listitem").filter({ hasText: /sugar/i }).getByRole("button", { name: /^Hold/ });
    for (let left = 8; left > 0 && (await hold.count()) === 0; left--) {
      await next.click();
      await page.waitForTimeout(200);
    }
    const before = await sweet.innerText();
    await hold.click();
    const held = page.getByRole("region", { name: /, held back$/ });
    await held.waitFor();
    await expect.poll(() => sweet.innerText()).not.toBe(before);
    const without = await sweet.innerText();
    await held.getByRole("button", { name: /^Add \d+ g/ }).click();
    await expect.poll(() => sweet.innerText()).not.toBe(without);
    expect(await axe(page)).toEqual([]);
    // Another amount, with a mistake first.
    await held.getByLabel(/^Another amount/).fill("many");
    await held.getByRole("button", { name: "Add", exact: true }).click();
    await held.getByText("Only digits, such as 12.5.").waitFor();
    await held.getByRole("button", { name: /^Enough/ }).click();
    await held.waitFor({ state: "detached" });

    // What went wrong is mended from the pot; what is done about it becomes a step of its own.
    await button("Wrong?").click();
    await button("it is too thick").click();
    await button("This is what I do").first().waitFor();
    expect(await axe(page)).toEqual([]);
    await button("This is what I do").first().click();
    await page.getByRole("region", { name: "What happened" }).getByText("It is too thick").waitFor();
    await page
      .getByRole("region", { name: "What happened" })
      .getByText(/went in: too thick\.$/)
      .waitFor();
    await page.getByText("Saved", { exact: true }).waitFor();
    const steps = await page.getByRole("region", { name: "All steps" }).getByRole("listitem").count();
    await page.reload();
    expect(await page.getByRole("region", { name: "All steps" }).getByRole("listitem").count()).toBe(steps);

    // On a phone, by thumb.
    await page.setViewportSize({ width: 390, height: 844 });
    expect(await overflow(page)).toBeLessThanOrEqual(0);
    await page.setViewportSize({ width: 1280, height: 800 });
    for (let left = 12; left > 0 && (await page.getByLabel(/^What all of it weighs/).count()) === 0; left--) await next.click();
    await button("It is done").click();
    await page.getByRole("region", { name: "As it came out" }).waitFor();
    await page.getByRole("region", { name: "How it turned out" }).getByRole("combobox").first().selectOption("6");
    await page.getByText("Hot: body 6.0 of 10.", { exact: true }).waitFor();
    // Boxes, its label and what is left have a page of their own.
    expect(await session.link("Boxes, label, what is left").count()).toBe(1);
    await page.getByText("Saved", { exact: true }).waitFor();
    expect(await axe(page)).toEqual([]);
    // Deleted, and put back at once.
    await button("Delete it").click();
    await page.waitForURL(/\/logbook$/);
    await button("Undo").click();
    await page.getByText(/is back\./).waitFor();
  });

  it("is told by a cook-down where to stop, forecasts it by its weights, and asks about a weight that is odd", async () => {
    const { page, button } = session;
    await goto("/recipes/demo-6/method");
    await button(/^Cook it$|^Keep it and cook$/).click();
    await page.waitForURL(/\/batches\//);
    await page.getByLabel("The pan").selectOption({ index: 0 });
    await button("Begin").click();
    const down = page.getByRole("region", { name: "Cook down" });
    const settled = page.locator('section[aria-label="As it stands"][aria-busy="false"]');
    await settled.waitFor();
    for (let left = 8; left > 0 && (await down.count()) === 0; left--) {
      await page.getByRole("button", { name: "Next", exact: true }).click();
      await page.waitForTimeout(300);
      await settled.waitFor();
    }
    await down.getByText(/a rule of practice for this pan and flame/).waitFor();
    const now = Number((await down.innerText()).match(/now, by the masses\s+([\d,]+) g/)?.[1]?.replace(",", ""));
    await page.getByLabel("The pan alone, g").fill("1000");
    await page.getByLabel("The pot on the scale, g").fill(String(1000 + now));
    await down.getByRole("button", { name: "Weighed", exact: true }).click();
    await down.getByText("now, by weight").waitFor();
    await page.getByLabel("The pot on the scale, g").fill(String(1400 + 2 * now));
    await down.getByRole("button", { name: "Weighed", exact: true }).click();
    await down.getByText(/If it is right, press once more/).waitFor();
    await down.getByText("Stop at another weight").click();
    await page.getByLabel("Stop at, g without the pan").fill("0");
    await button("Stop there").click();
    await down.getByText("At least 1.").waitFor();
    await page.getByLabel("Stop at, g without the pan").fill(String(Math.round(now * 0.9)));
    await button("Stop there").click();
    await down
      .getByText(/your own/i)
      .first()
      .waitFor();
    // The simulated scale reads by itself; what is odd is not taken.
    await page.getByText("Scale and probe").click();
    await page.getByText("the scale stands still").waitFor();
    expect(await axe(page)).toEqual([]);
  });

  it("keeps the screen on by a silent video where the system does not, once something is pressed, and says so", async () => {
    await goto("/recipes/demo-3/method");
    await session.button("Cook it").click();
    await session.page.waitForURL(/\/batches\//);
    const phone = await session.another(PHONE);
    await phone.addInitScript(() => Reflect.deleteProperty(Navigator.prototype, "wakeLock"));
    await phone.goto(session.page.url());
    await phone.getByRole("button", { name: "Begin" }).click();
    await phone.getByText(/^Step 1 of/).waitFor();
    await phone.getByText("The screen may go dark: then no alarm can ring").waitFor();
    await phone.getByRole("button", { name: /^Timer/ }).click();
    await phone.getByText("The screen stays on while a silent video plays").waitFor();
  });

  it("sends what was pressed as the page was left", async () => {
    const { page } = session;
    await goto("/recipes/demo-1/method");
    await session.button("Cook it").click();
    await page.waitForURL(/\/batches\//);
    const address = page.url();
    await session.button("Begin").click();
    await page.getByText(/^Step 1 of/).waitFor();
    await page.getByText("Saved", { exact: true }).waitFor();
    // In the same turn, before anything is painted.
    await page.evaluate(() => {
      [...document.querySelectorAll("button")].find(({ textContent }) => textContent === "Next")?.click();
      document.querySelector<HTMLAnchorElement>("a[href='/pantry']")?.click();
    });
    await page.waitForURL(/\/pantry$/);
    await expect
      .poll(async () =>
        (
          (await (await fetch(`${address.replace("/batches", "/api/batches")}/export?format=json`)).json()) as {
            readonly events: readonly { readonly kind: string }[];
          }
        ).events.map(({ kind }) => kind),
      )
      .toContain("done");
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
