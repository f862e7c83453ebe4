export { costOf, notComparable, type Cost } from "./cost";
