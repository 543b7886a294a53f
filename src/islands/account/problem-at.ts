import type { Problem } from "~/contract/problem";

/**
 * What an answer says about one field; null where it says nothing about it.
 *
 * @param path of the field, as `/password`
 */
export const problemAt = (problem: Problem | null, path: string): string | null =>
  problem?.problems?.find((one) => one.path === path)?.problem ?? null;

/** What an answer says that stands at no field. */
export const problemElsewhere = (problem: Problem | null): Problem | null =>
  problem && (problem.problems ?? []).length === 0 ? problem : null;
