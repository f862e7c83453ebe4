import { describe, expect, it } from "vitest";
import { readHtml } from "./read-html";

describe("a saved web page", () => {
  it("gives its marked blocks as they are, and its text by block", () => {
    const { jsonLd, text } = readHtml(
      '<head><title>T</title><script type="application/ld+json; charset=utf-8">{"a":"<b>"}</script></head><body><h1>A &amp; B</h1><p>one<br>two</p><table><tr><td>1 cup</td><td> sugar</td></tr></table></body>',
    );
    expect(jsonLd).toEqual(['{"a":"<b>"}']);
    expect(text).toBe("A & B\none\ntwo\n1 cup sugar");
  });
  it("says nothing of scripts, styles and menus, also where a head is never closed", () => {
    const { text } = readHtml("<head><style>p{}</style><body><nav>Home</nav><script>let x = '<p>no</p>'</script><p>yes</p>");
    expect(text).toBe("yes");
  });
  it("bears what is no page at all", () => {
    expect(readHtml("<<<>>><p <p>&&&;").jsonLd).toEqual([]);
    expect(readHtml("").text).toBe("");
    expect(readHtml("<div>".repeat(50_000)).text).toBe("");
  });
});
