import { readFileSync, writeFileSync } from "node:fs";
import { createServer, type Server } from "node:http";
import { join } from "node:path";
import type { Page } from "playwright-core";
import { afterEach, describe, expect, it } from "vitest";
import { newFolder, removeFolder, startApp } from "../support/app";
import { axe } from "../support/browser";
import { heard, startSession } from "../support/session";

const session = startSession();
const { button, goto } = session;
/** Opens a page and waits until it is awake: what comes before cannot be told to it. */
const at = (page: Page, path: string) => page.goto(`${session.app.address}${path}`, { waitUntil: "networkidle" });
const title = (page: Page) => page.getByLabel("Title");
const saved = (page: Page) => page.getByText("Saved", { exact: true }).waitFor();
const RECIPE = "/recipes/demo-2/recipe";

/** Opens a page whose code waits until it is let come, and then until it hears. */
async function beforeItHears(path: string): Promise<() => Promise<void>> {
  let release: () => void = () => undefined;
  const held = new Promise<void>((resolve) => (release = resolve));
  await session.page.route("**/*.js", async (route) => {
    await held;
    await route.continue();
  });
  await session.page.goto(`${session.app.address}${path}`, { waitUntil: "domcontentloaded" });
  return async () => {
    release();
    await heard(session.page);
  };
}

describe("what is done before the page hears", () => {
  it("stays where it was typed, and does no half of a thing where it was pressed", async () => {
    const hear = await beforeItHears("/recipes/demo-1/table");
    const vegan = session.page.getByRole("checkbox", { name: /^Vegan/ });
    const before = await vegan.isChecked();
    const servings = session.page.getByLabel("Servings for this table");
    const other = String(Number(await servings.inputValue()) + 1);
    await session.page.getByText("Vegan", { exact: true }).click();
    await servings.fill("7");
    await servings.fill(other);
    await hear();
    await saved(session.page);
    expect(await servings.inputValue()).toBe(other);
    expect(await vegan.isChecked()).toBe(before);
    await goto("/recipes/demo-1/table");
    expect(await servings.inputValue()).toBe(other);
    expect(await vegan.isChecked()).toBe(before);
  });
  it("stays in every field that somebody typed into, and not where the browser put something back", async () => {
    const hear = await beforeItHears("/recipes/demo-3/recipe");
    const line = session.page.getByLabel("Ingredient line, as written");
    const second = await line.nth(1).inputValue();
    await title(session.page).fill("Typed before");
    await line.first().fill("120 g semolina");
    await line.nth(1).evaluate((field: HTMLInputElement) => (field.value = "900 g put back by the browser"));
    await hear();
    await saved(session.page);
    expect(await line.nth(1).inputValue()).toBe(second);
    await goto("/recipes/demo-3/recipe");
    expect(await title(session.page).inputValue()).toBe("Typed before");
    expect(await line.first().inputValue()).toBe("120 g semolina");
    expect(await line.nth(1).inputValue()).toBe(second);
  });
});

describe("what is not saved yet", () => {
  it("survives a reload while the server does not answer, comes back as an edit, and is saved when it does", async () => {
    await goto(RECIPE);
    await session.page.route("**/api/recipes/**", (route) => route.abort());
    await title(session.page).fill("Phirni of the reload");
    await session.page.getByRole("alert").getByText("Not saved").waitFor();
    await session.page.reload();
    await expect.poll(() => title(session.page).inputValue(), { timeout: 15_000 }).toBe("Phirni of the reload");
    await session.page.getByText("What was not saved here last time is back.").waitFor();
    await button("Undo").click();
    expect(await title(session.page).inputValue()).toBe("Saffron phirni of ground rice");
    await button("Redo").click();
    await session.page.unroute("**/api/recipes/**");
    // The last edit is on its way already, or waits for the button.
    const again = button("Try again");
    if (await again.isVisible()) await again.click();
    await saved(session.page);
    const other = await session.another();
    await at(other, RECIPE);
    expect(await title(other).inputValue()).toBe("Phirni of the reload");
  });

  it("is sent by itself once the server answers again, with a word that it was", async () => {
    await goto(RECIPE);
    await session.quiet();
    await session.app.stop();
    const name = `Phirni of ${Date.now()}`;
    await title(session.page).fill(name);
    await session.page.getByRole("alert").getByText("Not saved").waitFor();
    session.app = await startApp(session.app.folder, { port: Number(new URL(session.app.address).port) });
    await session.page.getByText("Saved: what had waited was sent by itself.").waitFor();
    await saved(session.page);
    await session.page.reload();
    expect(await title(session.page).inputValue()).toBe(name);
  });

  it("is sent again where the server took it without an answer, and is not in its own way", async () => {
    await goto(RECIPE);
    await session.quiet();
    process.kill(session.app.pid, "SIGSTOP");
    const name = `Phirni of ${Date.now()}`;
    await title(session.page).fill(name);
    await session.page.getByRole("alert").getByText("Threpsis does not answer").waitFor();
    process.kill(session.app.pid, "SIGCONT");
    await session.page.getByText("Saved: what had waited was sent by itself.").waitFor();
    await saved(session.page);
    expect(await session.page.getByText("Changed in another window").count()).toBe(0);
    await session.page.reload();
    expect(await title(session.page).inputValue()).toBe(name);
  });

  it("of two windows is kept apart: both closed unsaved, one comes back and the other is offered", async () => {
    const browser = session.page.context();
    await browser.route("**/api/recipes/**", (route) => route.abort());
    // As a window that crashes: one that is closed sends once more, past what stands in its way here.
    await browser.addInitScript(() => {
      for (const leaving of ["pagehide", "visibilitychange"]) addEventListener(leaving, (event) => event.stopImmediatePropagation(), true);
    });
    const [first, second] = [await session.beside(), await session.beside()];
    for (const [window, name] of [
      [first, "Named in the first"],
      [second, "Named in the second"],
    ] as const) {
      await at(window, "/recipes/demo-5/recipe");
      await title(window).fill(name);
      await window.getByRole("alert").getByText("Not saved").waitFor();
    }
    await first.close();
    await second.close();
    await goto("/recipes/demo-5/recipe");
    await session.page.getByText("What was not saved here last time is back.").waitFor();
    const back = await title(session.page).inputValue();
    expect(["Named in the first", "Named in the second"]).toContain(back);
    await session.page.getByText("There is another state of this that was not saved").waitFor();
    await button("Show it").click();
    expect([back, await title(session.page).inputValue()].sort()).toEqual(["Named in the first", "Named in the second"]);
    await browser.unroute("**/api/recipes/**");
    await session.page.getByText("Saved: what had waited was sent by itself.").waitFor({ timeout: 60_000 });
  });

  it("is seen on another page of the recipe, though that is asked for by its address at once", async () => {
    await goto("/recipes/demo-4/recipe");
    const name = `Sweet of ${Date.now()}`;
    await title(session.page).fill(name);
    await goto("/recipes/demo-4/table");
    await session.page.getByRole("heading", { name }).waitFor();
  });

  it("is seen on a page that was asked for before the save was heard of, and put together before it was done", async () => {
    await goto("/recipes/demo-6/recipe");
    const name = `Late sweet of ${Date.now()}`;
    // The save waits until the next page has been put together; that one comes once the save was answered.
    let answered: () => void = () => undefined;
    let put: () => void = () => undefined;
    const isAnswered = new Promise<void>((resolve) => (answered = resolve));
    const isPut = new Promise<void>((resolve) => (put = resolve));
    await session.page.route("**/api/recipes/**", async (route) => {
      await isPut;
      await route.fulfill({ response: await route.fetch() });
      setTimeout(answered, 300);
    });
    await session.page.route("**/recipes/demo-6/table", async (route) => {
      const old = await route.fetch();
      put();
      await isAnswered;
      await route.fulfill({ response: old });
    });
    const sent = session.page.waitForRequest((request) => request.method() === "PUT");
    await title(session.page).fill(name);
    await sent;
    await session.page.goto(`${session.app.address}/recipes/demo-6/table`);
    await session.page.getByRole("heading", { name }).waitFor();
    await session.page.unroute("**/api/recipes/**");
    await session.page.unroute("**/recipes/demo-6/table");
  });

  it("is told of on other pages too, and a link waits for what was typed", async () => {
    await goto(RECIPE);
    await title(session.page).fill("Phirni on the way");
    await session.page.getByRole("link", { name: /^Recipes/ }).click();
    await session.page
      .locator("main")
      .getByRole("link", { name: /^Phirni on the way/ })
      .first()
      .waitFor();
  });
});

describe("what has to be known of the data", () => {
  it("stands above every page until it is read", async () => {
    writeFileSync(
      join(session.app.folder, "notices.json"),
      JSON.stringify([{ id: 1, at: new Date().toISOString(), text: "The journal was emptied; the database counts.", read: false }]),
    );
    await goto("/recipes");
    const told = session.page.getByRole("region", { name: "About your data" });
    await told.getByText("The journal was emptied").waitFor();
    expect(await axe(session.page)).toEqual([]);
    await told.getByRole("button", { name: "I have read it" }).click();
    await told.waitFor({ state: "detached" });
    await goto("/pantry");
    expect(await session.page.getByText("The journal was emptied").count()).toBe(0);
  });
});

describe("a text that is hostile", () => {
  it("does not stop the page: typing goes on, and it can be kept", async () => {
    await goto("/recipes/new");
    const field = session.page.getByLabel("The recipe, as it is written");
    await field.fill(`Odd sweet\n${"-".repeat(40)}\n1 cup ${"a".repeat(28)}!\n1 cup sugar\n${"1".repeat(40)}`);
    await session.page.getByRole("region", { name: "Understood so far" }).getByText("will be asked about").waitFor();
    await field.press("End");
    await session.page.keyboard.type("2");
    await button("Read it").click();
    await session.page.getByRole("heading", { name: "Odd sweet" }).waitFor();
  });
});

describe("two windows on one recipe", () => {
  it("of one browser: the other is told at once, and shows it when asked", async () => {
    await goto(RECIPE);
    const other = await session.beside();
    await at(other, RECIPE);
    await title(session.page).fill("Named in the first window");
    await saved(session.page);
    await other.getByText("Changed in another window.").waitFor();
    expect(await title(other).inputValue()).not.toBe("Named in the first window");
    await other.getByRole("button", { name: "Show it" }).click();
    expect(await title(other).inputValue()).toBe("Named in the first window");
    await other.close();
  });

  it("of two devices: the second is told what it would overwrite, and chooses", async () => {
    await goto(RECIPE);
    const other = await session.another();
    await at(other, RECIPE);
    await title(session.page).fill("Mine");
    await saved(session.page);
    await title(other).fill("Theirs");
    await other.getByRole("alert").getByText("Changed in another window too. Nothing was overwritten.").waitFor();
    expect(await axe(other)).toEqual([]);
    expect(await title(other).inputValue()).toBe("Theirs");
    const third = await session.another();
    await at(third, RECIPE);
    expect(await title(third).inputValue()).toBe("Mine");
    await other.getByRole("button", { name: "Keep mine" }).click();
    await saved(other);
    await third.reload();
    expect(await title(third).inputValue()).toBe("Theirs");
    // The first window has the older one: it is told in its turn, takes the newer, and can take that back.
    await title(session.page).fill("Mine again");
    await button("Take theirs").click();
    expect(await title(session.page).inputValue()).toBe("Theirs");
    await button("Undo").click();
    expect(await title(session.page).inputValue()).toBe("Mine again");
    await saved(session.page);
    await third.reload();
    expect(await title(third).inputValue()).toBe("Mine again");
  });
});

describe("two devices at one pantry", () => {
  it("change different things of it at once: both are kept without a question, and an undo leaves the other's", async () => {
    const price = (page: Page) => page.getByLabel("Price of fine semolina", { exact: true });
    await goto("/pantry/semolina");
    const other = await session.another();
    await at(other, "/pantry/jaggery");
    await price(session.page).fill("77");
    await saved(session.page);
    await other.getByRole("textbox", { name: /^Price of/ }).fill("88");
    const third = await session.another();
    const kept = async (food: string) => {
      await at(third, `/pantry/${food}`);
      return third.getByRole("textbox", { name: /^Price of/ }).inputValue();
    };
    await expect.poll(() => kept("jaggery")).toBe("88");
    expect(await kept("semolina")).toBe("77");
    expect(await other.getByText("Changed in another window too").count()).toBe(0);
    // What came from the first lies beneath every step of the second: taking its own back leaves that.
    await other.getByRole("button", { name: "Undo" }).first().click();
    await expect.poll(() => kept("jaggery")).not.toBe("88");
    expect(await kept("semolina")).toBe("77");
  });
  it("change the same thing: the second is asked", async () => {
    const price = (page: Page) => page.getByLabel("Price of fine semolina", { exact: true });
    await goto("/pantry/semolina");
    const other = await session.another();
    await at(other, "/pantry/semolina");
    await price(session.page).fill("61");
    await saved(session.page);
    await price(other).fill("62");
    await other.getByRole("alert").getByText("Changed in another window too. Nothing was overwritten.").waitFor();
    expect(await price(other).inputValue()).toBe("62");
    await other.getByRole("button", { name: "Take theirs" }).click();
    expect(await price(other).inputValue()).toBe("61");
  });
});

describe("a copy of everything", () => {
  it("is saved, refused where it was tampered with, put in place, and taken back", async () => {
    const folder = newFolder();
    await goto("/household");
    const [download] = await Promise.all([session.page.waitForEvent("download"), session.page.getByRole("link", { name: "Save a copy" }).click()]);
    expect(download.suggestedFilename()).toMatch(/^threpsis-\d{4}-\d\d-\d\d\.jsonl$/);
    const file = join(folder, "copy.jsonl");
    await download.saveAs(file);
    const text = readFileSync(file, "utf8");
    expect(text).toContain("Semolina halwa");

    await goto("/recipes/demo-1/recipe");
    await title(session.page).fill("Changed since the copy");
    await saved(session.page);
    await goto("/household");
    const put = async (path: string) => {
      await session.page.getByLabel("The file of a copy").setInputFiles(path);
      await session.page.getByRole("dialog").getByText("takes the place of every recipe").waitFor();
      await button("Put it in place").click();
    };
    const broken = join(folder, "broken.jsonl");
    writeFileSync(broken, text.replace("Semolina halwa", "Somebody's halwa"));
    await put(broken);
    await session.page
      .getByRole("alert")
      .getByText(/checksum/)
      .waitFor();
    writeFileSync(broken, "not a copy at all");
    await put(broken);
    await session.page
      .getByRole("alert")
      .getByText(/Line 1: This is not/)
      .waitFor();
    await session.page.getByLabel("The file of a copy").setInputFiles(file);
    await button("Leave all as it is").click();
    await session.page.getByRole("dialog").waitFor({ state: "detached" });

    await put(file);
    await session.page.getByText(/In place, as of .*: \d+ recipes?/).waitFor();
    await goto("/recipes/demo-1/recipe");
    expect(await title(session.page).inputValue()).toBe("Semolina halwa");
    await goto("/household");
    await button("Back to what was here before the last one").click();
    await session.page.getByText(/In place, as of/).waitFor();
    await goto("/recipes/demo-1/recipe");
    expect(await title(session.page).inputValue()).toBe("Changed since the copy");
    removeFolder(folder);
  });
});

describe("a page of another site", () => {
  let other: Server | null = null;
  afterEach(() => void other?.close());

  it("can neither read nor write, nor put this one in a frame; and no script without the nonce runs here", async () => {
    const address = await new Promise<string>((resolve) => {
      other = createServer((_, response) =>
        response.setHeader("content-type", "text/html").end(`<title>elsewhere</title><iframe src="${session.app.address}/"></iframe>`),
      );
      other.listen(0, "127.0.0.1", () => {
        const found = other?.address();
        resolve(`http://127.0.0.1:${found && typeof found === "object" ? found.port : 0}`);
      });
    });
    const page = await session.beside();
    await page.goto(address);
    const tried = await page.evaluate(async (app) => {
      const attempt = async (path: string, options: RequestInit): Promise<string> => {
        try {
          const response = await fetch(app + path, options);
          return `${response.type} ${response.status} ${(await response.text()).length}`;
        } catch (error) {
          return error instanceof Error ? error.name : "?";
        }
      };
      return [
        await attempt("/api/backup", {}),
        await attempt("/api/backup", { mode: "no-cors" }),
        await attempt("/api/recipes/demo-1", { method: "DELETE" }),
        await attempt("/api/recipes", {
          method: "POST",
          mode: "no-cors",
          headers: { "content-type": "text/plain" },
          body: JSON.stringify({ text: "Planted\n1 cup milk" }),
        }),
      ];
    }, session.app.address);
    for (const each of tried) expect(each === "TypeError" || each === "opaque 0 0", each).toBe(true);
    expect(
      await page
        .frames()[1]
        ?.evaluate(() => document.body.innerText.includes("Kitchen"))
        .catch(() => false),
    ).toBe(false);
    await page.close();
    await goto("/recipes");
    await session.page.getByText("Planted").waitFor({ state: "detached" });
    await session.page
      .locator("main")
      .getByRole("link", { name: /halwa|copy/i })
      .first()
      .waitFor();

    const ran = await session.page.evaluate(async () => {
      const script = document.createElement("div");
      script.innerHTML = `<img src="x:" onerror="window.planted = 1">`;
      document.body.append(script);
      const refused: string[] = [];
      document.addEventListener("securitypolicyviolation", (event) => refused.push(event.violatedDirective));
      await new Promise((resolve) => setTimeout(resolve, 300));
      let evaluated = true;
      try {
        // eslint-disable-next-line @typescript-eslint/no-implied-eval, @typescript-eslint/no-unsafe-call
        new Function("return 1")();
      } catch {
        evaluated = false;
      }
      script.remove();
      return { planted: "planted" in window, evaluated };
    });
    expect(ran).toEqual({ planted: false, evaluated: false });
    expect(session.problems.filter((problem) => !/violates the following Content Security Policy|blocked by CORS/.test(problem))).toEqual([]);
    session.problems.length = 0;
  });
});
