import type { Source } from "~/core/schema/source";

/** A fact of the trade with no single source. */
export const commonPractice: Source = { kind: "common-practice" };

/** A published value, recalled from memory until somebody has re-read the paper. */
export function recalled(cite: string): Source {
  return { kind: "published", cite, recalled: true };
}
