export { rewriteSteps, type Handling, type RewrittenStep } from "./rewrite";
