/**
 * Two facts of each food that is written by hand from memory of a table, put down apart from its row: kcal and g of
 * protein per 100 g, as tables of composition commonly print them. A row whose columns slipped contradicts one of them.
 */
export const FACTS: Readonly<Record<string, readonly [kilocalories: number, protein: number]>> = {
  sugar: [387, 0], "brown-sugar": [380, 0.1], "icing-sugar": [389, 0], honey: [304, 0.3], "maple-syrup": [260, 0], "agave-syrup": [310, 0.1], "dried-figs": [249, 3.3], prunes: [240, 2.2],
  molasses: [290, 0], "glucose-syrup": [283, 0], "condensed-milk": [321, 7.9], "skim-milk": [34, 3.4], "evaporated-milk": [134, 6.8], "milk-powder": [496, 26.3], "skim-milk-powder": [362, 36.2],
  cream: [340, 2.8], yogurt: [61, 3.5], butter: [717, 0.85], "salted-butter": [717, 0.85], "soy-milk": [33, 3.3], "coconut-milk": [197, 2], "silken-tofu": [55, 4.8], "firm-tofu": [144, 17.3],
  cornflour: [381, 0.3], arrowroot: [357, 0.3], sago: [358, 0.2], "rice-flour": [366, 6], "buckwheat-flour": [335, 12.6], "rolled-oats": [379, 13.2], agar: [306, 6.2], "agar-flakes": [306, 6.2],
  gelatin: [335, 85.6], chia: [486, 16.5], "melon-seeds": [557, 28.3], "pumpkin-seeds": [559, 30.2], tahini: [595, 17], "peanut-butter": [595, 23], hazelnut: [628, 15], pecan: [691, 9.2],
  macadamia: [718, 7.9], "brazil-nut": [659, 14.3], "cocoa-butter": [884, 0], "olive-oil": [884, 0], "cocoa-powder": [228, 19.6], saffron: [310, 11.4], cinnamon: [247, 4], "lemon-zest": [47, 1.5],
  "baking-powder": [53, 0], "glutinous-rice": [370, 6.8], "proso-millet": [378, 11], teff: [367, 13.3], "buckwheat-groats": [343, 13.3], "puffed-millet": [354, 13], "popped-maize": [387, 12.9],
  "oat-flour": [404, 14.7], "oat-bran": [246, 17.3], "wheat-germ": [360, 23.2], "soya-flour": [327, 51.5], "desiccated-coconut": [660, 6.9], "almond-flour": [579, 21.2], "hemp-seeds": [553, 31.6],
  "sunflower-butter": [617, 17.3], "lotus-seeds": [332, 15.4], "light-cream": [195, 3], "hung-yogurt": [97, 9], ricotta: [174, 11.3], buttermilk: [40, 3.3], "dried-cranberries": [308, 0.2],
  "zante-currants": [283, 4.1], "candied-peel": [322, 0.3], "apple-puree": [42, 0.2], "orange-juice": [45, 0.7], raspberry: [52, 1.2], blueberry: [57, 0.7], "barley-malt-syrup": [318, 6.2],
 "basil-leaf": [23, 3.2], "fennel-seeds": [345, 15.8], "dry-ginger": [335, 9], "anise-seed": [337, 17.6], "dark-chocolate": [598, 7.8], "carob-powder": [222, 4.6],
  "white-chocolate": [539, 5.9], "milk-chocolate": [535, 7.7], "white-bread": [267, 8.9], "whole-wheat-bread": [252, 12.5], "dry-breadcrumbs": [395, 13.4], "filo-pastry": [299, 7.1],
  "corn-flakes": [357, 7.5], "barley-flour": [345, 10.5], "cream-cheese": [350, 6.2], "sour-cream": [198, 2.4], "half-and-half": [131, 3.1], "goat-milk": [69, 3.6], "almond-butter": [614, 21],
  "cashew-butter": [587, 17.6], "pumpkin-puree": [34, 1.1], jam: [278, 0.4], "dried-cherries": [333, 1.3], "lime-juice": [25, 0.4], "orange-zest": [97, 1.5], "bay-leaf": [313, 7.6], allspice: [263, 6.1],
  "dry-yeast": [325, 40.4], "passion-fruit": [97, 2.2], kiwi: [61, 1.1], "whey-powder": [353, 12.9], "soya-protein": [335, 88.3], "wheat-gluten": [370, 75.2], "egg-white-powder": [382, 81.1],
  "shea-fat": [884, 0], "palm-kernel-oil": [862, 0], "rapeseed-oil": [884, 0],
}; // prettier-ignore

/** Rows that contradict a fact, each with why that is so and is kept. */
export const EXPLAINED: Readonly<Record<string, string>> = {
  honey: "the table counts a gram of its sugars as 3.7 kcal, the label's factor is 4",
  "glucose-syrup": "the table counts a gram of its sugars as 3.7 kcal, the label's factor is 4",
  "cocoa-powder": "the table has factors of its own for cocoa, of which little is digested",
  saffron: "the table has factors of its own for spices",
  allspice: "the table has factors of its own for spices",
  "oat-bran": "the table has factors of its own for bran",
  "puffed-millet": "the table's energy is less than its 80 g of carbohydrate come to",
  "baking-powder": "the table counts half of its starch",
  "soya-protein": "the table has a factor of its own for soya protein",
};
