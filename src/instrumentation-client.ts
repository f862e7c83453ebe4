/**
 * The framework's own code, evaluated a part at a time before it starts, so that none of it holds the browser up for
 * long: scripts that Next is told to wait for (`__next_s`, here empty ones) are put in one after another, and between two
 * of them a part is made ready. Were Next not to wait, it would start as ever, in one go.
 */
const PARTS = [() => void require("next/link"), () => void import("react-dom/client")];

const waitedFor = ((globalThis as { __next_s?: [src: 0, attributes: { children: string }][] }).__next_s ??= []);
for (const part of PARTS) {
  setTimeout(part);
  waitedFor.push([0, { children: "" }]);
}
