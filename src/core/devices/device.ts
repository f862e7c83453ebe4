/** What a device shows at a moment. */
export interface Reading {
  /** In `unit`, as its display shows it. */
  readonly value: number;
  readonly unit: string;
  /** Digits after the point that the display has. */
  readonly digits: number;
  /** The display stands still. */
  readonly stable: boolean;
  /** More lies on it, or it is hotter, than it can tell. */
  readonly isOver: boolean;
  /** In the device's own quantity, whatever unit is shown; half its 80 % interval. */
  readonly measured: number;
  readonly spread: number;
}

/** Something that can be pressed on a device. */
export interface Control {
  readonly label: string;
  readonly press: () => Simulation;
}

/** A simulated device at a moment. Pure: the same seed and the same that is done to it give the same readings. */
export interface Simulation {
  readonly reading: Reading;
  readonly controls: readonly Control[];
  /** As it is some seconds later. */
  readonly after: (seconds: number) => Simulation;
  /** With this around it (what lies on the scale), in its own quantity. */
  readonly around: (value: number) => Simulation;
}

/** A device that the app can read. A real one stands behind the same face as the simulated one. */
export interface Device {
  readonly name: string;
  /** The unit of what it measures. */
  readonly unit: string;
  /** What is set by hand where it is simulated: in words, with the most there is. */
  readonly surroundings: { readonly label: string; readonly least: number; readonly most: number };
  readonly simulate: (seed: number) => Simulation;
}
