import { beforeEach, describe, expect, it } from "vitest";
import { save, send } from "../support/app";
import { axe, overflow } from "../support/browser";
import { DESK, heard, PHONE, startSession } from "../support/session";

const session = startSession();
const { button, goto, link } = session;
const heading = (name: string | RegExp) => session.page.getByRole("heading", { level: 1, name });
const press = (...keys: string[]) => keys.reduce((before, key) => before.then(() => session.page.keyboard.press(key)), Promise.resolve());
const focused = () =>
  session.page.evaluate(() => {
    const at = document.activeElement;
    return at ? (at.getAttribute("aria-label") ?? at.textContent).replace(/\s+/g, " ").trim() : "";
  });

/** Presses keys until they have led there: a page that is not awake yet does not hear them. Once more only where they led nowhere for a while. */
async function pressTo(keys: readonly string[], there: () => Promise<unknown>): Promise<void> {
  for (let i = 0; i < 3; i++) {
    await press(...keys);
    if (await there().then(Boolean, () => false)) return;
  }
  throw new Error(`${keys.join(" ")} led nowhere`);
}

/** Walks by Tab until what has the focus is called so; says what was passed where it never comes. */
async function tabTo(name: RegExp): Promise<void> {
  const passed: string[] = [];
  for (let i = 0; i < 200; i++) {
    await press("Tab");
    const at = await focused();
    if (name.test(at)) return;
    passed.push(at.slice(0, 30));
  }
  throw new Error(`${name} cannot be reached by Tab: ${passed.join(" | ")}`);
}

describe("a newcomer with the keyboard alone", () => {
  it("finds every place by Tab, and goes back and forward among them", async () => {
    await goto("/");
    await press("Tab");
    expect(await focused()).toBe("Skip to the page");
    for (const [place, title] of [
      [/^Recipes/, "Recipes"],
      [/^Pantry/, "Pantry"],
      [/^Household/, "Household"],
      [/^Kitchen/, "Kitchen"],
    ] as const) {
      await tabTo(place);
      await press("Enter");
      await heading(title).waitFor();
    }
    await session.page.goBack();
    await heading("Household").waitFor();
    await session.page.goForward();
    await heading("Kitchen").waitFor();
  });

  it("goes by single keys, which the help sheet tells and can turn off", async () => {
    await goto("/");
    await link(/^Kitchen/).waitFor();
    await pressTo(["g", "p"], () =>
      heading("Pantry")
        .waitFor({ timeout: 4000 })
        .then(() => true),
    );
    await pressTo(["/"], () => session.page.waitForFunction(() => document.activeElement?.tagName === "INPUT", undefined, { timeout: 4000 }));
    await session.page.keyboard.type("gur");
    await link(/^Jaggery, cane/).waitFor();
    await expect.poll(() => new URL(session.page.url()).search).toBe("?search=gur");
    await session.page.getByRole("searchbox").or(session.page.getByLabel("Find a food by name")).blur();
    await press("g", "r");
    await heading("Recipes").waitFor();
    await press("n");
    await heading("Paste a recipe").waitFor();
    await goto("/recipes/demo-1/recipe");
    await link(/^Swap/).waitFor();
    await pressTo(["]"], () => session.page.waitForURL(/\/swap$/, { timeout: 4000 }).then(() => true));
    await press("?");
    const help = session.page.getByRole("dialog");
    await help.getByText("Station before, station after").waitFor();
    expect(await axe(session.page)).toEqual([]);
    await help.getByLabel("Single letters are keys").press("Space");
    await press("Escape");
    await help.waitFor({ state: "detached" });
    await press("g", "k");
    await session.page.waitForTimeout(300);
    expect(session.page.url()).toMatch(/\/swap$/);
  });

  it("deletes from a menu and takes it back, then later from the list of what was deleted", async () => {
    await goto("/recipes/new");
    await session.page.getByLabel("The recipe, as it is written").fill("Short lived\n1 cup milk");
    await press("Control+Enter");
    await session.page.waitForURL(/\/recipe$/);
    await goto("/recipes");
    const row = session.page.locator("main").getByRole("link", { name: /^Short lived/ });
    await row.waitFor();
    const more = button("More of Short lived");
    const choice = session.page.getByRole("menuitem", { name: "Delete" });
    await more.focus();
    await press("ArrowDown");
    await choice.waitFor();
    await press("Escape");
    await choice.waitFor({ state: "detached" });
    expect(await focused()).toBe("More of Short lived");
    const remove = async () => {
      await more.focus();
      await press("Enter");
      await choice.waitFor();
      expect(await axe(session.page)).toEqual([]);
      await press("End", "Enter");
      await row.waitFor({ state: "detached" });
    };
    await remove();
    await button("Undo").focus();
    await press("Enter");
    await row.waitFor();
    await remove();
    await goto("/recipes/deleted");
    await button(/Put it back: Short lived/).focus();
    await press("Enter");
    await session.page.getByText("Nothing was deleted").waitFor();
    await goto("/recipes");
    await row.waitFor();
  });
});

describe("a newcomer with one thumb", () => {
  beforeEach(async () => {
    await session.open(PHONE);
  });

  it("has every place, and help, under it on every page", async () => {
    for (const from of ["/", "/recipes", "/recipes/demo-1/table", "/recipes/demo-1/swap", "/pantry/jaggery", "/household"]) {
      await goto(from);
      for (const target of [link(/^Kitchen/), link(/^Recipes/), link(/^Pantry/), link(/^Household/), button("Help")]) {
        const box = await target.first().boundingBox();
        expect(box && box.height >= 44 && box.width >= 44 && box.y >= 780, `${from}: ${JSON.stringify(box)}`).toBe(true);
      }
    }
    await link(/^Pantry/).tap();
    await heading("Pantry").waitFor();
    await session.page.getByLabel("Find a food by name").fill("sugar");
    await session.page
      .locator("main")
      .getByRole("link", { name: /^Brown sugar/ })
      .tap();
    await heading("Brown sugar").waitFor();
    expect(await overflow(session.page)).toBeLessThanOrEqual(0);
    await button("Help").tap();
    await session.page.getByRole("dialog").getByRole("button", { name: "Close" }).tap();
    await link(/^Kitchen/).tap();
    await session.page
      .getByRole("link", { name: /Open the (table|bench|recipe)/ })
      .first()
      .tap();
    await session.page.waitForURL(/\/(table|swap|recipe)$/);
  });
});

describe("the bench under a thumb", () => {
  it("can be undone by button, and says that it is saved", async () => {
    await session.open(PHONE);
    await goto("/recipes/demo-2/swap");
    const sugar = session.page.getByLabel("Grams of Sugar for this table");
    const was = await sugar.inputValue();
    await expect.poll(async () => (await sugar.fill("77"), button("Undo").isEnabled())).toBe(true);
    await session.page.getByText("Saved", { exact: true }).filter({ visible: true }).waitFor();
    await button("Undo").tap();
    await expect.poll(() => sugar.inputValue()).toBe(was);
  });
});

describe("hand work on the bench", () => {
  const sugar = () => session.page.getByLabel("Grams of Sugar for this table");
  it("outlives another number of servings and back, is told what changed, and can be got back over reloads", async () => {
    const { address } = session.app;
    const text =
      "Sooji sweet\nServes 6\n160 g semolina\n100 g ghee\n150 g sugar\n600 ml water\n\nRoast the semolina in the ghee, add water and sugar, cook 10 minutes.";
    const { id } = (await send(address, "POST", "/api/recipes", { text })).json as { id: string };
    expect((await save(address, `/api/recipes/${id}/table`, { rules: ["vegan"], limits: [], servings: 6, serve: "hot" })).status).toBe(200);
    const saved = () => session.page.getByText("Saved", { exact: true }).filter({ visible: true }).first().waitFor();
    const open = async () => {
      await goto(`/recipes/${id}/swap`);
      await button(/^Closest/).waitFor();
    };
    const serve = async (servings: string) => {
      await goto(`/recipes/${id}/table`);
      await session.page.getByLabel("Servings for this table").fill(servings);
      await saved();
      await open();
    };
    await open();
    const proposed = await sugar().inputValue();
    await saved();
    await sugar().fill("77");
    await saved();
    await serve("7");
    await session.page.getByText("6 servings, now 7: every amount is scaled").waitFor();
    expect(Number(await sugar().inputValue())).toBeCloseTo((77 * 7) / 6, 0);
    await serve("6");
    expect(await sugar().inputValue()).toBe("77");
    await sugar().fill("50");
    await saved();
    await session.page.reload();
    await heard(session.page);
    expect(await sugar().inputValue()).toBe("50");
    await button("Undo").click();
    await expect.poll(() => sugar().inputValue()).toBe("77");
    await button("Undo").click();
    await expect.poll(() => sugar().inputValue()).toBe(proposed);
    await button("Redo").click();
    await expect.poll(() => sugar().inputValue()).toBe("77");
  }, 90_000);
});

describe("undo and redo", () => {
  it("take back every edit of a recipe, a table and the bench, by button and by key, and what is undone is saved", async () => {
    await goto("/recipes/demo-1/recipe");
    const saved = session.page.getByText("Saved", { exact: true });
    const servings = session.page.getByLabel("Servings it makes", { exact: true });
    await servings.fill("9");
    await saved.waitFor();
    await button("Remove the line").first().click();
    await session.page.getByText("1 cup fine semolina").waitFor({ state: "detached" });
    expect(await session.page.locator("[data-line]").count()).toBe(7);
    await button("Undo").click();
    expect(await session.page.locator("[data-line]").count()).toBe(8);
    await heading(/halwa/).click();
    await press("Control+z");
    expect(await servings.inputValue()).toBe("6");
    await press("Control+Shift+z");
    expect(await servings.inputValue()).toBe("9");
    await press("Control+z");
    await saved.waitFor();
    await session.page.reload();
    expect(await servings.inputValue()).toBe("6");

    await goto("/recipes/demo-1/table");
    const vegan = session.page.getByRole("checkbox", { name: /^Vegan/ });
    await session.page.getByText("Vegan", { exact: true }).click();
    expect(await vegan.isChecked()).toBe(true);
    await button("Undo").click();
    expect(await vegan.isChecked()).toBe(false);
    await button("Redo").click();
    expect(await vegan.isChecked()).toBe(true);
    await saved.waitFor();

    await goto("/recipes/demo-1/swap");
    await button(/^Closest/).waitFor();
    const coconut = session.page.getByLabel("Grams of Coconut oil for this table");
    const was = await coconut.inputValue();
    await coconut.fill("90");
    await heading(/halwa/).click();
    await press("Control+z");
    expect(await coconut.inputValue()).toBe(was);
    await button("Redo").click();
    expect(await coconut.inputValue()).toBe("90");
  });
});

describe("the household", () => {
  it("sets its measures and units for every page, refuses what no cup can be, and takes it back", async () => {
    await goto("/household");
    const cup = session.page.getByLabel("Cup, millilitres");
    await cup.fill("9999");
    await session.page.getByRole("alert").getByText("At most 500.").waitFor();
    await cup.fill("spoon");
    await session.page.getByRole("alert").getByText("Only digits").waitFor();
    await cup.fill("300");
    await session.page.getByText("kJ", { exact: true }).click();
    await session.page.getByText("°F", { exact: true }).click();
    await session.page.getByText("katori and spoons").click();
    await session.page.getByText("140 °F, 46 °F").waitFor();
    await session.page.getByText("Saved", { exact: true }).last().waitFor();
    await goto("/recipes/demo-1/recipe");
    // A recipe's cup is the household's: 300 ml of semolina.
    expect(Number(await session.page.getByLabel("Grams of Fine semolina").inputValue())).toBeGreaterThan(200);
    await session.page.getByRole("button", { name: /^Energy as handed down: [\d,]+ kJ/ }).waitFor();
    await goto("/recipes/demo-1/table");
    await session.page.getByText("hot, 140 °F").waitFor();
    await goto("/pantry/sugar");
    await session.page.getByRole("columnheader", { name: "katori 150 ml" }).waitFor();
    await session.page
      .getByText(/1,\d\d\d kJ/)
      .first()
      .waitFor();
    await goto("/household");
    await button("Back to the usual measures and units").click();
    expect(await cup.inputValue()).toBe("240");
    await button("Undo").last().click();
    expect(await cup.inputValue()).toBe("300");
    await button("Redo").last().click();
    await session.page.getByText("Saved", { exact: true }).last().waitFor();
    await session.page.reload();
    expect(await cup.inputValue()).toBe("240");
  });

  it("is light or dark by hand against the system's wish, over a reload, with axe silent", async () => {
    const ground = () => session.page.evaluate(() => getComputedStyle(document.body.parentElement as HTMLElement).backgroundColor);
    for (const [system, hand, colour] of [
      ["light", "dark", "rgb(14, 18, 48)"],
      ["dark", "light", "rgb(237, 242, 242)"],
    ] as const) {
      await session.open({ ...DESK, colorScheme: system });
      await goto("/household");
      const before = await ground();
      await session.page.getByText(hand, { exact: true }).click();
      expect(await ground()).toBe(colour);
      for (const place of ["/household", "/", "/recipes/demo-2/recipe"]) {
        await goto(place);
        expect(await ground(), place).toBe(colour);
        expect(await axe(session.page), `${hand} ${place}`).toEqual([]);
      }
      await goto("/household");
      await session.page.getByText("as the device").click();
      await session.page.reload();
      expect(await ground()).toBe(before);
    }
  });
});

describe("addresses of the pantry", () => {
  it("hold what was looked for, over a reload", async () => {
    await goto("/pantry?search=milk&family=drink");
    await session.page.reload();
    expect(await session.page.getByLabel("Find a food by name").inputValue()).toBe("milk");
    expect(await session.page.getByLabel("Family of foods").inputValue()).toBe("drink");
    await link(/^Coconut milk/)
      .first()
      .waitFor();
    expect(await session.page.getByText("Whole milk", { exact: true }).count()).toBe(0);
    await session.page.getByLabel("Find a food by name").fill("dragon scales");
    await session.page.getByText("No food of the tables is called “dragon scales”").waitFor();
    await goto("/pantry/dragon-scales");
    await session.page.getByText("There is nothing at this address").waitFor();
  });
});

describe("a food of one's own", () => {
  it("comes from a label with its mistakes told, is used in a recipe with its own weighing, and can be taken out and back", async () => {
    const field = (name: string) => session.page.getByRole("textbox", { name, exact: true });
    await goto("/pantry/new");
    await field("Energy").fill("1105");
    await field("Fat").fill("0.4");
    await field("Carbohydrate").fill("60");
    await field("sugars").fill("72");
    await field("Protein").fill("1,5");
    await field("Salt").fill("20x");
    await button("Put it in the pantry").click();
    await session.page.getByText("Give it a name.").waitFor();
    await session.page.getByText("Sugars are a part of the carbohydrate").waitFor();
    await session.page.getByText("Only digits, such as 12.5.").waitFor();
    await session.page.getByText("This looks like kJ, not kcal.").waitFor();
    expect(await axe(session.page)).toEqual([]);
    expect([await field("Salt").inputValue(), await field("sugars").inputValue()]).toEqual(["20x", "72"]);
    await field("Name, as your recipes call it").fill("Quince butter");
    await session.page.getByLabel("Unit of energy").selectOption("kJ");
    await field("sugars").fill("52");
    await field("Salt").fill("");
    await button("Put it in the pantry").click();
    await heading("Quince butter").waitFor();
    await session.page.waitForURL(/\/pantry\/own-quince-butter/);
    await heard(session.page);
    expect(await session.page.getByRole("row", { name: /Fibre together/ }).innerText()).toMatch(/not known/);
    await session.page.getByLabel("Measure").selectOption("tablespoon");
    await button("Read it from the scale").click();
    await session.page.getByLabel("On it lies, g").fill("21");
    await button("Take it").click();
    await session.page.getByText("weighed once").waitFor();
    expect(await axe(session.page)).toEqual([]);
    await session.page.getByText("Saved", { exact: true }).waitFor();

    await goto("/recipes/new");
    await session.page.getByLabel("The recipe, as it is written").fill("Quince pudding\nServes 4\n2 tbsp quince butter\n1 litre milk");
    await press("Control+Enter");
    await session.page.waitForURL(/\/recipe$/);
    const grams = session.page.getByLabel("Grams of Quince butter");
    expect(Number(await grams.inputValue())).toBeCloseTo(42, -1);
    await link("Nutrition in full, with claims").click();
    await heading("Quince pudding, nutrition").waitFor();
    expect(await session.page.getByRole("button", { name: /^Fibre/ }).innerText()).toMatch(/at least|not known/);
    await session.page.getByRole("button", { name: /^Energy/ }).click();
    await session.page.getByRole("heading", { name: "Energy: where it comes from" }).waitFor();
    expect(await axe(session.page)).toEqual([]);
    expect(await overflow(session.page)).toBeLessThanOrEqual(0);

    await goto("/pantry?search=quince");
    await link(/^Quince butter/).click();
    await link("Change it").click();
    await button("Take it out of the pantry").click();
    await session.page.getByRole("dialog").getByText("Read in Quince pudding").waitFor();
    await session.page.getByRole("dialog").getByRole("button", { name: "Take it out" }).click();
    await session.page.getByText("No food of the tables is called").or(heading("Pantry")).first().waitFor();
    await button("Undo").click();
    await goto("/pantry?search=quince");
    await link(/^Quince butter/).waitFor();
  }, 90_000);
});

describe("on paper", () => {
  it.each(["/", "/recipes", "/pantry?family=sweetener", "/pantry/jaggery", "/recipes/demo-1/recipe"])(
    "%s prints without what only a screen can use",
    async (place) => {
      await session.open({ ...DESK, colorScheme: "dark" });
      await goto(place);
      await session.page.emulateMedia({ media: "print", colorScheme: "dark" });
      expect(await session.page.getByRole("navigation", { name: "Places" }).isVisible()).toBe(false);
      expect(await session.page.evaluate(() => getComputedStyle(document.documentElement).backgroundColor)).toBe("rgb(255, 255, 255)");
      expect(await session.page.getByRole("heading", { level: 1 }).evaluate((at) => getComputedStyle(at).color)).toBe("rgb(22, 28, 68)");
    },
  );
});

/** Tokens of the marks by state, day and night. */
const COLOURS = {
  light: { inside: "161c44", "just inside": "6f5512", outside: "a0154a", free: "5a6183" },
  dark: { inside: "eef2f2", "just inside": "d9b45c", outside: "ff8fb1", free: "aab2d2" },
} as const;

describe("the sheet of beams, photographed", () => {
  it.each(["light", "dark"] as const)("shows every beam at its tilt, whole, in the colour of its state (%s)", async (colorScheme) => {
    await session.open({ viewport: { width: 1280, height: 1000 }, colorScheme, deviceScaleFactor: 2 });
    await goto("/sheet");
    await session.page.locator("[data-case]").first().waitFor();
    const photograph = (await session.page.screenshot({ fullPage: true })).toString("base64");
    const cases = await session.page.evaluate(async (png) => {
      const image = new Image();
      image.src = `data:image/png;base64,${png}`;
      await image.decode();
      const canvas = document.createElement("canvas");
      [canvas.width, canvas.height] = [image.width, image.height];
      const picture = canvas.getContext("2d");
      picture?.drawImage(image, 0, 0);
      const scale = image.width / document.documentElement.clientWidth;
      return [...document.querySelectorAll<HTMLElement>("[data-case]")].map((each) => {
        const svg = each.querySelector("svg:has([data-part])")?.getBoundingClientRect() ?? new DOMRect();
        const inside = [...each.querySelectorAll("svg [data-part]:not([data-part=beam]), svg circle")].every((part) => {
          const box = part.getBoundingClientRect();
          return box.left >= svg.left - 2 && box.right <= svg.right + 2 && box.top >= svg.top - 2 && box.bottom <= svg.bottom + 2;
        });
        const mound = each.querySelector("[data-part=mound]")?.getBoundingClientRect() ?? new DOMRect();
        const taken = picture?.getImageData(
          Math.round(mound.left * scale),
          Math.round((mound.top + window.scrollY) * scale),
          Math.round(mound.width * scale),
          Math.round(mound.height * scale),
        ).data;
        const pixels = new Set<string>();
        for (let i = 0; taken && i < taken.length; i += 4)
          pixels.add([...taken.slice(i, i + 3)].map((channel) => channel.toString(16).padStart(2, "0")).join(""));
        return {
          name: each.dataset.case ?? "",
          state: each.dataset.state ?? "",
          tilt: Number(each.dataset.tilt),
          drawn: Number(/rotate\(([-\d.]+)/.exec(each.querySelector("[data-part=beam]")?.getAttribute("transform") ?? "")?.[1]),
          inside,
          pixels: [...pixels],
        };
      });
    }, photograph);
    expect(cases.length).toBe(42);
    expect(new Set(cases.map(({ state }) => state))).toEqual(new Set(Object.keys(COLOURS.light)));
    for (const { name, state, tilt, drawn, inside, pixels } of cases) {
      expect(inside, `${name} is cut off`).toBe(true);
      expect(drawn, name).toBeCloseTo(tilt, 2);
      expect(Math.abs(tilt), name).toBeLessThanOrEqual(16);
      expect(pixels, name).toContain(COLOURS[colorScheme][state as keyof typeof COLOURS.light]);
    }
  });
});
