export {
  tableView,
  type RuleWords,
  type Serving,
  type TableQuestion,
  type TableView,
  type ToldFinding,
  type ToldMeeting,
  type ToldMistake,
  type ToldPortion,
  type ToldSweet,
} from "./table-view";
export { recipeView, type Anchors, type NamedFood, type RecipeView, type ToldEntry, type ToldLine, type ToldStep, type ToldTake } from "./recipe-view";
export { benchView, type BenchQuestion, type BenchView, type ToldEnding, type ToldProposal, type ToldRow, type ToldWay, wayWords } from "./bench-view";
export type { ToldFork } from "./ways-view";
export type { Palate } from "./palates";
export { isReadWhole, toldFigures, type ToldFigures } from "./told-figures";
export { type SubstitutesView } from "./substitutes-view";
export { type PacketListView, type PacketView, type ToldIngredient } from "./packet-view";
export { type FoundFood } from "./found-foods";
export { type FigureOf } from "./working-view";
export { viewOf, type ViewAnswer, type ViewKind, type ViewQuestion } from "./views";
