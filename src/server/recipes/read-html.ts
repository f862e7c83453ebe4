import { Tokenizer } from "htmlparser2";

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

/**
 * What a saved web page holds for us: its JSON-LD blocks, each as text, and what it says, a line for each block. Nothing in
 * it is run or fetched. Read tag by tag, without the tree that they make, so that the time grows with the text alone.
 */
export function readHtml(html: string): { readonly jsonLd: readonly string[]; readonly text: string } {
  const jsonLd: string[] = [];
  const lines: string[] = [];
  let line: string[] = [];
  let block: string[] | null = null;
  let silent = 0;
  let tag = "";
  let attribute = "";
  let type: string[] = [];
  const endLine = () => {
    const told = line.join("").replace(/\s+/g, " ").trim();
    if (told) lines.push(told);
    line = [];
  };
  const say = (text: string) => {
    if (block !== null) block.push(text);
    else if (silent === 0) line.push(text);
  };
  const opened = () => {
    if (tag === "script" && type.join("").trim().toLowerCase().startsWith("application/ld+json")) block = [];
    // A head that is never closed ends where the body begins.
    if (tag === "body") silent = 0;
    if (SILENT.has(tag)) silent++;
    if (BLOCKS.has(tag)) endLine();
  };
  const closed = (name: string) => {
    if (name === "script" && block !== null) {
      jsonLd.push(block.join(""));
      block = null;
    }
    if (SILENT.has(name)) silent = Math.max(0, silent - 1);
    if (BLOCKS.has(name)) endLine();
  };
  const nothing = () => undefined;
  const tokenizer = new Tokenizer(
    { decodeEntities: true },
    {
      onopentagname: (start, end) => {
        tag = html.slice(start, end).toLowerCase();
        type = [];
      },
      onattribname: (start, end) => {
        attribute = html.slice(start, end).toLowerCase();
      },
      onattribdata: (start, end) => {
        if (attribute === "type") type.push(html.slice(start, end));
      },
      onattribentity: (code) => {
        if (attribute === "type") type.push(String.fromCodePoint(code));
      },
      onattribend: nothing,
      onopentagend: opened,
      onselfclosingtag: () => {
        opened();
        closed(tag);
      },
      onclosetag: (start, end) => closed(html.slice(start, end).toLowerCase()),
      ontext: (start, end) => say(html.slice(start, end)),
      ontextentity: (code) => say(String.fromCodePoint(code)),
      oncdata: nothing,
      oncomment: nothing,
      ondeclaration: nothing,
      onprocessinginstruction: nothing,
      onend: nothing,
    },
  );
  tokenizer.write(html);
  tokenizer.end();
  endLine();
  return { jsonLd, text: lines.join("\n") };
}
