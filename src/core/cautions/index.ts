export { CAUTION_GRADES, cautionInput, cautionsFor, type Caution, type CautionGrade, type CautionRule } from "./cautions";
export { vesselFindings, type VesselFinding } from "./vessels";
export { mistakes, type Mistake } from "./look-alikes";
