import type { painPatterns } from "~/core/response/session-record";

/** How the quick line says what pain came with. Words of the record that mean something else there have one of their own. */
export const painWords = {
  depth: "depth",
  heavy: "effort",
  down: "down",
  up: "up",
  after: "after",
  anyhow: "none",
} as const satisfies Record<string, (typeof painPatterns)[number]>;
export type PainWord = keyof typeof painWords;

/** The word for a pattern. */
export const painWordOf = (pattern: (typeof painPatterns)[number]): PainWord | undefined =>
  (Object.keys(painWords) as PainWord[]).find((word) => painWords[word] === pattern);
