import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { newFolder, removeFolder, send, startApp, type RunningApp } from "../support/app";

let app: RunningApp;
beforeAll(async () => {
  app = await startApp(newFolder());
});
afterAll(async () => {
  await app.stop();
  removeFolder(app.folder);
});

interface Answer {
  readonly status: number;
  readonly json: Readonly<Record<string, unknown>> & {
    readonly recipes?: readonly { readonly title: string; readonly lines: readonly { readonly text: string }[] }[];
    readonly title?: string;
  };
}
const readFile = async (name: string, text: string): Promise<Answer> => {
  const response = await fetch(`${app.address}/api/recipes/read?name=${encodeURIComponent(name)}`, {
    method: "POST",
    headers: { "content-type": "text/plain", origin: app.address },
    body: text,
  });
  return { status: response.status, json: (await response.json()) as Answer["json"] };
};
const count = async () => {
  const html = await (await fetch(`${app.address}/recipes`)).text();
  return new Set([...html.matchAll(/\/recipes\/([\w-]+)\/(?:recipe|table|swap)/g)].map((match) => match[1])).size;
};

const LINKED = {
  "@type": "Recipe",
  name: "Halwa",
  recipeYield: 4,
  recipeIngredient: ["1 cup semolina", "½ cup ghee"],
  recipeInstructions: [{ "@type": "HowToStep", text: "Roast it." }],
};

describe("recipe files at the door", () => {
  it.each([
    ["halwa.jsonld", JSON.stringify(LINKED), "JSON-LD"],
    [
      "page.html",
      `<!doctype html><title>x</title><script type="application/ld+json">{broken</script><script type="application/ld+json">${JSON.stringify({ "@graph": [{ "@type": "WebPage" }, LINKED] })}</script><h1>Other</h1>`,
      "a web page",
    ],
    [
      "plain.html",
      "<html><body><nav>Home<br>About</nav><h1>Halwa</h1><p>Serves 4</p><ul><li>1 cup semolina</li><li>½ cup ghee</li></ul><script>alert(1)</script><p>1. Roast it.</p></body></html>",
      "a web page",
    ],
    ["table.csv", "recipe,kind,text\nHalwa,line,1 cup semolina\nHalwa,line,½ cup ghee\nHalwa,step,Roast it.\n", "CSV"],
    ["notes.txt", "Halwa\nServes 4\n1 cup semolina\n½ cup ghee\n1. Roast it.", "plain text"],
  ])("%s is read, and nothing is kept yet", async (name, text, format) => {
    const before = await count();
    const { status, json } = await readFile(name, text);
    expect([status, json.format]).toEqual([200, format]);
    expect(json.recipes).toMatchObject([{ title: "Halwa", steps: [{ text: "Roast it." }] }]);
    expect(json.recipes?.[0]?.lines.map((line) => line.text)).toEqual(["1 cup semolina", "½ cup ghee"]);
    expect(await count()).toBe(before);
  });

  it("are refused in words with the place where they do not fit", async () => {
    const told = async (name: string, text: string) => {
      const { status, json } = await readFile(name, text);
      return [status, json.title];
    };
    expect(await told("big.json", `{"@type":"Recipe","name":"${"x".repeat(10 * 1024 ** 2)}"}`)).toEqual([413, expect.stringContaining("5 MB") as string]);
    expect(await told("half.json", '{"@type": "Recipe", "name": "Hal')).toEqual([422, expect.stringMatching(/begins like JSON/) as string]);
    expect(await told("list.json", '{"@type": "Recipe", "recipeIngredient": [1]}')).toEqual([422, expect.stringMatching(/must be text/) as string]);
    expect(await told("table.csv", "name,colour\na,b\n")).toEqual([422, expect.stringMatching(/row 1.*“text”/) as string]);
    expect(await told("page.html", `<html><script>document.write("1 cup sugar")</script><p>Nothing to eat here</p></html>`)).toEqual([
      422,
      expect.stringMatching(/No recipe was found/) as string,
    ]);
    expect(await told("empty.txt", "  \n")).toEqual([422, "The file is empty."]);
    expect(await told("new.json", '{"format": "threpsis-recipes", "version": 99, "recipes": []}')).toEqual([422, expect.stringMatching(/newer/) as string]);
    expect(await told("ours.json", '{"format": "threpsis-recipes", "version": 1, "recipes": [{"title": "x"}]}')).toEqual([
      422,
      expect.stringMatching(/Recipe 1/) as string,
    ]);
  });

  it("hostile pages give text and nothing else", async () => {
    const page = `<h1>Halwa<script>x</script></h1><ul><li>1 cup semolina<img src=x onerror=alert(1)></li><li><a href="javascript:alert(1)">½ cup ghee</a></li><li>1 cup &lt;b&gt;sugar</li></ul>${"<div>".repeat(20_000)}`;
    const { status, json } = await readFile("h.html", page);
    expect(status).toBe(200);
    expect(JSON.stringify(json)).not.toMatch(/onerror|javascript:|<script|<img/);
    expect(json.recipes?.[0]?.lines.map((line) => line.text)).toEqual(["1 cup semolina", "½ cup ghee", "1 cup <b>sugar"]);
  });

  it("are kept all or none, and come back from each format as they were", async () => {
    const { json } = await readFile("halwa.jsonld", JSON.stringify(LINKED));
    const [recipe] = json.recipes ?? [];
    const before = await count();
    expect((await send(app.address, "POST", "/api/recipes/import", { recipes: [recipe, { title: "half" }] })).status).toBe(422);
    expect(await count()).toBe(before);
    const settled = {
      ...recipe,
      notes: "mine",
      lines: recipe?.lines.map((line, i) => (i === 0 ? { ...line, choice: { foodId: "semolina", grams: 123.456 } } : line)),
    };
    const kept = await send(app.address, "POST", "/api/recipes/import", { recipes: [settled] });
    expect(kept.status).toBe(201);
    const [id = ""] = (kept.json as { ids: string[] }).ids;
    const exported = async (format: string) => {
      const response = await fetch(`${app.address}/api/recipes/${id}/export?format=${format}`);
      expect(response.headers.get("content-disposition")).toMatch(/^attachment; .*Halwa\./);
      return response.text();
    };
    const back = async (format: string, name: string) => (await readFile(name, await exported(format))).json.recipes?.[0];
    expect(await back("threpsis", "a.json")).toEqual(settled);
    expect((await back("csv", "a.csv"))?.lines).toEqual(settled.lines);
    expect(await exported("csv")).not.toContain("mine");
    expect(await back("jsonld", "a.jsonld")).toMatchObject({ title: "Halwa", servings: 4, steps: [{ text: "Roast it." }] });
    expect((await fetch(`${app.address}/api/recipes/${id}/export?format=doc`)).status).toBe(404);
  });
});
