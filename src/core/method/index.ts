export { rewriteSteps, type Handling, type NamedLine, type RewrittenStep, type Segment } from "./rewrite";
