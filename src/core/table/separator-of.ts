/** What parts the columns of a table of text, the surest first: a comma may be a decimal, or stand in a name. */
const separators = [";", "\t", "|", ",", " "] as const;

/**
 * The sign that parts the columns of a table of text: the surest that its first line has.
 *
 * @example separatorOf("Squeeze, both legs;Pain") // ";"
 * Source: common practice.
 */
export function separatorOf(text: string): string {
  const line = text.split(/\r?\n/).find((one) => one.trim() !== "") ?? "";
  return separators.find((sign) => line.trim().includes(sign)) ?? ",";
}
