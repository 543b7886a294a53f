export interface QuickToken {
  readonly kind: "number" | "word" | "times" | "slash" | "semicolon" | "other";
  /** As written, in small letters. */
  readonly text: string;
  readonly at: number;
}

const pattern =
  /(?<number>\d+(?:[.,]\d+)?)|(?<times>[×*])|(?<word>\p{L}+(?:-\p{L}+)*)|(?<slash>\/)|(?<semicolon>;)|(?<other>\S)/gu;

/**
 * Cuts a quick line into numbers, words and signs, with the place of each. An `x` between two numbers is the sign of
 * multiplication; a decimal comma is a decimal point.
 */
export function quickTokens(text: string, offset = 0): QuickToken[] {
  const tokens = [...text.matchAll(pattern)].map((match): QuickToken => {
    const kind = Object.entries(match.groups ?? {}).find(([, found]) => found !== undefined)?.[0] ?? "other";
    return { kind: kind as QuickToken["kind"], text: small(match[0]), at: offset + match.index };
  });
  return tokens.map((token, i) => {
    const between = tokens[i - 1]?.kind === "number" && tokens[i + 1]?.kind === "number";
    return token.text === "x" && between ? { ...token, kind: "times" } : token;
  });
}

/** In small letters, and as long as before, so that places stay where they are: some capitals have a small form of two signs. */
function small(text: string): string {
  return [...text]
    .map((letter) => {
      const lower = letter.toLowerCase();
      return lower.length === letter.length ? lower : letter;
    })
    .join("");
}

export function numberOf(token: QuickToken): number {
  return Number(token.text.replace(",", "."));
}
