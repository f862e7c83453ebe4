/** One thing that is done after another: a sentence, "then", "and" or a comma before a verb of the kitchen. */
const VERBS =
  "add|bake|beat|blend|boil|bring|chill|chop|cook|cool|cover|crush|cut|drain|dry|fold|fry|grate|grind|hang|heat|knead|leave|let|mash|melt|mix|peel|pound|pour|press|put|reduce|rinse|roast|scatter|simmer|slice|soak|spread|squeeze|steam|stir|strain|take|tip|toast|turn|warm|wash|whisk|work";
const CLAUSES = new RegExp(`(?<=[.;])\\s+|,? (?:and then|then) |,? and (?=(?:${VERBS})\\b)|, (?=(?:${VERBS})\\b)`, "i");

/** The clauses of a step, in order; linear in its text. */
export const clausesOf = (text: string): readonly string[] => text.split(CLAUSES);

const OPENS = new RegExp(
  `^(?:${VERBS}|caramelise|combine|dissolve|divide|drizzle|fill|freeze|garnish|grease|keep|knead|line|place|pre-?heat|pulse|blitz|process|remove|rest|roll|serve|set|shape|sift|sprinkle|stuff|temper|transfer|after|finally|in an?|in the|meanwhile|now|once|then|using|when|while)\\b`,
  "i",
);
/** Whether a text begins as what is done does: with a verb of the kitchen, or with when or where it is done. */
export const opensAsDone = (text: string): boolean => OPENS.test(text);
