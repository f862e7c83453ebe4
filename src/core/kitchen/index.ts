export { kept, kitchensOver, USUAL_SOURCES, type Kitchen, type KitchenSources } from "./kitchen";
export { evaluateRecipe, evaluateVersion, openBench, openInWays, openRecipe, openTable, wayGround, type Evaluated } from "./open";
