import { INDEX, NUTRIENTS, SUGARS, type Food } from "../food";
import { withShare, Z80 } from "../numeric";
import { contentsOf, massOf, waterIn } from "./contents";
import type { CaramelMaking, Contents, Made, MakingProblem, NamedMass, SyrupMaking } from "./making";
import type { CaramelStage, MakingTables, SyrupStage, SyrupSugar } from "./tables";

/** The name of a syrup of so many per cent solids, and how it tells. */
export const syrupStage = (percent: number, { syrupStages }: MakingTables): SyrupStage | null =>
  [...syrupStages].reverse().find(({ from }) => percent >= from - 1e-9) ?? null;

/** Half the 80 % interval of a strength told by thermometer or thread, per cent of solids (rule of thumb). */
const STRENGTH_POINTS = 2;

/** Contents of what was boiled to a strength: its water is off by some points, and all else by as much the other way. */
function boiledTo(contents: Contents): Contents {
  const solids = 100 - (contents.per100g[INDEX.water] ?? 0);
  const points = STRENGTH_POINTS / Z80;
  const sd = contents.sd.map((own, n) => Math.hypot(own, n === INDEX.water ? points : solids > 0 ? ((contents.per100g[n] ?? 0) * points) / solids : 0));
  return { ...contents, sd };
}

/** A syrup of so many per cent of solids: what is dissolved, less what the cloth holds, over its share; the rest boils away. */
export function makeSyrup(making: SyrupMaking, sugar: Food, water: Food, { name, grit }: SyrupSugar, tables: MakingTables): Made {
  const kept = making.filtered ? 1 - grit : 1;
  const portions = [
    { food: sugar, grams: making.grams * kept },
    { food: water, grams: making.water * kept },
  ];
  const [massIn, solids] = [massOf(portions), massOf(portions) - waterIn(portions)];
  const start = (100 * solids) / massIn;
  const problems: MakingProblem[] = [];
  if (making.percent < start - 0.05)
    problems.push({
      field: "percent",
      grave: true,
      why: `It is stronger than that before it boils: ${start.toFixed(0)} %. Give ${Math.ceil((solids / making.percent) * 100 - massIn)} g more water, or boil it to more.`,
    });
  const least = making.grams * 0.5;
  if (making.water < least * 0.8)
    problems.push({
      field: "water",
      grave: false,
      why: `So little water takes long to dissolve it; ${least.toFixed(0)} g is usual, and what is too much boils away.`,
    });
  const grams = Math.min(massIn, (100 * solids) / making.percent);
  return {
    parts: [
      {
        key: "whole",
        name: `${name}, ${making.percent} %`,
        grams: withShare(grams, 0.05),
        contents: boiledTo(contentsOf(portions, grams)),
        like: tables.syrupLike,
      },
    ],
    went: wentIn(making.grams, sugar, making.water),
    away: [
      { name: "held by the cloth", grams: (making.grams + making.water) * (1 - kept) },
      { name: "boiled away", grams: massIn - grams },
    ].filter((each) => each.grams > 0),
    working: [
      { name: "dissolved solids", value: solids, unit: "g" },
      { name: "of what went in", value: start, unit: "%" },
      { name: "boiled to", value: making.percent, unit: "%" },
      { name: "syrup, solids over that", value: grams, unit: "g" },
    ],
    problems,
  };
}

/**
 * Caramel let down with water. Its sweetness lost is sugar turned into what is not sweet: it stays available
 * carbohydrate (rule of thumb); a share of the mass goes as water of the reaction.
 */
export function makeCaramel(making: CaramelMaking, sugar: Food, water: Food, stage: CaramelStage, tables: MakingTables): Made {
  // The sugar's own water goes too before it browns.
  const left = making.grams * (1 - (sugar.per100g[INDEX.water] ?? 0) / 100 - stage.mass);
  const portions = [
    { food: browned(sugar, stage), grams: left },
    { food: water, grams: making.water },
  ];
  const mass = massOf(portions);
  const problems: MakingProblem[] = [];
  if (making.water < making.grams * 0.3)
    problems.push({
      field: "water",
      grave: false,
      why: `With so little water it sets hard as it cools; ${(making.grams * 0.45).toFixed(0)} g keeps it pouring.`,
    });
  return {
    parts: [
      {
        key: "whole",
        name: `Caramel syrup, ${stage.id}`,
        grams: withShare(mass, 0.05),
        contents: boiledTo(contentsOf(portions, mass)),
        like: tables.syrupLike,
      },
    ],
    went: wentIn(making.grams, sugar, making.water),
    away: [{ name: "steam of the browning", grams: making.grams - left }],
    working: [
      { name: "of its sweetness lost", value: 100 * stage.lost, unit: "%" },
      { name: "of its mass lost as steam", value: 100 * stage.mass, unit: "%" },
      { name: "caramel before the water", value: left, unit: "g" },
      { name: "syrup", value: mass, unit: "g" },
    ],
    problems,
  };
}

const wentIn = (grams: number, sugar: Food, water: number): NamedMass[] =>
  [
    { name: sugar.name.toLowerCase(), grams },
    { name: "water", grams: water },
  ].filter((each) => each.grams > 0);

function browned(sugar: Food, { lost, mass }: CaramelStage): Food {
  const sugars: readonly number[] = SUGARS.map((name) => INDEX[name]);
  const dry = 100 - (sugar.per100g[INDEX.water] ?? 0);
  // Per 100 g of what is left: other solids gather, sugars lose what no longer tastes sweet.
  const gather = 100 / (dry - 100 * mass);
  const per100g = sugar.per100g.map((amount, n) =>
    n === INDEX.water
      ? 0
      : n === INDEX.availableCarbohydrate
        ? Math.max(0, amount - 100 * mass) * gather
        : amount * (sugars.includes(n) ? 1 - lost : 1) * gather,
  );
  const sd = NUTRIENTS.map((_, n) => Math.hypot((sugar.sd[n] ?? 0) * gather, sugars.includes(n) ? 0.4 * lost * (sugar.per100g[n] ?? 0) : 0));
  return { ...sugar, per100g, sd };
}
