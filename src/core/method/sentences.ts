import type { Mention } from "../recipe";

/** A sentence of a step, by its place in it. */
export interface Place {
  readonly from: number;
  readonly to: number;
}

/** The sentences of a text, with the white space behind each. */
export function sentencesOf(text: string): Place[] {
  const places: Place[] = [];
  let from = 0;
  for (const { index, 0: end } of text.matchAll(/[.!?](?=\s|$)\s*/g)) {
    // "approx. 2 cups" goes on.
    if (/\b(?:approx|ca|min|mins|tbsp|tsp|no|about)\.\s*$/i.test(text.slice(from, index + end.length)) || /^[a-z\d]/.test(text.slice(index + end.length)))
      continue;
    places.push({ from, to: index + end.length });
    from = index + end.length;
  }
  if (from < text.length) places.push({ from, to: text.length });
  return places;
}

/** In place of these words of a text stands something else, or nothing. */
export interface Edit extends Place {
  readonly instead: string;
}

/** Words that stand before a food's name and belong to it. */
const BEFORE_NAME =
  /(?:(?<![\w-])(?:the|a|an|some|any|its|your|this|that|these|those|all|few|little|half|third|quarter|two|three|four|six|rest|remaining|pinch(?:es)?|spoonfuls?|handfuls?|strands|of|cups?|tbsp|tsp|g|ml|l|litres?|grams?|drained|soaked|chopped|slivered|sliced|grated|ground|crushed|roasted|toasted|fried|powdered|warm|hot|cold|melted|fresh|dry|peeled|strained|cooked|finely|coarsely|whole|broken|split|reserved|prepared|rinsed|washed|\d[\d.,/–-]*|[½¼¾⅓⅔]) )+$/i;
const AFTER_NAME = /^(?: (?:strands?|powder|pieces|slices|pods?|seeds?|extract|halves))?(?: ?\([^()]{0,60}\))?/i;
const UNREAD_BEHIND = /^,? and (?=(?:the|its|your|some) [a-z])/i;
const UNREAD_AHEAD = /\b(?:the|its|your|some) [a-z]+(,? and )$/i;
const JOINT_AFTER = /^(?:,? and (?:the )?|, (?:the )?)(?=\S)/i;

interface Named<Key> extends Place {
  readonly key: Key;
}

/** A food with the words that belong to it. */
function nounPhrase<Key>(text: string, { key, words, at }: Mention<Key>): Named<Key> {
  const end = at + words.length;
  return { key, from: at - (BEFORE_NAME.exec(text.slice(0, at))?.[0].length ?? 0), to: end + (AFTER_NAME.exec(text.slice(end))?.[0].length ?? 0) };
}

/** Foods that follow each other as a list: "the cashews, the raisins and the cardamom". */
function listsOf<Key>(text: string, mentions: readonly Mention<Key>[]): Named<Key>[][] {
  const lists: Named<Key>[][] = [];
  for (const mention of mentions) {
    const noun: Named<Key> = nounPhrase(text, mention);
    const list = lists.at(-1);
    const last = list?.at(-1);
    if (list && last && /^(?:,? and |, |,? or )$/i.test(text.slice(last.to, noun.from))) list.push(noun);
    else lists.push([noun]);
  }
  return lists;
}

const CUE = /,? ?\b(?:until|till|so that|when) [^.;,]*/gi;
/** "in the ghee", "with the milk". */
const PREPOSITION =
  /(?<!\b(?:pour|stir|fold|mix|put|tip|whisk|blend|drop|throw|beat|rub|work|scatter|sprinkle|go|add)) (?:in|with|into|over|on|from|to)(?: (?:a little|half|some|most) of)? $/i;

/**
 * What to strike out of a sentence so that it does not name some foods, and still is one: out of a list, out of what to look for,
 * "in the ghee" where something else is done in it. Null where it says nothing without them.
 */
export function withoutFoods<Key>(text: string, mentions: readonly Mention<Key>[], isGone: (key: Key) => boolean): readonly Edit[] | null {
  const edits: Edit[] = [];
  const cues = [...text.matchAll(CUE)].map(({ index, 0: words }) => ({ from: index, to: index + words.length }));
  const inCue = ({ at }: Mention<Key>) => cues.find(({ from, to }) => at >= from && at < to);
  const gone = mentions.filter(({ key }) => isGone(key));
  for (const cue of new Set(gone.flatMap((mention) => inCue(mention) ?? []))) edits.push({ ...cue, instead: "" });
  const others = mentions.filter((mention) => !inCue(mention));
  const without: number[] = [];
  for (const list of listsOf(text, others)) {
    const kept = list.filter(({ key }) => !isGone(key));
    const [first, end] = [list[0], list.at(-1)];
    if (kept.length === list.length || !first || !end) continue;
    if (kept.length === 0) {
      const before = PREPOSITION.exec(text.slice(0, first.from));
      // A food before it in the sentence, to which it is done, or "both" and "it" in its clause.
      const clause = text.slice(clausesIn(text).findLast(({ from }) => from <= first.from)?.from ?? 0, first.from);
      const isDoneTo = others.some(({ key, at }) => !isGone(key) && at < first.from) || OF_WHAT_IS_NAMED.test(clause);
      if (before && isDoneTo && !JOINT_AFTER.test(text.slice(end.to))) {
        edits.push({ from: before.index, to: end.to, instead: "" });
        continue;
      }
      // Something stands beside it that is no line by this name: "the ghee and the seeds". It stays.
      const [behind, ahead] = [UNREAD_BEHIND.exec(text.slice(end.to)), UNREAD_AHEAD.exec(clause)];
      if (behind) edits.push({ from: first.from, to: end.to + behind[0].length, instead: "" });
      else if (ahead) edits.push({ from: first.from - (ahead[1]?.length ?? 0), to: end.to, instead: "" });
      else without.push(first.from);
      continue;
    }
    const hasAnd = / and /i.test(text.slice(first.from, end.to));
    edits.push(...shorter(text, list, kept, hasAnd));
  }
  const kept = others.filter(({ key }) => !isGone(key));
  const clauses = without.length === 0 ? [] : withoutClauses(text, without, kept);
  if (clauses === null) return null;
  const isOutside = (edit: Edit) => !clauses.some(({ from, to }) => edit.from >= from && edit.from < to);
  return [...edits.filter(isOutside), ...clauses].filter(({ from, to }) => to > from).sort((a, b) => a.from - b.from);
}

/** What a clause of a recipe begins with. */
const VERB =
  /^(?:(?:and|then|now|next|first|meanwhile|carefully|slowly|gently|lightly) )*(?:add|bake|beat|blend|boil|bring|brown|chill|chop|cook|cool|cover|crush|drain|fold|fry|garnish|grate|grind|heat|keep|leave|let|lift|lower|mash|melt|mix|peel|pour|press|put|reduce|remove|return|rinse|roast|roll|scatter|serve|set|shape|simmer|slake|soak|sprinkle|squeeze|steam|stir|strain|switch|take|temper|tip|toast|top|turn|warm|wash|whisk)\b/i;
const OF_WHAT_IS_NAMED = /\b(?:it|them|both|all|everything)\b/i;
const OF_IT = /\b(?:it|them|these)\b/i;
const TEMPERS = /^temper\b/i;
/** Done to what was named last, though it is not named: "add the jaggery, melt". */
const OF_ONE_FOOD = /^(?:melt|drain|crush|chop|grind|peel|slice)\b(?! (?:the|in|into|with)\b)/i;
const OF_BOTH = /\bboth\b/i;

/** The clauses of a sentence that are done one after the other: each begins with what is done. */
export function clausesIn(text: string): Place[] {
  const starts = [0, ...[...text.matchAll(/(?:[,;] (?:and |then |and then )?| and (?:then )?| then )/gi)].map(({ index, 0: joint }) => index + joint.length)];
  const verbs = starts.filter((from) => VERB.test(text.slice(from)));
  return verbs.map((from, i) => ({ from, to: verbs[i + 1] ?? text.length }));
}

/** A sentence without the clauses at some places, and those after them that do something to "it"; null where no whole sentence is left. */
function withoutClauses<Key>(text: string, places: readonly number[], kept: readonly Mention<Key>[]): readonly Edit[] | null {
  const clauses = clausesIn(text);
  // What is tempered is egg, whatever it is tempered with.
  const isEmpty = ({ from, to }: Place) => TEMPERS.test(text.slice(from, to)) || !kept.some((mention) => mention.at >= from && mention.at < to);
  const drops = clauses.map(({ from, to }) => places.some((at) => at >= from && at < to));
  if (clauses[0]?.from !== 0 || drops.filter(Boolean).length === 0) return null;
  for (const [i, clause] of clauses.entries()) {
    const words = text.slice(clause.from, clause.to).replace(CUE, "");
    if (i > 0 && drops[i - 1] && isEmpty(clause) && (OF_IT.test(words) || OF_ONE_FOOD.test(words))) drops[i] = true;
  }
  if (drops.every(Boolean) || clauses.some((clause, i) => drops[i] && !isEmpty(clause))) return null;
  if (clauses.some(({ from, to }, i) => !drops[i] && OF_BOTH.test(text.slice(from, to)))) return null;
  const end = text.slice(text.trimEnd().replace(/[.!?]$/, "").length);
  const edits: Edit[] = [];
  for (const [i, clause] of clauses.entries()) {
    if (!drops[i] || (i > 0 && drops[i - 1])) continue;
    const next = clauses.slice(i).find((_, after) => !drops[i + after]);
    if (next === undefined) {
      // The joint before it goes with it, and the sentence ends there.
      const joint = /(?:[,;] (?:and |then |and then )?| and (?:then )?| then )$/i.exec(text.slice(0, clause.from))?.[0].length ?? 0;
      edits.push({ from: clause.from - joint, to: text.length - end.length, instead: "" });
    } else if (i > 0) edits.push({ from: clause.from, to: next.from, instead: "" });
    else {
      const words = /^(?:and |then |now |next )*/i.exec(text.slice(next.from))?.[0].length ?? 0;
      edits.push({ from: 0, to: next.from + words + 1, instead: text.charAt(next.from + words).toUpperCase() });
    }
  }
  return edits;
}

/** A sentence without the clauses in which something is done; null where nothing else is. */
export function withoutDoing(text: string, does: RegExp): readonly Edit[] | null {
  const clauses = clausesIn(text);
  const places = clauses.flatMap(({ from, to }) => (does.test(text.slice(from, to)) ? [from] : []));
  return places.length === 0 ? [] : withoutClauses(text, places, []);
}

/** A list with fewer in it, the last two joined by "and" where it had one. */
function shorter<Key>(text: string, list: readonly Named<Key>[], kept: readonly Named<Key>[], hasAnd: boolean): Edit[] {
  const [first, end, firstKept, lastKept] = [list[0], list.at(-1), kept[0], kept.at(-1)];
  if (!first || !end || !firstKept || !lastKept) return [];
  const edits: Edit[] = [
    { from: first.from, to: firstKept.from, instead: "" },
    { from: lastKept.to, to: end.to, instead: "" },
  ];
  for (const [i, item] of kept.slice(1).entries()) {
    const before = kept[i];
    if (!before) continue;
    const joint = text.slice(before.to, item.from);
    const wanted = item === lastKept && hasAnd ? " and " : ", ";
    const isNext = list.indexOf(item) === list.indexOf(before) + 1;
    if (!isNext || (item === lastKept && hasAnd && !/and/i.test(joint))) edits.push({ from: before.to, to: item.from, instead: wanted });
  }
  return edits;
}

/** Whether a sentence does something to "it" or "them", which it has not named. */
export const isOfWhatWasNamed = (sentence: string, mentions: readonly { readonly at: number }[]): boolean => {
  const pronoun = /\b(?:it|them|these|both)\b/i.exec(sentence.replace(/\b(?:until|till|so that|when)\b.*$/i, ""));
  return pronoun !== null && pronoun.index < 24 && !mentions.some(({ at }) => at < pronoun.index);
};
