/**
 * What is done on a page between its first sight and its code: kept in order, and done again once the page hears.
 * The markup of every page comes from the server and can be used at once; nothing done in that moment is lost.
 */

type Field = HTMLInputElement | HTMLTextAreaElement | HTMLSelectElement;

interface Deed {
  readonly target: HTMLElement;
  /** What stands in the field now; absent for a press. */
  readonly value?: string;
}

interface Early {
  readonly deeds: Deed[];
  /** Somebody has touched the page: its code need not wait for a quiet moment. */
  woken: boolean;
  readonly stop: () => void;
}

declare global {
  interface Window {
    threpsisEarly?: Early | undefined;
  }
}

/** Written into the head of each page, so that it stands before anything can be touched; plain script, without any import. */
export const EARLY_SCRIPT = `(() => {
  const deeds = [], on = [];
  const early = { deeds, woken: false, stop: () => { for (const [type, heard] of on) removeEventListener(type, heard, true); delete window.threpsisEarly; } };
  const listen = (type, heard) => { on.push([type, heard]); addEventListener(type, heard, true); };
  const typed = (target) => /^(TEXTAREA|SELECT)$/.test(target.tagName) || (target.tagName === "INPUT" && !/^(checkbox|radio|button|submit|file)$/.test(target.type));
  for (const type of ["pointerdown", "keydown", "focusin"]) listen(type, () => { early.woken = true; });
  listen("click", (event) => {
    const { target } = event;
    if (!event.isTrusted || !target.closest) return;
    if (target.closest("summary") || (target.closest("a") && deeds.length === 0)) return;
    if (typed(target)) return;
    event.preventDefault();
    deeds.push({ target });
  });
  listen("submit", (event) => { event.preventDefault(); deeds.push({ target: event.target }); });
  listen("input", ({ target }) => {
    if (!typed(target)) return;
    const at = deeds.findIndex((deed) => deed.target === target);
    if (at >= 0) deeds.splice(at, 1);
    deeds.push({ target, value: target.value });
  });
  listen("error", ({ target }) => { if (target.tagName === "SCRIPT") early.stop(); });
  window.threpsisEarly = early;
})();`;

/** Past React's own setter, so that it sees the value as new. */
function typeAgain(field: Field, value: string): void {
  const isChoice = field instanceof HTMLSelectElement;
  if (!isChoice) field.value = "";
  Object.getOwnPropertyDescriptor(Object.getPrototypeOf(field), "value")?.set?.call(field, value);
  field.dispatchEvent(new Event(isChoice ? "change" : "input", { bubbles: true }));
}

/** Does again what was done before the page heard, each seeing what the one before it changed. Without effect once that is over. */
export async function catchUp(): Promise<void> {
  const early = window.threpsisEarly;
  if (!early) return;
  early.stop();
  for (const { target, value } of early.deeds) {
    if (target instanceof HTMLFormElement) target.requestSubmit();
    else if (value === undefined) target.click();
    else typeAgain(target as Field, value);
    await new Promise((resolve) => setTimeout(resolve));
  }
}

/** The page will not hear: nothing is held back from the browser any more. */
export function letGo(): void {
  window.threpsisEarly?.stop();
}
