import type { CaseloadRow } from "~/contract/clinic";

const plain = (text: string) => text.normalize("NFD").replace(/\p{M}/gu, "").toLowerCase();

/**
 * Whether somebody fits every word: a part of a name or the year of birth, without regard to case and accents.
 *
 * @example namedLike({ person: { givenName: "Zoë", familyName: "Okafor" }, birthYear: 1985 }, "zoe oka") // true
 */
export function namedLike(
  {
    person,
    birthYear,
  }: { person: Pick<CaseloadRow["person"], "givenName" | "familyName">; birthYear: number },
  text: string,
): boolean {
  const names = plain(`${person.givenName} ${person.familyName}`);
  return plain(text)
    .split(/\s+/)
    .every((word) => names.includes(word) || word === String(birthYear));
}
