import { wordsOf } from "~/server/case/person-words";

/**
 * Whether a calendar's entry names somebody: every word of the family name, and the given name or its first letter. A year in the
 * entry that could be one of birth has to be theirs.
 *
 * @example namedIn("Follow-up OKAFOR, Zoe (1985)", { givenName: "Zoë", familyName: "Okafor", birthYear: 1985 }) // true
 */
export function namedIn(
  title: string,
  person: { readonly givenName: string; readonly familyName: string; readonly birthYear: number },
): boolean {
  const words = wordsOf(title);
  const given = wordsOf(person.givenName);
  const family = wordsOf(person.familyName);
  const years = words.filter((word) => /^(19|20)\d\d$/.test(word)).map(Number);
  if (years.length > 0 && !years.includes(person.birthYear)) return false;
  const hasFamily = family.length > 0 && family.every((part) => words.includes(part));
  const first = given[0] ?? "";
  return hasFamily && words.some((word) => word === first || (word.length === 1 && first.startsWith(word)));
}
