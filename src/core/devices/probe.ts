import { sensor } from "./sensor";

/** A probe thermometer: half the way after some seconds, to 0.5 °C, a degree off from piece to piece. */
export const PROBE = sensor({
  name: "Simulated probe thermometer",
  unit: "°C",
  label: "Its tip is at",
  least: -30,
  most: 250,
  follows: 0.14,
  noise: 0.15,
  off: 0.8,
  step: 0.5,
  digits: 1,
  spread: 1,
  rest: 20,
});
