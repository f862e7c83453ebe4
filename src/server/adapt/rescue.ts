import { asHandedDown } from "../../core/adaptation";
import { FAULTS } from "../../core/rescue";
import { rescueOf } from "../../core/views";
import { MODEL_VERSION } from "../../data";
import { checked } from "../http/checked";
import { Refusal } from "../http/problems";
import { validateRescue } from "../http/schemas/adapt";
import { recipeOf, sentAt, tableOf, USUAL_KITCHEN } from "./request";

/** Answers a question of the open interface about a pot that went wrong: the ways out, from what was sent alone. */
export function rescueAnswer(body: unknown): object {
  const request = checked(validateRescue, body);
  const { parsed, read } = recipeOf(request.recipe);
  const table = tableOf(request, read);
  const faults = typeof request.fault === "string" ? [request.fault] : request.fault;
  const [fault] = [...faults].sort((a, b) => FAULTS.indexOf(a) - FAULTS.indexOf(b));
  const { grams = null, upToStep, celsius = null } = request.pot ?? {};
  if (upToStep !== undefined && upToStep > read.steps.length)
    throw new Refusal(422, "The pot is past the recipe's last step.", [{ pointer: "/pot/upToStep", detail: `The recipe has ${read.steps.length} steps.` }]);
  if (fault === undefined || faults.length > 1)
    return {
      kind: "question",
      reason: `Two faults at once are mended one after the other, as each moves the other: begin with “${fault ?? ""}”, weigh the pot again, and ask about the next.`,
    };
  const told = rescueOf(
    asHandedDown(read, table).version,
    read,
    table,
    { fault, grams, upTo: upToStep ?? null, celsius, notAtHand: request.notAtHand ?? [] },
    USUAL_KITCHEN,
  );
  if (told.kind === "question") return { kind: "question", reason: told.why };
  return {
    kind: "ways out",
    model: { version: MODEL_VERSION },
    pot_g: told.grams,
    target: told.target,
    question: told.question,
    warmth: told.warmth,
    breaks: told.breaks,
    stillToGoIn: told.still.map(({ name, grams: left }) => ({ name, grams: left })),
    unread: read.unresolved.map((line) => sentAt(line, parsed)),
    waysOut: told.ways.map(({ kind, words, or, minutes, allergens, over, change, boilOff, adds, grams: left, shifts }) => ({
      kind,
      words,
      or,
      minutes,
      adds: adds.map(({ food, name, grams: amount, low, high }) => ({ food: { id: food, name }, grams: { value: amount, low, high } })),
      boilOff_g: boilOff && { value: boilOff.grams, low: boilOff.low, high: boilOff.high },
      pot_g: left,
      allergens,
      overLimits: over,
      change,
      shifts: shifts.map(({ id, before, after, isNoticed }) => ({ property: id, before, after, noticed: isNoticed })),
    })),
    notAtThisTable: told.gone.map(({ name, why }) => ({ name, reason: why })),
  };
}
