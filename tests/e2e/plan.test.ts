import { readFile } from "node:fs/promises";
import ICAL from "ical.js";
import { describe, expect, it } from "vitest";
import { send } from "../support/app";
import { axe, overflow } from "../support/browser";
import { DESK, PHONE, startSession } from "../support/session";

const session = startSession();

const dayIn = (days: number) => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);
const ROLLS =
  "Prune rolls\nMakes 20 pieces\n\n300 g prunes\n120 g hazelnuts\n20 g ghee\n\n1. Soak the prunes in hot water for 30 minutes, drain them, and grind them.\n2. Roast the hazelnuts in a dry pan for 6 minutes, stirring.\n3. Warm the ghee in a pan, cook the prunes in it for 8 minutes, stirring, and mix in the hazelnuts.\n4. Roll it into a log and chill it for 2 hours, then cut it into 20 slices.";

/** A gathering of the rolls for four, as its own page knows it. */
async function planned(part: object): Promise<string> {
  const { address } = session.app;
  const { id: recipe } = (await send(address, "POST", "/api/recipes", { text: ROLLS })).json as { readonly id: string };
  const id = crypto.randomUUID();
  const sweets = [{ id: "rolls", recipe, version: null, title: "Prune rolls", label: null, servings: 20, takeHome: 0, before: 0 }];
  const usual = { title: "Lantern evening", day: dayIn(2), hour: "18:30", timeZone: "Europe/Berlin", eaters: [], guests: [], sweets, cooks: 1, burners: 1 };
  const hours = { quiet: { from: "22:00", to: "06:00" }, away: [], noTasteBefore: null, begin: null, pins: {}, note: "" };
  expect((await send(address, "POST", "/api/gatherings", { id, document: { ...usual, ...hours, ...part } })).status).toBe(201);
  return `/plan/${id}`;
}

describe("a gathering", () => {
  it("is set, planned, moved by keys and taken back, and goes into a calendar", async () => {
    await session.open(DESK);
    const { page, button } = session;
    await send(session.app.address, "POST", "/api/recipes", { text: ROLLS });
    await session.goto("/plan");
    await button("Plan it").click();
    await page.getByRole("alert").getByText("Give it a name.").waitFor();
    await page.getByLabel("name").fill("Lantern evening");
    await page.getByLabel("day", { exact: true }).fill(dayIn(-1));
    await button("Plan it").click();
    await page.getByRole("alert").getByText("That day is past").waitFor();
    await page.getByLabel("day", { exact: true }).fill(dayIn(2));
    await page.getByLabel("served at").fill("18:30");
    await button("Plan it").click();
    await page.waitForURL(/\/plan\/[\w-]+\/setup$/);
    await page.getByLabel("Find a recipe").fill("prune");
    await page.getByRole("list", { name: "Recipes found" }).getByRole("button", { name: "Prune rolls" }).first().click();
    await button("Others who come").click();
    await page.getByLabel("who, in your words").fill("two friends");
    await page.getByRole("checkbox", { name: /^Vegan/ }).click();
    await page.getByText(/Not for two friends/).waitFor();
    await page.getByRole("status").getByText("Saved").waitFor();
    expect(await axe(page)).toEqual([]);

    await page.getByRole("link", { name: "Timeline", exact: true }).click();
    const bar = page.getByRole("button", { name: /Prune rolls: Roast the hazelnuts/ });
    await bar.waitFor();
    const begins = async () => (await bar.getAttribute("aria-label"))?.slice(0, 5);
    const before = await begins();
    await bar.focus();
    await page.keyboard.press("Shift+ArrowLeft");
    await page.getByRole("button", { name: /Roast the hazelnuts.*set by hand/ }).waitFor();
    await expect.poll(begins).not.toBe(before);
    await page.keyboard.press("Control+z");
    await expect.poll(begins).toBe(before);
    expect(await axe(page)).toEqual([]);
    expect(await overflow(page)).toBeLessThanOrEqual(0);

    const download = page.waitForEvent("download");
    await button("Into the calendar").click();
    const file = await (await download).path();
    const events = new ICAL.Component(ICAL.parse(await readFile(file, "utf8")) as unknown[])
      .getAllSubcomponents("vevent")
      .map((each) => new ICAL.Event(each).summary);
    expect(events).toContain("Lantern evening");
    expect(events.some((summary) => /Soak the prunes/.test(summary))).toBe(true);
  });
  it("is looked at for a later start: found, or proven that there is none", async () => {
    await session.open(DESK);
    const { page, button } = session;
    const text = (name: string, fruit: string) =>
      `${name}\nServes 8\n\n300 g ${fruit}\n100 g almonds\n\n1. Chop the almonds for 10 minutes.\n2. Soak the ${fruit} in hot water for 40 minutes.\n3. Grind them for 8 minutes.\n4. Chill it for 2 hours.\n5. Cut it into slices, 15 minutes.`;
    const sweets = await Promise.all(
      ["dates", "figs"].map(async (fruit) => {
        const title = `Slices of ${fruit}`;
        const { id } = (await send(session.app.address, "POST", "/api/recipes", { text: text(title, fruit) })).json as { readonly id: string };
        return { id: fruit, recipe: id, version: null, title, label: null, servings: 8, takeHome: 0, before: 0 };
      }),
    );
    const path = await planned({ sweets });
    await session.goto(path);
    // Both are cut at the end by one pair of hands, which the longest way does not know.
    await page.getByText("before is not proven").waitFor();
    await button("Look for a later start").click();
    await page.getByText(/No plan with as little in two hands and as fresh could begin later/).waitFor({ timeout: 30_000 });
    expect(await axe(page)).toEqual([]);
    await page.getByRole("status").getByText("Saved").waitFor();
    await expect
      .poll(async () => {
        await session.goto(path);
        return page.getByText(/as fresh could begin later/).count();
      })
      .toBe(1);
  });
  it("moves by itself where it is cooked and something has not begun, and says so", async () => {
    const page = await session.open(DESK);
    // Now is eight hours before it is served, by the browser's own clock.
    const served = new Date(`${dayIn(2)}T18:30:00+01:00`).getTime();
    await page.clock.install({ time: served - 8 * 3_600_000 });
    await session.goto(await planned({ timeZone: "Etc/GMT-1", quiet: null }));
    const bar = (step: string) => page.getByRole("button", { name: new RegExp(`Prune rolls: ${step}`) });
    await bar("Roast").waitFor();
    const minuteOf = async (step: string) => {
      const clock = (await bar(step).getAttribute("aria-label"))?.slice(0, 5) ?? "";
      return (Date.parse(`${dayIn(2)}T${clock}:00+01:00`) - served) / 60_000;
    };
    const [soak, roast] = [await minuteOf("Soak"), await minuteOf("Roast")];
    // The first is done; the other should be done by now, and nobody has ticked it off.
    const [first, other] = soak < roast ? (["Soak", "Roast"] as const) : (["Roast", "Soak"] as const);
    await page.getByRole("checkbox", { name: new RegExp(first) }).click();
    const before = Math.max(soak, roast);
    const now = before + (other === "Roast" ? 6 : 30) + 8;
    await page.clock.fastForward(60_000 * (8 * 60 + now));
    await page
      .getByRole("status")
      .getByText(/^Moved at .* was behind the plan/)
      .waitFor();
    await expect.poll(() => minuteOf(other)).toBeGreaterThanOrEqual(now - 1);
    // What is late whatever is done is said, and planned for when it can be ready.
    await page
      .getByRole("status", { name: "At risk" })
      .getByText(/is ready at .* late/)
      .waitFor();
    expect(await axe(page)).toEqual([]);
    expect(await overflow(page)).toBeLessThanOrEqual(0);
  });
  it("names what clashes, and a press makes it fit", async () => {
    await session.open(DESK);
    const { page } = session;
    await session.goto(`${await planned({})}/setup`);
    await page.getByLabel(/^burners,/).fill("0");
    await page
      .getByRole("alert")
      .getByText(/There is no burner/)
      .waitFor();
    await page.getByLabel(/^burners,/).fill("1");
    await page.getByRole("checkbox", { name: "Cooking begins no sooner than" }).click();
    await page.getByLabel("hour", { exact: true }).fill("17:00");
    await page.getByRole("status").getByText("Saved").waitFor();
    await page.getByRole("link", { name: "Timeline", exact: true }).click();
    const clash = page.getByRole("alert", { name: "What clashes" });
    await clash
      .getByText(/finds no place/)
      .first()
      .waitFor();
    await clash
      .getByRole("button", { name: /Serve at|Begin at/ })
      .first()
      .click();
    await clash.waitFor({ state: "detached" });
    await page
      .getByRole("button", { name: /Prune rolls: Chill it|Prune rolls: Roll it/ })
      .first()
      .waitFor();
  });
  it("is a list by the clock and a shopping list on a phone; ticks made while the network is away arrive, over a reload too", async () => {
    const path = await planned({});
    await session.open(PHONE);
    const { page } = session;
    await session.goto(path);
    await page
      .getByRole("heading", { name: /^(?:Now|Next)$/ })
      .first()
      .waitFor();
    expect(await axe(page)).toEqual([]);
    expect(await overflow(page)).toBeLessThanOrEqual(0);
    await page.getByRole("link", { name: "Shopping", exact: true }).tap();
    await page.waitForURL(/shopping$/);
    const prunes = page.getByRole("checkbox", { name: /Prunes/i });
    await prunes.waitFor();
    await page.context().setOffline(true);
    await prunes.check();
    await page.getByText(/1 tick waits for the network/).waitFor();
    await page.context().setOffline(false);
    await page.getByText(/tick waits/).waitFor({ state: "detached", timeout: 15_000 });
    await page.reload();
    await expect.poll(() => page.getByRole("checkbox", { name: /Prunes/i }).isChecked()).toBe(true);
    expect(await axe(page)).toEqual([]);
    expect(await overflow(page)).toBeLessThanOrEqual(0);
  });
});
