import { celsius } from "../core/units";
import type { Constants } from "../core/food";
import { COLOUR, FLAVOUR } from "./appearance";
import { USUAL_METHODS } from "./usual-methods";

const FITTED_FURTHER = "fitted on some 150 further kitchen cases, judged by hand (rule of thumb)";
const FITTED = "fitted on 59 kitchen outcomes of 44 sweets (rule of thumb)";

/** Constants of all models, each with its source; `rule` marks rules of thumb. */
export const CONSTANTS: Constants = {
  learned: {},
  energyPerGram: {
    value: { protein: 17, fat: 37, carbohydrate: 17, fibre: 8, organicAcids: 13, xylitol: 10, erythritol: 0, allulose: 1.7 },
    source: "Atwater general factors, in kJ/g; EU 1169/2011 annex XIV", rule: false,
  },
  relativeSweetness: {
    value: { sucrose: 1, glucose: 0.7, lactose: 0.2, maltose: 0.4, erythritol: 0.65, xylitol: 1, allulose: 0.7 },
    source: "usual values relative to sucrose = 1 (rule of thumb)", rule: true,
  },
  fructoseSweetness: { value: [[5, 1.44], [18, 1.29], [40, 1], [60, 0.79]], source: "Tsuzuki & Yamazaki 1953", rule: false },
  rebaudioside: { value: { maximum: 10, half: 200, bitterAbove: 6 }, source: "DuBois 1991: R = 10·C/(200 + C), C in mg/L", rule: false },
  sweetnessModelShare: 0.06,
  suppression: {
    value: {
      acid: { perPercent: 0.4, most: 0.4 },
      thickness: { most: 0.12, body: [3, 9] },
      fat: { most: 0.05, percent: [12, 18] },
      salt: { most: 0.03, percent: [0.05, 0.1, 0.6] },
    },
    source: "acid −4 % per 0.1 %, thickness to −12 %, fat above 15 % −5 %, a little salt +3 % (rules of thumb)", rule: true,
  },
  freeSugarShares: {
    value: {
      added: { who: 1, uk: 1 },
      intact: { who: 0, uk: 0 },
      "whole fruit": { who: 0, uk: 0 },
      "cooked fruit pieces": { who: 0, uk: 0.5 },
      "puréed fruit": { who: 0, uk: 1 },
      milk: { who: 0, uk: 0 },
      "sweetened milk": { who: 1, uk: 1 },
      "plant drink": { who: 0, uk: 1 },
    },
    source: "WHO 2015; Swan et al. 2018, Public Health Nutrition (UK). Cooked fruit pieces: half counted as purée (rule of thumb)", rule: false,
  },
  starches: {
    value: {
      cornflour: { e: 1, f: { isolated: 1, flour: 0.8, pearl: 0.7 }, chilled: 1.6 },
      "maize meal": { e: 1, f: { isolated: 1, flour: 0.8, pearl: 0.7 }, chilled: 1.6 },
      wheat: { e: 0.88, f: { isolated: 1, flour: 0.8, pearl: 0.7 }, chilled: 1.6 },
      rice: { e: 0.85, f: { isolated: 1, flour: 0.8, pearl: 0.7 }, chilled: 1.6 },
      "waxy rice": { e: 0.85, f: { isolated: 1, flour: 0.8, pearl: 0.7 }, chilled: 1.1 },
      millet: { e: 0.9, f: { isolated: 1, flour: 0.8, pearl: 0.7 }, chilled: 1.6 },
      pulse: { e: 0.8, f: { isolated: 1, flour: 0.8, pearl: 0.7 }, chilled: 1.6 },
      oats: { e: 0.85, f: { isolated: 0.8, flour: 0.8, pearl: 0.7 }, chilled: 1.2 },
      tapioca: { e: 1.15, f: { isolated: 1, flour: 1, pearl: 0.7 }, chilled: 1.1 },
      arrowroot: { e: 1.1, f: { isolated: 1, flour: 1, pearl: 0.7 }, chilled: 1.1 },
      potato: { e: 1.45, f: { isolated: 1, flour: 1, pearl: 0.7 }, chilled: 1.1 },
      "tuber extract": { e: 0.9, f: { isolated: 1, flour: 1, pearl: 0.7 }, chilled: 1.6 },
    },
    source: FITTED, rule: true,
  },
  grain: {
    value: {
      start: { whole: 1 / 3, cracked: 2 / 3, ground: 1 }, end: 1, endWithBran: 0.7, spread: 2.8, soaked: 0.5, pressure: 3, cookedThrough: 2.5,
    },
    source: FITTED_FURTHER, rule: true,
  },
  pulse: { value: { least: 1 / 3, most: 0.6, chilled: 0.6, broken: { whole: 0.1, split: 0.4 } }, source: FITTED_FURTHER, rule: true },
  particles: {
    value: {
      perGram: {
        "Prunus dulcis": 0.27, "Anacardium occidentale": 0.2, "Arachis hypogaea": 0.22, "Sesamum indicum": 0.16, "Papaver somniferum": 0.22,
        "Cucumis melo": 0.22, "Citrullus lanatus": 0.22, "Cocos nucifera": 0.6, "Cyperus esculentus": 0.2,
      },
      other: 0.2,
      fineness: { fine: 1, coarse: 0.5 },
      starch: { "Anacardium occidentale": 0.72, "Cyperus esculentus": 0.72 },
      starchChilled: 1.6,
    },
    source: FITTED_FURTHER, rule: true,
  },
  egg: { value: { baked: { whole: 4.4, yolk: 2.2, white: 3.1 }, stirred: 0.9, chilled: 1.2, withoutMilk: 0.65 }, source: FITTED_FURTHER, rule: true },
  cultured: { value: { perPercent: 1.2, from: 0.65 }, source: FITTED_FURTHER, rule: true },
  caramelLoss: { value: { light: 0.05, amber: 0.15, dark: 0.3 }, source: "sweetness lost as sugar browns (rule of thumb)", rule: true },
  pieces: { value: { whole: 60, cut: 20, least: 0.15 }, source: "sugars of pieces of fruit in a wet pot (rule of thumb)", rule: true },
  body: {
    value: { sugarInSerum: 0.62, fibre: 1.2, pulp: 1.6, protein: 0.022, proteinChilled: 1.15, scale: 9.5, sdLogX: 0.22, sdSteps: 0.3 },
    source: FITTED, rule: true,
  },
  agarGel: { value: [[0.15, 0], [0.2, 5], [0.4, 7.2], [0.6, 8.2], [0.9, 9], [1.2, 9.4]], source: "gel strength by agar share (rule of thumb)", rule: true },
  gelatineGel: {
    value: { chilled: [[0.4, 0], [0.6, 4.5], [0.8, 6], [1, 6.8], [1.2, 7.2], [2, 8.2], [3, 8.8], [6, 9.5]], hot: 0.3 },
    source: "gel strength by gelatine share (rule of thumb)", rule: true,
  },
  gelatinisationMinutes: {
    value: { ground: 1.5, semolina: 3, cracked: 4, pearl: 8, whole: 12 },
    source: "time constants of gelatinisation by grain form (rule of thumb)", rule: true,
  },
  evaporationFlux: {
    value: { steaming: 1, simmer: 2, brisk: 3.5, rolling: 6 },
    source: "g per minute and dm² of open pan (rule of thumb)", rule: true,
  },
  process: {
    value: {
      uptake: {
        cashew: 0.25, dates: 0.2, "dried-figs": 0.2, "dry-dates": 0.2, sago: 0.8, "rolled-oats": 1.5,
        "foxtail-millet": 0.35, "barnyard-millet": 0.35, "little-millet": 0.35, "kodo-millet": 0.35, "proso-millet": 0.35, "pearl-millet": 0.35,
        cereal: 0.3, "pseudo-cereal": 0.35, pulse: 1, nut: 0.3, oilseed: 0.3,
      },
      waste: {
        pumpkin: 0.28, carrot: 0.1, beetroot: 0.15, "bottle-gourd": 0.15, "sweet-potato": 0.15, apple: 0.15, banana: 0.35, mango: 0.35, dates: 0.12,
      },
      roastedMoisture: 0.025,
      waterLost: { bake: 0.04, steam: 0.03, pressure: 0.01, chill: 0.01 },
      left: { transfer: 0.015, shape: 0.01 },
      covered: 0.15,
      filtered: 0.01,
      caramelised: 0.05,
      pan: 24,
      cap: null,
      rate: null,
      fatAbove: { "coconut-milk": 0.9, "coconut-cream": 0.75, "coconut-milk-thin": 0.85, "cream-of-coconut": 0.7, tahini: 0.65, "peanut-butter": 0.65, "almond-butter": 0.65, "cashew-butter": 0.65 },
      whistle: 3.5,
      usual: {
        mix: { minutes: [2, 3, 5], attention: "hands on" },
        soak: { minutes: [30, 60, 480], attention: "unattended" },
        wash: { minutes: [1, 2, 3], attention: "hands on" },
        peel: { minutes: [3, 5, 10], attention: "hands on" },
        grind: { minutes: [2, 4, 8], attention: "hands on" },
        press: { minutes: [3, 5, 10], attention: "hands on" },
        roast: { minutes: [6, 10, 18], attention: "hands on" },
        fry: { minutes: [2, 3, 5], attention: "hands on" },
        simmer: { minutes: [8, 15, 30], attention: "now and then" },
        reduce: { minutes: [20, 35, 60], attention: "now and then" },
        pressure: { minutes: [8, 12, 20], attention: "unattended" },
        steam: { minutes: [15, 25, 40], attention: "unattended" },
        bake: { minutes: [30, 45, 60], attention: "unattended" },
        caramelise: { minutes: [5, 8, 12], attention: "hands on" },
        dissolve: { minutes: [3, 5, 8], attention: "now and then" },
        temper: { minutes: [2, 3, 5], attention: "hands on" },
        slake: { minutes: [1, 2, 3], attention: "hands on" },
        infuse: { minutes: [10, 20, 60], attention: "unattended" },
        chill: { minutes: [120, 180, 480], attention: "unattended" },
        rest: { minutes: [5, 10, 30], attention: "unattended" },
        shape: { minutes: [8, 15, 30], attention: "hands on" },
        transfer: { minutes: [1, 2, 4], attention: "hands on" },
        "serve apart": { minutes: [1, 2, 3], attention: "hands on" },
      },
    },
    source: "kitchen weighings and habits: uptake, peel, moisture left, losses and times by operation (rule of thumb)", rule: true,
  },
  usualMethods: USUAL_METHODS,
  usualSweets: {
    value: {
      pudding: { sweetness: [8, 11, 14], body: [2.5, 3.5, 4.8], richness: [3, 5, 8] },
      "flour halwa": { sweetness: [17, 21, 26], body: [6, 6.8, 7.6], richness: [9, 12, 17] },
      "vegetable halwa": { sweetness: [14, 18, 22], body: [3.5, 4.5, 6], richness: [5, 8, 12] },
      ladoo: { sweetness: [20, 25, 32], body: [8, 9, 9.5], richness: [18, 26, 33] },
      "set pudding": { sweetness: [10, 14, 18], body: [5.5, 6.5, 7.5], richness: [3, 5, 9] },
      "fruit-bound": { sweetness: [28, 34, 42], body: [7.5, 8.5, 9.3], richness: [8, 14, 20] },
    },
    source: "home sweets of each kind (rule of thumb)", rule: true,
  },
  bodyAnchors: [
    [0, "like milk"], [1.5, "coats a spoon"], [3, "pours slowly"], [4.5, "spoonable"], [6, "mounds"], [7.2, "leaves the sides"],
    [8.2, "slices firm"], [9.5, "rolls"],
  ],
  waterActivity: {
    value: {
      solutes: {
        sucrose: { grams: 342.3, k: 6.47 }, hexoses: { grams: 180.16, k: 2.25 }, maltose: { grams: 342.3, k: 4.54 }, lactose: { grams: 342.3, k: 10.2 },
        erythritol: { grams: 122.12, k: 1.34 }, xylitol: { grams: 152.15, k: 1.66 }, allulose: { grams: 180.16, k: 2.25 }, ash: { grams: 70, k: 0 },
      },
      sucroseDissolved: { least: 0.8, most: 2.07, invert: 0.42 },
      lactoseDissolved: 0.2,
      polymers: { starch: { a: 0.13, b: 0.35 }, protein: { a: 0.11, b: 0.38 }, fibre: { a: 0.1, b: 0.38 } },
    },
    source: "Norrish 1966, mixtures by moles (Chirife 1980); polymers by the form of Oswin 1946; polyols' constants as usually cited; what dissolves and what polymers hold are rules of thumb",
    rule: true,
  },
  freezing: {
    value: {
      bySucrose: [
        [0, 0], [3, 0.18], [6, 0.35], [9, 0.53], [12, 0.72], [15, 0.9], [18, 1.1], [21, 1.29], [24, 1.47], [27, 1.67], [30, 1.86],
        [33, 2.03], [36, 2.21], [39, 2.4], [42, 2.6], [45, 2.78], [48, 2.99], [51, 3.2], [54, 3.42], [57, 3.63], [60, 3.85],
        [63, 4.1], [66, 4.33], [69, 4.54], [72, 4.77], [75, 5], [78, 5.26], [81, 5.53], [84, 5.77], [87, 5.99], [90, 6.23],
        [93, 6.5], [96, 6.8], [99, 7.04], [102, 7.32], [105, 7.56], [108, 7.8], [111, 8.04], [114, 8.33], [117, 8.62], [120, 8.92],
        [123, 9.19], [126, 9.45], [129, 9.71], [132, 9.96], [135, 10.22], [138, 10.47], [141, 10.72], [144, 10.97], [147, 11.19], [150, 11.41],
        [153, 11.63], [156, 11.88], [159, 12.14], [162, 12.4], [165, 12.67], [168, 12.88], [171, 13.08], [174, 13.28], [177, 13.48], [180, 13.68],
      ],
      molarMass: { sucrose: 342.3, hexoses: 180.16, maltose: 342.3, lactose: 342.3, erythritol: 122.12, xylitol: 152.15, allulose: 180.16 },
      saltLowering: 2.37,
      lactoseOfMilkSolids: 0.545,
      servedAt: 12,
      words: [[45, "soft, hardly stands"], [60, "soft to the spoon"], [72, "firm, takes a spoon"], [80, "hard: let it stand some minutes first"]],
    },
    source: "freezing points of sucrose solutions and of milk salts as used for mixes since Leighton (1927), by Goff and Hartel (2013); the words are a rule of thumb",
    rule: false,
  },
  keeping: {
    value: {
      kinds: {
        "wet pudding": { room: 0, fridge: 3, freezer: 60 }, "fresh coconut": { room: 1, fridge: 5, freezer: 60 }, "milk solids": { room: 2, fridge: 7, freezer: 60 },
        "milk-bound, uncooked": { room: 2, fridge: 5, freezer: 60 }, "date or fruit": { room: 7, fridge: 21, freezer: 120 }, "loose, roasted": { room: 15, fridge: 30, freezer: 90 },
        "ground oily seed": { room: 18, fridge: 35, freezer: 90 }, "fat-bound, dry sugar": { room: 28, fridge: 45, freezer: 90 }, "cooked sugar and seed": { room: 30, fridge: 60, freezer: 90 },
      },
      byActivity: [[0.95, 0, 3], [0.91, 0, 5], [0.88, 0, 7], [0.86, 1, 7], [0.8, 4, 12], [0.7, 8, 21], [0.62, 18, 30], [0, 28, 45]],
      unknown: { room: 0, fridge: 2, freezer: 30 },
      freezing: {
        "eaten frozen": { days: 60, thaw: "It is eaten frozen: let it stand 5 to 10 minutes. What has thawed is never frozen again." },
        gel: { days: null, thaw: "A gel of agar, gelatine or pectin breaks in the frost and weeps as it thaws: it is not frozen." },
        egg: { days: null, thaw: "A custard set by egg weeps and turns grainy in the frost: it is not frozen." },
        cultured: { days: 30, thaw: "Thaw it overnight in the fridge and stir it smooth: yogurt and its like turn a little grainy in the frost." },
        starch: { days: 30, thaw: "Thaw it overnight in the fridge, then warm it gently with a splash of its milk, stirring: starch weeps in the frost and takes it up again." },
        wet: { days: 60, thaw: "Thaw it overnight in the fridge, stir it, and heat it up once, to 75 °C." },
        moist: { days: 60, thaw: "Thaw it overnight in the fridge in its closed box, so that water settles on the box and not on the sweet." },
        dry: { days: 120, thaw: "Thaw it for some hours in its closed box, so that water settles on the box and not on the sweet." },
      },
      byProducts: { pulp: { room: 0, fridge: 2, freezer: 90 } },
      thawed: 2,
      opened: { share: 0.5, wetSpoon: 2 },
      sealed: 0.85,
    },
    source: "days by kind of sweet and by water activity, covered and clean, at up to 30 °C; frozen at −18 °C, for its quality (rules of thumb)", rule: true,
  },
  binding: {
    value: {
      demand: {
        "fine flour": 0.5, "semolina-like": 0.35, "chopped nuts": 0.25, "powdered sugar": 0.1, "ground seed": 0.1, "whole seed": 0.45, "puffed grain": 0.75,
      },
      water: 0.85,
      sticky: 0.55,
      givenOff: { "Arachis hypogaea": 0.5, "Sesamum indicum": 0.4, "Linum usitatissimum": 0.25, "Prunus dulcis": 0.2, "Anacardium occidentale": 0.2, other: 0.2 },
      demandGivenOff: 0.2,
      words: [[0.85, "crumbles"], [1.15, "binds"], [1.25, "rich, but holds"]],
      sdLog: 0.2,
      mostWater: 25,
    },
    source: "binder that flours, nuts and sugars of ladoos take up (rule of thumb)", rule: true,
  },
  colour: COLOUR,
  flavour: FLAVOUR,
  glycaemicClassRange: { value: { low: 35, value: 55, high: 75 }, source: "no measured value, no class: middle of the scale (rule of thumb)", rule: true },
  temperatures: { hot: celsius(60), warm: celsius(40), room: celsius(22), chilled: celsius(8) },
  liking: {
    value: { "less sweet": 0.8, "as made here": 1, sweeter: 1.2, sd: 0.2 },
    source: "rule of thumb: a fifth less or more than it is made, until tastings tell", rule: true,
  },
  noticeable: {
    value: { sweetness: 0.15, body: 0.8, richness: 0.15, richnessFloor: 1.5, creaminess: 0.2, solutes: 0.15, ice: 5 },
    source: "sweetness: Weber fraction about 0.15; the others are rules of thumb", rule: true,
  },
};
