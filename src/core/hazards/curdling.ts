import {
  type Family,
  hazard,
  name,
  kinds,
  together,
  grams,
  isDairyMilk,
  isSour,
  isMildlySour,
  isUnrefined,
  isStarchy,
  ON_PURPOSE,
  ACID_SHARE,
  HOT,
  NEAR_BOIL,
  meet,
  heatTogether,
  LUKEWARM,
} from "./hazard";
import type { InPot } from "./pot";

export const casein: Family = (at) => {
  if (ON_PURPOSE.test(at.text)) return [];
  const heat = heatTogether(at);
  const sour = meet(at, isSour, isDairyMilk);
  if (sour && heat >= HOT && grams(together(at).filter(isSour)) >= ACID_SHARE * grams(together(at).filter(isDairyMilk)))
    return [
      hazard(
        "casein curdles",
        "sure",
        `${name(sour.one)} curdles hot ${name(sour.other)}: acid sets its casein above about 60 °C`,
        "stir it in last, when the pot is lukewarm",
        {
          change: at.minutesAfter > 0 && at.celsius < HOT ? null : { place: "before", text: LUKEWARM },
        },
      ),
    ];
  const starch = together(at).some(isStarchy);
  const unrefined = meet(at, isUnrefined, isDairyMilk);
  if (unrefined && heat >= NEAR_BOIL)
    return [
      hazard(
        "casein curdles",
        starch ? "sometimes" : "likely",
        `${name(unrefined.one)} can curdle milk near the boil: it is a little sour and brings mineral salts`,
        "stir it in off the heat, below 60 °C",
        {
          school: "others melt it to a syrup, cool both, and mix them then",
        },
      ),
    ];
  const fruit = meet(at, isMildlySour, isDairyMilk);
  return fruit && heat >= NEAR_BOIL
    ? [hazard("casein curdles", "sometimes", `${name(fruit.one)} may curdle milk near the boil`, "let the pot cool first, or add it off the heat")]
    : [];
};

const isPlantMilk = ({ kind }: InPot): boolean => kind === "plant milk";
export const plantMilk: Family = (at) => {
  const sour = meet(at, isSour, isPlantMilk);
  if (!sour || heatTogether(at) < 70) return [];
  return sour.other.food.nature?.botanical === "Glycine max"
    ? [
        hazard("plant milk curdles", "sure", `${name(sour.one)} curdles hot soya milk, as for tofu`, "stir it in last, when the pot is lukewarm", {
          change: { place: "before", text: LUKEWARM },
        }),
      ]
    : [hazard("plant milk curdles", "sometimes", `${name(sour.one)} makes hot ${name(sour.other)} grainy`, "stir it in off the heat")];
};

const isCoconutMilk = ({ food, kind }: InPot): boolean => food.nature?.botanical === "Cocos nucifera" && (kind === "plant milk" || kind === "cream");
export const coconut: Family = (at) => {
  if (!at.coming.some(isCoconutMilk)) return [];
  const later = (at.minutesAfter >= 8 || (at.boilsHard && at.minutesAfter > 1)) && !together(at).some(isStarchy);
  return later
    ? [
        hazard(
          "coconut milk splits",
          "likely",
          `coconut milk splits when it boils long or hard${at.boilsHard ? "" : `: it simmers ${Math.round(at.minutesAfter)} minutes here, and no starch holds it`}`,
          "add it late and keep it below the boil, stirring",
          {
            school: "others let it simmer long on purpose, until the oil comes out",
          },
        ),
      ]
    : [];
};

const TEMPERS = /\btemper|\bladle|\bthin stream\b|\blittle by little\b/i;
export const egg: Family = (at) => {
  const eggs = at.coming.filter(kinds("egg"));
  const [first] = eggs;
  if (!first || first.food.nature?.processing === "cooked") return [];
  const baked = at.step.operations.some((each) => ["bake", "steam", "fry"].includes(each));
  if (at.hottest < 70)
    return [
      hazard("raw egg", "sure", "the egg is not heated through: raw egg can carry salmonella", "heat it to 70 °C, or use egg that was pasteurised", {
        school: "not for small children, in pregnancy or for the frail in any school",
      }),
    ];
  if (at.hottestForSure < 70)
    return [
      hazard(
        "raw egg",
        "likely",
        "whether the egg itself is heated through is not told: raw egg can carry salmonella",
        "heat it to 70 °C with what it is stirred into",
        {
          school: "not for small children, in pregnancy or for the frail in any school",
        },
      ),
    ];
  if (baked) return [];
  const starch = together(at).some(kinds("starch", "flour", "grits"));
  if (at.celsius >= NEAR_BOIL && !TEMPERS.test(at.text))
    return [
      hazard(
        "egg scrambles",
        starch ? "sometimes" : "sure",
        "egg that meets a hot pot scrambles: it sets at 70 to 82 °C",
        "whisk a ladle of the hot liquid into it first, in a thin stream",
        {
          change: starch ? null : { place: "before", text: "Beat the egg and temper it: whisk a ladle of the hot liquid into it in a thin stream." },
        },
      ),
    ];
  return !starch && at.minutesAfter > 0 && at.hottest >= 95 && together(at).some(kinds("milk", "plant milk", "cream")) && !TEMPERS.test(at.text)
    ? [
        hazard(
          "egg scrambles",
          "likely",
          "without starch egg scrambles when it simmers, above 82 °C",
          "keep it below the simmer, stirring, until it coats a spoon",
        ),
      ]
    : [];
};
