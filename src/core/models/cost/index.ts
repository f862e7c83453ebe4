export { costOf, type Cost } from "./cost";
