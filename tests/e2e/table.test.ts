import { describe, expect, it } from "vitest";
import { axe, overflow } from "../support/browser";
import { PHONE, startSession } from "../support/session";

const session = startSession();

describe("a table of six with four different needs", () => {
  it("is seated by ticks, tells whose each need is, and comes to a version or names the clash", async () => {
    const { page } = session;
    await session.goto("/recipes/demo-2/table");
    const tick = (name: RegExp) => page.getByRole("group", { name: "Who eats" }).getByRole("checkbox", { name });
    for (const who of [/^Grandmother/, /^Neighbour/, /^Niece/, /^Uncle/, /^Cousin/, /^Small child/]) await tick(who).check();
    await page.getByLabel("Servings of Small child").fill("0.5");
    await page
      .getByText(/Vegan \(Cousin\): .*is dairy/)
      .first()
      .waitFor();
    await page
      .getByText(/Ekadashi fast \(Neighbour\)/)
      .first()
      .waitFor();
    await page.getByText("For this table, 6 servings, served hot").waitFor();
    await page.getByText("for who sits here, 5.5 servings").click();
    await page.getByText("For this table, 5.5 servings, served hot").waitFor();
    await page.getByText("Saved", { exact: true }).filter({ visible: true }).first().waitFor();
    expect(await axe(page)).toEqual([]);
    await session.goto("/recipes/demo-2/swap");
    await page
      .getByRole("button", { name: /^Closest/ })
      .or(page.getByText("No version fits this table"))
      .first()
      .waitFor({ timeout: 30_000 });
    await session.goto("/recipes/demo-2/table");
    await tick(/^Neighbour/).uncheck();
    await page
      .getByText(/Ekadashi fast \(Neighbour\)/)
      .first()
      .waitFor({ state: "detached" });
  }, 90_000);
  it("is told when an eater leaves out other things by now", async () => {
    const { page } = session;
    await session.goto("/recipes/demo-5/table");
    await page.getByRole("checkbox", { name: /^Grandmother/ }).check();
    await page.getByText("Saved", { exact: true }).filter({ visible: true }).first().waitFor();
    await session.goto("/household");
    const eaters = page.getByRole("region", { name: "Who eats" });
    await eaters.getByRole("button", { name: "Change" }).first().click();
    await eaters.getByRole("checkbox", { name: /^sesame$/ }).check();
    await eaters.getByLabel("Name or role").nth(1).fill("Grandmother");
    await eaters.getByText(/Somebody is called so already/).waitFor();
    await eaters.getByLabel("Name or role").nth(1).fill("Neighbour");
    await eaters.getByText("Saved", { exact: true }).filter({ visible: true }).first().waitFor();
    expect(await axe(page)).toEqual([]);
    await session.goto("/recipes/demo-5/table");
    await page.getByText("Grandmother leaves out other things by now.").waitFor();
    await session.button("Take it over").click();
    await page.getByText("Grandmother leaves out other things by now.").waitFor({ state: "detached" });
  });
});

describe("what was worked out for a table", () => {
  it("is there again at once, with nothing solved, until something that it rests on changes", async () => {
    const { page } = session;
    await session.goto("/recipes/demo-1/table");
    await page.getByText("Vegan", { exact: true }).first().click();
    await page.getByText("Saved", { exact: true }).filter({ visible: true }).first().waitFor();
    const solved: string[] = [];
    page.on("request", (request) => {
      if (/highs.*\.wasm/.test(request.url())) solved.push(request.url());
    });
    const closest = session.button(/^Closest/);
    const kept = page.waitForResponse((response) => response.url().endsWith("/proposals") && response.request().method() === "PUT");
    await session.goto("/recipes/demo-1/swap");
    await closest.waitFor();
    expect((await kept).status()).toBe(204);
    expect(solved.length).toBe(1);
    await page.locator('[aria-label="The ledger"][aria-busy="false"]').waitFor();
    const told = await page.getByRole("region", { name: "The ledger" }).textContent();

    await session.goto("/recipes/demo-1/swap");
    await closest.waitFor();
    expect(await page.getByRole("region", { name: "The ledger" }).textContent()).toBe(told);
    await page.waitForLoadState("networkidle");
    expect(solved.length).toBe(1);

    await session.goto("/recipes/demo-1/table");
    await page.getByText("All tree nuts", { exact: true }).first().click();
    await page.getByText("Saved", { exact: true }).filter({ visible: true }).first().waitFor();
    await session.goto("/recipes/demo-1/swap");
    await closest.or(page.getByText("No version fits this table")).first().waitFor();
    await expect.poll(() => solved.length).toBe(2);
  });
});

describe("the table of a fasting day", () => {
  it("takes a day and what falls on it, keeps a fast in its school, and says where the hour breaks it", async () => {
    const { page } = session;
    await session.goto("/recipes/demo-1/table");
    await page.getByLabel("Served on").fill("2026-11-27");
    await page
      .getByText(/moonrise 20:25/)
      .first()
      .waitFor();
    await page.getByLabel("at", { exact: true }).fill("19:00");
    await page.getByText(/ends with moonrise, at 20:25. Serve after it./).waitFor();
    await page.getByLabel("at", { exact: true }).fill("20:40");
    await page.getByText(/Serve after it/).waitFor({ state: "detached" });
    await page.getByRole("checkbox", { name: /^Ekadashi fast/ }).check();
    await page.getByText(/Ekadashi fast: Fine semolina: is a grain/).waitFor();
    await page.getByLabel("School of Ekadashi fast").selectOption("ekadashi/nirjala");
    await page
      .getByText(/nothing is taken on this fast/)
      .first()
      .waitFor();
    await session.button("Undo").first().click();
    await page
      .getByText(/nothing is taken on this fast/)
      .first()
      .waitFor({ state: "detached" });
    expect(await axe(page)).toEqual([]);
  });
  it("asks for a place first, on a phone, and tells what is wrong with one", async () => {
    await session.open(PHONE);
    const { page } = session;
    await session.goto("/household");
    await page.getByLabel("Latitude").fill("ninety");
    await page.getByText("Degrees, such as 21.5; south is below 0.").waitFor();
    await page.getByLabel("Latitude").fill("-36.85");
    await page.getByLabel("Time zone", { exact: true }).fill("Pacific/Auckland");
    await page.getByText("Saved", { exact: true }).filter({ visible: true }).first().waitFor();
    await session.button("No place").tap();
    await page.getByText("Saved", { exact: true }).filter({ visible: true }).first().waitFor();
    await session.goto("/recipes/demo-1/table");
    await page.getByRole("link", { name: "Say where you are" }).waitFor();
    expect(await overflow(page)).toBeLessThanOrEqual(0);
  });
});
