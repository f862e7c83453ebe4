import { MAKING } from "./making";
import type { CueDrawing, CueRow, CueTables, Three } from "../core/cues";

type Pan = Extract<CueDrawing, { readonly instrument: "pan" }>;
type Pieces = Extract<CueDrawing, { readonly instrument: "pieces" }>;
const pan = (contents: Pan["contents"], more: Partial<Pan> = {}): Pan => ({ instrument: "pan", contents, ...more });
const pieces = (shape: Pieces["shape"], more: Partial<Pieces> = {}): Pieces => ({ instrument: "pieces", shape, ...more });
const pot = (level: number, from?: number, foam?: number): CueDrawing => ({
  instrument: "pot",
  level,
  ...(from !== undefined && { from }),
  ...(foam !== undefined && { foam }),
});
const spoons = (...[before, now, past]: Three<number>): Three<CueDrawing> => [
  { instrument: "spoon", body: before },
  { instrument: "spoon", body: now },
  { instrument: "spoon", body: past },
];
const plates = (...[before, now, past]: Three<number>): Three<CueDrawing> => [
  { instrument: "plate", set: before },
  { instrument: "plate", set: now },
  { instrument: "plate", set: past },
];
const balls = (...[before, now, past]: Three<readonly [holds: number, fat: number]>): Three<CueDrawing> => [
  { instrument: "ball", holds: before[0], fat: before[1] },
  { instrument: "ball", holds: now[0], fat: now[1] },
  { instrument: "ball", holds: past[0], fat: past[1] },
];
const cloths = (...[before, now, past]: Three<number>): Three<CueDrawing> => [
  { instrument: "cloth", drips: before },
  { instrument: "cloth", drips: now },
  { instrument: "cloth", drips: past },
];
/** Pieces that soften from the outside in. */
const SOFTENS = (shape: Pieces["shape"]): Three<CueDrawing> => [
  pieces(shape, { core: 0.55, swell: 0.3 }),
  pieces(shape, { core: 0, swell: 0.75 }),
  pieces(shape, { core: 0, swell: 1, burst: 0.9 }),
];
const GRAINS: Three<CueDrawing> = [pan("grains"), pan("grains"), pan("grains")];
const NUTS: Three<CueDrawing> = [pieces("nut"), pieces("nut"), pieces("nut")];

/** How something that is roasted or fried goes on by the smell. */
const ROASTS_BY_SMELL: Three<string> = ["raw, like the sack it came in", "nutty; the raw smell is gone", "sharp, like burnt toast"];

/** When an operation on a food is done: rules of practice. What is told of few foods stands before what is told of many. */
const ROWS: readonly CueRow[] = [
  // Sugar alone in the pan.
  {
    id: "caramel", operations: ["caramelise"], of: "the caramel",
    told: {
      sight: ["clear, or straw at the rim", "even, of the colour below; swirl it, do not stir", "black at the rim, thick smoke"],
      smell: ["of hot sugar", "of toffee", "sharp; it stings the nose"],
      test: ["a drop on a white plate stays pale", "a drop on a white plate has the colour below", "a drop tastes bitter when it is cold"],
    },
    draw: [pan("liquid", { bubbles: 0.7 }), pan("liquid", { bubbles: 0.35 }), pan("liquid", { bubbles: 0.1 })], shade: [1.2, 2.6, 4.6],
  },
  // Dry heat.
  {
    id: "dough in fat", operations: ["fry"], kinds: ["milk solids", "powdered milk", "cooked grain", "flour", "roasted flour", "grits", "starch", "vegetable", "tofu"], shaped: true, of: "what is fried",
    told: {
      sight: ["pale, lies at the bottom", "gold to brown all round, floats and turns by itself", "dark skin, raw in the middle"],
      test: ["a crumb of it stays down: the fat is too cold", "a crumb rises slowly in small bubbles", "a crumb browns at once: the fat is too hot"],
      sound: ["almost silent", "a steady soft sizzle", "it spits"],
    },
    draw: [pieces("round", { core: 0.6 }), pieces("round", { swell: 0.8 }), pieces("round", { swell: 0.8, core: 0.5 })], shade: [0.6, 2.8, 4.6],
  },
  {
    id: "fox nuts", operations: ["roast", "fry"], foods: ["fox-nut", "Euryale ferox"], of: "the fox nuts",
    told: {
      sight: ["white, soft to look at", "cream, with a first fleck of gold", "brown in patches"],
      touch: ["bends, like foam", "snaps to crumbs between two fingers", "crumbles to dust"],
      bite: ["chews like paper", "cracks at once", "cracks, and tastes burnt"],
    },
    draw: [pieces("puff", { swell: 0.7 }), pieces("puff", { swell: 0.8, burst: 0.5 }), pieces("puff", { swell: 0.8, burst: 0.9 })], shade: [0.3, 1.1, 3],
  },
  {
    id: "small seeds", operations: ["roast", "fry"], foods: ["sesame", "Sesamum indicum", "poppy-seeds", "flaxseed", "melon-seeds", "sunflower-seeds", "pumpkin-seeds", "amaranth"], of: "the seeds",
    told: {
      sight: ["flat and pale", "plump, a shade deeper", "brown, and jumping out of the pan"],
      sound: ["silent", "crackles, seed after seed", "rattles, then falls silent"],
      smell: ROASTS_BY_SMELL,
      bite: ["soft, tastes green", "crumbles between the teeth", "bitter"],
    },
    draw: GRAINS, shade: [0.8, 1.7, 3.4],
  },
  {
    id: "edible gum", operations: ["fry", "roast"], foods: ["edible-gum"], of: "the gum",
    told: {
      sight: ["glassy, small", "white through and three times as large", "brown, sunk again"],
      sound: ["silent", "crackles as it opens", "stops crackling"],
      test: ["one crumb in the hot fat stays down", "one crumb rises and opens at once", "one crumb browns before it opens"],
      bite: ["sticks to the teeth", "breaks like puffed rice, dry to the middle", "bitter"],
    },
    draw: [pieces("round"), pieces("puff", { swell: 1 }), pieces("puff", { swell: 0.6 })], shade: [2.4, 0.4, 3.2],
  },
  {
    id: "shreds and ground nut", operations: ["roast", "fry"], kinds: ["ground nut"], of: "the shreds or meal",
    told: {
      sight: ["white, moist, in clumps", "dry and loose, pale gold at the tips", "brown in the middle of the pan"],
      smell: ["of the fresh nut", "toasted, sweet", "scorched"],
      touch: ["damp", "dry, runs off the spoon", "hard"],
    },
    draw: [pieces("shred"), pieces("shred"), pieces("shred")], shade: [0.2, 1.2, 3.2],
  },
  {
    id: "dried fruit in fat", operations: ["fry", "roast"], kinds: ["dried fruit"], of: "the dried fruit",
    told: {
      sight: ["flat and wrinkled", "swollen to a ball, skin smooth", "dark, sinking together again"],
      sound: ["silent", "a soft pop here and there", "hisses"],
    },
    draw: [pieces("round", { swell: 0.1, burst: 0.5 }), pieces("round", { swell: 1 }), pieces("round", { swell: 0.4, burst: 0.9 })], shade: [3.2, 3.4, 4.6],
  },
  {
    id: "nuts", operations: ["fry", "roast"], kinds: ["piece"], of: "the nuts",
    told: {
      sight: ["as raw", "gold at the edges; they go on browning when they are lifted out", "brown through"],
      sound: ["a steady hiss", "the hiss gets quieter, a crackle", "silent, with smoke"],
      smell: ["of little", "roasted", "bitter, sharp"],
      bite: ["chews", "snaps, once it has cooled", "snaps, and is bitter"],
    },
    draw: NUTS, shade: [0.9, 2.1, 4.1],
  },
  {
    id: "strands", operations: ["roast", "fry"], kinds: ["strands"], of: "the vermicelli",
    told: {
      sight: ["white or straw", "gold, a little uneven", "brown ends"],
      smell: ["of raw dough", "of biscuits", "of burnt crust"],
      bite: ["floury", "cracks", "bitter"],
    },
    draw: [pieces("shred"), pieces("shred"), pieces("shred")], shade: [0.7, 1.9, 3.6],
  },
  {
    id: "pulses, roasted", operations: ["roast", "fry"], kinds: ["pulse"], of: "the pulse",
    told: {
      sight: ["dull, as from the bag", "gold spots on most of them", "brown spots on all"],
      smell: ["of beans", "nutty", "of coffee"],
      bite: ["cracks like stone, tastes raw", "cracks, tastes of nuts", "bitter"],
    },
    draw: [pieces("grain"), pieces("grain"), pieces("grain")], shade: [1.2, 2, 3.6],
  },
  {
    id: "flour in fat", operations: ["roast", "fry"], kinds: ["flour", "roasted flour", "grits", "starch"], words: /\b(?:ghee|butter|oil|fat)\b/i, of: "the flour",
    told: {
      sight: ["a dull paste that clings to the spoon", "loose and glossy, fat stands at the edge, a shade deeper", "fat foams over brown specks"],
      smell: ROASTS_BY_SMELL,
      touch: ["heavy to push", "grows light under the spoon and runs off it", "gritty"],
      bite: ["a cooled pinch is pasty", "a cooled pinch is sandy and tastes of nuts", "a cooled pinch is bitter"],
    },
    draw: [pan("lumps"), pan("grains", { fat: 0.6 }), pan("grains", { fat: 0.9 })], shade: [1.4, 2.3, 4],
    shadeOf: { semolina: [0.7, 1.4, 3.2], "ragi-flour": [3.4, 3.8, 4.7], besan: [1.5, 2.3, 3.9], "Eleusine coracana": [3.4, 3.8, 4.7], "Cicer arietinum": [1.5, 2.3, 3.9] },
  },
  {
    id: "flour, dry", operations: ["roast", "fry"], kinds: ["flour", "roasted flour", "grits", "starch", "flakes"], of: "the flour or meal",
    told: {
      sight: ["flat, dusty", "a shade deeper all through, runs like dry sand", "brown specks, a thread of smoke"],
      smell: ROASTS_BY_SMELL,
      touch: ["cool and damp to the back of the hand over it", "light under the spoon", "stings the nose when it is stirred"],
      bite: ["a cooled pinch is pasty", "a cooled pinch is sandy and tastes of nuts", "a cooled pinch is bitter"],
    },
    draw: GRAINS, shade: [1, 1.9, 3.8],
    shadeOf: { semolina: [0.5, 1.1, 3], "ragi-flour": [3.2, 3.6, 4.6], "Eleusine coracana": [3.2, 3.6, 4.6], besan: [1.3, 2, 3.8], "Cicer arietinum": [1.3, 2, 3.8], "rice-flour": [0.1, 0.6, 2.6], "rolled-oats": [1, 1.8, 3.5] },
  },
  {
    id: "grain, roasted", operations: ["roast", "fry"], kinds: ["grain", "puffed", "pearls"], of: "the grain",
    told: {
      sight: ["dull", "a shade deeper, some grains open", "brown"],
      sound: ["silent", "crackles", "falls silent"],
      smell: ROASTS_BY_SMELL,
    },
    draw: [pieces("grain"), pieces("grain", { swell: 0.4 }), pieces("grain", { swell: 0.4, burst: 0.4 })], shade: [0.8, 1.7, 3.6],
  },
  {
    id: "fruit or vegetable in fat", operations: ["fry", "roast"], kinds: ["vegetable", "fruit", "puree"], of: "the fruit or vegetable",
    told: {
      sight: ["wet, juice stands in the pan", "glossy, shrunk, no juice runs together behind the spoon", "brown edges, sticking"],
      smell: ["raw, of earth or peel", "sweet", "of burnt sugar"],
      bite: ["crunches", "soft, with a little bite", "a paste"],
    },
    draw: [pan("lumps", { bubbles: 0.6 }), pan("lumps", { away: 0.25, trail: 0.7, fat: 0.3 }), pan("crumbs", { away: 0.3, fat: 0.6 })],
  },
  // Sugar and water.
  {
    id: "sugar dissolves", operations: ["dissolve", "simmer", "mix"], kinds: ["sugar", "syrup", "water", "fat", "acid", "aroma"], alone: true, of: "the syrup",
    told: {
      sight: ["crystals or lumps at the bottom, cloudy", "clear; nothing grates under the spoon", "crystals on the wall again, cloudy"],
      sound: ["grates under the spoon", "silent under the spoon", "grates again"],
    },
    draw: [pan("crumbs"), pan("liquid", { bubbles: 0.2 }), pan("crumbs", { bubbles: 0.6 })],
  },
  {
    id: "chocolate melts", operations: ["dissolve", "mix"], kinds: ["chocolate"], of: "the chocolate",
    told: {
      sight: ["edges still stand", "smooth and shining", "dull, thick, grains in it: too hot, or a drop of water"],
      touch: ["lumps under the spoon", "no warmer than the lip bears", "hot"],
    },
    draw: spoons(6.5, 2.5, 7),
  },
  {
    id: "gel melts", operations: ["dissolve", "simmer", "mix", "reduce"], kinds: ["gelling"], of: "what sets it",
    told: {
      sight: ["strands or grains hang on the spoon", "nothing hangs on the spoon: clear", "boiled for long: it sets less, gelatine least of all"],
      test: ["a drop on a cold plate runs after two minutes", "a drop on a cold plate sets within two minutes", "a drop sets hard at once"],
    },
    draw: plates(0.15, 0.9, 1),
  },
  {
    id: "gel swells", operations: ["soak"], kinds: ["gelling"], of: "what sets it",
    told: {
      sight: ["dry spots", "swollen through, no dry spot left", "runs apart: the water was warm"],
      touch: ["gritty", "soft like a wet sponge", "slimy"],
    },
    draw: [pieces("shred", { core: 0.7 }), pieces("shred", { swell: 0.8 }), pieces("shred", { swell: 1, burst: 1 })],
  },
  // Egg.
  {
    id: "egg, tempered", operations: ["temper"], of: "the egg",
    told: {
      sight: ["cold and thick", "thin and warm, no thread in it", "threads and flecks: too hot, or poured too fast"],
      touch: ["the bowl is cold outside", "the bowl is warm outside", "the bowl is hot outside"],
    },
    draw: spoons(3, 1, 6.5),
  },
  {
    id: "custard", operations: ["simmer", "reduce"], kinds: ["egg"], of: "the custard",
    told: {
      sight: ["runs off the spoon; foam stands on it", "coats the spoon: a finger drawn through leaves a clean line; steams, never boils", "flecks of egg, whey between them"],
      touch: ["light under the spoon", "the spoon begins to drag", "lumps under the spoon"],
    },
    draw: spoons(0.4, 1.9, 6.8),
  },
  {
    id: "set in heat", operations: ["bake", "steam"], kinds: ["egg"], of: "what sets",
    told: {
      sight: ["waves when it is shaken", "firm at the edge, trembles in the middle like jelly", "risen, cracked, bubbles at the side"],
      test: ["a skewer comes out milky", "a skewer comes out clean two fingers from the edge", "a skewer leaves a hole with water in it"],
    },
    draw: plates(0.3, 0.85, 1.3),
  },
  // Wet heat.
  {
    id: "pearls", operations: ["simmer", "pressure", "reduce", "steam"], kinds: ["pearls"], of: "the pearls",
    told: {
      sight: ["white core", "clear through, perhaps a pin's head of white, which goes in the warmth", "edges gone, strings between them"],
      bite: ["a hard point in the middle", "springs back", "slime"],
    },
    draw: SOFTENS("round"),
  },
  {
    id: "pulses", operations: ["simmer", "pressure", "steam", "reduce"], kinds: ["pulse"], of: "the pulse",
    told: {
      sight: ["whole, with sharp edges", "swollen, a few split", "broken to a paste, the water thick"],
      touch: ["resists two fingers", "mashes between two fingers, no grain left", "falls apart by itself"],
      bite: ["chalk in the middle", "soft through", "pasty"],
    },
    draw: SOFTENS("grain"),
  },
  {
    id: "grain", operations: ["simmer", "pressure", "steam", "reduce"], kinds: ["grain", "cooked grain"], of: "the grain",
    told: {
      sight: ["small, sinks to the bottom", "twice as large, floats up with the stirring", "burst at the ends, the pot gluey"],
      touch: ["a hard heart between two fingers", "mashes with a light press", "is paste already"],
      bite: ["chalk in the middle", "soft through and still a grain", "no grain to be felt"],
    },
    draw: SOFTENS("grain"),
  },
  {
    id: "strands, flakes, grits", operations: ["simmer", "pressure", "reduce", "steam"], kinds: ["strands", "flakes", "grits", "puffed"], of: "what swells in it",
    told: {
      sight: ["sinks, the liquid thin", "swollen, holds its shape in the spoon", "runs together"],
      bite: ["a hard thread in the middle", "soft, each for itself", "mush"],
    },
    draw: SOFTENS("shred"),
  },
  {
    id: "flour or starch", operations: ["simmer", "reduce"], kinds: ["flour", "roasted flour", "starch"], of: "the thickened pot",
    told: {
      sight: ["thin and milky; lumps if it was not stirred", "thickens from one moment to the next, then shines", "stringy, or thin again: cooked for too long"],
      sound: ["quiet", "bubbles plop", "sticks and hisses at the bottom"],
      bite: ["chalky, of raw flour", "smooth, no taste of flour", "gluey"],
    },
    draw: spoons(0.6, 3, 6),
  },
  {
    id: "fruit or vegetable", operations: ["simmer", "pressure", "steam", "reduce", "bake"], kinds: ["vegetable", "fruit"], of: "the fruit or vegetable",
    told: {
      sight: ["edges sharp, bright", "edges soft, clearer", "falls apart, colour dull"],
      touch: ["resists the back of a spoon", "gives way to the back of a spoon", "no piece left"],
      bite: ["crunches", "soft through", "watery"],
    },
    draw: [pieces("round", { core: 0.6, swell: 0.5 }), pieces("round", { swell: 0.6 }), pieces("round", { swell: 0.6, burst: 1 })],
  },
  {
    id: "slaked", operations: ["slake"], of: "the slaked starch",
    told: {
      sight: ["dry pockets, lumps at the rim", "like thin cream, no lump left", "settled at the bottom: stir it up again before it goes in"],
      touch: ["grates under the spoon", "runs smoothly off the spoon", "a hard layer under the spoon"],
    },
    draw: [pan("lumps"), pan("liquid"), pan("liquid", { trail: 0.5 })],
  },
  {
    id: "acid curdles milk", operations: ["simmer", "mix"], kinds: ["acid", "curd", "milk solids"], words: /\b(?:curdles?|curds?|whey|chhena|paneer)\b/i, of: "the curds",
    told: {
      sight: ["milky between the curds", "curds stand apart in clear, greenish whey", "curds small and hard"],
      touch: ["slimy", "soft, holds together when it is pressed", "squeaks, rubbery"],
    },
    draw: [pan("lumps", { bubbles: 0.2 }), pan("crumbs"), pan("crumbs", { bubbles: 0.9 })], shade: [0.2, 0.2, 0.6],
  },
  {
    id: "milk comes to the boil", operations: ["simmer"], kinds: ["milk", "plant milk", "cream", "water", "powdered milk"], alone: true, of: "the milk",
    told: {
      sight: ["still; fine bubbles at the edge", "rises in foam: turn the flame down now", "over the rim, or a brown skin at the bottom: do not scrape"],
      sound: ["silent", "a rustle that grows", "hisses on the stove"],
    },
    draw: [pot(0.62), pot(0.62, undefined, 0.24), pot(0.62, undefined, 0.5)],
  },
  {
    id: "butter melts", operations: ["dissolve", "simmer", "mix"], kinds: ["fat"], alone: true, of: "the fat",
    told: {
      sight: ["lumps stand", "clear, just run apart", "smokes, brown at the bottom"],
      sound: ["silent", "a soft crackle that ends", "silent, smoking"],
    },
    draw: [pan("lumps"), pan("liquid"), pan("liquid", { bubbles: 0.9 })],
  },
  // Ready made before.
  {
    id: "saffron steeps", operations: ["infuse", "soak", "rest", "mix"], foods: ["saffron", "Crocus sativus"], words: /\b(?:soak|steep|bloom|infus|warm|dissolve|colou?r|leave)/i, of: "the saffron",
    told: { sight: ["threads in clear milk", "the milk is deep yellow, the threads pale", "threads alone are left: it gives no more"], smell: ["of little", "of hay and honey", "faint"] },
    draw: [pot(0.5), pot(0.5), pot(0.5)], shade: [0.4, 2.2, 2.6],
  },
  {
    id: "aroma steeps", operations: ["infuse"], of: "the aroma",
    told: {
      smell: ["of the liquid alone", "of the spice as soon as the lid is lifted", "of wood, with a bitter edge: take it out"],
      bite: ["a cooled drop tastes of little", "a cooled drop tastes of it, clearly", "a cooled drop is bitter"],
    },
    draw: [pot(0.6), pot(0.6), pot(0.6)],
  },
  {
    id: "nuts soak", operations: ["soak"], kinds: ["piece", "ground nut"], of: "the nuts",
    told: {
      sight: ["skins tight", "plump, skins slip off between two fingers", "bubbles on the water, a sour smell: throw it away"],
      bite: ["hard in the middle", "crisp and moist through", "do not taste it"],
    },
    draw: [pieces("nut", { core: 0.6 }), pieces("nut", { swell: 0.7 }), pieces("nut", { swell: 0.8, burst: 0.7 })],
  },
  {
    id: "dried fruit soaks", operations: ["soak"], kinds: ["dried fruit"], of: "the dried fruit",
    told: {
      sight: ["wrinkled, firm", "swollen, skin smooth", "falling apart, the water dark"],
      touch: ["a firm heart", "soft through, mashes under a fork", "a paste already"],
    },
    draw: [pieces("round", { core: 0.5, burst: 0.4 }), pieces("round", { swell: 0.9 }), pieces("round", { swell: 0.9, burst: 0.9 })],
  },
  {
    id: "grain soaks", operations: ["soak"], kinds: ["grain", "pulse", "pearls", "grits", "flakes", "strands", "cooked grain"], of: "what soaks",
    told: {
      sight: ["small, glassy", "swollen and dull, no glassy core", "bubbles on the water, a sour smell: throw it away"],
      touch: ["does not break under the nail", "breaks under the nail, crumbles between two fingers", "slimy"],
    },
    draw: SOFTENS("grain"),
  },
  {
    id: "washed", operations: ["wash"], of: "the water",
    told: { sight: ["white or brown", "almost clear", "clear after many washes: starch that thickens has gone with it"] },
    draw: cloths(0.9, 0.5, 0.15),
  },
  {
    id: "pressed out", operations: ["press"], of: "the pulp",
    told: {
      sight: ["milk still runs in a stream", "a drop now and then", "pulp comes through the cloth: it will be gritty"],
      touch: ["wet and heavy", "crumbles, almost dry", "squeezed to dust"],
    },
    draw: cloths(1, 0.25, 0.7),
  },
  {
    id: "ground fine", operations: ["grind"], words: /\b(?:smooth|silky|blend[a-z]*|blitz[a-z]*|process(?:ed)?|pur[eé]e[sd]?|grind|grinds)\b|\b(?:in)?to an? (?:[a-z]{1,12} ){0,2}(?:powder|paste|flour|meal)\b|\bground (?:fine|finely|to|into)\b/i, of: "what is ground",
    told: {
      sight: ["pieces to be seen", "even, no speck left", "fat runs out, it clumps: nuts were ground for too long"],
      touch: ["grains between two fingers", "smooth between two fingers", "warm and greasy"],
      sound: ["rattles", "an even hum", "the blades run free under a clump"],
    },
    draw: [pan("crumbs"), pan("liquid", { trail: 0.3 }), pan("lumps", { fat: 0.9 })],
  },
  {
    id: "ground coarse", operations: ["grind"], words: /\b(?:crush|coarse|pound|break)/i, of: "what is cut or ground",
    told: { sight: ["some left whole", "pieces of one size", "dust between them: it drinks up liquid"], touch: ["uneven", "even crumbs", "powder"] },
    draw: [pieces("nut"), pieces("shred"), pan("grains")],
  },
  {
    id: "peeled", operations: ["peel"], kinds: ["piece", "pulse"], of: "the skin",
    told: { sight: ["the skin holds", "slips off with a press", "flesh comes off with it"] },
    draw: [pieces("nut"), pieces("nut", { swell: 0.4 }), pieces("nut", { burst: 0.9 })],
  },
  // Bound, set, cooled.
  {
    id: "hung", operations: ["press", "rest", "mix", "chill", "transfer"], kinds: ["curd", "milk solids"], words: /\b(?:hang|hung|drain|strain|cloth|muslin|sieve)\b/i, of: "the curd in its cloth",
    told: {
      sight: ["whey runs", "a drop now and then; it comes off the cloth in one piece", "dry and cracked"],
      touch: ["wet, shakes", "firm like soft butter", "crumbles"],
    },
    draw: cloths(0.9, 0.2, 0),
  },
  {
    id: "cut", operations: ["shape"], words: /\b(?:cut|slice|squares?|diamonds?|bars?)\b/i, of: "the slab",
    told: {
      sight: ["the knife drags, edges close again", "edges stay clean", "cracks run from the knife"],
      touch: ["gives, sticks to the finger", "firm, a finger leaves a faint mark", "hard"],
    },
    draw: plates(0.4, 1, 1.3),
  },
  {
    id: "shaped", operations: ["shape"], words: /\b(?:balls?|shap|roll|rounds?|ladd?oos?|ladus?|patt|logs?|squeez|press|form)/i, of: "a ball",
    told: {
      test: ["squeezed hard, it falls apart: a little warm fat or liquid", "squeezed once, it holds and takes the print of the fingers", "it sags, or fat runs out: chill it, or more dry meal"],
      touch: ["dry, sandy", "just warm, moist; the palm stays almost clean", "sticks to the palm"],
    },
    draw: balls([-0.9, 0], [0, 0.2], [0.9, 0.9]),
  },
  {
    id: "baked", operations: ["bake", "steam"], of: "what is baked or steamed",
    told: {
      sight: ["wet in the middle", "risen, gold at the edge, springs back", "brown, drawn off the sides"],
      smell: ["of batter", "baked through", "of burnt sugar"],
      test: ["a skewer comes out wet", "a skewer comes out clean or with a crumb", "a skewer comes out dry, the top cracks"],
    },
    draw: [
      { instrument: "skewer", clings: 1 },
      { instrument: "skewer", clings: 0.08 },
      { instrument: "skewer", clings: 0, cracks: 1 },
    ],
  },
  {
    id: "gel sets", operations: ["chill", "rest"], kinds: ["gelling", "egg"], of: "what sets",
    told: {
      sight: ["runs when the mould is tilted", "trembles as a whole, comes off the side", "a ring of water round it"],
      touch: ["wets the finger", "cold through, springs back, does not stick", "hard"],
    },
    draw: plates(0.25, 1, 1.3),
  },
  {
    id: "frozen", operations: ["chill", "rest", "mix"], words: /\b(?:freez|frozen|churn)/i, of: "what freezes",
    told: {
      sight: ["soft in the middle", "firm to the middle, a scoop rolls up", "ice on top, white and dry"],
      touch: ["a skewer goes through", "a skewer goes in with a push", "a skewer stops: leave it out for some minutes"],
    },
    draw: plates(0.4, 1, 1.1),
  },
  {
    id: "whipped", operations: ["mix"], kinds: ["cream", "egg", "plant milk", "curd"], words: /\b(?:peaks?|stiffly|stiff|fluffy|foamy)\b/i, of: "the foam",
    told: {
      sight: ["runs together behind the whisk", "a peak stands, its tip bends over", "grains, water at the bottom"],
      touch: ["light under the whisk", "the whisk leaves a track", "breaks"],
    },
    draw: spoons(1.5, 6, 9),
  },
  {
    id: "beaten smooth", operations: ["mix", "grind"], kinds: ["curd", "milk solids", "tofu", "nut paste"], words: /\b(?:whisk|beat|blend|smooth|rub|cream)\b/i, of: "the mixture",
    told: {
      sight: ["grains and streaks", "one colour, smooth, with a soft shine", "loose, runs off: it was beaten for too long, chill it"],
      touch: ["grains on the tongue", "no grain between two fingers", "thin"],
    },
    draw: spoons(6.5, 5.5, 2.5),
  },
  {
    id: "dough", operations: ["mix"], words: /\bknead|\bdough\b/i, of: "the dough",
    told: {
      sight: ["crumbs and dry spots", "smooth, the bowl clean", "shining with fat, or slack"],
      touch: ["cracks when it is pressed", "soft as an ear lobe, does not stick", "sticks to the hand"],
    },
    draw: balls([-0.7, 0], [0, 0], [0.8, 0.5]),
  },
  {
    id: "cooled", operations: ["rest", "chill"], words: /\b(?:cool|lukewarm|tepid|warm|handle|touch)/i, of: "the pot",
    told: {
      touch: ["too hot to hold a hand to", "the back of the hand rests on it with ease", "cold: what binds warm has set"],
      sight: ["steams", "hardly steams", "no steam; a skin, stiff below"],
    },
    draw: [{ instrument: "pot", level: 0.5, steam: 1 }, { instrument: "pot", level: 0.5, steam: 0.4 }, { instrument: "pot", level: 0.5 }],
  },
];

/** What a body looks like in the pan and on the spoon, thin to stiff. */
const BODIES: CueTables["bodies"] = [
  { body: 0, cold: "runs off the spoon", sight: "runs off the spoon like milk", sound: "quick, light bubbles" },
  { body: 1.5, cold: "runs off the spoon in a film", sight: "coats the spoon; a finger drawn through leaves a line", sound: "small bubbles, all over" },
  { body: 3, cold: "pours; the surface closes behind the spoon", sight: "falls off the spoon in a slow, unbroken stream", sound: "bubbles burst softly" },
  { body: 4.5, cold: "spoonable; the track of the spoon closes slowly", sight: "falls in spoonfuls; the trail of the spoon closes slowly", sound: "slow bubbles plop" },
  { body: 6, cold: "mounds; the track of the spoon stays", sight: "mounds on the spoon; the bottom of the pan shows for a moment", sound: "heavy bubbles spit: a long spoon" },
  { body: 7.2, cold: "stands on the spoon, edges stay where they are cut", sight: "leaves the sides and follows the spoon as one mass", sound: "a hiss behind the spoon, few bubbles" },
  { body: 8.2, cold: "slices with a clean edge", sight: "turns over in one piece, shining; slices once it is cold", sound: "sizzles where it touches the pan" },
  { body: 9.5, cold: "firm; it keeps its edges and rolls", sight: "stiff; a cooled pinch rolls to a ball that keeps its edges", sound: "almost none" },
];

/** How the drop of each stage is drawn. */
const DROPS: Readonly<Record<string, CueDrawing>> = {
  "thin syrup": { instrument: "thread", threads: 0, reach: 0 },
  "pouring syrup": { instrument: "thread", threads: 0, reach: 0.25 },
  "one thread": { instrument: "thread", threads: 1, reach: 0.6 },
  "two threads": { instrument: "thread", threads: 2, reach: 1 },
  "soft ball": { instrument: "glass", drop: "soft ball" },
  "firm ball": { instrument: "glass", drop: "hard ball" },
  "hard ball": { instrument: "glass", drop: "hard ball" },
  "soft crack": { instrument: "glass", drop: "thread" },
  "hard crack": { instrument: "glass", drop: "thread" },
};
/** Stages of boiled sugar, as they are told where syrups are made, each by a drop that has cooled. */
const SYRUPS: CueTables["syrups"] = MAKING.syrupStages.flatMap(({ name, cue }) => {
  const draw = DROPS[name];
  return draw ? [{ stage: name, test: /\bwater\b/.test(cue) ? cue : `a cooled drop: ${cue}`, draw }] : [];
});

/** When no free liquid is left. */
const DRY: CueTables["dry"] = {
  id: "liquid gone", operations: [], of: "the pot",
  told: {
    sight: ["liquid runs together behind the spoon", "the trail of the spoon stays open, nothing runs into it", "it sticks, and browns at the bottom"],
    sound: ["a light bubbling", "a quiet sizzle", "a sharp hiss"],
  },
  draw: [pan("liquid", { bubbles: 0.5, trail: 0.1 }), pan("mass", { trail: 0.8, away: 0.1 }), pan("crumbs", { away: 0.3 })],
};

export const CUES: CueTables = { rows: ROWS, dry: DRY, bodies: BODIES, syrups: SYRUPS };
