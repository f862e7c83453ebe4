import { MICRONUTRIENTS, NUTRIENTS, type Allergen, type Family, type Food, type FoodPart, type Origin } from "../../core/food";
import { completeTraits } from "./complete";

interface Known {
  readonly family?: Family;
  readonly origin?: Origin;
  readonly plant?: string;
  /** Held by all of its kind. */
  readonly allergens?: readonly Allergen[];
  /** Held by some of its kind: the packet says. */
  readonly may?: readonly Allergen[];
  /** Parts beside that, by name; those that only some hold end with a question mark. */
  readonly holds?: readonly (keyof typeof PARTS | `${keyof typeof PARTS}?`)[];
  readonly sugarClass?: Food["sugarClass"];
  readonly form?: NonNullable<Food["nature"]>["form"];
}

const part = (name: string, family: Family, origin: Origin = "plant", plant: string | null = null, alcohol = false): Omit<FoodPart, "sure"> => ({ name, family, origin, plant, alcohol });
const PARTS = {
  milk: part("milk, or what is drawn from it", "dairy", "dairy"),
  egg: part("egg", "egg", "egg"),
  honey: part("honey", "sweetener", "honey"),
  gelatin: part("gelatin", "gum", "gelatin"),
  animal: part("something of an animal", "fat", "animal"),
  carmine: part("carmine or shellac, which come from insects", "spice", "animal"),
  alcohol: part("alcohol", "essence", "plant", null, true),
  spirit: part("an alcoholic drink", "drink", "plant", null, true),
  wheat: part("wheat", "cereal", "plant", "Triticum aestivum"),
  maize: part("starch of maize", "starch", "plant", "Zea mays"),
  potato: part("starch of potato", "starch", "plant", "Solanum tuberosum"),
  barley: part("barley malt", "cereal", "plant", "Hordeum vulgare"),
  oats: part("oats", "cereal", "plant", "Avena sativa"),
  soya: part("soya", "pulse", "plant", "Glycine max"),
  "white sugar": part("white sugar", "sweetener", "plant", "Saccharum officinarum"),
  onion: part("onion or garlic", "vegetable", "plant", "Allium cepa"),
  cocoa: part("cocoa", "spice", "plant", "Theobroma cacao"),
} as const;

const ALLERGEN_OF: Readonly<Partial<Record<keyof typeof PARTS, Allergen>>> = { milk: "milk", egg: "egg", wheat: "wheat", barley: "barley", oats: "oats", soya: "soy" };
const named = (name: string, synonyms: readonly string[], { family = "sweetener", origin = "plant", plant, allergens = [], may = [], holds = [], sugarClass, form = "solid fat" }: Known): Food => {
  const parts = holds.map((each) => ({ ...PARTS[each.replace("?", "") as keyof typeof PARTS], sure: !each.endsWith("?") }));
  const brought = (sure: boolean) => holds.flatMap((each) => (each.endsWith("?") === sure ? [] : (ALLERGEN_OF[each.replace("?", "") as keyof typeof PARTS] ?? [])));
  return {
    id: `named-${name.toLowerCase().replace(/[^a-z]+/g, "-")}`, name, family, provenance: "label", source: "known by what it is made of alone", revision: 1,
    per100g: NUTRIENTS.map(() => 0), sd: NUTRIENTS.map(() => 0), unknown: NUTRIENTS,
    micro: MICRONUTRIENTS.map(() => null), microSd: MICRONUTRIENTS.map(() => null), lookAlikes: [],
    ...completeTraits(family, {
      origin,
      synonyms,
      allergens: [...new Set([...allergens, ...brought(true)])],
      mayContain: [...new Set([...may, ...brought(false)])].map((allergen) => ({ allergen, why: "some makers' holds it: the packet says" })),
      ...(sugarClass ? { sugarClass } : {}),
    }),
    parts,
    nature: plant === undefined ? { botanical: null, form, processing: "sweetened", binding: null, acidity: "none" } : { botanical: plant, form, processing: "raw", binding: null, acidity: "none" },
  };
};

const NUTS = ["almond", "cashew", "hazelnut", "pistachio", "walnut", "pecan", "macadamia", "brazil-nut"] as const;
const BAKED: Known = { family: "cereal", plant: "Triticum aestivum", allergens: ["wheat"], holds: ["milk?", "egg?", "soya?"], may: ["sesame", "barley", "rye"] };
const MILKY: Known = { family: "dairy", origin: "dairy", allergens: ["milk"] };
const SPIRIT: Known = { family: "essence", holds: ["spirit"] };
const SWEET: Known = { sugarClass: "added", holds: ["white sugar"] };

/**
 * Foods that recipes name and the composition tables lack: what they are made of is known well enough to judge them by,
 * their figures are not. A line that is one of them is asked about; the rules judge it all the same.
 */
export const NAMED_ONLY: readonly Food[] = [
  // Baked
  named("Bread of another kind", ["toast", "bun", "buns", "pav", "pita", "naan", "roti", "chapati", "paratha", "tortilla", "baguette", "crumbs"], BAKED),
  named("Rusk", ["rusks", "toast rusk"], BAKED),
  named("Sweet bread", ["brioche", "croissant", "croissants", "challah", "panettone"], { ...BAKED, holds: ["milk?", "egg?"] }),
  named("Biscuit", ["biscuits", "cookie", "cookies", "shortbread", "crackers", "wafer", "wafers", "waffle", "waffles", "cone", "cones", "ladyfingers", "sponge fingers", "nankhatai"], BAKED),
  named("Cake", ["cake crumbs", "sponge", "sponge cake", "pancake", "pancakes", "muffin", "brownie", "doughnut"], { ...BAKED, holds: ["milk?", "egg?", "soya?"] }),
  named("Pastry", ["puff pastry", "shortcrust", "pie crust", "spring roll wrappers", "kataifi", "kunafa", "samosa pastry"], BAKED),
  named("Pasta", ["couscous", "noodles", "egg noodles", "spaghetti", "macaroni", "orzo", "fregola"], { ...BAKED, holds: ["egg?"], may: [] }),
  named("Wheat flakes", ["wheatflakes", "bran flakes", "wheat bran", "wheat germ", "seitan", "spelt", "spelt flour", "einkorn", "emmer", "kamut", "farro", "freekeh", "triticale"], { family: "cereal", plant: "Triticum aestivum", allergens: ["wheat"] }),
  named("Rye", ["rye flour", "rye flakes"], { family: "cereal", plant: "Secale cereale", allergens: ["rye"] }),
  named("Malt", ["malted milk", "malt powder", "malted drink", "malt drink"], { family: "cereal", plant: "Hordeum vulgare", allergens: ["barley"], holds: ["milk?", "wheat?"] }),
  named("Breakfast cereal", ["muesli", "granola", "cereal mix"], { family: "cereal", holds: ["wheat?", "oats?", "barley?", "maize?", "milk?", "honey?"], may: [...NUTS, "sesame"] }),
  named("Creamed coconut", ["coconut block", "coconut butter"], { family: "fat", plant: "Cocos nucifera", allergens: ["coconut"], may: ["sulphites"] }),
  named("Rice noodles", ["rice vermicelli", "rice sevai", "idiyappam"], { family: "cereal", plant: "Oryza sativa" }),
  // Of milk
  named("Milk of another animal", ["sheep milk", "sheep's milk", "camel milk", "mare milk"], MILKY),
  named("Lactose-free cream", ["lactose free cream"], MILKY),
  named("Ice cream", ["ice-cream", "gelato", "kulfi", "soft serve", "frozen yogurt", "frozen yoghurt", "semifreddo", "parfait"], { ...MILKY, holds: ["egg?"], sugarClass: "added" }),
  named("Custard", ["creme anglaise", "crème anglaise", "creme patissiere", "pastry cream", "creme brulee", "flan"], { ...MILKY, holds: ["egg?"] }),
  named("Whipped cream", ["whipping cream", "heavy cream", "clotted cream", "chantilly", "single cream"], MILKY),
  named("Cheese", ["cottage cheese", "quark", "fromage frais", "feta", "mozzarella", "cheddar", "parmesan", "labneh"], MILKY),
  named("Whey", ["casein", "caseinate", "sodium caseinate", "calcium caseinate", "milk protein", "milk solids", "lactose", "lactose powder", "skim powder", "dairy whitener", "lactalbumin", "ghee residue"], MILKY),
  named("Cultured milk", ["kefir", "lassi", "mishti doi", "shrikhand", "amrakhand", "rabri", "rabdi", "basundi", "dulce de leche", "cajeta", "peda", "burfi", "barfi", "rasgulla", "gulab jamun", "milk cake", "kalakand", "malaiyo"], { ...MILKY, sugarClass: "added" }),
  named("Beurre noisette", ["brown butter", "beurre", "nut brown butter", "butter oil", "milk fat", "clarified milk fat"], { ...MILKY, family: "fat" }),
  named("Chocolate in bars", ["chocolate bar", "chocolate buttons"], { ...MILKY, holds: ["soya?", "white sugar", "cocoa"], may: ["hazelnut", "almond", "peanut", "wheat"], sugarClass: "added" }),
  named("Chocolate, kind not said", ["chocolate", "chocolate chips", "choc chips", "chocolate shavings", "chocolate sauce", "cooking chocolate", "chocolate syrup", "drinking chocolate", "hot chocolate powder", "chocolate powder", "couverture"], { ...SWEET, holds: ["milk?", "soya?", "white sugar", "cocoa"], may: ["hazelnut", "almond", "peanut", "wheat"] }),
  named("Creamer", ["non-dairy creamer", "non dairy creamer", "coffee whitener", "coffee creamer", "whipped topping", "whip topping", "dairy topping"], { ...SWEET, holds: ["milk?", "soya?"] }),
  named("Plant-milk powder", ["almond milk powder", "oat milk powder", "soy milk powder", "rice milk powder"], { family: "drink", holds: ["milk?", "maize?", "soya?"], may: ["almond", "coconut", "oats"] }),
  named("Caramel sauce", ["caramel", "butterscotch", "toffee", "fudge", "dulce", "caramels", "caramel syrup"], { ...SWEET, holds: ["milk?", "white sugar"] }),
  // Of egg
  named("Meringue", ["egg wash", "eggwash", "mayonnaise", "mayo", "marshmallow fluff", "royal icing", "advocaat", "eggnog", "zabaglione", "beaten egg", "albumen"], { family: "egg", origin: "egg", allergens: ["egg"] }),
  named("Lemon curd", ["fruit curd", "orange curd"], { ...SWEET, holds: ["egg", "milk", "white sugar"] }),
  // Of animals
  named("Lard", ["tallow", "suet", "dripping", "beef fat", "chicken fat", "duck fat", "bacon", "bone marrow", "meat", "mincemeat"], { family: "fat", origin: "animal" }),
  named("Meat", ["chicken", "chicken stock", "meat stock", "beef", "beef stock", "pork", "ham", "lamb", "mutton", "goat meat", "turkey", "duck", "veal", "venison", "sausage", "sausages", "liver", "bone broth", "broth", "foie gras"], { family: "fat", origin: "animal" }),
  named("Stock", ["stock powder", "gravy"], { family: "salt", holds: ["animal?", "onion?", "wheat?"], may: ["celery", "mustard"] }),
  named("Fish", ["salmon", "tuna", "cod", "sardine", "sardines", "mackerel", "roe", "caviar", "bonito flakes", "fish stock"], { family: "fat", origin: "animal", allergens: ["fish"] }),
  named("Shellfish", ["prawn", "prawns", "shrimp", "shrimps", "crab", "lobster", "crayfish"], { family: "fat", origin: "animal", allergens: ["crustaceans"] }),
  named("Molluscs", ["oyster", "oysters", "mussels", "clams", "squid", "octopus", "scallops", "snails"], { family: "fat", origin: "animal", allergens: ["molluscs"] }),
  named("Insects", ["crickets", "mealworms", "cricket flour"], { family: "fat", origin: "animal", may: ["crustaceans"] }),
  named("Shortening", ["baking fat", "cooking fat", "fat", "frying fat", "dalda"], { family: "fat", holds: ["animal?", "milk?", "soya?"] }),
  named("Frosting", ["buttercream", "butter cream", "icing", "glaze", "cream filling", "topping cream"], { ...SWEET, holds: ["milk?", "egg?", "gelatin?", "white sugar", "maize?"], may: ["soy", "wheat"] }),
  named("Seeds, kinds not said", ["seeds", "mixed seeds", "seed mix", "assorted seeds"], { family: "oilseed", may: ["sesame", "mustard", "peanut"], form: "whole" }),
  named("Sauce, kind not said", ["sauce", "dressing", "salad dressing", "gravy powder"], { family: "salt", holds: ["milk?", "egg?", "wheat?", "soya?", "animal?", "alcohol?"], may: ["fish", "celery", "mustard", "sesame"] }),
  named("Fish sauce", ["worcestershire sauce", "worcester sauce", "worcestershire", "oyster sauce", "anchovy", "anchovies", "shrimp paste", "isinglass"], { family: "salt", origin: "animal", allergens: ["fish"], may: ["crustaceans", "molluscs", "wheat", "soy"] }),
  named("Carmine", ["cochineal", "shellac", "confectioner's glaze", "confectioners glaze", "lac"], { family: "spice", origin: "animal" }),
  named("Food colour", ["red food colour", "red food color", "food colour", "food color", "food colouring", "food coloring", "edible colour", "pink colour"], { family: "spice", holds: ["carmine?"] }),
  named("Decorating sugar", ["sugar sprinkles", "chocolate sprinkles", "rainbow sprinkles", "hundreds and thousands", "dragees", "silver balls", "nonpareils", "edible glitter", "fondant", "sugar paste", "gumpaste"], { ...SWEET, holds: ["carmine?", "gelatin?", "milk?", "white sugar", "maize?"], may: ["wheat", "soy"] }),
  named("Candied fruit", ["tutti frutti", "glace cherries", "glacé cherries", "glace cherry", "glace fruit", "maraschino cherries", "candied cherries", "candied fruit", "crystallised fruit", "murabba", "petha sweet"], { ...SWEET, family: "fruit", holds: ["carmine?", "white sugar"], may: ["sulphites"] }),
  named("Jelly", ["jelly crystals", "jelly powder", "jello", "jelly cubes", "gummies", "gummy bears", "jelly beans", "fruit jellies", "turkish delight"], { ...SWEET, holds: ["gelatin?", "carmine?", "white sugar"] }),
  named("Marshmallow", ["marshmallows"], { ...SWEET, holds: ["gelatin", "egg?", "white sugar", "maize?"] }),
  // Nuts without a name, and what is made of nuts
  named("Nuts, kinds not said", ["nuts", "nut", "mixed nuts", "chopped nuts", "nut mix", "nut pieces", "nut flour", "nut meal", "nut butter", "dry fruits", "dryfruits", "dry fruit", "trail mix", "mixed dry fruits", "meva", "mewa"], { family: "nut", may: [...NUTS, "peanut", "sulphites"], form: "whole" }),
  named("Praline", ["gianduja", "nougat", "nougatine", "croquant", "krokant", "brittle", "chikki", "halva", "baklava"], { ...SWEET, holds: ["milk?", "honey?", "egg?", "white sugar"], may: [...NUTS, "peanut", "sesame"] }),
  named("Hazelnut spread", ["chocolate hazelnut spread", "hazelnut chocolate spread", "chocolate spread"], { ...SWEET, allergens: ["hazelnut"], holds: ["milk?", "soya?", "white sugar", "cocoa"] }),
  named("Marzipan", ["frangipane", "amaretti", "macaroons", "macarons", "almond drink mix", "badam drink mix", "badam mix", "badam milk mix", "thandai mix"], { ...SWEET, allergens: ["almond"], holds: ["egg?", "milk?", "white sugar"], may: ["cashew", "pistachio"] }),
  named("Chestnut", ["chestnuts"], { family: "nut", plant: "Castanea sativa", form: "whole" }),
  named("Chestnut flour", ["chestnut puree", "chestnut paste"], { family: "nut", plant: "Castanea sativa", form: "flour" }),
  // Drinks and essences
  named("Spirit", ["rum", "brandy", "whisky", "whiskey", "vodka", "gin", "wine", "red wine", "white wine", "port wine", "sherry", "marsala", "champagne", "liqueur", "kirsch", "amaretto", "cognac", "beer", "mirin", "sake", "cider", "limoncello", "bitters", "arrack", "toddy", "feni"], SPIRIT),
  named("Flavouring", ["essence", "flavour essence", "lemon essence", "lemon extract", "orange extract", "orange essence", "rum essence", "mixed essence", "butterscotch essence", "pineapple essence", "banana essence", "peppermint extract", "rose extract"], { family: "essence", holds: ["alcohol?"] }),
  named("Tea", ["tea leaves", "green tea", "black tea", "chai", "matcha", "tea powder", "tea bag", "tea bags"], { family: "spice", plant: "Camellia sinensis" }),
  named("Coffee", ["espresso", "instant coffee", "coffee powder", "coffee beans", "coffee decoction", "filter coffee"], { family: "spice", plant: "Coffea arabica" }),
  // Isolates, sauces, sweet things in bottles
  named("Maltodextrin", ["dextrin", "modified starch", "polydextrose", "bulking agent"], { family: "starch", holds: ["maize?", "wheat?", "potato?"] }),
  named("Soy sauce", ["soya sauce", "tamari", "miso", "shoyu"], { family: "salt", allergens: ["soy"], holds: ["wheat?", "alcohol?"] }),
  named("Fruit-juice concentrate", ["apple juice concentrate", "grape juice concentrate", "pear juice concentrate", "juice concentrate", "grape must", "apple concentrate", "fruit syrup", "apple syrup"], { family: "fruit", sugarClass: "added", form: "syrup" }),
  named("Syrup, kind not said", ["syrup", "rose syrup", "sugar syrup", "flavoured syrup", "khus syrup", "sherbet", "sharbat", "invert syrup", "pancake syrup", "simple syrup"], SWEET),
  named("Preserve", ["jelly preserve", "marmalade", "preserves", "chutney", "fruit preserve", "sweetened pulp"], SWEET),
  named("Sweet goods, kind not said", ["sweetmeats", "crushed sweets", "boiled sweets", "candy", "candies", "toffees", "premix", "instant mix", "pudding mix", "halwa mix", "kheer mix", "cake mix", "sweetener", "artificial sweetener", "tabletop sweetener"], { ...SWEET, holds: ["milk?", "egg?", "wheat?", "soya?", "maize?", "gelatin?", "white sugar"], may: [...NUTS, "peanut", "sesame"] }),
  named("Tempeh", ["edamame", "soya chunks", "tvp", "soy protein", "soya protein", "bean curd", "okara", "natto", "soy curd", "soya curd"], { family: "pulse", plant: "Glycine max", allergens: ["soy"] }),
  named("Spice mixture", ["mixed spice", "pumpkin spice", "chai masala", "garam masala", "curry powder", "stock cube", "bouillon", "masala"], { family: "spice", holds: ["onion?", "wheat?"], may: ["mustard", "celery"] }),
];
