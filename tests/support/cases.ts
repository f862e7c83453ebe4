import type { Archetype } from "../../src/core/recipe";
import type { DiningTable } from "../../src/core/table";
import { freeSugars } from "./kitchen";

/** A sweet and a table that it does not fit as handed down. */
export interface Case {
  readonly name: string;
  readonly kind: Archetype;
  readonly yields: string;
  readonly lines: string;
  readonly steps: readonly string[];
  readonly table: Partial<DiningTable>;
}
const ofCase = (name: string, kind: Archetype, yields: string, lines: string, steps: readonly string[], table: Partial<DiningTable>): Case => ({
  name,
  kind,
  yields,
  lines,
  steps,
  table,
});
/** One sweet of each kind. */
export const KINDS: readonly Case[] = [
  ofCase(
    "Besan ladoo",
    "ladoo",
    "Makes 16 pieces",
    "2 cups besan\n3/4 cup ghee\n1 cup powdered sugar\n2 tbsp chopped almonds",
    ["Roast the besan in the ghee for 25 minutes.", "Cool, and work in the powdered sugar and the almonds.", "Shape 16 balls."],
    { rules: ["vegan"], serve: "room" },
  ),
  ofCase(
    "Sesame balls",
    "ladoo",
    "Makes 18 pieces",
    "200 g sesame seeds\n150 g jaggery\n2 tsp ghee\n30 ml water",
    [
      "Roast the sesame for 6 minutes.",
      "Melt the jaggery with the water and the ghee and cook 4 minutes to a soft ball.",
      "Stir in the sesame.",
      "Shape 18 balls.",
    ],
    { rules: ["sesame-free"], serve: "room" },
  ),
  ofCase(
    "Carrot halwa",
    "vegetable halwa",
    "Serves 6",
    "1 kg carrots, grated\n1 litre milk\n150 g sugar\n60 g ghee\n30 g cashews",
    [
      "Fry the carrots in the ghee for 10 minutes.",
      "Pour in the milk and simmer for 45 minutes until it is absorbed.",
      "Add the sugar and cook for 10 minutes.",
      "Stir in the cashews.",
    ],
    { rules: ["vegan"], serve: "warm" },
  ),
  ofCase(
    "Moong dal halwa",
    "pulse halwa",
    "Serves 6",
    "200 g moong dal\n120 g ghee\n150 g sugar\n300 ml milk\n200 ml water",
    [
      "Soak the dal 4 hours and grind it.",
      "Fry the dal in the ghee for 25 minutes.",
      "Pour in the milk and the water and cook for 10 minutes.",
      "Add the sugar and cook 8 minutes.",
    ],
    { rules: ["vegan"] },
  ),
  ofCase(
    "Baked custard",
    "set pudding",
    "Serves 6",
    "500 ml milk\n3 eggs\n80 g sugar",
    ["Beat the eggs with the sugar and the milk.", "Bake at 160 °C for 40 minutes."],
    { rules: ["vegan"], serve: "chilled" },
  ),
  ofCase(
    "Cardamom panna cotta",
    "set pudding",
    "Serves 4",
    "300 ml cream\n200 ml milk\n60 g sugar\n8 g gelatin",
    ["Soak the gelatin in the cold milk.", "Warm the cream with the sugar and melt the gelatin in it.", "Chill for 4 hours."],
    { rules: ["vegan"], serve: "chilled" },
  ),
  ofCase(
    "Cashew barfi",
    "barfi",
    "Makes 20 pieces",
    "250 g cashews, ground\n150 g sugar\n80 ml water\n1 tbsp ghee",
    ["Boil the sugar and the water for 5 minutes.", "Stir in the cashews and cook 6 minutes.", "Stir in the ghee, roll it out and cut it into diamonds."],
    { rules: ["vegan"], serve: "room" },
  ),
  ofCase(
    "Kulfi",
    "frozen",
    "Serves 6",
    "1 litre milk\n100 g condensed milk\n60 g sugar\n30 g pistachios",
    ["Simmer the milk for 40 minutes.", "Add the condensed milk and the sugar and cook 10 minutes.", "Cool, add the pistachios, and freeze overnight."],
    { rules: ["vegan"], serve: "chilled" },
  ),
  ofCase(
    "Panjiri",
    "loose mix",
    "Serves 10",
    "300 g whole wheat flour\n120 g ghee\n120 g powdered sugar\n50 g almonds",
    ["Roast the flour in the ghee for 15 minutes.", "Mix with the almonds and the sugar."],
    { rules: ["gluten-free", "vegan"], serve: "room" },
  ),
  ofCase(
    "Date and nut balls",
    "fruit-bound",
    "Makes 15 pieces",
    "250 g dates\n80 g almonds\n60 g cashews\n1 tbsp ghee",
    ["Blend the dates to a paste.", "Fry the nuts in the ghee for 4 minutes.", "Mix and shape 15 balls."],
    { rules: ["nut-free"], serve: "room" },
  ),
  ofCase(
    "Caramel sauce",
    "sauce",
    "Serves 8",
    "150 g sugar\n40 g butter\n150 ml cream",
    ["Melt the sugar to amber.", "Stir in the butter, then the cream.", "Simmer 3 minutes."],
    { rules: ["vegan"], serve: "warm" },
  ),
  ofCase("Shrikhand", "cultured", "Serves 4", "500 g yogurt\n80 g icing sugar", ["Hang the yogurt in a cloth overnight.", "Whisk it with the icing sugar."], {
    limits: freeSugars(12),
    serve: "chilled",
  }),
];

/** The text of a case, as a household would paste it. */
export const textOfCase = ({ name, yields, lines, steps }: Case): string =>
  `${name}\n${yields}\n\nIngredients\n${lines}\n\nMethod\n${steps.map((text, i) => `${i + 1}. ${text}`).join("\n")}`;
