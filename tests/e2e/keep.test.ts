import { readFile, writeFile } from "node:fs/promises";
import { join } from "node:path";
import { describe, expect, it } from "vitest";
import { newFolder, removeFolder, send } from "../support/app";
import { axe, overflow } from "../support/browser";
import { DESK, PHONE, startSession } from "../support/session";

const session = startSession();

/** A batch that was done just now, of a recipe of our own. */
async function cooked(text: string, grams: number | null = 820): Promise<string> {
  const { address } = session.app;
  const recipe = (await send(address, "POST", "/api/recipes", { text })).json as { readonly id: string };
  const { id } = (await send(address, "POST", "/api/batches", { recipeId: recipe.id, versionId: null })).json as { readonly id: string };
  const at = Date.now() - 1_800_000;
  const events = [
    { id: "a", at, kind: "started" },
    { id: "b", at: at + 1_700_000, kind: "ended", grams },
  ];
  expect((await send(address, "POST", `/api/batches/${id}/events`, { events })).status).toBe(200);
  return id;
}
const KHEER =
  "Millet kheer\nServes 4\n\n900 ml oat drink\n70 g foxtail millet\n60 g jaggery\n20 g pistachios\n\n1. Simmer the millet in the oat drink for 30 minutes.\n2. Stir in the jaggery off the heat, and the pistachios.";
/** Sizes of the pages of a PDF, mm. */
const pagesOf = (pdf: Buffer) =>
  [...pdf.toString("latin1").matchAll(/\/MediaBox ?\[0 0 ([\d.]+) ([\d.]+)\]/g)].map(([, wide, high]) => [
    Math.round((Number(wide) * 25.4) / 72),
    Math.round((Number(high) * 25.4) / 72),
  ]);

describe("a batch that is kept", () => {
  it("says how long and why, sets boxes aside, puts by what is left, on a phone", async () => {
    await session.open(PHONE);
    const { page, button } = session;
    const batch = await cooked(KHEER);
    await session.goto(`/batches/${batch}`);
    await session.link("Boxes, label, what is left").tap();
    await page.getByRole("heading", { name: "How long it keeps" }).waitFor();
    await page.getByRole("row", { name: /In the fridge.*3 days/ }).waitFor();
    await page.getByText(/Not closed off from air in the room/).waitFor();
    expect(await axe(page)).toEqual([]);
    expect(await overflow(page)).toBeLessThanOrEqual(0);

    const boxes = page.getByRole("region", { name: "Who gets which box" });
    await boxes.getByRole("button", { name: "Set aside", exact: true }).tap();
    await boxes.getByRole("alert").getByText("Say for whom the box is.").waitFor();
    await boxes.getByLabel("a box for").fill("the neighbour");
    await boxes.getByLabel("g, if weighed").fill("lots");
    await boxes.getByRole("button", { name: "Set aside", exact: true }).tap();
    await boxes
      .getByRole("alert")
      .getByText(/Only digits/)
      .waitFor();
    await boxes.getByLabel("g, if weighed").fill("150");
    await boxes.getByLabel("g sugar beside").fill("5");
    await boxes.getByRole("button", { name: "Set aside", exact: true }).tap();
    await boxes
      .getByRole("list", { name: "Set aside" })
      .getByText(/with 5 g sugar/)
      .waitFor();

    const by = page.getByRole("region", { name: "Put by" });
    await by.getByLabel("last day").fill("2099-01-01");
    await by.getByRole("button", { name: /^Put by/ }).tap();
    await by
      .getByRole("alert")
      .getByText(/3 days in the fridge at the most/)
      .waitFor();
    await by.getByLabel("where").selectOption("freezer");
    await by.getByLabel("g", { exact: true }).fill("300");
    await by.getByRole("button", { name: /^Put by/ }).tap();
    await by
      .getByRole("list", { name: "In stock" })
      .getByText(/in the freezer, until/)
      .waitFor();
    await page.reload();
    await page.getByRole("list", { name: "In stock" }).getByText("300 g", { exact: true }).waitFor();
    await button(/^Take back 300 g/).tap();
    await page.getByRole("list", { name: "In stock" }).waitFor({ state: "detached" });
  });

  it("has labels of three sizes on paper of their own: nothing that can hurt is left out, and what does not fit is not printed", async () => {
    await session.open(DESK);
    const { page } = session;
    const batch = await cooked(KHEER);
    await session.goto(`/batches/${batch}/label?size=a6`);
    await page
      .getByRole("article", { name: "Label of Millet kheer" })
      .getByText(/Use by/)
      .waitFor();
    expect(await axe(page)).toEqual([]);
    const label = page.getByRole("article", { name: "Label of Millet kheer" });
    expect(await label.locator("strong").allInnerTexts()).toEqual(expect.arrayContaining(["nuts (pistachio), gluten (oats)"]));
    expect(pagesOf(await page.pdf({ preferCSSPageSize: true }))).toEqual([[105, 148]]);
    await page.getByLabel("nutrition by the rules of").selectOption("us");
    await label.getByRole("row", { name: /^Calories/ }).waitFor();
    await page.getByLabel("kept").selectOption("cupboard");
    await page.getByRole("alert").filter({ hasText: "2 hours" }).waitFor();
    expect(await session.button("Print").count()).toBe(0);
    await page.getByLabel("kept").selectOption("fridge");
    await page.getByLabel("size").selectOption("round");
    await page
      .getByRole("article", { name: /^Round label/ })
      .getByText(/May contain|Contains/)
      .first()
      .waitFor();
    expect(pagesOf(await page.pdf({ preferCSSPageSize: true }))).toEqual([[210, 297]]);
    await page.getByLabel("size").selectOption("sheet");
    expect(await page.getByRole("article").count()).toBe(18);
    expect(pagesOf(await page.pdf({ preferCSSPageSize: true }))).toEqual([[210, 297]]);

    // A hundred ingredients, a third of them unread: the round label says that it has no room, the A6 goes on on more.
    const foods = [
      "almonds",
      "cashews",
      "pistachios",
      "walnuts",
      "hazelnuts",
      "sesame seeds",
      "semolina",
      "oat flour",
      "milk",
      "egg",
      "tofu",
      "peanuts",
      "ghee",
      "dates",
    ];
    const many = Array.from({ length: 100 }, (_, i) =>
      i < foods.length ? `${20 + i} g ${foods[i]}` : i % 3 === 0 ? `some of the ${i}th thing that the aunt dried in her shed` : `${10 + i} g sugar`,
    );
    const long = await cooked(`A hundred things\nServes 8\n\n${many.join("\n")}\n\n1. Mix everything and shape into balls.`);
    await session.goto(`/batches/${long}/label?size=round`);
    await page.getByRole("alert").filter({ hasText: "does not fit a round label" }).waitFor();
    expect(await session.button("Print").count()).toBe(0);
    await page.getByLabel("size").selectOption("a6");
    await page.getByText(/Not known what is in:.*the 15th thing/).waitFor();
    const printed = await page.getByRole("article").innerText();
    expect(many.filter((line) => line.includes("aunt") && !printed.includes(line))).toEqual([]);
    const pages = pagesOf(await page.pdf({ preferCSSPageSize: true }));
    expect(pages.length).toBeGreaterThan(1);
    expect(new Set(pages.map(String))).toEqual(new Set(["105,148"]));
  });

  it("goes out as one page that runs nothing, and comes back as the recipe that it was", async () => {
    await session.open({ ...DESK, acceptDownloads: true });
    const { page, button } = session;
    const batch = await cooked(KHEER);
    await session.goto(`/batches/${batch}/keep`);
    await button("Look at it, and send").click();
    await page.frameLocator("iframe").getByRole("heading", { name: "Millet kheer" }).waitFor();
    expect(await axe(page)).toEqual([]);
    const [saved] = await Promise.all([page.waitForEvent("download"), button("Save the page").click()]);
    const folder = newFolder();
    const file = join(folder, "kheer.html");
    await writeFile(file, await readFile(await saved.path()));
    const context = await session.browser.newContext({ javaScriptEnabled: false, offline: true });
    try {
      const alone = await context.newPage();
      const asked: string[] = [];
      alone.on("request", (request) => asked.push(request.url()));
      await alone.goto(`file://${file}`);
      expect(asked).toEqual([`file://${file}`]);
      expect(await alone.getByRole("heading", { level: 1 }).innerText()).toBe("Millet kheer");
      expect(await alone.locator("svg").count()).toBeGreaterThanOrEqual(3);
      expect(
        await alone
          .getByText(/foxtail millet/)
          .first()
          .isVisible(),
      ).toBe(true);
      expect(await alone.locator("body").innerText()).not.toMatch(/Grandmother|Niece|threpsis-recipes/);
    } finally {
      await context.close();
    }
    await session.goto("/recipes/new");
    await page.setInputFiles("input[type=file]", file);
    await button(/^Keep/).click();
    await page.waitForURL(/\/recipes\/[^/]+\/recipe$/);
    await page.getByRole("heading", { name: "Millet kheer" }).waitFor();
    removeFolder(folder);
  });

  it("has a card for who cooks it next, and a kept version is kept and labelled before it is cooked", async () => {
    await session.open(DESK);
    const { page } = session;
    await session.goto(`/batches/${await cooked(KHEER)}/card`);
    await page.getByRole("heading", { name: "Aim at" }).waitFor();
    await page.getByText("820 g", { exact: true }).waitFor();
    expect(await axe(page)).toEqual([]);
    const { address } = session.app;
    const [first] = [...(await (await fetch(`${address}/versions`)).text()).matchAll(/\/versions\/([0-9a-f-]{36})/g)];
    if (first) {
      await session.goto(`/versions/${first[1]}/keep`);
      await page.getByText(/not cooked yet/).waitFor();
      expect(await axe(page)).toEqual([]);
    }
  });
});
