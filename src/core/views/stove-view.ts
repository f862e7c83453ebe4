import { withOwnWords } from "../adaptation";
import { propertyOf, type Figures, type PropertyId } from "../evaluate";
import type { ServingTemperature } from "../food";
import type { Storage } from "../keep";
import type { Kitchen } from "../kitchen";
import { colourOf } from "../models/appearance";
import { bodyWords } from "../models/texture";
import type { Figure } from "../numeric";
import { kitchenMeasure, type BalancedLine } from "../recipe";
import { partedPortions, partedWords, standingOf, tableVerdict, versionInput, type TableVerdict } from "../substitution";
import { whoseRules } from "../table";
import { drivenBy, sweetnessAtTable, type Constants } from "./stove-aim";
import { blockOf, SQUEEZED, type ToldBlock } from "./stove-blocks";
import { cookDownOf, heldIn, type CookDown, type PotHolds } from "./stove-cook-down";
import { coolingOf, type ToldCooling } from "./stove-cooling";
import { fruitsOf, type ToldFruit } from "./stove-fruits";
import { keepingAsItStands } from "./stove-keeping";
import { stoveStanding, type StoveQuestion } from "./stove-standing";

/** A figure of the whole batch as it stands, beside what it was meant to be. */
export interface StoveFigure {
  readonly id: PropertyId;
  readonly name: string;
  readonly unit: string;
  readonly per: string;
  readonly meant: number;
  readonly now: Figure;
  /** Somebody would notice. */
  readonly isNoticed: boolean;
  /** In words; empty where figures say it. */
  readonly words: string;
}

export interface StoveView {
  readonly figures: readonly StoveFigure[];
  readonly verdict: TableVerdict;
  /** What went in that no figure counts. */
  readonly unknown: readonly string[];
  readonly blocks: Readonly<Record<string, ToldBlock>>;
  readonly fruits: readonly ToldFruit[];
  readonly cookDown: CookDown | null;
  /** The step that it is of. */
  readonly step: string | null;
  /** What has gone into the pot at hand, by what it is. */
  readonly holds: PotHolds;
  /** How long it takes to cool, by where it stands; empty where it is not one that has to be cooled fast. */
  readonly cooling: readonly ToldCooling[];
  /** What it is to look like, from white (0) to dark (5), in words. */
  readonly colour: { readonly step: number; readonly words: string };
  /** How long it keeps, where and why. */
  readonly keeps: Storage;
  /** What serving will do to what is tasted now; null where it is served as it is. */
  readonly served: string | null;
}

/** What is told of a batch, where it has any. */
const TOLD: readonly PropertyId[] = ["serving.freeSugarsUk", "serving.energy", "yield"];

/** A batch on the stove in figures: as it stands beside as it was meant, what waits by the least that is noticed, and where to stop. */
export function stoveView({ recipe, table, bench, stove }: StoveQuestion, kitchen: Kitchen): StoveView {
  const { constants } = kitchen.reference;
  const stands = stoveStanding({ recipe, table, bench, stove }, kitchen);
  const { ground, plan, by, meant, version, unknown, isBound, pot, aim, input, figures } = stands;
  const { read, problem } = ground;
  const off = input.evaporation.value;
  const judged = withOwnWords(problem, read, version, bench?.steps, kitchen.reading.find);
  const standing = standingOf(judged, version, figures);
  const rowOf = new Map(version.rows.map((row) => [row.id, row] as const));
  const blocks = Object.fromEntries(
    stove.lines.flatMap(({ id, all }): [string, ToldBlock][] => {
      const row = rowOf.get(id);
      const planned = plan.rows.find((each) => each.id === id);
      if (!row?.food || !planned) return [];
      const line: BalancedLine = { food: row.food, grams: 1, sd: 0, role: row.role };
      const found = blockOf(line, { input, figures, isBound, serve: table.serve, most: Math.max(2 * planned.grams, 30, all) }, constants);
      return found ? [[id, { ...found, measure: kitchenMeasure(row.food, found.grams, read.measures)?.text ?? "" }]] : [];
    }),
  );
  return {
    figures: [sweetnessAtTable(table.serve), ...(isBound ? (["binding"] as const) : ([aim.body] as const)), ...TOLD].flatMap((id): StoveFigure[] => {
      const { name, unit, per, noticed } = propertyOf(id);
      const [then, now] = [meant[id].value, figures[id]];
      if (id === "binding" && !(then > 0)) return [];
      const least = id === "binding" ? SQUEEZED : (noticed?.(then, constants.noticeable.value) ?? 0.05 * Math.max(then, 1e-9));
      const words = id === aim.body ? bodyWords(now.value, constants) : "";
      return [{ id, name, unit, per, meant: then, now, isNoticed: Math.abs(now.value - then) > least, words }];
    }),
    verdict: withUnknown(tableVerdict(standing, judged, table, partedWords(partedPortions(read, standing, problem.rules), whoseRules(table))), unknown),
    unknown,
    blocks,
    fruits: fruitsOf(
      stove,
      version,
      {
        inputOf: (rows) => versionInput({ ...version, rows }, by),
        drivenOf: (of) => (isBound ? off : drivenBy(of, aim, off, constants)),
        wanted: meant[sweetnessAtTable(table.serve)].value,
        driven: off,
        sweetness: sweetnessAtTable(table.serve),
      },
      constants,
    ),
    cookDown:
      stove.isCookedDown && pot > 0
        ? cookDownOf(stove, { version, grams: pot, input, figures, isBound, aim, planned: plan.evaporation, serve: table.serve }, constants)
        : null,
    step: stove.step,
    holds: heldIn(stove, version),
    cooling: coolingOf(stove, figures, constants),
    keeps: keepingAsItStands(stands, kitchen),
    colour: told(colourOf(input.lines, figures.yield.value, constants)),
    served: servedWords(figures, table.serve, isBound, constants),
  };
}

const told = ({ step, words }: ReturnType<typeof colourOf>): StoveView["colour"] => ({ step, words });

/** What gets so much firmer in the cold is set by a gel, not by how far it was cooked, steps of body. */
const SETS = 3;
/** What it tastes and looks like at the table, beside how it is in the pot. */
function servedWords(figures: Figures, serve: ServingTemperature, isBound: boolean, constants: Constants): string | null {
  if (serve === "hot") return null;
  const [hot, cold] = [figures["sweetness.hot"].value, figures[sweetnessAtTable(serve)].value];
  const share = hot > 0 ? Math.round((100 * (cold - hot)) / hot) : 0;
  const where = serve === "chilled" ? "Chilled" : serve === "room" ? "At room temperature" : "Warm";
  const sweet =
    Math.abs(share) < 2 ? `${where} it is as sweet as it tastes hot` : `${where} it tastes ${Math.abs(share)} % ${share < 0 ? "less" : "more"} sweet than hot`;
  if (isBound || serve !== "chilled") return `${sweet}.`;
  const [then, now] = [figures["body.chilled"].value, figures["body.hot"].value];
  if (then - now > SETS) return `${sweet}, and sets: body ${then.toFixed(1)} of 10 cold (${bodyWords(then, constants)}).`;
  return then - now < constants.noticeable.value.body / 2
    ? `${sweet}.`
    : `${sweet}, and is thicker: body ${now.toFixed(1)} now, ${then.toFixed(1)} of 10 cold (${bodyWords(then, constants)}). Stop earlier than it looks.`;
}
/** What holds something that no table knows is not known to fit. */
function withUnknown(verdict: TableVerdict, unknown: readonly string[]): TableVerdict {
  if (unknown.length === 0) return verdict;
  const question = `Nobody knows what ${unknown.join(", ")} holds.`;
  return { ...verdict, kind: verdict.kind === "fits" ? "cannot tell" : verdict.kind, questions: [...verdict.questions, question] };
}
