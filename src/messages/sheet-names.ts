import type { PhoneItem } from "~/contract/phone";
import type { Speaker } from "~/messages/speaker";

/**
 * What exercises are called on the sheet. One that stands in the plan in several settings is told apart by the setting in the
 * clinic's own language, by a number in another one: the number, dose and drawing of each stand beside it.
 */
export function sheetNames(
  items: readonly Pick<PhoneItem, "name">[],
  say: Pick<Speaker, "language" | "text">,
): string[] {
  if (say.language === "en") return items.map(({ name }) => name);
  const names = items.map(({ name }) => ({
    own: say.text(name),
    base: say.text(name.split(": ")[0] ?? name),
    name,
  }));
  return names.map(({ own, base, name }, n) => {
    if (own !== name) return own;
    const alike = names.filter((other) => other.base === base);
    return alike.length > 1
      ? `${base} ${names.slice(0, n + 1).filter((other) => other.base === base).length}`
      : base;
  });
}
