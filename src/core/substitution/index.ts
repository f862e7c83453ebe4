export { isSet } from "./cooled";
export * from "./tables";
export { type AdaptationProblem, type Order } from "./problem";
export { limitProperty, mayEnter, openRoles } from "./open-roles";
export { judgedLines, listedIn, problemFor, scaledFor, stepFindings } from "./problem-for";
export { ISOLATES } from "./slots";
export { build } from "./build";
export { plainRun } from "./run";
export { targetsOf } from "./targets";
export { PROPOSAL_PLANS, type Proposal } from "./proposal";
export { endsAtOnce, propose, proposalOf, type Ending, type Progress } from "./propose";
export { newRowId, versionInput, versionLines, type Version, type VersionRow } from "./version";
export {
  allergyStates,
  concernsAllergy,
  fitWords,
  rowFindings,
  standingOf,
  tableVerdict,
  type AllergyState,
  type Question,
  type Standing,
  type TableVerdict,
} from "./verdict";
export { partedPortions, partedWords } from "./parted-portions";
export { versionNotes, type Note } from "./notes";
export { inOrder, limitFindings } from "./limit-findings";
export { ratioSwap } from "./ratio-swap";
export { beamReadings, insideCount, type BeamReading } from "./beams";
export { ruleMeetings } from "./meetings";
export { changedShare, leastChange, suitOf, whyNone, type Suit } from "./suiting";
export { goalBounds, goalProperty, wishWords } from "./wishes";
export { tradeOff, type TradeOff, type TradeOffPoint } from "./trade-off";
export { linesBefore, massBefore, partingPlaces } from "./split-pot";
