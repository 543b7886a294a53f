/**
 * Words in lines of at most so many letters, as few lines as that takes; a longer word has a line of its own.
 *
 * @example wrapWords("Run, jump, turn", 11) // ["Run, jump,", "turn"]
 */
export function wrapWords(text: string, letters: number): string[] {
  const lines: string[] = [];
  for (const word of text.split(" ")) {
    const longer = `${lines.at(-1) ?? ""} ${word}`.trim();
    if (lines.length > 0 && longer.length <= letters) lines[lines.length - 1] = longer;
    else lines.push(word);
  }
  return lines;
}
