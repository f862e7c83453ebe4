import type { CautionRule } from "../core/cautions";

const HEALTH = "usual advice of health services";
const CUSTOM = "usual practice of kitchens; a rule of thumb";
const SOYA = "Glycine max";

const FOOD_CODE = "US FDA Food Code";
/** Whom raw food and its germs hurt most. */
const FRAIL = { ages: ["under 1", "1 to 5", "older"], rules: ["small-child", "pregnant", "older"] } as const;
const CHILDREN = { ages: ["under 1", "1 to 5", "child"], rules: ["small-child"] } as const;
const COOKED = ["roast", "fry", "simmer", "reduce", "pressure", "steam", "bake"] as const;
const EGG = [{ origins: ["egg"] }] as const;

/** What to mind, said where it applies. Nothing here is medical advice. */
export const CAUTIONS: readonly CautionRule[] = [
  { id: "clinician", grade: "know", text: "With diabetes or in pregnancy, and before a long fast, talk to a clinician first.", source: HEALTH, limits: ["glycaemicLoad", "freeSugars"] },
  { id: "long-fast", grade: "care", text: "Children, the ill, and whoever is pregnant or takes medicine should talk to a clinician before a fast.", source: HEALTH, rules: ["ekadashi", "navratri", "shivaratri", "pradosha", "ramadan", "orthodox-lent", "orthodox-nativity", "orthodox-apostles", "orthodox-dormition"] },
  { id: "ramadan-hours", grade: "know", text: "Before dawn: slow carbohydrate, fibre, protein and water. At sunset: something light first, and not too sweet.", source: HEALTH, rules: ["ramadan"] },
  { id: "hot-sugar", grade: "care", text: "Caramel and syrup cook at 120 to 180 °C: a long spoon, water added off the heat in a thin stream, and no child near.", source: HEALTH, operations: ["caramelise"] },
  { id: "pressure", grade: "care", text: "Never fill a pressure cooker over half with grain, pulses or milk; let the pressure fall by itself.", source: "usual instructions of makers of pressure cookers", operations: ["pressure"] },
  {
    id: "cooling", grade: "care", text: "Cool it to 21 °C within 2 hours and to 5 °C within 4 more, keep it at or below 5 °C, and heat it up once, to 75 °C.",
    source: "US FDA Food Code 3-501.14 (cooling)", archetypes: ["pudding", "set pudding", "vegetable halwa"],
    foods: [{ origins: ["dairy"] }, { plants: ["Oryza sativa"] }, { families: ["drink"] }],
  },
  { id: "home-milk", grade: "care", text: "A plant milk pressed at home is drunk or cooked within 2 to 3 days, cold; a sour smell or bubbles mean that it ferments.", source: CUSTOM, pressed: [] },
  { id: "soya-boil", grade: "care", text: "Boil soya milk pressed at home for 10 minutes: raw soya is hard on the gut.", source: HEALTH, pressed: [SOYA] },
  { id: "infant-formula", grade: "danger", text: "Plant milk is no formula for infants.", source: HEALTH, ages: ["under 1"], foods: [{ families: ["drink"] }] },
  { id: "rice-drink", grade: "care", forEater: true, text: "Rice drink is not a milk for children under 5: it may hold arsenic.", source: "UK NHS advice on rice drinks", ages: ["under 1", "1 to 5"], foods: [{ families: ["drink"], plants: ["Oryza sativa"] }] },
  { id: "honey-infant", grade: "danger", forEater: true, text: "No honey under 12 months: it can carry spores that grow in an infant’s gut.", source: HEALTH, ages: ["under 1"], foods: [{ origins: ["honey"] }] },
  { id: "choking-nuts", grade: "danger", forEater: true, text: "Whole nuts can choke a child under 5: grind them.", source: HEALTH, ages: ["under 1", "1 to 5"], foods: [{ families: ["nut", "oilseed"], forms: ["whole", "split"] }, { allergens: ["peanut"], forms: ["whole", "split"] }] },
  { id: "choking-balls", grade: "danger", forEater: true, text: "A hard ball can choke a child under 5: crumble it for them.", source: HEALTH, ages: ["under 1", "1 to 5"], archetypes: ["ladoo", "fruit-bound"] },
  {
    id: "raw-flour", grade: "care", text: "Raw flour can carry germs: roast it or cook it through.", source: HEALTH,
    foods: [{ families: ["cereal", "pulse", "pseudo-cereal"], forms: ["flour"], processings: ["milled", "raw"] }],
    without: ["roast", "fry", "simmer", "reduce", "pressure", "steam", "bake"],
  },
  { id: "polyols", grade: "know", forEater: true, text: "Much erythritol or xylitol is laxative; xylitol is poisonous to dogs.", source: "EU 1169/2011, annex III, on polyols above 10 %; veterinary advice on xylitol", foods: [{ above: ["erythritol", 20] }, { above: ["xylitol", 20] }] },
  { id: "steviol", grade: "know", forEater: true, text: "Of steviol glycosides 4 mg a day for each kg of body weight, counted as steviol, are held to be safe for life.", source: "JECFA, acceptable daily intake of steviol glycosides", foods: [{ above: ["steviolGlycosides", 1] }] },
  { id: "gum", grade: "care", forEater: true, text: "Edible gum and husks swell: small amounts, fried or soaked well, and water with it.", source: CUSTOM, foods: [{ families: ["gum"], plants: ["Senegalia senegal", "Vachellia nilotica", "Plantago ovata"] }] },
  { id: "nutmeg", grade: "know", text: "Nutmeg in pinches only: a whole one makes ill.", source: CUSTOM, foods: [{ plants: ["Myristica fragrans"] }] },
  { id: "gourd", grade: "care", text: "Taste a raw sliver of gourd or cucumber first, and throw a bitter one away.", source: "advice of food authorities on bitter gourds and courgettes", foods: [{ families: ["vegetable", "fruit"], plants: ["Lagenaria siceraria", "Cucumis sativus", "Benincasa hispida", "Luffa acutangula", "Cucurbita pepo"] }] },
  // Germs
  { id: "raw-egg-frail", grade: "danger", forEater: true, text: "Egg that is raw or hardly cooked can carry salmonella: for small children, in pregnancy, for the old and the ill bring it to 74 °C, or hold it longer at a lower heat by a tested table, or take pasteurised egg.", source: `${FOOD_CODE} 3-401.11, 3-801.11`, foods: EGG, without: COOKED, who: FRAIL },
  { id: "raw-egg", grade: "care", forEater: true, text: "The egg is not cooked here: it can carry salmonella. Pasteurised egg takes its place.", source: `${FOOD_CODE} 3-401.11`, foods: EGG, without: COOKED },
  { id: "egg-custard", grade: "care", text: "Egg in a custard is safe from 74 °C on, or held longer at a lower heat: for who is frail measure it in the middle.", source: `${FOOD_CODE} 3-401.11`, foods: EGG, operations: ["simmer", "temper", "bake", "steam"], who: FRAIL },
  { id: "raw-milk", grade: "danger", forEater: true, text: "Raw milk can carry germs that hurt small children, the unborn and the frail badly: boil it first, or take pasteurised.", source: HEALTH, words: ["raw milk", "unpasteurised milk", "unpasteurized milk", "milk straight from the cow", "fresh farm milk"] },
  { id: "long-soak", grade: "care", text: "What soaks for more than 8 hours soaks in the fridge, or in water that is changed. Froth, slime or a sour smell: throw it away.", source: CUSTOM, soakedOver: 480 },
  { id: "cultured", grade: "care", text: "A plant milk cultured at home is not judged here: follow a tested process, with its own temperatures and times.", source: CUSTOM, words: ["culture", "cultured", "starter", "probiotic", "probiotics", "ferment", "fermented", "spoon of curd as a starter"] },
  { id: "sealed", grade: "danger", text: "A sealed jar, a vacuum bag or a tin at home keeps nothing longer: without air botulinum can grow, unseen and without smell. Keep it cold as if it were open; for keeping by canning follow a tested process only.", source: "US National Center for Home Food Preservation, on low-acid foods", words: ["vacuum", "vacuum packed", "vacuum seal", "canning", "seal the jars", "seal the jar", "sealed jars", "water bath canner", "hermetically sealed", "bottle and seal"] },
  { id: "warm-room", grade: "care", text: "Days that a sweet keeps at room temperature hold up to 30 °C. Where the room is warmer there is none: chill it, and what holds milk, nut milk or fresh coconut is eaten within 2 hours.", source: CUSTOM, words: ["room temperature", "room temp", "on the counter", "without refrigeration", "needs no refrigeration", "airtight jar", "airtight tin", "airtight container", "air tight container", "keeps for", "will keep for", "stays good for", "shelf life"] },
  // Doses
  { id: "nutmeg-dose", grade: "danger", forEater: true, text: "More than about 1 g of nutmeg a serving: a few grams make ill, with a racing heart and confusion.", source: "reports of poison centres on nutmeg, from about 5 g on", foods: [{ plants: ["Myristica fragrans"] }], over: 1 },
  { id: "cassia", grade: "care", forEater: true, text: "Most ground cinnamon is cassia, whose coumarin is hard on the liver: about 2 g a day for an adult and 0.5 g for a small child is the most to eat often. Ceylon cinnamon holds next to none.", source: "EFSA 2008, tolerable daily intake of coumarin 0.1 mg per kg; German BfR on cassia", foods: [{ plants: ["Cinnamomum verum", "Cinnamomum cassia"] }], over: 0.5 },
  { id: "flax-raw", grade: "care", forEater: true, text: "Raw ground linseed sets prussic acid free: about a spoon a day for an adult, none raw for small children. Cooking it through takes most away.", source: "EFSA 2019 on cyanogenic glycosides", foods: [{ plants: ["Linum usitatissimum"] }], over: 10, without: ["simmer", "reduce", "pressure", "bake", "steam"] },
  { id: "poppy", grade: "care", forEater: true, text: "Poppy seed holds traces of opium alkaloids: not for small children or in pregnancy; wash it hot, and no large amounts.", source: "EFSA 2018 on opium alkaloids in poppy seed", foods: [{ plants: ["Papaver somniferum"] }], who: { ages: ["under 1", "1 to 5"], rules: ["small-child", "pregnant"] } },
  { id: "poppy-dose", grade: "care", forEater: true, text: "So much poppy seed can bring a notable dose of opium alkaloids: wash it hot, and keep to food-grade seed.", source: "EFSA 2018 on opium alkaloids in poppy seed", foods: [{ plants: ["Papaver somniferum"] }], over: 10 },
  { id: "camphor", grade: "danger", forEater: true, text: "Camphor is poisonous: only what is sold as edible, no more than a grain, none for children, in pregnancy or with epilepsy. What is sold for worship is not for eating.", source: HEALTH, words: ["camphor", "edible camphor", "pacha karpooram", "pachai karpooram", "kapoor", "karpur", "karpooram"] },
  { id: "licorice", grade: "care", forEater: true, text: "Much licorice, or a little every day, raises the blood pressure and lowers potassium: not in pregnancy or with heart trouble.", source: "EU Scientific Committee on Food 2003, at most 100 mg glycyrrhizinic acid a day", words: ["licorice", "liquorice", "mulethi", "yashtimadhu", "athimadhuram"] },
  { id: "caffeine-child", grade: "care", forEater: true, text: "Tea and coffee bring caffeine, cocoa a little: for children at most 3 mg a day for each kg of body weight.", source: "EFSA 2015 on the safety of caffeine", foods: [{ plants: ["Theobroma cacao"], forms: ["powder"] }], who: CHILDREN },
  { id: "caffeine-child-drink", grade: "care", forEater: true, text: "Tea and coffee bring caffeine: for children at most 3 mg a day for each kg of body weight.", source: "EFSA 2015 on the safety of caffeine", words: ["coffee", "espresso", "matcha", "tea leaves", "green tea", "black tea"], who: CHILDREN },
  // What plants hold
  { id: "cassava", grade: "danger", text: "Raw cassava sets prussic acid free: peel it, soak and boil it through, and throw the water away; bitter kinds only from a tested process. Its flour as sold is meant to be cooked.", source: "FAO/WHO, Codex CXS 238 and 300 on cassava", words: ["cassava", "manioc", "yuca", "tapioca root", "kappa"] },
  { id: "bitter-kernels", grade: "danger", text: "Bitter almonds and the kernels of apricots hold much that turns to prussic acid: a few can kill a child. Leave them out; almond essence takes their place.", source: "EFSA 2016 on amygdalin in apricot kernels", words: ["bitter almond", "bitter almonds", "apricot kernel", "apricot kernels", "peach kernels", "plum kernels"] },
  { id: "kidney-beans", grade: "danger", text: "Kidney beans that are not boiled hard make ill: soak them 5 hours, throw the water away, boil them in fresh water for at least 10 minutes, full; a slow cooker alone is not hot enough.", source: "US FDA, Bad Bug Book, on phytohaemagglutinin", foods: [{ plants: ["Phaseolus vulgaris", "Phaseolus coccineus"], families: ["pulse"] }] },
  { id: "green-potato", grade: "care", text: "Potatoes that are green or have sprouted hold solanine, which cooking leaves in: cut all of it away, or take others.", source: HEALTH, foods: [{ plants: ["Solanum tuberosum"], forms: ["whole"] }] },
  { id: "ackee", grade: "danger", text: "Ackee is eaten only when it has opened by itself on the tree, without seeds and membrane; unripe it kills.", source: "US FDA, Bad Bug Book, on hypoglycin A", words: ["ackee", "akee"] },
  // What swells
  { id: "gum-dose", grade: "danger", forEater: true, text: "So much of a gum that swells can stick in throat or gut: a gram or two thickens half a litre. Sprinkle it into plenty of liquid, let it swell whole, and never take it dry.", source: "US FDA 21 CFR 201.319, on gums and psyllium that swell", foods: [{ plants: ["Cyamopsis tetragonoloba", "Plantago ovata"] }, { families: ["gum"], forms: ["powder"], processings: ["fermented"] }], over: 3 },
  { id: "chia", grade: "care", forEater: true, text: "Chia swells to ten times its weight: soak it first, never take it dry by the spoon.", source: CUSTOM, foods: [{ plants: ["Salvia hispanica"] }], without: ["soak", "simmer", "grind"] },
  // Heat
  { id: "hot-fat", grade: "care", text: "Fat for frying stands at 160 to 190 °C: a third of the pan at most, nothing wet into it, a lid at hand to smother it, never water; no child near.", source: HEALTH, operations: ["fry"], words: ["deep fry", "deep fried", "hot oil", "oil for frying", "fry in batches"] },
  { id: "closed-tin", grade: "danger", text: "A closed tin is never heated: it can burst. Open it, and heat what is in it in a pan.", source: "usual warning on tins of condensed milk", words: ["unopened tin", "unopened can", "closed tin", "closed can", "boil the tin", "boil the can", "tin in boiling water", "can in boiling water", "cook the tin", "simmer the unopened"] },
  { id: "quick-release", grade: "danger", text: "Oats, pulses and milk foam under pressure: fill it to a third at most, and let the pressure fall by itself, never quickly.", source: "usual instructions of makers of pressure cookers", words: ["quick release", "release the pressure", "release pressure", "open the valve"], foods: [{ plants: ["Avena sativa"] }, { families: ["pulse"] }, { origins: ["dairy"] }] },
  // Animals
  { id: "dogs", grade: "know", forEater: true, text: "Keep it from dogs: raisins, chocolate and xylitol are poisonous to them.", source: "veterinary poison advice", foods: [{ plants: ["Vitis vinifera"], families: ["fruit"] }, { plants: ["Theobroma cacao"] }, { above: ["xylitol", 1] }] },
];
