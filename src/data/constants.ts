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
  bodyAnchors: [
    [0, "like milk"], [1.5, "coats a spoon"], [3, "pours slowly"], [4.5, "spoonable"], [6, "mounds"], [7.2, "leaves the sides"],
    [8.2, "slices firm"], [9.5, "rolls"],
  ],
  glycaemicClassRange: { value: { low: 35, value: 55, high: 75 }, source: "no measured value, no class: middle of the scale (rule of thumb)", rule: true },
  temperatures: { hot: 60, warm: 40, room: 22, chilled: 8 },
  noticeable: {
    value: { sweetness: 0.15, body: 0.8, richness: 0.15, richnessFloor: 1.5, creaminess: 0.2, solutes: 0.15 },
    source: "sweetness: Weber fraction about 0.15; the others are rules of thumb", rule: true,
  },
};
