import { dictionary } from "@zxcvbn-ts/language-common";

export const leastLength = 12;

/** Passwords that are tried first, since they were found in leaks; the package's list, all in small letters. */
const leaked = new Set<string>(dictionary["passwords-common"]);

/**
 * What is wrong with a password, in words; null where nothing is. Length and a list of leaked ones, no rule about kinds of
 * letters (NIST SP 800-63B, 3.1.1.2, recalled); nor may it be made of what stands beside it on the screen.
 *
 * @example passwordProblem("correct mare of the yard", []) // null
 * @example passwordProblem("short", []) // "needs at least 12 letters or digits"
 */
export function passwordProblem(password: string, known: readonly string[]): string | null {
  const folded = password.normalize("NFKC").toLowerCase().trim();
  if ([...folded].length < leastLength) return `needs at least ${leastLength} letters or digits`;
  // A common one is as easily guessed with figures behind it, or written twice.
  const bare = folded.replace(/[\d\W_]+$/u, "");
  const half = folded.slice(0, folded.length / 2);
  if (leaked.has(folded) || leaked.has(bare) || (half + half === folded && leaked.has(half)))
    return "is among the passwords that are guessed first; choose another";
  if (new Set(folded).size < 5) return "is made of too few different letters";
  const own = known
    .flatMap((words) => words.toLowerCase().split(/[^\p{L}\d]+/u))
    .filter(({ length }) => length > 3);
  const left = own.reduce((rest, word) => rest.replaceAll(word, ""), folded).replace(/[\d\W_]+/gu, "");
  if (own.length > 0 && left.length < 6) return "is made of your name, address or clinic; choose another";
  return null;
}
