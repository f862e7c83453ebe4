/** One thing that is done after another: a sentence, "then", "and" or a comma before a verb of the kitchen. */
const VERBS =
  "add|bake|beat|blend|boil|bring|chill|chop|cook|cool|cover|crush|cut|drain|dry|fold|fry|grate|grind|hang|heat|knead|leave|let|mash|melt|mix|peel|pound|pour|press|put|reduce|rinse|roast|scatter|simmer|slice|soak|spread|squeeze|steam|stir|strain|take|tip|toast|turn|warm|wash|whisk|work";
const CLAUSES = new RegExp(`(?<=[.;])\\s+|,? (?:and then|then) |,? and (?=(?:${VERBS})\\b)|, (?=(?:${VERBS})\\b)`, "i");

/** The clauses of a step, in order; linear in its text. */
export const clausesOf = (text: string): readonly string[] => text.split(CLAUSES);
