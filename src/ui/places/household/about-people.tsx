import type { AboutPeople } from "../../../core/household";
import { capital, formatNumber } from "../../../core/units";

/** What of a copy of everything is about people. */
export const AboutPeopleList = ({ people }: { readonly people: AboutPeople }) => (
  <div className="t-ledger max-w-[70ch]">
    <p className="font-[550]">What of it is about people</p>
    <ul className="list-disc pl-5">
      {aboutWords(people).map((words) => (
        <li key={words}>{capital(words)}</li>
      ))}
    </ul>
    <p className="text-ink2">Who holds the file can read all of it, unless it is sealed.</p>
  </div>
);

const amountOf = (amount: number, one: string, many = `${one}s`): string => `${formatNumber(amount)} ${amount === 1 ? one : many}`;
/** What is about people, in words; what there is none of is not told. */
function aboutWords(people: AboutPeople): readonly string[] {
  const { eaters, withRules, withNotes, tastings, byGuests, answers, tries, pictures, stoveNotes, recipeNotes } = people;
  const told = [
    eaters > 0
      ? `${amountOf(eaters, "person who eats here", "people who eat here")}, by name${withRules > 0 ? `; of ${withRules} what they leave out, for health or faith or taste` : ""}${withNotes > 0 ? `; a note on ${withNotes}` : ""}`
      : "",
    tastings > 0 ? `${amountOf(tastings, "answer of who tasted", "answers of who tasted")}, by name${byGuests > 0 ? `; ${byGuests} of guests` : ""}` : "",
    answers > 0 ? `${amountOf(answers, "answer", "answers")} in triangle tests, by name` : "",
    tries > 0 ? amountOf(tries, "try at practice", "tries at practice") : "",
    pictures > 0 ? amountOf(pictures, "picture of a batch", "pictures of batches") : "",
    stoveNotes + recipeNotes > 0 ? `${amountOf(stoveNotes + recipeNotes, "note")} at the stove and beside recipes` : "",
  ].filter((words) => words !== "");
  return told.length > 0 ? [...told, "who wrote what, and when; where you are, if you have said so"] : ["Nothing yet: nobody is named here."];
}
