import { describe, expect, it } from "vitest";
import { toKeep } from "../../../../../tests/support/sweets";
import { NOTHING_MORE, writeOwnFile } from "../../../../core/exchange";
import { USUAL_SOURCES } from "../../../../core/kitchen";
import { shareView } from "../../../../core/views";
import { kitchenOf } from "../../../../data";
import { readFileText } from "../../../../server/recipes/read-file";
import { writeSheet } from "./write-sheet";

const TEXT =
  "Kheer <b>of</b> “oats” & dates\nServes 4\n\n900 ml oat drink\n80 g rice\n60 g date paste\n1 tbsp ghee & <script>alert(1)</script>\n\n1. Simmer the rice in the oat drink for 40 minutes, until it is thick.\n2. Stir in the rest.";

describe("a sweet as one page", () => {
  const question = toKeep(TEXT);
  const sweet = shareView({ ...question, label: null, why: "", wishes: NOTHING_MORE }, kitchenOf(USUAL_SOURCES));
  const file = writeOwnFile([question.recipe]);
  const html = writeSheet(sweet, file);
  it("runs nothing and asks for nothing, whatever stands in the recipe", () => {
    expect(html).not.toMatch(/<script|<link|<img|<iframe|<object|<form|@import|url\(|\son[a-z]+=|javascript:|https?:\/\//i);
    expect(html).toContain("&lt;script&gt;alert(1)&lt;/script&gt;");
  });
  it("has the steps with their drawn cues, what can hurt, how long it keeps, and the figures", () => {
    expect(html.match(/<svg/g)?.length).toBeGreaterThanOrEqual(3);
    for (const words of [/Contains <b>/, /Keeping/, /Not yet/, /Too far/, /Nutrition|rules of/, /For one’s own table/]) expect(html).toMatch(words);
  });
  it("comes back whole: the recipe as it was", () => {
    const read = readFileText(html, "kheer.html");
    expect(read).toMatchObject({ format: "a Threpsis file", recipes: [JSON.parse(JSON.stringify(question.recipe))] });
  });
  it("is read as a page where its data was cut off", () => {
    const read = readFileText(html.replace(/threpsis-recipes:[A-Za-z0-9+/=]+/, ""), "kheer.html");
    expect(read.recipes[0]?.steps.length).toBeGreaterThanOrEqual(2);
  });
});
