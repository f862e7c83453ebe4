export { HAZARD_FAMILIES, HAZARD_GRADES, type Hazard, type HazardGrade } from "./hazard";
export { hazardsOf } from "./hazards";
export { lotsOf, type Lots } from "./lots";
export { potsOf, type InPot, type PotAt } from "./pot";
