/** Minutes as one says them: "1 h 40 min". */
export function spanText(minutes: number): string {
  const rounded = Math.round(minutes);
  const [hours, rest] = [Math.floor(rounded / 60), rounded % 60];
  return [hours > 0 ? `${hours} h` : "", rest > 0 || hours === 0 ? `${rest} min` : ""].filter(Boolean).join(" ");
}
