type TextField = HTMLInputElement | HTMLTextAreaElement | HTMLSelectElement;

const typedIn = (field: TextField): boolean => !(field instanceof HTMLInputElement && /^(checkbox|radio|button|submit|file)$/.test(field.type));

/** What a field's markup says stands in it. */
const given = (field: TextField): string =>
  field instanceof HTMLSelectElement
    ? (([...field.options].find(({ defaultSelected }) => defaultSelected) ?? field.options[0])?.value ?? "")
    : field.defaultValue;

/** Whether somebody is at a field, or has been: what the browser itself put back on a reload or on going back is nobody's word. */
const touched = (field: TextField): boolean => field === document.activeElement || field.matches(":user-valid, :user-invalid");

/** Puts text into a field as a hand does, so that the page hears of it. */
function type(field: TextField, value: string): void {
  field.value = given(field);
  Object.getOwnPropertyDescriptor(Object.getPrototypeOf(field), "value")?.set?.call(field, value);
  field.dispatchEvent(new Event(field instanceof HTMLSelectElement ? "change" : "input", { bubbles: true }));
}

/** What somebody typed, by field, from the moment this file is there until the page hears: hydrating a text area puts its markup's text back. */
const typedSoFar = new Map<TextField, string>();
const fieldsOf = (root: ParentNode) => root.querySelectorAll<TextField>("input, textarea, select");
const note = ({ target }: Event): void => {
  const field = target as TextField;
  if (field.matches("input, textarea, select")) typedSoFar.set(field, field.value);
};
if (typeof document !== "undefined") {
  for (const field of fieldsOf(document)) if (typedIn(field) && field.value !== given(field) && touched(field)) typedSoFar.set(field, field.value);
  document.addEventListener("input", note, true);
}

/**
 * The markup of a page can be touched before its code is there. What was typed into a field in that moment is taken as
 * typed, one field after another, each seeing what the one before it changed; a box that was ticked is as it was, since
 * nothing has heard of the tick. What the browser put back by itself gives way to what is saved. To be called once, as the page begins to hear.
 */
export function takeWhatWasTyped(root: ParentNode): void {
  document.removeEventListener("input", note, true);
  const typed: (() => void)[] = [];
  for (const field of fieldsOf(root)) {
    if (!typedIn(field)) {
      if (field instanceof HTMLInputElement) field.checked = field.defaultChecked;
      continue;
    }
    const value = typedSoFar.get(field) ?? field.value;
    if (value === given(field)) continue;
    if (typedSoFar.has(field) || touched(field)) typed.push(() => type(field, value));
    else field.value = given(field);
  }
  typedSoFar.clear();
  void (async () => {
    for (const each of typed) {
      each();
      await new Promise((resolve) => setTimeout(resolve));
    }
  })();
}
