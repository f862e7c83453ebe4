import type { Constants } from "../core/food";

type Step = Constants["usualMethods"]["value"][string][number];
/** What is left: what has to be heated is taken by an earlier step of each kind. */
const LAST = ["aroma", "colour", "acid", "seasoning", "bulk", "binder", "setting", "body", "thickener", "liquid", "sweetener", "richness", "crunch"] as const;
const HEATED = ["body", "thickener", "bulk", "binder", "setting"] as const;
const OFF_THE_HEAT: Step = { roles: LAST, operations: ["mix"], minutes: [1, 2, 3], attention: "hands on", words: "Off the heat stir in {takes}." };

/** How a sweet of each kind is usually made, for a recipe that tells no steps: by roles, each row at the first step that takes its role. */
export const USUAL_METHODS: Constants["usualMethods"] = {
  value: {
    pudding: [
      { roles: ["liquid"], operations: ["simmer"], minutes: [5, 8, 12], attention: "now and then", heat: "simmer", words: "Bring {takes} to a simmer in a heavy pan, stirring so that it does not catch." },
      { roles: HEATED, operations: ["simmer"], minutes: [15, 25, 40], attention: "now and then", heat: "simmer", cue: "soft through", words: "Stir in {takes} and simmer for {minutes} minutes on a low flame, stirring now and then, until it is soft through." },
      { roles: ["sweetener"], operations: ["simmer", "dissolve"], minutes: [4, 5, 8], attention: "now and then", heat: "simmer", words: "Stir in {takes} and cook for 5 minutes more." },
      { roles: ["richness", "crunch"], operations: ["fry"], minutes: [2, 3, 5], attention: "hands on", cue: "golden", words: "In a small pan warm {takes} until golden, and stir all of it in." },
      OFF_THE_HEAT,
    ],
    "flour halwa": [
      { roles: ["richness", "body", "thickener"], operations: ["roast"], minutes: [8, 12, 20], attention: "hands on", cue: "it smells of nuts", words: "Warm {takes} in a heavy pan and roast for 12 minutes on a low flame, stirring without a stop, until it smells of nuts." },
      { roles: ["liquid", "bulk", "binder", "setting"], operations: ["simmer"], minutes: [3, 4, 6], attention: "hands on", heat: "simmer", words: "Take it off the flame and pour in {takes}, hot, in a thin stream at arm's length: it spits. Put it back and cook for {minutes} minutes, stirring." },
      { roles: ["sweetener"], operations: ["simmer", "dissolve"], minutes: [4, 5, 8], attention: "hands on", heat: "simmer", cue: "it leaves the sides", words: "Stir in {takes} and cook for 5 minutes, stirring, until it leaves the sides." },
      OFF_THE_HEAT,
    ],
    "vegetable halwa": [
      { roles: ["richness", "bulk"], operations: ["fry"], minutes: [8, 10, 15], attention: "now and then", words: "Warm {takes} in a heavy pan and fry for 10 minutes, stirring now and then, until soft." },
      { roles: ["liquid"], operations: ["simmer", "reduce"], minutes: [25, 35, 50], attention: "now and then", heat: "simmer", cue: "it is absorbed", words: "Pour in {takes} and cook for 35 minutes, stirring now and then, until it is absorbed." },
      { roles: ["sweetener", "body", "thickener", "binder", "setting"], operations: ["simmer", "dissolve"], minutes: [8, 10, 15], attention: "hands on", heat: "simmer", words: "Stir in {takes} and cook for {minutes} minutes." },
      OFF_THE_HEAT,
    ],
    ladoo: [
      { roles: ["body", "thickener", "crunch", "bulk"], operations: ["roast"], minutes: [8, 12, 20], attention: "hands on", cue: "it smells of nuts", words: "Roast {takes} in a heavy pan for 12 minutes on a low flame, stirring, until it smells of nuts." },
      { roles: ["richness", "sweetener", "binder", "liquid"], operations: ["mix", "dissolve"], minutes: [4, 6, 10], attention: "hands on", words: "Warm {takes} until it melts, and work it in while it is hot." },
      { roles: LAST, operations: ["mix"], minutes: [1, 2, 3], attention: "hands on", words: "Work in {takes}." },
      { roles: [], operations: ["shape"], minutes: [8, 15, 30], attention: "hands on", words: "Shape it into balls while it is warm, and let them stand until firm." },
    ],
    "pulse halwa": [
      { roles: ["richness", "body", "thickener", "bulk"], operations: ["roast"], minutes: [15, 20, 30], attention: "hands on", cue: "it smells of nuts", words: "Warm {takes} in a heavy pan and roast for 20 minutes on a low flame, stirring without a stop, until it smells of nuts." },
      { roles: ["liquid", "binder", "setting"], operations: ["simmer"], minutes: [10, 12, 18], attention: "hands on", heat: "simmer", cue: "it is taken up", words: "Pour in {takes}, hot, in a thin stream, and cook for {minutes} minutes, stirring, until it is taken up." },
      { roles: ["sweetener"], operations: ["simmer", "dissolve"], minutes: [6, 8, 12], attention: "hands on", heat: "simmer", cue: "it leaves the sides", words: "Stir in {takes} and cook for 8 minutes, stirring, until it leaves the sides." },
      OFF_THE_HEAT,
    ],
    "loose mix": [
      { roles: ["body", "thickener", "crunch", "bulk"], operations: ["roast"], minutes: [6, 10, 15], attention: "hands on", cue: "it smells of nuts", words: "Roast {takes} in a heavy pan for 10 minutes on a low flame, stirring, until it smells of nuts." },
      { roles: LAST, operations: ["mix"], minutes: [1, 2, 3], attention: "hands on", words: "When it has cooled, mix in {takes}." },
    ],
    barfi: [
      { roles: ["liquid", "sweetener"], operations: ["simmer", "dissolve"], minutes: [5, 8, 12], attention: "hands on", heat: "simmer", cue: "a drop between two fingers draws a thread", words: "Melt {takes} together and simmer for {minutes} minutes, until a drop between two fingers draws a thread." },
      { roles: HEATED, operations: ["simmer"], minutes: [8, 10, 15], attention: "hands on", heat: "simmer", cue: "it gathers in one lump", words: "Stir in {takes} and cook for {minutes} minutes on a low flame, stirring, until it gathers in one lump." },
      { roles: LAST, operations: ["mix"], minutes: [1, 2, 3], attention: "hands on", words: "Stir in {takes}." },
      { roles: [], operations: ["shape"], minutes: [30, 60, 120], attention: "unattended", words: "Press it flat on a greased tray, let it stand until it is firm, and cut it into squares." },
    ],
    frozen: [
      { roles: ["liquid", "sweetener", "bulk", "richness", "body", "thickener", "setting", "binder"], operations: ["simmer", "dissolve"], minutes: [10, 15, 25], attention: "now and then", heat: "simmer", words: "Warm {takes} together in a heavy pan and simmer for {minutes} minutes, stirring now and then." },
      { roles: LAST, operations: ["mix"], minutes: [1, 2, 3], attention: "hands on", words: "When it is cold, stir in {takes}." },
      { roles: [], operations: ["chill", "transfer"], minutes: [360, 480, 720], attention: "unattended", words: "Pour it into moulds and freeze it overnight." },
    ],
    cultured: [
      { roles: LAST, operations: ["mix"], minutes: [3, 5, 10], attention: "hands on", words: "Whisk {takes} together until smooth." },
      { roles: [], operations: ["chill"], minutes: [60, 120, 240], attention: "unattended", words: "Chill it for 2 hours." },
    ],
    sauce: [
      { roles: ["sweetener", "richness"], operations: ["dissolve"], minutes: [4, 6, 10], attention: "hands on", words: "Melt {takes} in a heavy pan on a low flame." },
      { roles: ["liquid", "body", "bulk", "thickener", "setting", "binder"], operations: ["simmer"], minutes: [5, 8, 12], attention: "hands on", heat: "simmer", cue: "it coats a spoon", words: "Stir in {takes}, warm, and simmer for {minutes} minutes, stirring, until it coats a spoon." },
      OFF_THE_HEAT,
    ],
    "set pudding": [
      { roles: ["liquid", "sweetener", "bulk", "richness"], operations: ["simmer", "dissolve"], minutes: [5, 8, 12], attention: "now and then", heat: "simmer", words: "Warm {takes} together in a pan, stirring, until it simmers." },
      { roles: ["setting", "thickener", "body", "binder"], operations: ["simmer"], minutes: [3, 4, 6], attention: "hands on", heat: "simmer", words: "Stir in {takes}, slaked in a little cold liquid, and cook for {minutes} minutes, stirring." },
      { roles: LAST, operations: ["mix"], minutes: [1, 2, 3], attention: "hands on", words: "Off the heat stir in {takes}." },
      { roles: [], operations: ["chill", "transfer"], minutes: [120, 180, 480], attention: "unattended", words: "Pour it into bowls and chill it for 3 hours." },
    ],
    "fruit-bound": [
      { roles: ["crunch", "body", "thickener"], operations: ["roast"], minutes: [4, 6, 10], attention: "hands on", words: "Roast {takes} in a dry pan for 6 minutes, stirring." },
      { roles: ["bulk", "sweetener", "binder", "liquid", "richness"], operations: ["grind", "mix"], minutes: [3, 5, 10], attention: "hands on", words: "Blend {takes} to a paste and knead all together." },
      { roles: LAST, operations: ["mix"], minutes: [1, 2, 3], attention: "hands on", words: "Work in {takes}." },
      { roles: [], operations: ["shape"], minutes: [8, 15, 30], attention: "hands on", words: "Roll or press it, and cut it into pieces." },
    ],
  },
  source: "how a sweet of the kind is usually made (rule of thumb): not the recipe's own steps",
  rule: true,
};
