import type { Slot } from "../slots";
import type { Targets } from "../targets";
import type { Programme } from "./programme";

/** Each slot by itself: no grams without use, no use of less than is worth it, and a locked line near its own amount. */
export function slotRows({ builder, all, x, y, run, targets, settle }: Programme): void {
  for (const [i, slot] of all.entries()) {
    if (run.fixed.has(slot.key)) continue;
    const [grams, use] = [x[i] ?? 0, y[i] ?? 0];
    builder.row(`most_${slot.key}`, -Infinity, 0, [
      [grams, 1],
      [use, -slot.most],
    ]);
    if (slot.least > 0)
      builder.row(`least_${slot.key}`, 0, Infinity, [
        [grams, 1],
        [use, -leastOf(slot, targets)],
      ]);
    if (!slot.locked || !slot.source || slot.source.grams <= 0) continue;
    const up = builder.column(`up_${slot.key}`, 0, Infinity, (3 * settle) / slot.source.grams);
    const down = builder.column(`down_${slot.key}`, 0, Infinity, (3 * settle) / slot.source.grams);
    builder.row(`moved_${slot.key}`, 0, 0, [
      [grams, 1],
      [use, -slot.source.grams],
      [up, -1],
      [down, 1],
    ]);
  }
}

const leastOf = (slot: Slot, targets: Targets) => (slot.role === "crunch" && !slot.source ? Math.min(slot.least, 0.5 * targets.crunch) : slot.least);
