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

/**
 * The markup of a page can be touched before its code is there. What was typed into a field in that moment is taken as
 * typed, one field after another, each seeing what the one before it changed; a box that was ticked is as it was, since
 * nothing has heard of the tick. What the browser put back by itself gives way to what is saved. To be called once, as the page begins to hear.
 */
export function takeWhatWasTyped(root: ParentNode): void {
  const typed: (() => void)[] = [];
  for (const field of root.querySelectorAll<TextField>("input, textarea, select")) {
    const { value } = field;
    if (!typedIn(field)) {
      if (field instanceof HTMLInputElement) field.checked = field.defaultChecked;
    } else if (value !== given(field)) {
      if (touched(field)) typed.push(() => type(field, value));
      else field.value = given(field);
    }
  }
  void (async () => {
    for (const each of typed) {
      each();
      await new Promise((resolve) => setTimeout(resolve));
    }
  })();
}
