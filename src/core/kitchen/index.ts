export { kept, kitchensOver, USUAL_SOURCES, type Kitchen, type KitchenSources } from "./kitchen";
export { evaluateRecipe, evaluateVersion, openBench, openRecipe, openTable, type Evaluated } from "./open";
