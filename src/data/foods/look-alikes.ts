/** Foods that are taken for one another, by id: each group with the words that may mean more than one of them, and what tells them apart. */
export const LOOK_ALIKES: readonly { readonly foods: readonly string[]; readonly ambiguous: readonly string[]; readonly apart: string }[] = [
  { foods: ["cream-of-coconut", "coconut-cream", "coconut-milk", "coconut-milk-thin", "coconut-drink", "coconut-water"], ambiguous: ["coconut milk", "coconut cream", "cream of coconut", "tinned coconut milk"], apart: "Cream of coconut is about half sugar; coconut cream and milk are fat and water, thick to thin; the drink is mostly water; coconut water holds no fat." },
  { foods: ["condensed-milk", "evaporated-milk", "cow-milk"], ambiguous: ["condensed milk", "tinned milk", "canned milk"], apart: "Condensed milk is over half sugar; evaporated milk is milk with half its water gone and nothing added." },
  { foods: ["sago", "tapioca-starch"], ambiguous: ["tapioca", "tapioca sago", "sago"], apart: "Pearls swell and stay whole; the starch is a fine powder that thickens at once." },
  { foods: ["sugar", "icing-sugar", "brown-sugar", "rock-sugar"], ambiguous: ["powdered sugar", "sugar powder", "candy sugar"], apart: "Icing sugar may hold maize starch; rock sugar is the same sugar in large crystals." },
  { foods: ["jaggery", "jaggery-powder", "jaggery-syrup", "palm-jaggery"], ambiguous: ["gur", "soft jaggery"], apart: "A block holds some water and grit, the powder less, the syrup a third water." },
  { foods: ["date-sugar", "date-syrup", "date-paste", "dates"], ambiguous: ["date sugar", "date powder", "dates syrup"], apart: "Date sugar is dried ground fruit, the syrup its pressed juice, the paste the soaked fruit." },
  { foods: ["barnyard-millet", "little-millet", "foxtail-millet", "kodo-millet", "proso-millet"], ambiguous: ["millet", "sama", "samak", "samai", "sama rice", "vrat rice"], apart: "Small round grains of different grasses: only barnyard millet is eaten on most fasts." },
  { foods: ["arrowroot", "cornflour", "custard-powder", "tapioca-starch"], ambiguous: ["cornflour", "corn flour", "arrowroot flour", "arrowroot powder"], apart: "White powders: cornflour and custard powder are of maize and set firm; arrowroot and tapioca set soft and clear." },
  { foods: ["ghee", "vanaspati"], ambiguous: ["vegetable ghee", "vanaspati ghee"], apart: "Vanaspati is hardened vegetable oil sold beside ghee." },
  { foods: ["tiger-nut", "almond", "hazelnut"], ambiguous: ["tiger nut", "earth almond"], apart: "The tiger nut is a small tuber, not a nut." },
  { foods: ["semolina", "rice-semolina", "maize-meal"], ambiguous: ["rava", "rawa", "idli rava", "rice rava", "rice semolina"], apart: "Wheat semolina holds gluten; rice and maize ones do not." },
  { foods: ["fresh-coconut", "desiccated-coconut", "dry-coconut", "coconut-flour"], ambiguous: ["coconut", "grated coconut", "coconut powder", "shredded coconut", "coconut flakes"], apart: "Fresh coconut is near half water; desiccated is dried and grated; coconut flour has most of its fat pressed out." },
  { foods: ["vermicelli", "vermicelli-roasted"], ambiguous: ["vermicelli", "seviyan", "semiya"], apart: "Roasted vermicelli is browned already and needs no frying." },
  { foods: ["cow-milk", "toned-milk", "skim-milk", "buffalo-milk"], ambiguous: ["milk"], apart: "Full-cream, toned and skimmed differ by their fat: 4.5, 2 and 0.1 % or so; buffalo milk is richest." },
  { foods: ["white-rice", "glutinous-rice", "black-rice", "brown-rice"], ambiguous: ["rice", "sweet rice"], apart: "Glutinous rice turns sticky and does not set firm; black and brown rice cook four times as long." },
  { foods: ["erythritol", "xylitol", "stevia"], ambiguous: ["sweetener", "stevia", "sugar substitute"], apart: "Sold alike as sugar-free: they differ in sweetness, bulk, heat and what they do to the gut." },
];

/** Ids of the foods that one is often taken for. */
export const lookAlikesOf = (id: string): string[] => [
  ...new Set(LOOK_ALIKES.flatMap(({ foods }) => (foods.includes(id) ? foods.filter((other) => other !== id) : []))),
];
