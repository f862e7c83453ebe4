/** Writes docs/rescue.md: of five sweets every fault, its first ways out, and what the models find of the pot after each. */
import { writeFileSync } from "node:fs";
import { asHandedDown } from "../src/core/adaptation";
import { USUAL_SOURCES } from "../src/core/kitchen";
import { FAULTS, type Fault } from "../src/core/rescue";
import { rescueOf, type ToldWayOut } from "../src/core/views";
import { kitchenOf } from "../src/data";
import { read, tableOf } from "../tests/support/kitchen";
import { SWEETS } from "../tests/support/pots";

const kitchen = kitchenOf(USUAL_SOURCES);
const SHOWN = 3;
/** A pot that is too thin has boiled away too little, one that is too thick too much: of what it was meant to weigh. */
const WEIGHS: Readonly<Partial<Record<Fault, number>>> = { "too thin": 1.12, "too thick": 0.9 };

function told({ kind, words, adds, boilOff, minutes, shifts }: ToldWayOut): string {
  const amounts = [
    ...adds.map(({ name, grams, low, high }) => `${name} ${digits(grams)} g (${digits(low)} to ${digits(high)})`),
    ...(boilOff ? [`${digits(boilOff.grams)} g off`] : []),
  ];
  const noticed = shifts.filter(({ isNoticed }) => isNoticed).map(({ name, before, after }) => `${name} ${before.toFixed(2)} → ${after.toFixed(2)}`);
  return [
    kind === "mend" ? "" : `*${kind}:* `,
    words,
    amounts.length > 0 ? ` ${amounts.join(", ")};` : "",
    ` ${minutes} min.`,
    noticed.length > 0 ? ` **After it:** ${noticed.join(", ")}.` : "",
  ].join("");
}
const digits = (grams: number): string => (grams >= 20 ? grams.toFixed(0) : grams.toPrecision(2));

const lines: string[] = [];
for (const text of Object.values(SWEETS)) {
  const recipe = read(text);
  const table = tableOf({ servings: recipe.recipe.servings });
  const { version } = asHandedDown(recipe, table);
  const meant = rescueOf(version, recipe, table, { fault: "bland", grams: null, upTo: null, celsius: null, notAtHand: [] }, kitchen);
  const whole = meant.kind === "ways out" ? meant.grams : 0;
  lines.push(`## ${recipe.recipe.title}`, "");
  for (const fault of FAULTS) {
    const weighs = WEIGHS[fault];
    const answer = rescueOf(
      version,
      recipe,
      table,
      { fault, grams: weighs === undefined ? null : weighs * whole, upTo: null, celsius: null, notAtHand: [] },
      kitchen,
    );
    if (answer.kind === "question") lines.push(`- **${fault}:** asked: ${answer.why}`);
    else {
      lines.push(`- **${fault}**${answer.target ? ` (${answer.target})` : ""}${answer.question ? ` asked: ${answer.question}` : ""}`);
      for (const way of answer.ways.slice(0, SHOWN)) lines.push(`  - ${told(way)}`);
    }
  }
  lines.push("");
}
writeFileSync(
  "docs/rescue.md",
  [
    "# What mends a pot that went wrong",
    "",
    "Made by `npm run rescue-table`. Five sweets, fourteen faults; of each the first three ways out, with the amount (from where the fault is no longer noticed to as far beyond) and what the models find of the pot after it.",
    "",
    ...lines,
  ].join("\n"),
);
console.log(`docs/rescue.md: ${lines.length} lines`);
