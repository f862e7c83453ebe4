import type { Food } from "../food";
import type { Operation } from "../recipe";

/** Foods that are handled alike in the pot. */
export type HandlingKind =
  | "water"
  | "milk"
  | "plant milk"
  | "cream"
  | "curd"
  | "milk solids"
  | "powdered milk"
  | "egg"
  | "grain"
  | "grits"
  | "strands"
  | "flakes"
  | "flour"
  | "roasted flour"
  | "starch"
  | "pearls"
  | "puffed"
  | "pulse"
  | "cooked grain"
  | "piece"
  | "ground nut"
  | "nut paste"
  | "tofu"
  | "fruit"
  | "dried fruit"
  | "puree"
  | "vegetable"
  | "sugar"
  | "syrup"
  | "chocolate"
  | "fat"
  | "aroma"
  | "seasoning"
  | "acid"
  | "gelling"
  | "gum";

/** The kind of a starchy food by its form: cereal, pulse, root flour, starchy seed. */
function starchyKind({ family, nature, role }: Food): HandlingKind | null {
  if (nature === null) return null;
  if (nature.processing === "popped" || nature.form === "puffed") return "puffed";
  // A pulse by its family, a nut in the kitchen.
  if (nature.botanical === "Arachis hypogaea" && (nature.form === "whole" || nature.form === "split")) return "piece";
  switch (nature.form) {
    case "flakes":
    case "strands":
    case "grits":
      return nature.form;
    case "flour":
      return nature.processing === "roasted" ? "roasted flour" : "flour";
    case "paste":
      return "nut paste";
    case "set":
      return "tofu";
    case "whole":
    case "split":
      if (nature.processing === "cooked") return "cooked grain";
      if (nature.processing === "roasted" || role === "crunch") return "piece";
      return family === "pulse" || family === "oilseed" ? "pulse" : "grain";
    default:
      return null;
  }
}

/** The kind of a food by its family, form and what was done to it; null where nobody has said what it is (an own food, a packet). */
export function handlingKindOf(food: Food): HandlingKind | null {
  const { family, nature, role, thickening } = food;
  if (nature === null) return null;
  const { form, processing } = nature;
  switch (family) {
    case "water":
    case "egg":
    case "fat":
      return family;
    case "dairy":
      if (form === "powder") return "powdered milk";
      if (form === "syrup") return "syrup";
      if (processing === "fermented") return "curd";
      if (form === "set") return "milk solids";
      return role === "richness" ? "cream" : "milk";
    case "drink":
      if (form === "powder") return "powdered milk";
      if (form === "syrup") return "syrup";
      if (form === "set") return "curd";
      return role === "richness" ? "cream" : "plant milk";
    case "cereal":
    case "pseudo-cereal":
    case "pulse":
      return starchyKind(food);
    case "starch":
      return form === "pearls" ? "pearls" : form === "flour" ? "starch" : null;
    case "nut":
    case "oilseed":
      if (form === "puffed") return "puffed";
      if (form === "paste") return "nut paste";
      if (thickening.starch && form !== "flakes") return starchyKind(food);
      if (form === "flour" || form === "shreds" || form === "flakes") return "ground nut";
      return role === "thickener" ? "gum" : "piece";
    case "root":
    case "vegetable":
      return form === "flour" ? "flour" : form === "paste" ? "puree" : "vegetable";
    case "fruit":
      if (role === "acid" || (form === "liquid" && nature.acidity === "sour")) return "acid";
      if (form === "paste" || form === "liquid") return "puree";
      return processing === "dried" || processing === "sweetened" ? "dried fruit" : "fruit";
    case "sweetener":
      return role === "richness" ? "chocolate" : form === "syrup" || form === "liquid" ? "syrup" : "sugar";
    case "spice":
    case "essence":
      return "aroma";
    case "salt":
      return role === "acid" ? "acid" : role === "colour" ? "aroma" : "seasoning";
    case "gum":
      return role === "setting" ? "gelling" : role === "thickener" ? "gum" : role === "bulk" ? "sugar" : "piece";
    default:
      return null;
  }
}

const LIQUIDS: readonly HandlingKind[] = ["water", "milk", "plant milk", "cream"];
const DRY_SOLIDS: readonly HandlingKind[] = ["grain", "grits", "strands", "flakes", "flour", "roasted flour", "puffed", "pulse", "piece", "ground nut"];
/** What stands for what in a sentence that does this; of one kind always. */
const ALIKE: readonly { readonly operations: readonly Operation[]; readonly kinds: readonly HandlingKind[] }[] = [
  { operations: ["roast", "fry"], kinds: DRY_SOLIDS },
  { operations: ["soak", "wash"], kinds: ["grain", "pulse", "pearls"] },
  { operations: ["soak", "grind", "peel"], kinds: ["piece", "dried fruit"] },
  { operations: ["grind"], kinds: ["grain", "pulse", "flakes", "puffed"] },
  { operations: ["simmer", "reduce", "pressure"], kinds: ["grain", "grits", "strands", "flakes", "pulse", "pearls", "puffed"] },
  { operations: ["simmer", "slake", "reduce"], kinds: ["flour", "starch", "roasted flour"] },
  { operations: ["simmer", "reduce", "fry", "steam", "grind", "bake"], kinds: ["vegetable", "fruit"] },
  { operations: ["fry"], kinds: ["piece", "dried fruit"] },
  { operations: ["mix"], kinds: ["piece", "dried fruit", "puffed"] },
  { operations: ["mix", "simmer"], kinds: ["syrup", "puree", "sugar"] },
  { operations: ["mix", "grind"], kinds: ["dried fruit", "fruit", "puree"] },
  { operations: ["mix"], kinds: ["curd", "milk solids", "tofu"] },
];
/** What happens to the whole pot: it says nothing of one food. */
const OF_THE_POT: readonly Operation[] = ["transfer", "rest", "chill", "shape", "serve apart", "infuse", "mix", "temper", "steam", "bake", "press"];

/** Whether a sentence that does these things to a food of one kind holds for one of another. Where a kind is not known, its words are kept. */
export function holdsFor(from: HandlingKind | null, to: HandlingKind | null, operations: readonly Operation[]): boolean {
  if (from === null || to === null || from === to || (LIQUIDS.includes(from) && LIQUIDS.includes(to))) return true;
  const telling = operations.filter((operation) => !OF_THE_POT.includes(operation));
  return (telling.length === 0 ? (["mix"] as const) : telling).every((operation) =>
    ALIKE.some(({ operations: done, kinds }) => done.includes(operation) && kinds.includes(from) && kinds.includes(to)),
  );
}
