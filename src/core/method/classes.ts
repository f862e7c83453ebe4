import { classesIn, mentionsOf, namesOfLine, type LineId, type ReadRecipe } from "../recipe";

/**
 * A recipe whose steps call lines by their class ("the chopped nuts") with these lines called by their names, wherever one of a
 * class is changed: what is not there is then struck or exchanged like any other name. The same where none is.
 */
export function withClassesNamed(read: ReadRecipe, changed: ReadonlySet<LineId>): ReadRecipe {
  const find = mentionsOf<LineId>(
    read.readings.flatMap((reading) => ("food" in reading ? [{ key: reading.line.id, names: namesOfLine(reading.description, reading.food) }] : [])),
  );
  const steps = read.steps.map((reading) => {
    const { text } = reading.step;
    const byName = new Set(find(text).map(({ key }) => key));
    const named = classesIn(text).reduce((now, { phrase, noun, has }) => {
      const meant = reading.takes.flatMap(({ of }) => {
        const line = of.kind === "line" && !byName.has(of.id) ? read.byLine.get(of.id) : undefined;
        return line && "food" in line && has(line) ? [{ id: line.line.id, name: (line.food.name.split(",")[0] ?? "").toLowerCase() }] : [];
      });
      if (!meant.some(({ id }) => changed.has(id))) return now;
      const names = meant.map(({ name }) => name);
      const listed = names.length < 2 ? names.join("") : `${names.slice(0, -1).join(", ")} and ${names.at(-1)}`;
      const called = phrase.replace(/^(?:both|all)(?: of)?(?: the)? /i, "the ").replace(/\bkinds of (?:the )?/i, "");
      return now.replace(phrase, `${called.slice(0, -noun.length)}${listed}`);
    }, text);
    return named === text ? reading : { ...reading, step: { ...reading.step, text: named } };
  });
  return steps.every((step, i) => step === read.steps[i]) ? read : { ...read, steps };
}
