type TextField = HTMLInputElement | HTMLTextAreaElement | HTMLSelectElement;

const typedIn = (field: TextField): boolean => !(field instanceof HTMLInputElement && /^(checkbox|radio|button|submit|file)$/.test(field.type));

/** What a field's markup says stands in it. */
const given = (field: TextField): string =>
  field instanceof HTMLSelectElement
    ? (([...field.options].find(({ defaultSelected }) => defaultSelected) ?? field.options[0])?.value ?? "")
    : field.defaultValue;

/** Puts text into a field as a hand does, so that the page hears of it. */
function type(field: TextField, value: string): void {
  field.value = given(field);
  Object.getOwnPropertyDescriptor(Object.getPrototypeOf(field), "value")?.set?.call(field, value);
  field.dispatchEvent(new Event(field instanceof HTMLSelectElement ? "change" : "input", { bubbles: true }));
}

/**
 * The markup of a page can be touched before its code is there. What was typed into a field in that moment is taken as
 * typed, one field after another, each seeing what the one before it changed; a box that was ticked is as it was, since
 * nothing has heard of the tick. To be called once, as the page begins to hear.
 */
export function takeWhatWasTyped(root: ParentNode): void {
  const typed: (() => void)[] = [];
  for (const field of root.querySelectorAll<TextField>("input, textarea, select")) {
    const { value } = field;
    if (typedIn(field)) {
      if (value !== given(field)) typed.push(() => type(field, value));
    } else if (field instanceof HTMLInputElement && field.checked !== field.defaultChecked) field.checked = field.defaultChecked;
  }
  void (async () => {
    for (const each of typed) {
      each();
      await new Promise((resolve) => setTimeout(resolve));
    }
  })();
}
