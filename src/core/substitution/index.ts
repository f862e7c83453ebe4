export * from "./tables";
export { LIMIT_IDS, LIMIT_NAMES, type AdaptationProblem, type Limit, type LimitId, type Order, type SourceLine } from "./problem";
export type { LinearModel, SolveOptions, SolverOutcome, SolverPort } from "./model";
export { limitProperty, openRoles } from "./open-roles";
export { judgedLines, listedIn, problemFor, rulesAt, scaledFor, stepFindings, type DiningTable, type StepFinding } from "./dining-table";
export { build } from "./build";
export { plainRun } from "./run";
export { targetsOf } from "./targets";
export { endsAtOnce, propose, type Ending, type Progress, type Proposal } from "./propose";
export { versionInput, versionLines, type Version, type VersionRow } from "./version";
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
export { partedPortions, partedWords, type PartedPortion } from "./parted-portions";
export { versionNotes, type Note } from "./notes";
export { inOrder, limitFindings } from "./limit-findings";
export { ratioSwap } from "./ratio-swap";
export { increment } from "./round";
export { beamReadings, insideCount, type BeamReading } from "./beams";
export {
  AGE_BANDS,
  ageOf,
  askedAt,
  baseOf,
  fastsNotToday,
  isNotAsked,
  keepAll,
  NO_EATERS,
  notAsked,
  onDay,
  seat,
  serveSeat,
  staleSeats,
  TASTES,
  unkept,
  unseat,
  whoseRules,
  withAge,
  type AgeBand,
  type Eater,
  type EatersDocument,
  type Seat,
  type Taste,
} from "./eaters";
export { ruleMeetings, type Meeting } from "./meetings";
