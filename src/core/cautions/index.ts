export { cautionInput, cautionsFor, cautionsForEaters, type Caution, type CautionRule } from "./cautions";
export { vesselFindings, vesselsUsed, type VesselFinding } from "./vessels";
export { mistakes, type LookAlikes } from "./look-alikes";
export { lineWithoutPraise, notesWithoutClaims, saidClaims, stepWithoutPraise, titleWithoutClaims, type SaidClaim } from "./said-claims";
