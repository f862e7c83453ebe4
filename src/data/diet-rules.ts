import { ALLERGENS, TREE_NUTS, type Allergen } from "../core/food";
import type { Clause, Rule, RuleKind, When } from "../core/models/diet";

const CODEX = "Codex CXS 1-1985, foods known to cause hypersensitivity";
const CUSTOM = "custom of households that keep it; traditions differ, your elders' or temple's list wins";

const avoid = (when: When, because: string): Clause => ({ verdict: "avoid", when, because });
const ask = (when: When, because: string): Clause => ({ verdict: "ask", when, because });
const allow = (when: When): Clause => ({ verdict: "allowed", when, because: "" });
const contains = (allergens: readonly Allergen[]): Clause => avoid({ allergens }, "contains {allergen}");

interface School {
  /** Part of the id; empty for the one taken unless another is chosen. */
  readonly id: string;
  readonly name: string;
  readonly reason: string;
  readonly clauses: readonly Clause[];
}

const rulesOf = (kind: RuleKind, id: string, name: string, short: string, schools: readonly School[], source = CODEX): Rule[] =>
  schools.map((school) => ({
    id: school.id ? `${id}/${school.id}` : id, kind, name, short, school: school.name, schoolReason: school.reason, clauses: school.clauses, source,
  }));
const rule = (kind: RuleKind, id: string, name: string, short: string, clauses: readonly Clause[], source = CODEX): Rule[] =>
  rulesOf(kind, id, name, short, [{ id: "", name: "usual", reason: "", clauses }], source);

/** Cross-reactive pairs: the other of a pair is avoided until the household has cleared it. */
const CROSS_REACTIVE: Readonly<Partial<Record<Allergen, Allergen>>> = { cashew: "pistachio", pistachio: "cashew", walnut: "pecan", pecan: "walnut" };

/** Rule that avoids one allergen and its cross-reactive kin; where there is kin, a school for those who have it cleared. */
function allergenRules(allergen: Allergen): Rule[] {
  const kin = CROSS_REACTIVE[allergen];
  const words = allergen.replace("-", " ");
  const alone: School = { id: kin ? "cleared" : "", name: kin ? `${kin} cleared` : "usual", reason: kin ? `an allergologist has cleared ${kin}` : "", clauses: [contains([allergen])] };
  const both: readonly School[] = kin ? [{ id: "", name: `with ${kin}, which often cross-reacts`, reason: `${words} and ${kin} share what sets the allergy off`, clauses: [contains([allergen, kin])] }, alone] : [alone];
  return rulesOf("allergy", `no-${allergen}`, `No ${words}`, `no ${words}`, both);
}

const DAIRY: readonly Clause[] = [avoid({ origins: ["dairy"] }, "is dairy"), contains(["milk"])];
const EGG: readonly Clause[] = [avoid({ origins: ["egg"] }, "is egg"), contains(["egg"])];
const ANIMAL: readonly Clause[] = [avoid({ origins: ["animal"] }, "is of an animal"), contains(["fish", "crustaceans", "molluscs"])];
const BEES = avoid({ origins: ["honey"] }, "is made by bees");
const GELATIN = avoid({ origins: ["gelatin"] }, "is of animal gelatin");
const ALCOHOL = avoid({ alcohol: true }, "holds alcohol");
const SPIRITS = avoid({ alcohol: true, families: ["drink"] }, "holds an alcoholic drink");
const ALCOHOL_ASKED = ask({ alcohol: true }, "holds a little alcohol, which is left out by many");
const VEGAN: readonly Clause[] = [...DAIRY, ...EGG, BEES, GELATIN, ...ANIMAL];
const STIMULANTS = avoid({ plants: ["Camellia sinensis", "Coffea arabica"] }, "is a stimulant");

/** True grains; barnyard millet stands apart, as fasts do. */
const CEREAL_PLANTS = [
  "Triticum aestivum", "Oryza sativa", "Zea mays", "Hordeum vulgare", "Avena sativa", "Sorghum bicolor", "Cenchrus americanus", "Eleusine coracana",
  "Setaria italica", "Panicum miliaceum", "Panicum sumatrense", "Paspalum scrobiculatum", "Urochloa ramosa", "Eragrostis tef",
];
const BARNYARD = ["Echinochloa frumentacea"];
const PULSE_PLANTS = [
  "Cicer arietinum", "Vigna mungo", "Vigna unguiculata", "Vigna radiata", "Vigna aconitifolia", "Vigna umbellata", "Lablab purpureus", "Macrotyloma uniflorum",
  "Lens culinaris", "Pisum sativum", "Phaseolus vulgaris", "Phaseolus coccineus", "Cajanus cajan", "Glycine max", "Vicia faba", "Cyamopsis tetragonoloba",
];
const GROUNDNUT = ["Arachis hypogaea"];
const PUNGENT = ["Allium cepa", "Allium sativum"];
const CHESTNUTS = ["Castanea sativa"];
const CHIRONJI = ["Buchanania cochinchinensis"];

const NO_GRAIN: readonly Clause[] = [
  avoid({ plants: CEREAL_PLANTS }, "is a grain, or made of one"),
  avoid({ plants: PULSE_PLANTS }, "is a pulse, or made of one"),
  ask({ plants: GROUNDNUT }, "is a pulse by its plant; most households count groundnuts with the nuts"),
];
/** Grain and pulse by their family, after seeds that fasts keep were let through. */
const FAMILIES: readonly Clause[] = [avoid({ families: ["cereal"] }, "is a grain"), avoid({ families: ["pulse"] }, "is a pulse")];
const COMMON_SALT = avoid({ families: ["salt"], forms: ["crystals"] }, "is common salt; rock salt takes its place");
const SEED_GRAINS = { plants: ["Amaranthus hypochondriacus", "Fagopyrum esculentum", "Trapa natans", "Euryale ferox", "Nelumbo nucifera"] };

const EKADASHI: readonly Clause[] = [
  allow({ plants: BARNYARD }),
  allow(SEED_GRAINS),
  ...NO_GRAIN,
  ask({ plants: ["Chenopodium quinoa"] }, "is a seed that some households count as a grain"),
  ...FAMILIES,
  ...EGG,
  GELATIN,
  ...ANIMAL,
  ALCOHOL_ASKED,
  avoid({ plants: PUNGENT }, "is onion or garlic"),
  avoid({ plants: ["Brassica juncea"] }, "is mustard"),
  ask({ plants: ["Sesamum indicum"] }, "is of sesame, which some leave out"),
  ask({ plants: ["Ferula assa-foetida"] }, "is compounded with wheat unless it is pure"),
  COMMON_SALT,
];
const NAVRATRI: readonly Clause[] = [
  allow({ plants: BARNYARD }),
  allow(SEED_GRAINS),
  ask({ plants: ["Chenopodium quinoa"] }, "is a seed; some households count it in, some as a grain"),
  ...NO_GRAIN,
  ...FAMILIES,
  ...EGG,
  GELATIN,
  ...ANIMAL,
  ALCOHOL_ASKED,
  avoid({ plants: PUNGENT }, "is onion or garlic"),
  ask({ plants: ["Brassica juncea"] }, "is mustard, left out by many"),
  ask({ plants: ["Foeniculum vulgare", "Curcuma longa"] }, "is kept or left out by region"),
  COMMON_SALT,
];
const LENT: readonly Clause[] = [...DAIRY, ...EGG, GELATIN, avoid({ origins: ["animal"] }, "is of an animal"), contains(["fish"])];
const FISH_DAY: readonly Clause[] = [...DAIRY, ...EGG, GELATIN, avoid({ origins: ["animal"] }, "is of an animal")];
const SWEETENED: readonly Clause[] = [
  allow({ plants: ["Citrus × limon", "Citrus × aurantiifolia", "Tamarindus indica"] }),
  allow({ families: ["essence"] }),
  avoid({ sugarClasses: ["added", "sweetened milk"] }, "is sugar, or sweetened"),
  avoid({ families: ["sweetener"], above: ["availableCarbohydrate", 30] }, "is used for its sweetness"),
];
const WHOLE = ["whole", "split"] as const;
const CHILD: readonly Clause[] = [
  avoid({ families: ["nut"], forms: WHOLE }, "can choke a small child: grind it"),
  avoid({ plants: GROUNDNUT, forms: WHOLE }, "can choke a small child: grind it"),
  avoid({ processings: ["popped"], plants: ["Zea mays"] }, "can choke a small child"),
  avoid({ families: ["sweetener"], above: ["erythritol", 1] }, "is a polyol: not for small children"),
  avoid({ families: ["sweetener"], above: ["xylitol", 1] }, "is a polyol: not for small children"),
  avoid({ families: ["sweetener"], above: ["allulose", 1] }, "is not for small children"),
  avoid({ families: ["sweetener"], above: ["steviolGlycosides", 1] }, "is a high-potency sweetener: not for small children"),
  ask({ families: ["oilseed"], forms: WHOLE }, "can be breathed in: grind it for the youngest"),
  ask({ plants: ["Vitis vinifera"], forms: ["whole"] }, "is small and slippery, or sticky: cut it up lengthwise"),
  ask({ families: ["fruit"], forms: ["whole"], processings: ["dried"] }, "is sticky: cut it small"),
  ask({ families: ["sweetener"], forms: ["block"], processings: ["refined"] }, "is in hard lumps: crush or dissolve it"),
  ask({ plants: ["Senegalia senegal", "Plantago ovata", "Cyamopsis tetragonoloba"] }, "swells with water and can stick in the throat: little of it, well soaked"),
];
const ORTHODOX_DAYS: readonly School[] = [
  { id: "", name: "oil day", reason: "no meat, dairy or egg; oil and wine are taken", clauses: LENT },
  { id: "strict", name: "strict day", reason: "no oil and no wine either", clauses: [...LENT, avoid({ families: ["fat"] }, "is oil or fat"), ALCOHOL] },
  { id: "fish", name: "fish day", reason: "as an oil day, and fish is taken", clauses: FISH_DAY },
];
const ORTHODOX_FASTS = [
  ["orthodox-weekday", "Orthodox Wednesday and Friday", "wednesday, friday"],
  ["orthodox-nativity", "Nativity fast, Orthodox", "nativity fast"],
  ["orthodox-apostles", "Apostles' fast, Orthodox", "apostles' fast"],
  ["orthodox-dormition", "Dormition fast, Orthodox", "dormition fast"],
] as const;
const MAKER = "is halal only from some animals: ask its maker";
const HALAL: readonly Clause[] = [SPIRITS, ask({ origins: ["gelatin"] }, MAKER), ask({ origins: ["animal"] }, MAKER), ask({ origins: ["unknown"] }, "ask its maker"), ALCOHOL_ASKED];
const CHAMETZ: readonly Clause[] = [
  avoid({ plants: ["Triticum aestivum", "Hordeum vulgare", "Secale cereale", "Avena sativa"] }, "is of one of the five grains"),
  contains(["wheat", "barley", "rye", "oats"]),
  ask({ alcohol: true }, "may be distilled from grain: it needs to be marked for Passover"),
  ask({ origins: ["gelatin", "animal"] }, "ask whether it is kosher"),
];
const KITNIYOT: readonly Clause[] = [
  avoid({ plants: [...CEREAL_PLANTS, ...BARNYARD, ...PULSE_PLANTS, "Sesamum indicum", "Brassica juncea", "Fagopyrum esculentum"] }, "is counted with kitniyot"),
  ask({ plants: [...GROUNDNUT, "Chenopodium quinoa", "Amaranthus hypochondriacus"] }, "is counted with kitniyot by some"),
  avoid({ families: ["pulse"] }, "is counted with kitniyot"),
];
const KOSHER: readonly Clause[] = [
  avoid({ allergens: ["crustaceans", "molluscs"] }, "is of the sea, without fins and scales"),
  ask({ origins: ["gelatin"] }, "is kosher only from some animals: ask its maker"),
  ask({ origins: ["animal"] }, "is kosher only from some animals, and never with milk: ask its maker"),
  ask({ plants: ["Vitis vinifera"], forms: ["liquid", "syrup"] }, "is of grapes: juice and wine need supervision"),
  ask({ alcohol: true }, "may be of grapes: it needs supervision"),
];
/** Caffeine: cocoa a little, tea and coffee more. */
const CAFFEINE: readonly Clause[] = [ask({ plants: ["Camellia sinensis", "Coffea arabica"] }, "holds caffeine: at most 200 mg a day of all together (EFSA 2015)"), ask({ plants: ["Theobroma cacao"], processings: ["fermented", "roasted", "milled", "refined"] }, "holds some caffeine")];
const FRUIT_PASTE: When = { families: ["fruit"], forms: ["paste", "syrup"] };

const SHIPPED: readonly Rule[] = [
  ...rulesOf("diet", "vegan", "Vegan", "vegan", [
    { id: "", name: "usual", reason: "by what a food is made of", clauses: VEGAN },
    { id: "white-sugar", name: "asks about white sugar", reason: "in some countries it is filtered over bone char", clauses: [...VEGAN, ask({ plants: ["Saccharum officinarum"], processings: ["refined"], forms: ["crystals", "flour", "block"] }, "may be filtered over bone char: ask its maker"), ask({ plants: ["Saccharum officinarum"], part: true }, "holds white sugar, which may be filtered over bone char: ask its maker")] },
  ], "ISO 23662:2021"),
  ...rule("diet", "dairy-free", "Dairy-free", "no dairy", DAIRY),
  ...rule("diet", "lactose-free", "Lactose-free", "no lactose", [avoid({ above: ["lactose", 0.1] }, "holds more than 0.1 g of lactose in 100 g"), ask({ origins: ["dairy"], part: true }, "may hold milk, and lactose with it")], "usual threshold of food authorities in Europe for lactose-free, 0.1 g in 100 g"),
  ...rule("diet", "egg-free", "Egg-free", "no egg", EGG),
  ...rulesOf("diet", "gluten-free", "Gluten-free", "no gluten", [
    { id: "", name: "oats asked about", reason: "oats are safe for most, when certified", clauses: [contains(["wheat", "barley", "rye"]), ask({ allergens: ["oats"] }, "oats are safe for most, and only when certified")] },
    { id: "certified-oats", name: "certified oats at hand", reason: "the household buys certified oats and bears them", clauses: [contains(["wheat", "barley", "rye"])] },
    { id: "no-oats", name: "no oats", reason: "some react to the avenin of oats too", clauses: [contains(["wheat", "barley", "rye", "oats"])] },
  ], "Codex CXS 118-1979"),
  ...rulesOf("diet", "nut-free", "Free of tree nuts", "no nuts", [
    { id: "", name: "coconut asked about", reason: "lists of countries differ on coconut and pine nuts", clauses: [contains(TREE_NUTS), ask({ allergens: ["coconut"] }, "coconut is a nut on the lists of some countries"), ask({ plants: ["Pinus gerardiana"] }, "pine nuts are nuts on the lists of some countries"), ask({ plants: CHESTNUTS }, "is left off most lists of tree nuts; some with a nut allergy react to it"), ask({ plants: CHIRONJI }, "is a seed of the cashew's family: who reacts to cashew or pistachio may react to it")] },
    { id: "coconut-too", name: "no coconut either", reason: "US lists counted coconut with the nuts until 2025", clauses: [contains([...TREE_NUTS, "coconut"]), avoid({ plants: ["Pinus gerardiana"] }, "is a pine nut"), ask({ plants: CHESTNUTS }, "is left off most lists of tree nuts; some with a nut allergy react to it"), ask({ plants: CHIRONJI }, "is a seed of the cashew's family: who reacts to cashew or pistachio may react to it")] },
  ]),
  ...rule("diet", "soy-free", "Soya-free", "no soya", [contains(["soy"]), avoid({ plants: ["Glycine max"] }, "is of soya")]),
  ...rule("diet", "peanut-free", "Peanut-free", "no peanut", [contains(["peanut"])]),
  ...rule("diet", "sesame-free", "Sesame-free", "no sesame", [contains(["sesame"])]),
  ...rulesOf("diet", "no-added-sugar", "No added sugar", "no added sugar", [
    { id: "", name: "no food used for its sweetness", reason: "sugar, syrups, honey, jaggery, juice concentrate and pastes of dried fruit all sweeten", clauses: [...SWEETENED, avoid(FRUIT_PASTE, "is a paste of fruit, used for its sweetness"), avoid({ sugarClasses: ["puréed fruit"], families: ["fruit", "sweetener"] }, "is fruit used for its sweetness")] },
    { id: "whole-fruit", name: "whole fruit and its pastes count as food", reason: "a household's lenient way; no claim can be made by it", clauses: SWEETENED },
  ], "Codex CAC/GL 23-1997 §7.1; EU 1924/2006, annex"),
  ...rule("diet", "sattvic", "Sattvic", "sattvic", [...EGG, GELATIN, ...ANIMAL, ALCOHOL, avoid({ plants: PUNGENT }, "is onion or garlic"), STIMULANTS, ask({ plants: ["Theobroma cacao"] }, "is a mild stimulant, left out by some")], CUSTOM),
  ...rulesOf("diet", "jain", "Jain", "jain", [
    { id: "", name: "roots and figs left out", reason: "digging up a root ends the plant and small lives with it; figs hold many", clauses: jain(false) },
    { id: "strict", name: "with what is made of roots, and fermented", reason: "starches of roots and fermented milk are left out too", clauses: jain(true) },
  ], CUSTOM),
  ...rulesOf("diet", "small-child", "Small child", "small child", [
    { id: "", name: "1 to 5 years", reason: "whole nuts and hard pieces can choke", clauses: CHILD },
    { id: "infant", name: "under 12 months", reason: "honey can carry spores that grow in an infant's gut", clauses: [avoid({ origins: ["honey"] }, "is not for infants under 12 months"), avoid({ sugarClasses: ["added", "sweetened milk"] }, "is sugar, or sweetened: none in the first year"), avoid({ families: ["salt"], forms: ["crystals", "block"] }, "is salt: none in the first year"), ...CHILD] },
  ], "usual advice of health services on infants and young children"),
  ...rulesOf("fast", "ekadashi", "Ekadashi fast", "ekadashi", [
    { id: "", name: "household (smarta)", reason: "fruit, roots, nuts, dairy, and seeds kept by custom", clauses: EKADASHI },
    { id: "vaishnava", name: "strict vaishnava", reason: "barnyard millet and amaranth are left out too, and honey by some", clauses: [avoid({ plants: [...BARNYARD, "Amaranthus hypochondriacus"] }, "is left out by strict lists"), ask({ origins: ["honey"] }, "is left out by some strict lists"), allow({ plants: ["Piper nigrum", "Zingiber officinale"] }), ...EKADASHI.slice(1), ask({ families: ["spice"] }, "is a spice: strict lists keep few beside pepper and ginger")] },
    { id: "nirjala", name: "nirjala: nothing, not even water", reason: "nothing is taken until the next morning; plan the meal after it", clauses: [avoid({}, "nothing is taken on this fast")] },
  ], CUSTOM),
  ...rule("fast", "navratri", "Navratri fast", "navratri", NAVRATRI, CUSTOM),
  ...rule("fast", "shivaratri", "Shivaratri fast", "shivaratri", NAVRATRI, CUSTOM),
  ...rule("fast", "pradosha", "Pradosha fast", "pradosha", NAVRATRI, CUSTOM),
  ...rulesOf("fast", "orthodox-lent", "Orthodox Lent", "lent", ORTHODOX_DAYS, CUSTOM),
  ...rule("fast", "ramadan", "Ramadan", "ramadan", HALAL, CUSTOM),
  ...ORTHODOX_FASTS.flatMap(([id, name, short]) => rulesOf("fast", id, name, short, ORTHODOX_DAYS, CUSTOM)),
  ...rulesOf("fast", "passover", "Passover", "passover", [
    { id: "", name: "without kitniyot", reason: "rice, maize, millets, pulses, sesame and mustard are left out too, as by Ashkenazi custom", clauses: [...CHAMETZ, ...KITNIYOT] },
    { id: "kitniyot", name: "with kitniyot", reason: "rice, maize, millets and pulses are eaten, as by Sephardi custom", clauses: CHAMETZ },
  ], CUSTOM),
  ...rule("diet", "halal", "Halal", "halal", HALAL, CUSTOM),
  ...rulesOf("diet", "kosher", "Kosher", "kosher", [
    { id: "", name: "usual", reason: "what needs supervision is asked about", clauses: KOSHER },
    { id: "supervised-milk", name: "supervised milk", reason: "milk and all from it only where its milking was supervised", clauses: [...KOSHER, ask({ origins: ["dairy"] }, "is dairy: was its milking supervised?")] },
  ], CUSTOM),
  ...rule("diet", "pregnant", "Pregnant", "pregnant", [SPIRITS, ALCOHOL_ASKED, ...CAFFEINE, ask({ families: ["sweetener"], above: ["steviolGlycosides", 1] }, "is a high-potency sweetener: little is known for pregnancy, ask whoever looks after it"), ask({ plants: ["Glycyrrhiza glabra"] }, "is licorice, of which much is not for pregnancy")], "usual advice of health services in pregnancy; what is raw is told by the steps"),
  ...rule("diet", "older", "Older, or a weak immune system", "older", [ask({ families: ["nut"], forms: WHOLE }, "is hard: grind or chop it for who chews badly"), ask({ families: ["sweetener"], forms: ["block"], processings: ["refined"] }, "is in hard lumps: crush or dissolve it"), ask({ plants: ["Plantago ovata", "Senegalia senegal", "Cyamopsis tetragonoloba"] }, "swells with water and can stick in the throat: little of it, well soaked")], "usual advice of health services for older people; what is raw is told by the steps"),
  ...rulesOf("diet", "buddhist", "Buddhist vegetarian", "buddhist", [
    { id: "", name: "with egg", reason: "egg is taken where it cannot hatch", clauses: [GELATIN, ...ANIMAL, ALCOHOL_ASKED, avoid({ plants: PUNGENT }, "is one of the five pungent plants")] },
    { id: "no-egg", name: "no egg", reason: "egg is left out by many", clauses: [GELATIN, ...ANIMAL, ALCOHOL_ASKED, avoid({ plants: PUNGENT }, "is one of the five pungent plants"), ...EGG] },
  ], CUSTOM),
];

function jain(strict: boolean): Clause[] {
  return [
    ...EGG,
    BEES,
    GELATIN,
    ...ANIMAL,
    ALCOHOL_ASKED,
    allow({ plants: ["Trapa natans", "Musa × paradisiaca"] }),
    allow({ processings: ["dried"], plants: ["Zingiber officinale", "Curcuma longa"] }),
    avoid({ plants: ["Zingiber officinale", "Curcuma longa", ...PUNGENT] }, "grows under the ground"),
    avoid({ families: ["root"] }, "is a root"),
    avoid({ plants: ["Cichorium intybus"] }, "is drawn from the root of chicory"),
    avoid({ plants: ["Ficus carica"] }, "is fig, which holds many seeds and small lives"),
    strict ? avoid({ families: ["starch"], plants: ["Manihot esculenta", "Solanum tuberosum", "Maranta arundinacea"] }, "is made of a root") : ask({ families: ["starch"], plants: ["Manihot esculenta", "Solanum tuberosum", "Maranta arundinacea"] }, "is made of a root, and taken by some"),
    ...(strict ? [avoid({ processings: ["fermented"] }, "is fermented")] : []),
  ];
}

/** All rules by id: diets, fasts, each in its schools, and single allergens. */
export const RULES: ReadonlyMap<string, Rule> = new Map([...SHIPPED, ...ALLERGENS.flatMap(allergenRules)].map((each) => [each.id, each]));

/** The rules a table can ask for, without those of single allergens. */
export const DIETS: readonly Rule[] = SHIPPED;
