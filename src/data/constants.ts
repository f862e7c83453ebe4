import { celsius } from "../core/units";
import type { Constants } from "../core/food";

const FITTED = "fitted on 59 kitchen outcomes of 44 sweets (rule of thumb)";

/** Constants of all models, each with its source; `rule` marks rules of thumb. */
export const CONSTANTS: Constants = {
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
  grainForms: { value: { whole: 1 / 3, cracked: 2 / 3, ground: 1 }, source: FITTED, rule: true },
  body: {
    value: { sugarInSerum: 0.62, fibre: 1.2, protein: 0.022, proteinChilled: 1.15, scale: 9.5, sdLogX: 0.22, sdSteps: 0.3 },
    source: FITTED, rule: true,
  },
  agarGel: { value: [[0.15, 0], [0.2, 5], [0.4, 7.2], [0.6, 8.2], [0.9, 9], [1.2, 9.4]], source: "gel strength by agar share (rule of thumb)", rule: true },
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
  glycaemicClassRange: { value: { low: 35, value: 55, high: 75 }, source: "no measured value, no class: middle of the scale (rule of thumb)", rule: true },
  temperatures: { hot: celsius(60), warm: celsius(40), room: celsius(22), chilled: celsius(8) },
  noticeable: {
    value: { sweetness: 0.15, body: 0.8, richness: 0.15, richnessFloor: 1.5, creaminess: 0.2, solutes: 0.15 },
    source: "sweetness: Weber fraction about 0.15; the others are rules of thumb", rule: true,
  },
};
