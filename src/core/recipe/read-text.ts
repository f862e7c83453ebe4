import { type Result, fail, succeed } from "../numeric";
import { opensAsDone } from "./clauses";
import { overLimits, RECIPE_LIMITS, type OverLimit } from "./limits";
import { plainLine } from "./plain-text";
import { Scanner } from "./scan-amount";
import { headingIn, Parts } from "./headings";
import { type Recipe } from "./recipe";
import { readYield, type ReadYield } from "./yield";

export type PasteProblem =
  | { readonly kind: "empty" }
  | { readonly kind: "too long"; readonly lines: number; readonly most: number }
  | { readonly kind: "long line"; readonly line: number; readonly characters: number; readonly most: number }
  | { readonly kind: "no ingredients" }
  | { readonly kind: "over limits"; readonly over: readonly OverLimit[] };

const MOST_TEXT_LINES = 400;
const DEFAULT_SERVINGS = 6;
/** Blank lines and indents are no part of the recipe, but of its text. */
const MOST_TYPED = 2 * RECIPE_LIMITS.characters;

const INGREDIENTS_HEAD = /^(?:ingredients?|you (?:will )?need|what you need)\b[^.:]*(?::(.*))?$/i;
const STEPS_HEAD = /^(?:method|steps?|directions?|instructions?|preparation|how to make\b[^.:]*|procedure) ?(?::(.*))?$/i;
const NOTE = /^(?:notes?|tips?|good to know)\b ?[:.-](.+)$/i;
const NUMBERED = /^(?:step ?)?\d{1,3} ?[.):] (?=\S)/i;
const ANY_NUMBER = /\d/;
const WORD_OR_FIGURE = /[\p{L}\p{N}]/u;
const LISTED = /[,;] ?(?=[\d¼½¾⅓⅔⅛]|an? |half )/i;

/** A line of a text: as written, and in plain signs. */
interface TextRow {
  readonly raw: string;
  readonly plain: string;
  /** An empty line stands above it, or below it. */
  readonly gapAbove: boolean;
  readonly gapBelow: boolean;
}

/** An ingredient or a step, and the part it belongs to. */
interface Told {
  readonly text: string;
  readonly component: string | undefined;
}

/**
 * Reads a recipe pasted as plain text: title, yield, ingredient lines, steps, with or without headings. Without headings
 * a line is a step where it is numbered or long, or comes after the steps began. Fails with what is wrong and how much.
 */
export function readRecipeText(text: string): Result<Recipe, PasteProblem> {
  const rows = rowsOf(text);
  if (!rows.ok) return rows;
  const reading = new TextReading(rows.value.some(({ plain }) => isStepsHead(plain)));
  for (const [i, row] of rows.value.entries()) reading.take(row, rows.value.slice(i + 1));
  const { ingredients } = reading;
  if (ingredients.length === 0) return fail({ kind: "no ingredients" });
  const longest = ingredients.find(({ text: line }) => line.length > RECIPE_LIMITS.lineCharacters);
  if (longest)
    return fail({
      kind: "long line",
      line: text.split(/\r?\n/).findIndex((row) => row.includes(longest.text)) + 1,
      characters: longest.text.length,
      most: RECIPE_LIMITS.lineCharacters,
    });
  if (ingredients.length > RECIPE_LIMITS.lines) return fail({ kind: "too long", lines: ingredients.length, most: RECIPE_LIMITS.lines });
  const recipe = reading.recipe();
  const over = overLimits(recipe);
  return over.length > 0 ? fail({ kind: "over limits", over }) : succeed(recipe);
}

/** The lines of a text that say something. How much there is is looked at before what it says. */
function rowsOf(text: string): Result<readonly TextRow[], PasteProblem> {
  if (text.length > MOST_TYPED)
    return fail({ kind: "over limits", over: [{ pointer: "", detail: `Characters in all: ${text.length}; at most ${MOST_TYPED}.` }] });
  const written = text.split(/\r?\n/).map((row) => row.trim());
  const filled = written.filter(Boolean);
  if (filled.length === 0) return fail({ kind: "empty" });
  if (filled.length > MOST_TEXT_LINES) return fail({ kind: "too long", lines: filled.length, most: MOST_TEXT_LINES });
  const long = written.findIndex((row) => row.length > RECIPE_LIMITS.stepCharacters);
  if (long >= 0) return fail({ kind: "long line", line: long + 1, characters: written[long]?.length ?? 0, most: RECIPE_LIMITS.stepCharacters });
  const rows = written
    .map((row, i) => ({ row: row.replace(/<br ?\/?>/gi, " "), gapAbove: written[i - 1] === "", gapBelow: written[i + 1] === "" }))
    .map(({ row, ...gaps }) => ({ raw: row.trim(), plain: plainLine(row), ...gaps }))
    // A line of dashes or stars only parts what is above it from what is below.
    .filter((row) => WORD_OR_FIGURE.test(row.plain));
  return rows.length === 0 ? fail({ kind: "empty" }) : succeed(rows);
}

/** A text while it is read line by line. */
class TextReading {
  readonly ingredients: Told[] = [];
  private readonly steps: Told[] = [];
  private readonly notes: string[] = [];
  private readonly parts = new Parts();
  private title: string | null = null;

  /** Where a heading says later where the steps begin, nothing before it is one. */
  constructor(private readonly stepsAreHeaded: boolean) {}

  private made: ReadYield | null = null;
  private section: "unknown" | "ingredients" | "steps" = "unknown";
  private component: string | undefined;

  /** Takes a line for the first of these that it is; `below` are those below it. */
  take(row: TextRow, below: readonly TextRow[]): void {
    const heading = headingIn(row.plain);
    const taken =
      this.ingredientsHead(row, heading) || this.stepsHead(row) || this.note(row) || this.yield(row) || this.partHead(heading) || this.titleLine(row);
    if (!taken) this.ingredientOrStep(row, below);
  }

  private ingredientsHead({ plain }: TextRow, heading: string | null): boolean {
    const [headed, listed] = plain.match(INGREDIENTS_HEAD) ?? [];
    if (headed === undefined) return false;
    this.section = "ingredients";
    this.component = heading !== null && /\bfor\b/i.test(headed) ? this.parts.named(heading, this.title ?? "") : undefined;
    // A list in one line: each item begins with its amount.
    if (listed?.trim()) this.ingredients.push(...listed.split(LISTED).map((item) => ({ text: item.trim(), component: this.component })));
    return true;
  }

  private stepsHead({ plain }: TextRow): boolean {
    const [headed, first] = plain.match(STEPS_HEAD) ?? [];
    if (headed === undefined || !isStepsHead(plain)) return false;
    this.section = "steps";
    this.component = undefined;
    if (first?.trim()) this.steps.push({ text: first.trim(), component: undefined });
    return true;
  }

  private note({ plain }: TextRow): boolean {
    const note = plain.match(NOTE)?.[1];
    if (note !== undefined) this.notes.push(note.trim());
    return note !== undefined;
  }

  private yield({ plain, gapBelow }: TextRow): boolean {
    // Right below the title, parted from what follows, a bare number says what it makes; one with a noun may be food ("5 apricot kernels").
    const isHead = this.title !== null && this.ingredients.length === 0 && this.section === "unknown" && gapBelow && COUNT_ALONE.test(plain);
    const stated = readYield(isHead ? `makes ${plain}` : plain, false);
    if (stated !== null) {
      // Servings told beside pieces told before are of those.
      if (this.made === null || !stated.makes) this.made = { ...stated, ...(this.made?.makes && { makes: this.made.makes }) };
    }
    return stated !== null;
  }

  private partHead(heading: string | null): boolean {
    if (heading === null || (this.title === null && this.section === "unknown")) return false;
    this.component = this.parts.named(heading, this.title ?? "");
    return true;
  }

  private titleLine({ plain }: TextRow): boolean {
    if (this.title !== null || this.section !== "unknown" || this.ingredients.length > 0 || startsWithAmount(plain)) return false;
    // "Fudge bars (makes 24 squares)", "Milk jelly - for eight".
    const made = /\(([^()]{3,60})\)$| [-–—|] ((?:for|serves|makes) [^-–—|]{1,40})$/i.exec(plain);
    const stated = made && readYield(made[1] ?? made[2] ?? "", false);
    if (stated) this.made ??= stated;
    this.title = stated ? plain.slice(0, made.index).trim() : plain;
    return true;
  }

  private ingredientOrStep(row: TextRow, below: readonly TextRow[]): void {
    const { raw, plain } = row;
    const begins = NUMBERED.test(plain) || opensSteps(row) || (looksLikeStep(plain) && !isAmong(row, below));
    if (!this.stepsAreHeaded && this.section === "unknown" && this.ingredients.length > 0 && begins) {
      this.section = "steps";
      this.component = undefined;
    }
    const { component } = this;
    if (this.section === "steps") this.steps.push({ text: plain.replace(NUMBERED, ""), component });
    else if (!plain.endsWith(":") || ANY_NUMBER.test(plain)) this.ingredients.push({ text: raw, component });
  }

  recipe(): Recipe {
    const told = this.title ?? "Untitled sweet";
    // A first line that is longer than a title may be stays whole among the notes.
    const notes = told.length > RECIPE_LIMITS.titleCharacters ? [told, ...this.notes] : this.notes;
    return {
      title: told.slice(0, RECIPE_LIMITS.titleCharacters),
      servings: this.made && this.made.servings > 0 ? this.made.servings : DEFAULT_SERVINGS,
      ...(this.made?.makes && { makes: this.made.makes }),
      lines: this.ingredients.map((line, i) => ({ id: `l${i + 1}`, text: line.text, choice: {}, ...inPart(line.component) })),
      steps: this.steps.map((step, i) => ({ id: `s${i + 1}`, text: step.text, choice: {}, ...inPart(step.component) })),
      ...(this.parts.found.length > 0 ? { components: this.parts.found } : {}),
      notes: notes.join("\n"),
      evaporation: null,
      archetype: null,
    };
  }
}

const inPart = (component: string | undefined) => (component === undefined ? {} : { component });
/** "A rice pudding" has no amount; "a cup of rice" has. */
const startsWithAmount = (plain: string): boolean => {
  const amount = new Scanner(plain).amount();
  return amount !== null && (amount.unit !== null || !/^an? /i.test(plain));
};
const isStepsHead = (plain: string): boolean => STEPS_HEAD.test(plain) && !NUMBERED.test(plain);
const COUNT_ALONE = /^\d{1,3}$/;
const FIRST_STEP = /^(?:step ?)?1 ?[.):] (?=\S)/i;
const isSentence = (plain: string): boolean => /[.!]$/.test(plain) || opensAsDone(plain);
/**
 * A long line that does not read as a sentence still stands among the ingredients: above one with an amount, above the step that is numbered as the first, and
 * at the end of their block, where an empty line parts it from what follows.
 */
const isAmong = ({ plain, gapAbove, gapBelow }: TextRow, below: readonly TextRow[]): boolean => {
  const [next] = below;
  if (isSentence(plain) || !next) return false;
  if (startsWithAmount(next.plain) && !NUMBERED.test(next.plain)) return true;
  const end = below.find((row) => isSentence(row.plain) || NUMBERED.test(row.plain));
  if (end && FIRST_STEP.test(end.plain)) return true;
  const last = gapBelow ? null : below.findIndex((row) => row.gapBelow);
  const rest = last === null ? [] : below.slice(0, last + 1);
  return !gapAbove && last !== -1 && below.length > rest.length && !rest.some((row) => isSentence(row.plain) || NUMBERED.test(row.plain));
};
const MEANS_MORE = /\b(?:it|them|the|all|everything|till|until)\b/i;
/** Below an empty line, what opens as something done and says to what or until when; "dry fruit", "set curd" and "cut peel" are foods. */
const opensSteps = ({ plain, gapAbove }: TextRow): boolean =>
  gapAbove && opensAsDone(plain) && !/^(?:cut|dry|set)\b/i.test(plain) && MEANS_MORE.test(plain) && !startsWithAmount(plain);
const looksLikeStep = (plain: string) =>
  (plain.split(" ").length > 9 && !(startsWithAmount(plain) && !plain.endsWith("."))) ||
  (/[.!]$/.test(plain) && (opensAsDone(plain) || (plain.split(" ").length > 4 && !startsWithAmount(plain))));
