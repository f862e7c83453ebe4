export { cautionInput, cautionsFor, type Caution, type CautionRule } from "./cautions";
export { vesselFindings, type VesselFinding } from "./vessels";
export { mistakes, type LookAlikes } from "./look-alikes";
export { saidClaims, type SaidClaim } from "./said-claims";
