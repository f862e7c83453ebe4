import type { ComponentUse, RecipeComponent } from "./recipe";

const MOST_HEADING = 80;
const HEADING = /^(?:ingredients )?(?:for (?:the |a )?|the )?(.{2,40}?) ?:$/i;
const FOR = /^(?:ingredients )?for (?:the|a) (.{2,40})$/i;
/** Headings of the sweet itself, not of a part of it. */
const WHOLE = /\b(?:main|base sweet|sweet|together|assembl\w*|finish\w*|everything|rest)\b/i;
const BESIDE = /\bto serve\b|\bfor serving\b|\bserving\b|\bon the side\b|\bserved? apart\b/i;

/** The name of the part that a plain line heads ("For the syrup:"), or null where it is no heading. */
export function headingIn(plain: string): string | null {
  if (plain.length > MOST_HEADING || /\d/.test(plain)) return null;
  const name = (HEADING.exec(plain)?.[1] ?? FOR.exec(plain)?.[1])?.replace(/^the\s+/i, "").trim();
  return name && name.split(" ").length <= 5 ? name : null;
}

/** Collects the parts that headings name; a heading that names the sweet itself is no part. */
export class Parts {
  readonly found: RecipeComponent[] = [];

  /** The part of that name, by id; undefined for the sweet itself. */
  named(name: string, title: string): string | undefined {
    const key = name.toLowerCase();
    const last = key.split(/\s+/).at(-1) ?? key;
    if (WHOLE.test(name) || title.toLowerCase().split(/\s+/).includes(last)) return undefined;
    const known = this.found.find((part) => {
      const other = part.name.toLowerCase();
      return other === key || other.endsWith(` ${key}`) || key.endsWith(` ${other}`);
    });
    if (known) return known.id;
    const use: ComponentUse = BESIDE.test(name) ? { kind: "apart" } : { kind: "whole" };
    const part = { id: `c${this.found.length + 1}`, name: name.charAt(0).toUpperCase() + name.slice(1), use };
    this.found.push(part);
    return part.id;
  }
}
