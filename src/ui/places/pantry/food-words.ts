import type { Allergen, Family, Food, Nutrient, Provenance } from "../../../core/food";

/** The families as a cook would look for them, in the order of the shelf. */
export const FAMILY_NAMES: Readonly<Record<Family, string>> = {
  cereal: "Cereals and millets",
  "pseudo-cereal": "Amaranth and its like",
  pulse: "Pulses",
  nut: "Nuts",
  oilseed: "Seeds",
  fruit: "Fruit",
  vegetable: "Vegetables",
  root: "Roots",
  dairy: "Dairy",
  drink: "Plant milks and drinks",
  egg: "Eggs",
  sweetener: "Sweeteners",
  fat: "Fats",
  starch: "Starches",
  gum: "What gels and binds",
  spice: "Spices",
  essence: "Essences",
  salt: "Salt",
  water: "Water",
};
export const FAMILY_ORDER = Object.keys(FAMILY_NAMES) as readonly Family[];

export const NUTRIENT_NAMES: Readonly<Record<Nutrient, string>> = {
  water: "Water",
  protein: "Protein",
  fat: "Fat",
  saturatedFat: "of which saturated",
  availableCarbohydrate: "Available carbohydrate",
  starch: "of which starch",
  fructose: "Fructose",
  glucose: "Glucose",
  sucrose: "Sucrose",
  maltose: "Maltose",
  lactose: "Lactose",
  erythritol: "Erythritol",
  xylitol: "Xylitol",
  allulose: "Allulose",
  steviolGlycosides: "Steviol glycosides",
  solubleFibre: "Soluble fibre",
  insolubleFibre: "Insoluble fibre",
  organicAcids: "Organic acids",
  ash: "Ash",
  sodium: "Sodium",
  potassium: "Potassium",
  calcium: "Calcium",
  iron: "Iron",
};

const PROVENANCE: Readonly<Record<Provenance, string>> = {
  measured: "measured, from a published table",
  reference: "from a reference table",
  typical: "typical values, written down from memory of a table",
  label: "from a pack label",
  computed: "computed from other foods",
};
export const provenanceWords = (food: Food): string => PROVENANCE[food.provenance];
export const allergenWords = (allergen: Allergen): string => allergen.replace("-", " ");
