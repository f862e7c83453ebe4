import type { CautionRule } from "../core/cautions";

const HEALTH = "usual advice of health services";
const CUSTOM = "usual practice of kitchens; a rule of thumb";
const SOYA = "Glycine max";

/** What to mind, said where it applies. Nothing here is medical advice. */
export const CAUTIONS: readonly CautionRule[] = [
  { id: "clinician", text: "With diabetes or in pregnancy, and before a long fast, talk to a clinician first.", source: HEALTH, limits: ["glycaemicLoad", "freeSugars"] },
  { id: "long-fast", text: "Children, the ill, and whoever is pregnant or takes medicine should talk to a clinician before a fast.", source: HEALTH, rules: ["ekadashi", "navratri", "shivaratri", "pradosha", "ramadan", "orthodox-lent", "orthodox-nativity", "orthodox-apostles", "orthodox-dormition"] },
  { id: "ramadan-hours", text: "Before dawn: slow carbohydrate, fibre, protein and water. At sunset: something light first, and not too sweet.", source: HEALTH, rules: ["ramadan"] },
  { id: "hot-sugar", text: "Caramel and syrup cook at 120 to 180 °C: a long spoon, water added off the heat in a thin stream, and no child near.", source: HEALTH, operations: ["caramelise"] },
  { id: "pressure", text: "Never fill a pressure cooker over half with grain, pulses or milk; let the pressure fall by itself.", source: "usual instructions of makers of pressure cookers", operations: ["pressure"] },
  {
    id: "cooling", text: "Cool it to 21 °C within 2 hours and to 5 °C within 4 more, keep it at or below 5 °C, and heat it up once, to 75 °C.",
    source: "US FDA Food Code 3-501.14 (cooling)", archetypes: ["pudding", "set pudding", "vegetable halwa"],
    foods: [{ origins: ["dairy"] }, { plants: ["Oryza sativa"] }, { families: ["drink"] }],
  },
  { id: "home-milk", text: "A plant milk pressed at home is drunk or cooked within 2 to 3 days, cold; a sour smell or bubbles mean that it ferments.", source: CUSTOM, pressed: [] },
  { id: "soya-boil", text: "Boil soya milk pressed at home for 10 minutes: raw soya is hard on the gut.", source: HEALTH, pressed: [SOYA] },
  { id: "infant-formula", text: "Plant milk is no formula for infants.", source: HEALTH, ages: ["under 1"], foods: [{ families: ["drink"] }] },
  { id: "rice-drink", text: "Rice drink is not a milk for children under 5: it may hold arsenic.", source: "UK NHS advice on rice drinks", ages: ["under 1", "1 to 5"], foods: [{ families: ["drink"], plants: ["Oryza sativa"] }] },
  { id: "honey-infant", text: "No honey under 12 months: it can carry spores that grow in an infant’s gut.", source: HEALTH, ages: ["under 1"], foods: [{ origins: ["honey"] }] },
  { id: "choking-nuts", text: "Whole nuts can choke a child under 5: grind them.", source: HEALTH, ages: ["under 1", "1 to 5"], foods: [{ families: ["nut", "oilseed"], forms: ["whole", "split"] }, { allergens: ["peanut"], forms: ["whole", "split"] }] },
  { id: "choking-balls", text: "A hard ball can choke a child under 5: crumble it for them.", source: HEALTH, ages: ["under 1", "1 to 5"], archetypes: ["ladoo", "fruit-bound"] },
  {
    id: "raw-flour", text: "Raw flour can carry germs: roast it or cook it through.", source: HEALTH,
    foods: [{ families: ["cereal", "pulse", "pseudo-cereal"], forms: ["flour"], processings: ["milled", "raw"] }],
    without: ["roast", "fry", "simmer", "reduce", "pressure", "steam", "bake"],
  },
  { id: "polyols", text: "Much erythritol or xylitol is laxative; xylitol is poisonous to dogs.", source: "EU 1169/2011, annex III, on polyols above 10 %; veterinary advice on xylitol", foods: [{ above: ["erythritol", 20] }, { above: ["xylitol", 20] }] },
  { id: "steviol", text: "Of steviol glycosides 4 mg a day for each kg of body weight, counted as steviol, are held to be safe for life.", source: "JECFA, acceptable daily intake of steviol glycosides", foods: [{ above: ["steviolGlycosides", 1] }] },
  { id: "gum", text: "Edible gum and husks swell: small amounts, fried or soaked well, and water with it.", source: CUSTOM, foods: [{ families: ["gum"], plants: ["Senegalia senegal", "Vachellia nilotica", "Plantago ovata"] }] },
  { id: "nutmeg", text: "Nutmeg in pinches only: a whole one makes ill.", source: CUSTOM, foods: [{ plants: ["Myristica fragrans"] }] },
  { id: "gourd", text: "Taste a raw sliver of gourd or cucumber first, and throw a bitter one away.", source: "advice of food authorities on bitter gourds and courgettes", foods: [{ families: ["vegetable", "fruit"], plants: ["Lagenaria siceraria", "Cucumis sativus", "Benincasa hispida", "Luffa acutangula", "Cucurbita pepo"] }] },
];
