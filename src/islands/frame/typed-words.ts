/** What stands in the fields of a part of a page, a line each: `label: value`. Passwords are left out. */
export function typedWords(box: ParentNode): string {
  const fields = box.querySelectorAll<HTMLInputElement | HTMLTextAreaElement | HTMLSelectElement>(
    "input, textarea, select",
  );
  return [...fields].flatMap((field) => lineOf(field) ?? []).join("\n");
}

function lineOf(field: HTMLInputElement | HTMLTextAreaElement | HTMLSelectElement): string | null {
  const ticked = field.type === "checkbox" || field.type === "radio";
  if (field.type === "password" || field.type === "hidden") return null;
  if (ticked && !(field as HTMLInputElement).checked) return null;
  const value = field instanceof HTMLSelectElement ? field.selectedOptions[0]?.text : field.value;
  if (!ticked && !value?.trim()) return null;
  const label = (field.getAttribute("aria-label") ?? field.labels?.[0]?.innerText ?? field.name).trim();
  return ticked ? label : `${label.split("\n")[0]}: ${value}`;
}
