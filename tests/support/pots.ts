/** Five sweets of as many kinds, whose pots go wrong. */
export const SWEETS = {
  kheer:
    "Rice kheer\nServes 6\n\n1 litre milk\n90 g rice\n110 g sugar\n20 g cashews\n\n1. Simmer the rice in the milk for 40 minutes.\n2. Stir in the sugar and cashews and cook for 5 minutes.",
  halwa:
    "Semolina halwa\nServes 6\n\n150 g semolina\n90 g ghee\n130 g sugar\n450 ml water\n\n1. Roast the semolina in the ghee for 8 minutes.\n2. Pour in the hot water and the sugar and cook for 5 minutes until it leaves the sides.",
  ladoo:
    "Besan ladoo\nMakes 16\n\n250 g besan\n120 g ghee\n130 g icing sugar\n\n1. Roast the besan in the ghee for 15 minutes.\n2. Cool, mix in the icing sugar, and shape into balls.",
  jelly:
    "Almond milk jelly\nServes 6\n\n600 ml almond milk\n60 g sugar\n3 g agar powder\n\n1. Boil the almond milk with the agar and the sugar for 2 minutes.\n2. Pour into a dish, chill for 4 hours and cut into squares.",
  kulfi:
    "Malai kulfi\nServes 6\n\n1 litre milk\n100 g sugar\n20 g almonds, chopped\n\n1. Simmer the milk until reduced to half.\n2. Stir in the sugar and almonds.\n3. Pour into moulds and freeze for 8 hours.",
} as const;
