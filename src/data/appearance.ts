import type { Constants } from "../core/food";

/** Depths of colour and dyes of foods, by id, plant or family: judged by eye on usual sweets. */
export const COLOUR: Constants["colour"] = {
  value: {
    depth: {
      // Sweeteners.
      jaggery: 4, "jaggery-powder": 4, "jaggery-syrup": 3.5, "palm-jaggery": 8, "brown-sugar": 3.5, demerara: 2.5, "coconut-sugar": 8, molasses: 25, "date-sugar": 9,
      "date-syrup": 14, "date-paste": 7, "fig-paste": 6, honey: 2.5, "maple-syrup": 4, "agave-syrup": 2, "golden-syrup": 2.5, "barley-malt-syrup": 10, "yacon-syrup": 10,
      "sugarcane-juice": 1, "rice-syrup": 1,
      // Dried fruit, where it is not left in pieces.
      dates: 5, "dry-dates": 4, "dried-figs": 4, prunes: 14, raisins: 7, "golden-raisins": 3, "zante-currants": 9, "dried-apricot": 2, banana: 0.8, apple: 0.4, "apple-puree": 0.8,
      // Grain and pulses.
      cereal: 0.35, "pseudo-cereal": 0.7, pulse: 1, "whole-wheat-flour": 1.4, "ragi-flour": 8, "whole-ragi": 8, "pearl-millet": 1.6, "pearl-millet-flour": 1.6, "sorghum-flour": 1,
      besan: 1, "roasted-gram-flour": 1.2, "moong-dal": 1.1, "moong-flour": 1.1, "buckwheat-flour": 2.5, "brown-rice": 1, "red-rice": 5, "black-rice": 30, semolina: 0.6,
      "vermicelli-roasted": 1.6, bulgur: 1.4, "rolled-oats": 0.8, "oat-flour": 0.8, "chestnut-flour": 2, "carob-powder": 24, "cocoa-powder": 32, "dark-chocolate": 20,
      "milk-chocolate": 9, "cocoa-nibs": 24, "digestive-biscuits": 2.5, "whole-wheat-bread": 1.6,
      // Nuts and seeds, ground.
      nut: 0.6, oilseed: 0.8, peanut: 1.2, "peanut-butter": 2.2, "almond-butter": 2.5, "almond-flour": 0.5, tahini: 1, sesame: 0.6, "black-sesame": 20, flaxseed: 4, walnut: 2,
      // Milk and fat.
      khoa: 0.7, "condensed-milk": 0.7, "evaporated-milk": 0.5, "buffalo-milk": 0.15, "cow-milk": 0.2, ghee: 0.7, butter: 0.7, "egg-yolk": 2.5, egg: 0.8, "oat-drink": 0.35,
      // What dyes gives depth as well.
      carrot: 0.9, pumpkin: 1, "pumpkin-puree": 1, "sweet-potato": 0.7, mango: 1, "mango-puree": 1.1, "mango-pulp-sweetened": 1.1, beetroot: 1.2, saffron: 6000, turmeric: 60,
      cinnamon: 10, nutmeg: 6, "dry-ginger": 3, tamarind: 8,
    },
    caramel: { light: 3, amber: 7, dark: 14 },
    toasted: 0.5,
    staysLight: ["dairy", "sweetener", "drink", "water", "fat", "starch"],
    dyes: {
      carrot: { hue: "orange", perGram: 2 }, pumpkin: { hue: "orange", perGram: 1.5 }, "pumpkin-puree": { hue: "orange", perGram: 1.5 }, "sweet-potato": { hue: "orange", perGram: 1 },
      mango: { hue: "orange-gold", perGram: 2 }, "mango-puree": { hue: "orange-gold", perGram: 2.2 }, "mango-pulp-sweetened": { hue: "orange-gold", perGram: 2.2 },
      beetroot: { hue: "pink", perGram: 12 }, raspberry: { hue: "pink", perGram: 4 }, pomegranate: { hue: "pink", perGram: 2 }, "dried-cranberries": { hue: "pink", perGram: 3 },
      "dried-rose-petals": { hue: "pink", perGram: 10 }, "rose-petal-jam": { hue: "pink", perGram: 5 }, blueberry: { hue: "violet", perGram: 6 }, "black-rice": { hue: "violet", perGram: 45 },
      pistachio: { hue: "green", perGram: 2 }, "pistachio-butter": { hue: "green", perGram: 3 }, kiwi: { hue: "green", perGram: 1 }, "screwpine-leaf": { hue: "green", perGram: 12 },
      saffron: { hue: "saffron gold", perGram: 9000 }, turmeric: { hue: "yellow", perGram: 120 },
    },
    dyed: 0.35,
    least: 0.12,
  },
  source: "depths by the eye on usual sweets (rule of thumb, ± one step)",
  rule: true,
};

/** Notes of foods and the amount of each in 100 g from which most people notice it: judged by taste on usual sweets. */
export const FLAVOUR: Constants["flavour"] = {
  value: {
    notes: {
      "Cocos nucifera": [["coconut", 6]], "coconut-oil": [["coconut", 4]], "coconut-sugar": [["caramel", 8]], "coconut-water": [["coconut", 30]],
      "soy-milk": [["bean", 30]], "soya-flour": [["bean", 5]], "soya-yogurt": [["bean", 30], ["sour", 25]], "silken-tofu": [["bean", 30]], "firm-tofu": [["bean", 20]],
      "pea-drink": [["bean", 25]], besan: [["chickpea", 10]], "roasted-gram": [["chickpea", 10]], "roasted-gram-flour": [["chickpea", 10]], "chana-dal": [["chickpea", 12]],
      "moong-dal": [["lentil", 12]], "moong-flour": [["lentil", 10]], "rolled-oats": [["oat", 8]], "oat-flour": [["oat", 8]], "oat-drink": [["oat", 40]], "oat-drink-barista": [["oat", 40]],
      "ragi-flour": [["malty", 7]], "barley-malt-syrup": [["malty", 4]], "pearl-millet": [["millet, earthy", 10]], "pearl-millet-flour": [["millet, earthy", 8]],
      "buckwheat-flour": [["buckwheat, earthy", 7]], "amaranth-flour": [["earthy", 7]], "water-chestnut-flour": [["earthy", 12]],
      jaggery: [["molasses", 7]], "jaggery-powder": [["molasses", 7]], "jaggery-syrup": [["molasses", 9]], "palm-jaggery": [["smoky molasses", 4]], molasses: [["molasses", 1.5]],
      "brown-sugar": [["molasses", 12]], demerara: [["molasses", 15]], "date-paste": [["date", 8]], dates: [["date", 10]], "date-syrup": [["date", 6]], "date-sugar": [["date", 8]],
      "fig-paste": [["fig", 8]], "dried-figs": [["fig", 10]], honey: [["honey", 5]], "maple-syrup": [["maple", 6]], prunes: [["prune", 8]], raisins: [["raisin", 8]],
      almond: [["almond", 6]], "Prunus dulcis": [["almond", 6]], cashew: [["cashew, mild nut", 8]], "cashew-paste": [["cashew, mild nut", 8]], "cashew-butter": [["cashew, mild nut", 7]],
      "Arachis hypogaea": [["peanut", 5]], "Sesamum indicum": [["sesame", 4]], tahini: [["sesame", 4]], "Pistacia vera": [["pistachio", 5]], "Juglans regia": [["walnut, tannic", 5]],
      hazelnut: [["hazelnut", 4]], "hazelnut-butter": [["hazelnut", 4]], flaxseed: [["flax, grassy", 4]], "poppy-seeds": [["poppy", 5]], "melon-seed-paste": [["melon seed", 8]],
      ghee: [["ghee", 5]], butter: [["butter", 7]], "salted-butter": [["butter", 7]], khoa: [["cooked milk", 10]], "condensed-milk": [["cooked milk", 12]], "evaporated-milk": [["cooked milk", 20]],
      "milk-powder": [["cooked milk", 6]], paneer: [["fresh cheese", 15]], yogurt: [["sour", 20]], "hung-curd": [["sour", 15]], "hung-yogurt": [["sour", 15]], buttermilk: [["sour", 25]],
      "cream-cheese": [["fresh cheese", 10]], "sour-cream": [["sour", 12]], "mustard-oil": [["pungent", 1]], "olive-oil": [["olive", 3]], "sesame-oil": [["sesame", 3]],
      erythritol: [["cooling", 7]], xylitol: [["cooling", 7]], "monk-fruit-erythritol": [["cooling", 7]], stevia: [["bitter-sweet aftertaste", 0.045]], "liquid-stevia": [["bitter-sweet aftertaste", 0.3]],
      "cocoa-powder": [["cocoa", 1.5], ["bitter", 4]], "dark-chocolate": [["cocoa", 4], ["bitter", 12]], "milk-chocolate": [["cocoa", 8]], "cocoa-nibs": [["cocoa", 3], ["bitter", 4]], "carob-powder": [["carob", 3]],
      cardamom: [["cardamom", 0.06]], "black-cardamom": [["smoky cardamom", 0.06]], saffron: [["saffron", 0.006]], cinnamon: [["cinnamon", 0.08]], nutmeg: [["nutmeg", 0.03]], mace: [["mace", 0.03]],
      cloves: [["clove", 0.02]], "dry-ginger": [["ginger", 0.15]], ginger: [["ginger", 0.6]], "candied-ginger": [["ginger", 3]], "fennel-seeds": [["fennel", 0.2]], "anise-seed": [["anise", 0.1]],
      "star-anise": [["anise", 0.08]], "black-pepper": [["pepper", 0.1]], turmeric: [["turmeric", 0.15]], "bay-leaf": [["bay", 0.05]], allspice: [["allspice", 0.06]], "vanilla-extract": [["vanilla", 0.25]],
      "vanilla-pod": [["vanilla", 0.1]], "rose-water": [["rose", 0.5]], "rose-essence": [["rose", 0.05]], "dried-rose-petals": [["rose", 0.3]], "rose-petal-jam": [["rose", 4]],
      "screwpine-water": [["screwpine", 0.4]], "screwpine-essence": [["screwpine", 0.05]], "screwpine-leaf": [["screwpine", 0.5]], "orange-blossom-water": [["orange blossom", 0.4]],
      "almond-essence": [["bitter almond", 0.05]], "saffron-essence": [["saffron", 0.05]], "lemon-zest": [["lemon", 0.2]], "orange-zest": [["orange", 0.3]], "lime-zest": [["lime", 0.2]],
      "lemon-juice": [["lemon, sour", 2]], "lime-juice": [["lime, sour", 2]], "orange-juice": [["orange", 12]], "citric-acid": [["sour", 0.15]],
      banana: [["banana", 10]], "banana-flour": [["banana", 8]], mango: [["mango", 12]], "mango-puree": [["mango", 10]], "mango-pulp-sweetened": [["mango", 10]], apple: [["apple", 25]], "apple-puree": [["apple", 25]],
      carrot: [["carrot", 20]], pumpkin: [["pumpkin", 20]], "pumpkin-puree": [["pumpkin", 20]], beetroot: [["beet, earthy", 12]], "sweet-potato": [["sweet potato", 20]], "bottle-gourd": [["gourd, green", 40]],
      raspberry: [["raspberry", 6]], blueberry: [["blueberry", 10]], pomegranate: [["pomegranate", 15]], "dried-apricot": [["apricot", 8]], "dried-cranberries": [["cranberry", 6]],
      salt: [["salty", 0.35]], "rock-salt": [["salty", 0.35]], asafoetida: [["asafoetida", 0.02]],
    },
    toastable: ["cereal", "pseudo-cereal", "pulse", "nut", "oilseed"],
    toastedFrom: 8,
    caramelFrom: { light: 12, amber: 5, dark: 3 },
  },
  source: "amounts from which a note is told, judged on usual sweets (rule of thumb)",
  rule: true,
};
