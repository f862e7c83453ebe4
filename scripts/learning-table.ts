/** Writes docs/learning.md: how far off what is told of a batch is in simulated houses, by how many batches they have cooked. */
import { writeFileSync } from "node:fs";
import { housesAfter, MEASURES } from "../tests/support/houses";
import { ladderRows, palateRows } from "../tests/support/tasters";

const HOUSES = 200;
const EATERS = 400;
const TASTERS = 200;
const percent = (share: number): string => `${Math.round(100 * share)} %`;
const BATCHES = [0, 1, 3, 10];
const NAMED: Readonly<Record<(typeof MEASURES)[number], readonly [name: string, unit: "%" | "steps"]>> = {
  minutes: ["minutes to the weight to stop at, told before anything is weighed", "%"],
  grams: ["what is in the pot if it is stopped by those minutes", "%"],
  body: ["body, cold", "steps"],
  binding: ["binding of a ladoo", "%"],
};

const found = housesAfter(HOUSES, BATCHES);
const figure = (value: number, unit: "%" | "steps"): string => (unit === "%" ? `${Math.round(100 * value)} %` : value.toFixed(2));
const rows = MEASURES.flatMap((measure) => {
  const [name, unit] = NAMED[measure];
  return BATCHES.flatMap((count) => {
    const judged = found.get(count)?.[measure];
    return judged
      ? [`| ${count === 0 ? name : ""} | ${count} | ${figure(judged.off, unit)} | ${figure(judged.inside, "%")} | ± ${figure(judged.width, unit)} |`]
      : [];
  });
});
writeFileSync(
  new URL("../docs/learning.md", import.meta.url),
  `# What batches teach

${HOUSES} simulated houses, each with a stove, a pan, starches and a flour of its own: how fast its simmer drives water off (± 50 %, and each
batch otherwise by some 12 %), how much its starches thicken hot and cold (± 28 %), what its flour takes up (± 26 %). Pots boil in a little world
and thicken by a law that share nothing with the models; bodies are said in the nearest word by somebody who is not sure. Each batch is
weighed twice as it boils down and once when it is stopped, said of hot and cold, and taught from by the same code as in the app. *Off* is the
mean of how far off what was told of the next batch is; *inside*, how many of its 80 % intervals hold the truth; *width*, half of them.

Made by \`npm run learning-table\`.

| | batches | off | inside | width |
| --- | --- | --- | --- | --- |
${rows.join("\n")}

Intervals of bodies are wider than they have to be after some batches: what is unsure of composition and measures is counted each time anew,
though the same foods in the same spoons are off by the same.

## What eaters want

${EATERS} simulated eaters whose wish wanders, who have thresholds and a lean of their own, and who answer one time in twenty at random; sweets
are made towards what is known of them. *Missed by* is the mean of how far off the sweetness is that they want next.

| tastings | missed by | inside | width |
| --- | --- | --- | --- |
${palateRows(EATERS, [0, 1, 3, 10, 30], 5)
  .map(({ tastings, miss, inside, width }) => `| ${tastings} | ${percent(miss)} | ${percent(inside)} | ${percent(width)} |`)
  .join("\n")}

## The palate ladder

${TASTERS} simulated tasters who just notice 8, 12, 18 or 28 %, whose palates differ from day to day and tire, and who err once in twenty whatever is served. *Told* is how
many are told a figure; the others are told that the pairs are too few.

| pairs | off | inside | told |
| --- | --- | --- | --- |
${ladderRows(TASTERS, [0, 10, 30, 60])
  .map(({ pairs, miss, inside, enough }) => `| ${pairs} | ${percent(miss)} | ${percent(inside)} | ${percent(enough)} |`)
  .join("\n")}
`,
);
