import { Parser } from "htmlparser2";

const BLOCKS = new Set([
  "p",
  "div",
  "li",
  "ul",
  "ol",
  "br",
  "h1",
  "h2",
  "h3",
  "h4",
  "h5",
  "h6",
  "tr",
  "table",
  "section",
  "article",
  "header",
  "footer",
  "main",
  "dt",
  "dd",
  "blockquote",
]);
const SILENT = new Set(["script", "style", "noscript", "template", "svg", "head", "nav", "iframe", "object", "textarea", "select", "button"]);

/** What a saved web page holds for us: its JSON-LD blocks, each as text, and what it says, a line for each block. Nothing in it is run or fetched. */
export function readHtml(html: string): { readonly jsonLd: readonly string[]; readonly text: string } {
  const jsonLd: string[] = [];
  const lines: string[] = [];
  let line = "";
  let block: string | null = null;
  let silent = 0;
  const endLine = () => {
    const told = line.replace(/\s+/g, " ").trim();
    if (told) lines.push(told);
    line = "";
  };
  const parser = new Parser(
    {
      onopentag(name, attributes) {
        if (name === "script" && /^application\/ld\+json\b/i.test(attributes.type ?? "")) block = "";
        // A head that is never closed ends where the body begins.
        if (name === "body") silent = 0;
        if (SILENT.has(name)) silent++;
        if (BLOCKS.has(name)) endLine();
      },
      ontext(text) {
        if (block !== null) block += text;
        else if (silent === 0) line += text;
      },
      onclosetag(name) {
        if (name === "script" && block !== null) {
          jsonLd.push(block);
          block = null;
        }
        if (SILENT.has(name)) silent = Math.max(0, silent - 1);
        if (BLOCKS.has(name)) endLine();
      },
    },
    { decodeEntities: true, lowerCaseTags: true },
  );
  parser.write(html);
  parser.end();
  endLine();
  return { jsonLd, text: lines.join("\n") };
}
