type Field = HTMLInputElement | HTMLTextAreaElement | HTMLSelectElement;

/** A field that somebody has touched before its page was alive, as they left it. */
export interface EarlyField {
  readonly field: Field;
  readonly value: string;
  readonly isTicked: boolean;
}

const ticks: ReadonlySet<string> = new Set(["checkbox", "radio"]);
const isTick = (field: Field): field is HTMLInputElement => ticks.has(field.type);

/**
 * Fields that stand otherwise than they came: typed into, ticked or chosen on a slow line. What an island puts into its fields when
 * it comes alive is what it was sent with, and would wipe them. Where nobody has laid a hand on the page, there are none: then the
 * browser has put back what stood there before a reload, which may be of another session.
 */
export function earlyFields(): EarlyField[] {
  if (!navigator.userActivation?.hasBeenActive) return [];
  const fields = document.querySelectorAll<Field>(
    "astro-island :is(input:not([type=file]), textarea, select)",
  );
  return [...fields]
    .filter(isTouched)
    .map((field) => ({ field, value: field.value, isTicked: isTick(field) && field.checked }));
}

function isTouched(field: Field): boolean {
  if (field instanceof HTMLSelectElement) {
    const sent = [...field.options].find((option) => option.defaultSelected) ?? field.options[0];
    return field.value !== (sent?.value ?? "");
  }
  return isTick(field) ? field.checked !== field.defaultChecked : field.value !== field.defaultValue;
}

/** Does again what was done to some fields of an island, now that it listens. */
export function doAgain(early: readonly EarlyField[], within: Element): void {
  for (const { field, value, isTicked } of early) {
    if (!within.contains(field) || field.disabled) continue;
    if (isTick(field)) tapAgain(field, isTicked);
    else typeAgain(field, value);
  }
}

/** Of a group of radios the one that was left is tapped again; the others follow it. */
function tapAgain(field: HTMLInputElement, isTicked: boolean): void {
  if (field.type === "radio" && !isTicked) return;
  field.checked = !isTicked;
  field.click();
}

/** First as it was sent, then as a hand would: past the setter by which the island sees its own changes, so that this is news. */
function typeAgain(field: Field, value: string): void {
  if (!(field instanceof HTMLSelectElement)) field.value = field.defaultValue;
  const { set } = Object.getOwnPropertyDescriptor(Object.getPrototypeOf(field), "value") ?? {};
  set?.call(field, value);
  field.dispatchEvent(new Event("input", { bubbles: true }));
  field.dispatchEvent(new Event("change", { bubbles: true }));
}
