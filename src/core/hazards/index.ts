export { HAZARD_FAMILIES, HAZARD_GRADES, hazardsOf, type Hazard, type HazardGrade } from "./hazards";
