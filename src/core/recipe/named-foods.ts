import type { Food } from "../food";
import { stemOf } from "./match-food";
import type { Mention } from "./mentions";
import { piecesBetween, singleSpaced } from "./plain-text";

/** A food that a text names, and where. */
export interface NamedFood {
  readonly food: Food;
  readonly at: number;
  readonly end: number;
  /** False where it is said not to be in it ("without ghee"), or the name is of a tool or a likeness ("butter paper"). */
  readonly meant: boolean;
}

/** Finds every food that a text names, wherever in it, the longest name first; linear in the text. */
export type FoodFinder = (text: string) => readonly NamedFood[];

const WORD = /[\p{L}\d%]+/gu;
interface Word {
  readonly stem: string;
  readonly at: number;
  readonly end: number;
}
const wordsIn = (text: string): readonly Word[] =>
  [...text.toLowerCase().replaceAll(/['’]/g, " ").matchAll(WORD)].map(({ 0: word, index }) => ({ stem: stemOf(word), at: index, end: index + word.length }));

/** Names that are English words of their own, and would be found where nobody means a food. */
const NOT_NAMES = new Set(["then"]);
/** What a word made of a food's name brings with it. */
const MADE_OF: Readonly<Record<string, string>> = {
  buttered: "butter",
  buttery: "butter",
  creamed: "cream",
  sugared: "sugar",
  honeyed: "honey",
  malted: "malt",
  salted: "salt",
  floured: "flour",
  egged: "egg",
  cheesy: "cheese",
  milky: "milk",
  nutty: "nuts",
  boozy: "rum",
};
/** Before or after a name they say that it is not in it. */
const NOT_IN = /\b(?:no|not|without|instead of|in place of|rather than|free (?:of|from)|replac(?:es|ing)|never|minus) (?:any |the |added |all )?$/i;
/** Before a name they say that something is like it: "the colour of honey". */
const LIKE =
  /\b(?:colou?r|smells?|looks?|tastes?|texture|consistency|thickness|size|shade|shape|weight|like|resembl(?:es|ing)|as (?:thick|thin|brown|dark|soft|big|small) as)(?: (?:of|like|as))?(?: (?:a|an|the|strong|weak|dark|thick|thin|pouring|roasted|toasted|fresh|small|large|big))*$/i;
const FREE = /^(?:[- ](?:free|less)\b|less\b)/i;
/** A tool or a likeness: "tea towel", "butter paper", "pea-sized". */
const TOOL =
  /^[- ](?:sized?|shaped?|colou?red?|like|paper|pan|knife|cloth|towel|grinder|mill|moulds?|bags?|jars?|mug|glass|beater|thermometer|cooker|strainer|sieve|dish|cutter|ring|filter|tins?|spoons?|whisk)\b/i;
/** "cream the butter": what is done, not a food. */
const CREAMED = /^ (?:the|it|them|together|until|in a|well)\b/i;
const BEGINS = /(?:^|[.;,] ?|\band |\bthen )$/i;

interface Node {
  readonly foods: Food[];
  readonly next: Map<string, Node>;
}

/** Builds the finder over the names and synonyms of these foods once; of several with one name all are found. */
export function createFoodFinder(foods: Iterable<Food>): FoodFinder {
  const root: Node = { foods: [], next: new Map() };
  for (const food of foods)
    for (const name of [food.name, food.name.split(",")[0] ?? "", ...food.synonyms]) {
      const words = wordsIn(name);
      if (words.length === 0 || NOT_NAMES.has(name.toLowerCase())) continue;
      let node = root;
      for (const { stem } of words) {
        const next = node.next.get(stem) ?? { foods: [], next: new Map<string, Node>() };
        node.next.set(stem, next);
        node = next;
      }
      if (!node.foods.includes(food)) node.foods.push(food);
    }
  return (text) => {
    const words = wordsIn(text);
    const found: NamedFood[] = [];
    for (let i = 0; i < words.length; i++) {
      let node: Node | undefined = root;
      let longest: { readonly foods: readonly Food[]; readonly to: number } | null = null;
      for (let k = i; k < words.length; k++) {
        const stem: string = words[k]?.stem ?? "";
        node = node.next.get(stem) ?? (k === i ? root.next.get(stemOf(MADE_OF[stem] ?? "")) : undefined);
        if (!node) break;
        if (node.foods.length > 0) longest = { foods: node.foods, to: k };
      }
      const first = words[i];
      const last = longest && words[longest.to];
      if (!longest || !first || !last) continue;
      const free =
        [NOT_IN, LIKE].some((each) => each.test(text.slice(Math.max(0, first.at - 40), first.at).trimEnd() + (each === NOT_IN ? " " : ""))) ||
        FREE.test(text.slice(last.end, last.end + 6));
      const after = text.slice(last.end, last.end + 14);
      const creamed = first.stem === "cream" && longest.to === i && CREAMED.test(after) && BEGINS.test(text.slice(Math.max(0, first.at - 6), first.at));
      const meant = !free && !creamed && !TOOL.test(after);
      for (const food of longest.foods) found.push({ food, at: first.at, end: last.end, meant });
      i = longest.to;
    }
    return found;
  };
}

/** Words that say how much, how cut, how kept, with what tool: none of them brings a food. */
const HARMLESS = new Set(
  (
    "a about above according added additional after again all allow almost alone along also always amount an and any apart approx approximately around as aside at available back bag bar bark base batch be before below beside best better between big bit bite bits " +
    "block boil boiling bottle bottom bought bowl box brand break bring broad brown bruised bulb bunch but by can carton centimetre chef choice chop chunk clean clear clove cloth cm coarse coarsely coating cold colour color colourless container cooker cooking cool cooled cooler core cover cracked crisp crumble crumbled crunchy crush crushed crystal cube cubed cup cups " +
    "cut cutter dark dash day daylight days dce decoration deep deseeded desired dice diced discard dish divided dollop done double down dozen dried drop drops dry dusting each edible eg either empty end enough equal etc even every everyone extra fairly family favourite few fibrous " +
    "fill filling fine finely finish firm firmly first flake flakes flame flat flavour flesh fl floz for fork freeze freezer fresh freshly fridge from frozen full fully garnish garnishing generous gently get giant give glass gm gms g gram grams grate grated grease greasing green grind grinder grocer ground " +
    "half halve halves hand handful hard has have head heap heaped heaping heat heavy here high hint hold home homemade hot hour hours hr hrs husk hulled husks ice if in inch inches indian individual inside into is it its jar jug juice juicy just katori keep kept kernel kg kilo kitchen knife knob kosher l ladle large last later lb lbs leaf leave leaves left less level light " +
    "lightly like liking line lining litre liter little long loose loosely lot low lump lumps lukewarm made make many marked mash mashed mature may measure medium mesh metre micro middle mild min mince minced mins minute minutes ml mm mixed mixture moderate moist more mortar most mould moulds much my mug neutral new night non nos no not number oz of off old on once one only open optional or organic other our out outer over overnight own pack packed packet pan paper part parts paste pat peel peeled per " +
    "perfect pestle pg piece pieces pinch pint pit pitted place plain plate please plump pod pods portion possible pot pound pounds powder powdered preferably prefer preferred premium press pressed pulp pure purpose put quality quantity quart quarter quarters quick quickly raw ready really recipe red regular remaining remove removed reserve rest rinse rinsed ripe roast roasted rolling room root roughly round rub sachet safe sake same sauce scant scoop scoops scrape scraped second see seed seeded seedless seeds separated separately serve servings serving set several shallow sharp shell shelled shop short shred shredded side sieve sift sifted simply single size sized skin skinless skinned skins " +
    "slice sliced slices sliver slivered slivers slow slowly small smooth so soak soaked soft softened soften some spare spatula split spoon spoonful spoons spray sprig sprigs spring stalk stalks standard stem stems step stew stick sticks sticky still stir stirred stock stone stoned stones store straight strain strained strand strands strip strips strong such supermarket sweet tablespoon tablespoons tablet taste tasting tbs tbsp tbsps tea teaspoon teaspoons temp temperature tender than that thaw thawed the their them then there these thick thicker thickness thin thinly third this thread threads three through tight tightly tin tinned tins tiny to toast toasted together tola tone toned top topping total touch tough towel tray trim trimmed tsp tsps turn twice two " +
    "type until up use used using usual vacuum variety vati very vessel wafer warm warmed wash washed we without minus except never instead weight weighed well wet when whichever which whip whisk whisked white whole wide will wire wish with within wood wooden work wrap x yellow yield you young your zest " +
    "pounded puffed popped picked cleaned drained skinning deveined unsalted unsweetened unroasted unpeeled uncooked untoasted aromatic fragrant plus peak natural local seasonal greek french italian asian thai caster granulated fair trade free range"
  )
    .split(" ")
    .map(stemOf),
);
/** Adverbs and what was done to it bring no food; what is made of a food's name is found as that food before. */
const HOW = /(?:ly|ed|ing|en|est|less|ish)$/;

type Span = Pick<NamedFood, "at" | "end">;

/** Tells whether a place lies within one of these spans, which do not overlap but where they are the same. */
function coverOf(spans: readonly Span[]): (place: Span) => boolean {
  const sorted = [...spans].sort((a, b) => a.at - b.at);
  return ({ at, end }) => {
    let [low, high] = [0, sorted.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((sorted[middle]?.at ?? 0) <= at) low = middle + 1;
      else high = middle;
    }
    const span = sorted[low - 1];
    return span !== undefined && end <= span.end;
  };
}

/** The words of a part of a text, from `from` on, that name no food and are not known to be harmless; in order, each once. */
function unknownWords(text: string, from: number, named: (place: Span) => boolean, known: (stem: string) => boolean): readonly string[] {
  const found = new Map<string, string>();
  for (const { stem, at, end } of wordsIn(text)) {
    if (named({ at: at + from, end: end + from })) continue;
    if (stem.length < 3 || /\d/.test(stem) || HARMLESS.has(stem) || known(stem) || HOW.test(text.slice(at, end).toLowerCase())) continue;
    found.set(stem, text.slice(at, end));
  }
  return [...found.values()];
}

/** What a line says beside the food that it is of. */
export interface Beside {
  /** Foods that it names beside that one: after a comma, in brackets, as what it was made ready in. Water is none. */
  readonly foods: readonly Food[];
  /** Words that may name a food, and are not understood. */
  readonly words: readonly string[];
  /** The foods are named to choose from ("oil or ghee"). */
  readonly choice: boolean;
  /** The food that the line is of is ground, so that it cannot choke as a whole piece. */
  readonly ground: boolean;
}

const SEPARATOR = /[,;:+]| [-–—] | (?:with|and|or|in|plus) /gi;
const OR = /\bor\b|[a-z]\/[a-z]/i;
const GROUND = /\b(?:ground|powder(?:ed)?|paste|pur[ée]ed?|blended|pulveri[sz]ed|meal|flour|finely milled)\b/i;

/** What a line names and says beside its food (null where that is not known). `settled`: the maker has said which food it is. */
export function besideIn(text: string, own: Food | null, settled: boolean, find: FoodFinder): Beside {
  const named = find(text);
  const found = named.filter(({ meant }) => meant);
  const mine = own && found.find(({ food }) => food.id === own.id);
  SEPARATOR.lastIndex = mine?.end ?? 0;
  const unbracketed = piecesBetween(text, "(", ")")
    .map((piece) => (piece.inside ? " ".repeat(piece.text.length + 2) : piece.text))
    .join("");
  const headEnd = SEPARATOR.exec(unbracketed)?.index ?? text.length;
  const names = new Set(own ? [own.name, ...own.synonyms].flatMap((name) => wordsIn(name).map(({ stem }) => stem)) : []);
  const within = ({ at, end }: NamedFood) => end <= headEnd && wordsIn(text.slice(at, end)).every(({ stem }) => names.has(stem));
  // A name that several foods share is meant for the one that the line is of.
  const mineAt = new Set(found.filter(({ food }) => food.id === own?.id).map(({ at }) => at));
  const others = own === null ? found : found.filter((each) => !mineAt.has(each.at) && !within(each));
  const foods = [...new Map(others.filter(({ food }) => food.id !== "water").map(({ food }) => [food.id, food] as const)).values()];
  return {
    foods,
    words: own === null || settled ? [] : unknownWords(text.slice(headEnd), headEnd, coverOf(named), (stem) => names.has(stem)),
    choice: !settled && OR.test(text) && foods.length > 0,
    ground: GROUND.test(foods.length > 0 ? text.slice(0, headEnd) : text),
  };
}

/** What a step names that stands in no line: a food, or words that may name one. */
export interface Unlisted {
  readonly food: Food | null;
  readonly words: string;
  /** Called as something made in the recipe is ("the custard"), and holding what no listed food brings: it may be another. */
  readonly made: boolean;
}

/** After these a step says what goes in or on. */
const GOES_IN =
  /\b(?:with|add|adding|scatter|sprinkle|stir in|fold in|mix in|whisk in|beat in|stuff(?:ed)? with|fill(?:ed)? with|serve with|top with) ([^,.;:()]{1,80})/gi;
const ENDS =
  /\b(?:until|till|for|on|onto|over|into|in|to|at|by|from|of|while|so|then|but|as|when|if|after|before|between|through|around|under|off|against|inside)\b/i;
/** What is made in a pot and called by a food's name: "pour the syrup over". */
const MADE = new Set([
  "syrup",
  "caramel",
  "custard",
  "jelly",
  "cake",
  "brittle",
  "burfi",
  "barfi",
  "peda",
  "halva",
  "rabri",
  "basundi",
  "jam",
  "crumb",
  "cone",
  "wafer",
  "meringue",
  "praline",
  "toffee",
  "fudge",
  "whey",
  "masala",
  "chikki",
  "sponge",
  "pastry",
  "roti",
  "sweetener",
  "dough",
  "malt",
  "chutney",
  "sherbet",
  "sharbat",
  "simple syrup",
  "sugar syrup",
]);
const THE = /\b(?:the|this|that|your|hot|warm|cooled|thick|thin|sticky|boiling) $/i;
/** Words of steps that name no food. */
const IN_STEPS = new Set(
  (
    "hand hands finger fingers palm palms thumb damp lid foil film cling parchment pestle spatula ladle knife toothpick thermometer towel plate bowl pan pot tray heat flame fire stove oven fridge blender grinder mixer processor machine whisk fork sieve muslin strainer rolling pin cutter mould circle circles swirl motion pattern sides edge edges bottom surface middle gap gaps line lines rest remainder others everything nothing something half mixture batter paste mass crust layer layers rounds balls ball disc discs ladoo ladoos square squares diamond diamonds pieces piece batches batch turn turns minutes minute hour hours seconds day care patience love attention speed pace time times pinch sense smell colour shine gloss texture consistency thread string syrup crystals bubbles foam froth steam lumps lump skin rim " +
    "ingredient ingredients topping toppings garnish decoration both two three four five six seven eight nine ten hundred guests people family child children plates bowls cups glass glasses spoon spoons tea afternoon morning evening night weather winter summer love joy pride prayer offering god leaves banana tongs scissors brush dot dots star stars pleasure company friends slices simmer cook shape let stir heel stream bring boil bake roast fry leave keep mix beat whisk stand chill cool steam strain turn pour serve cover melt toast rest set spread press dissolve remove take make give lift drain soak grind blend mash rinse wash knead fold toss swirl scrape warm heat reduce thicken continue repeat finish check test taste adjust work lot lots help gentle constant halwa halva kheer phirni payasam ladoo laddu pudding sweet sweets dessert burfi barfi rolls bars truffles dumplings pancake pancakes"
  )
    .split(" ")
    .map(stemOf),
);

/** Foods that a step names and no line lists, and words after "add" or "with" that may name one. `listed` finds lines and parts by their names; `known` are words of the recipe. */
export function unlistedIn(
  text: string,
  {
    mentions,
    listed,
    known,
    find,
  }: {
    readonly mentions: readonly Mention<unknown>[];
    /** Foods of the lines, and those that they name beside, by id. */
    readonly listed: ReadonlyMap<string, Food>;
    readonly known: ReadonlySet<string>;
    readonly find: FoodFinder;
  },
): readonly Unlisted[] {
  const spans = mentions.map(({ at, words }) => ({ at, end: at + words.length }));
  const meansListed = coverOf(spans);
  const named = find(text);
  const found = named.filter(({ meant }) => meant);
  const isNamed = coverOf(named);
  const listedAt = new Set(found.filter(({ food }) => listed.has(food.id)).map(({ at }) => at));
  const all = [...listed.values()];
  const foods = new Map<string, Unlisted>();
  for (const each of found) {
    const { food, at, end } = each;
    const words = wordsIn(text.slice(at, end))
      .map(({ stem }) => stem)
      .join(" ");
    if (food.id === "water" || meansListed(each) || listedAt.has(at) || foods.has(food.id)) continue;
    if (food.id === NUTS_UNNAMED && all.some(({ family }) => family === "nut")) continue;
    const made = MADE.has(words) && THE.test(text.slice(Math.max(0, at - 12), at));
    if (made && isMadeOf(food, all)) continue;
    foods.set(food.id, { food, words: food.name, made });
  }
  const words: string[] = [];
  for (const match of text.matchAll(GOES_IN)) {
    const phrase = (match[1] ?? "").split(ENDS)[0] ?? "";
    const from = match.index + match[0].length - (match[1] ?? "").length;
    words.push(
      ...unknownWords(
        phrase,
        from,
        (place) => isNamed(place) || meansListed(place),
        (stem) => known.has(stem) || IN_STEPS.has(stem),
      ),
    );
  }
  return [...foods.values(), ...[...new Set(words)].map((each) => ({ food: null, words: each, made: false }))];
}

/** Whether all that a thing surely holds may come from these foods. */
const isMadeOf = ({ allergens, origin, sugarClass }: Food, listed: readonly Food[]): boolean =>
  allergens.every((allergen) => listed.some((each) => each.allergens.includes(allergen))) &&
  (origin === "plant" || listed.some((each) => each.origin === origin)) &&
  (sugarClass !== "added" || listed.some(({ family }) => family === "sweetener"));
const NUTS_UNNAMED = "named-nuts-kinds-not-said";

/** The words of a text as `known` takes them. */
export const stemsOf = (text: string): readonly string[] => wordsIn(singleSpaced(text)).map(({ stem }) => stem);
