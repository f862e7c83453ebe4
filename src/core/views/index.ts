export {
  ruleWords,
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
export { benchView, type BenchView, type ToldRow } from "./bench-view";
export { wayWords, type ToldWay } from "./told-ways";
export type { BenchQuestion } from "./bench-ground";
export type { ToldEnding, ToldProposal } from "./bench-ending";
export type { ToldFork } from "./ways-view";
export type { Palate } from "./palates";
export { isReadWhole, toldFigures, type ToldFigures } from "./told-figures";
export { type SubstitutesView } from "./substitutes-view";
export { type PacketListView, type PacketView, type ToldIngredient } from "./packet-view";
export { type FoundFood } from "./found-foods";
export { type FigureOf } from "./working-view";
export { viewOf, type ViewAnswer, type ViewKind, type ViewQuestion } from "./views";
export { suitView, tableFor, type SuitLine, type SuitRow, type ToldSuited } from "./suiting-view";
export type { TradeOffView } from "./trade-off-view";
export { methodView, type MethodStepView, type MethodView } from "./method-view";
export { rescueOf, type RescueView, type ToldWayOut } from "./rescue-view";
export { splitIn, splitsOf, type Splits } from "./splits";
export type { SplitPortion, SplitView } from "./split-view";
export { cookPlan } from "./cook-plan";
export type { ToldBlock } from "./stove-blocks";
export { nextTime, type NextTime } from "./next-time";
export { nextTimeBench } from "./next-time-bench";
export { mayTaste, type MayTaste } from "./may-taste";
export { asPlanned, byProductsOf, keepView, type ByProduct, type KeepQuestion, type KeepView } from "./keep-view";
export type { VesselCooling } from "./keep-cooling";
export type { PortionFor } from "./keep-portions";
export { cardView, type CardView } from "./card-view";
export { groundAsCooked, shareView } from "./share-view";
export { keepingOfBatch } from "./stove-keeping";
export { stoveView, type StoveView } from "./stove-view";
export type { CookGround } from "./stove-standing";
export type { StockLine } from "./stock-line";
export { learnedView, type LearnedRow } from "./learned-view";
export { batchOutcomes } from "./batch-outcomes";
export type { ToldCooling } from "./stove-cooling";
export { loggedBatch, type FoundBatch, type LoggedBatch, type LoggedName } from "./logged-batch";
export { asLastTime } from "./as-last-time";
export { gatheringSweetView, peopleAt, shoppingView, type GatheringShopping, type GatheringSweetView } from "./gathering-view";
export { mayClimb, type MayClimb } from "./may-climb";
