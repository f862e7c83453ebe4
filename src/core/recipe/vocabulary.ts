/**
 * The words of ingredient lines and steps, by what they say. A word that stands in none of these lists, is no name of a food
 * and no plain word of what was done to it, is asked about. One name for a food belongs to the food itself, not here.
 */

const list = (words: string): readonly string[] => words.split(/\s+/).filter(Boolean);

/** Numbers in words. */
export const NUMBER_WORDS: Readonly<Record<string, number>> = {
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  fifteen: 15,
  twenty: 20,
};
/** Parts of one, and dozens. */
export const PART_WORDS: Readonly<Record<string, number>> = {
  half: 1 / 2,
  third: 1 / 3,
  quarter: 1 / 4,
  eighth: 1 / 8,
  dozen: 12,
  thirds: 1 / 3,
  quarters: 1 / 4,
  halves: 1 / 2,
};

/** Units, each with the ways it is written in small letters; "T" and "t" are told apart by their size. */
export const UNIT_WORDS: Readonly<Record<string, string>> = {
  bunch: "bunch bunches",
  centiliter: "cl centiliter centiliters centilitre centilitres",
  centimeter: "cm centimeter centimeters centimetre centimetres",
  cup: "c cup cups cupful cupfuls",
  dash: "dash dashes splash splashes glug glugs",
  deciliter: "dl deciliter deciliters decilitre decilitres",
  dessertspoon: "dsp dessertspoon dessertspoons dessertspoonful dessertspoonfuls",
  drop: "drop drops",
  fluidounce: "floz fl-oz fluidounce fluidounces fluid-ounce fluid-ounces fl-ounce fl-ounces fluid-oz",
  gallon: "gal gallon gallons",
  glass: "glass glasses tumbler tumblers",
  gram: "g gm gms gr grm grms gram grams gramme grammes",
  handful: "handful handfuls fistful fistfuls fist",
  inch: "in inch inches",
  katori: "katori katoris",
  kilogram: "kg kgs kilo kilos kilogram kilograms kilogramme kilogrammes",
  knob: "knob knobs",
  ladle: "ladle ladles ladleful ladlefuls",
  leaf: "leaf leaves",
  liter: "l lt ltr ltrs liter liters litre litres",
  mug: "mug mugs mugful mugfuls",
  milligram: "mg milligram milligrams",
  milliliter: "ml mls milliliter milliliters millilitre millilitres",
  ounce: "oz ounce ounces",
  pinch: "pinch pinches smidgen",
  pint: "pt pint pints",
  pod: "pod pods",
  pound: "lb lbs pound pounds",
  quart: "qt qts quart quarts",
  quantity: "quantity quantities measure measures",
  sheet: "sheet sheets",
  spoon: "spoon spoons spoonful spoonfuls",
  bowl: "bowl bowls bowlful bowlfuls",
  shot: "shot shots",
  slice: "slice slices",
  sprig: "sprig sprigs",
  stick: "stick sticks quill quills",
  strand: "strand strands thread threads",
  tablespoon: "tbsp tbsps tbs tbl tblsp tablespoon tablespoons tablespoonful tablespoonfuls",
  vati: "vati vatis wati watis",
  teaspoon: "tsp tsps teaspoon teaspoons teaspoonful teaspoonfuls",
};
/** What things are sold in: they hold what the line says beside. */
export const CONTAINERS: Readonly<Record<string, string>> = {
  bag: "bag bags pouch pouches",
  bar: "bar bars tablet tablets slab slabs",
  block: "block blocks",
  bottle: "bottle bottles",
  box: "box boxes",
  can: "can cans tin tins",
  carton: "carton cartons tetrapak tetrapaks brick bricks",
  container: "container containers tub tubs pot pots",
  jar: "jar jars",
  packet: "pack packs package packages pkg pkgs pkt pkts packet packets sachet sachets envelope envelopes",
};
/** Measures that no spoon or jug states. They are taken where no number stands before them, too. */
export const LOOSE_UNITS: ReadonlySet<string> = new Set(["dash", "drop", "handful", "knob", "pinch", "sprig", "ladle"]);
/** What a lump "the size of" one of these holds, ml (rule of thumb; half the 80 % interval is two fifths of it). */
export const SIZED_LIKE: Readonly<Record<string, number>> = {
  pea: 0.3,
  almond: 1.2,
  hazelnut: 1.5,
  marble: 2,
  cherry: 4,
  gooseberry: 8,
  thumb: 12,
  walnut: 15,
  lime: 25,
  lemon: 40,
  egg: 45,
  fist: 150,
};
/** Pieces of what is named: they count, and weigh what a piece of it does. */
export const PIECE_WORDS = list("piece pieces pc pcs no nos number unit units nut nuts whole");
/** Times and temperatures, which are no amounts of a food. */
export const TIME_WORDS = list(
  "minute minutes min mins hour hours hr hrs second seconds sec secs day days night nights week weeks month months year years degree degrees",
);

/** Before an amount: how exactly, how full. */
export const ABOUT_WORDS = list(
  "about approx approximately around roughly circa ca nearly almost exactly say just under over at least most up upto maximum max minimum",
);
export const FILLING_WORDS = list(
  "heaped heaping rounded generous scant level levelled leveled packed loosely tightly firmly lightly loose full brimming flat",
);
export const SIZE_WORDS = list(
  "large big small medium med  size tiny mini little jumbo huge giant baby average standard regular normal decent good nice thick thin long short extra fat",
);

/** The amount is left open. */
export const OPEN =
  /\b(?:as (?:needed|required|desired|wanted|necessary|much as (?:you|one) (?:like|want|need)s?|per (?:taste|need|liking|requirement))|to (?:taste|your (?:taste|liking))|for (?:the )?(?:deep[- ]|shallow[- ]|pan[- ])?(?:frying|greasing|garnish(?:ing)?|serving|decorat(?:ion|ing)|dusting|sprinkling|brushing|coating|rolling|topping|drizzling|cooking)|(?:an? |very )?(?:little|few|bit)(?: of)?|some|enough|more|to (?:bind|serve|garnish|decorate|finish|grease|fry|cook)|till it binds|optional amount|or more|or so)\b/i;
/** "A few strands": how many that is, from and to (rule of thumb). */
export const A_FEW: readonly [from: number, to: number] = [3, 6];
/** Units of which a few are counted; of all else a few are asked about. */
export const FEW_OF: ReadonlySet<string> = new Set(["drop", "leaf", "pod", "sprig", "strand"]);

/** What a thing is like, that changes neither its figures nor what rules say of it. */
export const QUALITIES = list(
  "leftover day-old fresh freshly good best better quality premium fine finely coarse coarsely thick thin thinly thickly thicker thinner ripe overripe over ripened tender soft softer hard firm firmer dry sweet organic natural pure real true authentic genuine " +
    "local seasonal homemade home made store bought shop brand branded favourite favorite preferred preferably prefer possible available any kind kinds type types variety varieties mild neutral strong tasteless odourless flavourless aromatic fragrant " +
    "cold warm hot cool lukewarm tepid chilled room temperature temp boiling iced ice fridge freezer refrigerated pantry clean plump juicy fleshy floury waxy flaky grainy powdery lumpy sticky syrupy smooth runny pourable creamy crisp crunchy crumbly moist perfect indian desi kosher free range fair trade " +
    "unsalted unsweetened unflavoured unflavored unrefined unroasted untoasted unpeeled uncooked unbleached undiluted plain simple ordinary usual common household culinary edible food grade grated old day new young mature quick instantly proper lovely big small large medium little long short whole " +
    "table cooking baking everyday regular standard normal great several assorted different other another same pouring setting whipping hand made farmhouse artisan artisanal stone ground cold-pressed press pressed heaped colour coloured color",
);

/** Cultivars and origins: a food of that name is of its kind, whichever of them it is. */
export const VARIETIES = list(
  "alphonso kesar ataulfo totapuri langra medjool deglet noor kimia mazafati ajwa basmati jasmine sona masoori masuri gobindobhog ambemohar kolam ponni arborio bramley gala fuji granny smith mamra californian kashmiri iranian spanish ceylon madagascar bourbon afghan turkish",
);

/** What was done to it, in words that do not show it by their ending. */
export const PREPARATIONS = list(
  "cut split slit broken ground beaten shaken frozen thawed torn crushed crush chop chopped grate dice diced cube cubed cubes mince minced mash mashed puree pureed purée puréed  slice sliced slices sliver slivered slivers flaked shred shredded shreds strip strips chunk chunks bit bits piece pieces half halves quarter quarters lengthwise lengthways crosswise diagonally " +
    "round rounds julienne julienned matchsticks wedge wedges segment segments ring rings lump lumps ball balls dollop crumb-free peel peeled skinless skinned boneless seedless pitted stoned stone stones stalk stalks stem stems core skin skins husk husks rind pith seeds-removed top tops tail tails end ends removed discard discarded drained drain rinse rinsed wash  soak soaked strain strained sieve sieved sift sifted " +
    "roast toast curdle curdles curdled splits blanch melt melted soften softened warm heat cooled cool beat whip whisk whisked stir  mix mixed blend blended paste-like spun squeezed squeeze press wrung hung set rest rested proof dissolve dissolved steep steeped infuse infused bloom bloomed slake slaked picked pick overnight ahead before after then until till while when once twice thrice again separately divided divide " +
    "together apart well very more less extra plus additional reserve reserved set aside each per total altogether all apiece roughly evenly gently lightly loosely tightly nicely properly thoroughly completely partly partially slightly just only few aside cleaned clean trim trimmed deseed deseeded deveined hulled shelled shell unshelled husked cracked bruised bashed pounded pound beaten ",
);
/** The same in the kitchens where these sweets come from. */
export const REGIONAL_PREPARATIONS = list(
  "kaddukas kadukas kasa kisa kiya kiye hua hui hue huyi kata kati kate katee barik bareek mota mote moti pisa pisi pise peesa peesi bhuna bhuni bhune bhigoya bhigoyi bhigi bhige chhila chhile chila chile kuta kuti kute kutee ubla ubli uble sukha sukhi sukhe taza tazi taze garam thanda thandi tuta tuti ke ka ki ko se aur ya mein me liye",
);

/** For what a thing is there. */
export const PURPOSES = list(
  "for to the frying fry deep shallow pan greasing grease garnish garnishing serving serve decoration decorating decorate dusting dust sprinkling sprinkle brushing brush coating coat rolling roll topping top finish finishing drizzling drizzle taste colour color flavour flavor cooking cook kneading knead binding bind filling fill stuffing stuff lining line spreading spread flavouring flavoring sweetening thickening glazing shaping dough batter syrup-making tempering " +
    "needed need required require desired want wanted necessary like liking optional optionally if you your using use used when depending on as per according needed recipe below above note see notes tip step steps first second third stage later end beginning made making",
);

/** Words that join. */
export const JOINERS = list(
  "some enough few a an the of and or in into with without plus from for to at on by as is are it its be can may should will this that these those them their they you your one ones both either each which i e g eg ie etc x no not but so than also too about out up off per via do does don t s",
);

/** What part of a plant or thing is meant: it changes nothing for foods of these families. Of all others it is asked about. */
export const PARTS: Readonly<Record<string, readonly string[]>> = {
  seed: ["spice", "oilseed", "nut", "pseudo-cereal", "cereal", "pulse"],
  nut: ["nut", "pulse"],
  kernel: ["nut", "oilseed"],
  pod: ["spice"],
  stick: ["spice", "dairy", "fat"],
  strand: ["spice"],
  thread: ["spice"],
  quill: ["spice"],
  bark: ["spice"],
  blade: ["spice"],
  leaf: ["spice", "gum", "herb"],
  sheet: ["gum", "spice"],
  sprig: ["spice", "herb"],
  flesh: ["fruit", "vegetable", "root", "nut"],
  pulp: ["fruit"],
  grain: ["cereal", "pseudo-cereal", "pulse"],
  berry: ["cereal", "fruit"],
  bean: ["spice", "pulse", "essence"],
  root: ["root", "spice", "vegetable"],
  clove: ["spice"],
  block: ["dairy", "sweetener", "pulse", "fat"],
  lump: ["sweetener"],
  crystal: ["sweetener", "salt", "spice"],
  cube: ["sweetener", "water"],
};
/**
 * Shapes in which a thing is sold that are the same food only in these families: sugar in powder is sugar, milk in powder is
 * not milk. "dry" stands for whatever is under a third water.
 */
export const SHAPES: Readonly<Record<string, readonly string[]>> = {
  powder: ["spice", "gum", "sweetener", "starch", "salt", "leavening"],
  powdered: ["spice", "gum", "sweetener", "starch", "salt", "leavening"],
  granule: ["sweetener", "gum", "salt"],
  granulated: ["sweetener", "gum", "salt"],
  flake: ["salt", "nut"],
  raw: ["nut", "oilseed", "dairy", "cereal", "pseudo-cereal", "pulse", "sweetener", "egg", "spice", "fat"],
  dried: ["spice", "dry", "pulse", "nut", "oilseed", "cereal"],
  dry: ["spice", "dry", "pulse", "nut", "oilseed", "cereal", "starch", "gum"],
  light: ["sweetener"],
  dark: ["sweetener", "spice", "dry"],
  roasted: ["nut", "oilseed", "pulse", "cereal", "pseudo-cereal", "spice", "fat", "root", "vegetable"],
  toasted: ["nut", "oilseed", "pulse", "cereal", "pseudo-cereal", "spice", "fruit"],
  fried: ["nut", "dry", "oilseed"],
  smoked: [],
  salted: [],
  sweetened: [],
  flavoured: [],
  flavored: [],
  condensed: [],
  evaporated: [],
  fermented: [],
  candied: [],
  crystallised: [],
  malted: [],
  cultured: [],
  clotted: [],
  whipped: ["dairy", "egg"],
  preserved: [],
  pickled: [],
  spiced: [],
  fortified: [],
  skimmed: [],
  reduced: [],
  concentrated: [],
  sprouted: [],
  puffed: [],
  popped: [],
  rolled: [],
  pearled: [],
  cooked: ["cereal", "pulse", "pseudo-cereal", "root", "vegetable", "fruit"],
  boiled: ["cereal", "pulse", "pseudo-cereal", "root", "vegetable", "dairy", "egg", "water"],
  steamed: ["cereal", "pulse", "pseudo-cereal", "root", "vegetable", "fruit"],
  baked: ["root", "vegetable", "fruit"],
  canned: ["dairy", "fruit", "pulse", "nut"],
  tinned: ["dairy", "fruit", "pulse", "nut"],
};

/** Things that look like a deed by their ending, and are none: they are asked about beside a food's name. */
export const THINGS = list(
  "icing pudding shortening dressing stuffing seasoning dripping drippings frosting jelly dumpling linseed rapeseed aniseed flaxseed spread",
);

/** Other words of lines that bring no food: vessels and tools, how much, how it looks. */
export const OTHERS = list(
  "added allow alone along always amount back base batch beside between bite boil bottom bowl break bring broad brown bulb chef choice clear cloth colourless " +
    "cooker cooler cover crumble crumbled cutter daylight dce dish dollop done double down dozen empty enough equal even every everyone fairly family fibrous " +
    "flakes flame fl fork freeze fully get give green grind grinder grocer halve has have head heap heavy here high hint hold individual inside jug juice " +
    "keep kept kitchen knife last leave left lot low make many marked measure mesh metre micro middle mm mixture moderate mortar mould moulds much my mug " +
    "non open our outer own paper part parts paste pat pestle pg pit place plate please portion purpose put quantity quickly ready really red remaining " +
    "remove rub safe sake scoop scoops scrape  seeded  servings sharp side simply single slow slowly some spare spatula spoon spoonful " +
    "spoons spray spring stew sticky still straight such supermarket tasting tea thaw there thickness through tight tola tone toned touch tough towel tray " +
    "turn twice vacuum vessel warmed we minus except never instead weight weighed wet whichever white wide wire wish within wood wooden work wrap yellow " +
    "yield zest skinning peak greek french italian asian thai caster golden finest freshest largest smallest brownish reddish separate mine us ours yours " +
    "he him his she her hers theirs who whom whose someone somebody anyone anybody nobody themselves saucepan kadai skillet wok griddle",
);

/** Words of steps that name no food. */
export const STEP_WORDS = list(
  "hands finger fingers palm palms thumb damp lid foil film cling parchment toothpick thermometer fire stove oven blender mixer processor machine muslin " +
    "strainer pin circle circles swirl motion pattern sides edge edges surface gap gaps lines remainder others everything nothing something mass crust " +
    "layer layers balls ball disc discs ladoo ladoos square squares diamond diamonds batches turns care patience love attention speed pace time times sense " +
    "smell shine gloss texture consistency string syrup crystals bubbles foam froth steam rim ingredient ingredients toppings hundred guests people child " +
    "children plates bowls afternoon morning evening weather winter summer joy pride prayer offering god banana tongs scissors dot dots star stars pleasure " +
    "company friends smile add pressure scatter simmer shape let heel stream bake stand chill pour take lift fold toss reduce thicken continue repeat check " +
    "test adjust lots help gentle constant plenty pass stop now halwa halva kheer phirni payasam laddu pudding sweets dessert ajar burfi barfi rolls truffles dumplings pancake pancakes ",
);
