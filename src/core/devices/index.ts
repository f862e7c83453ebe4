export { newSimulatedScale, putOn, readingOf, tareScale, tick, type Scale, type ScaleReading, type SimulatedScale } from "./scale";
