import { sensor } from "./sensor";

/** A refractometer for juice and syrup, °Brix at 20 °C: what it says is off by its glass and by how warm the drop is. */
export const REFRACTOMETER = sensor({
  name: "Simulated refractometer",
  unit: "°Brix",
  label: "The drop on it has",
  least: 0,
  most: 85,
  follows: 0.9,
  noise: 0.1,
  off: 0.3,
  step: 0.1,
  digits: 1,
  spread: 0.4,
  rest: 0,
});
