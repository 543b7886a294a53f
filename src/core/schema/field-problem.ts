/** What is wrong with one field, in words for the person who sent it. */
export interface FieldProblem {
  /** Path such as /sets/0/painDuring; empty for the whole body. */
  readonly path: string;
  readonly problem: string;
}

/** A value of the shape asked for, or what is wrong with it. */
export type Checked<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly problems: readonly FieldProblem[] };

/**
 * One problem when something is wrong, none otherwise.
 *
 * @example problemIf(3 > 2, "/reps", "is too many") // [{ path: "/reps", problem: "is too many" }]
 */
export const problemIf = (wrong: boolean, path: string, problem: string): FieldProblem[] =>
  wrong ? [{ path, problem }] : [];

/**
 * The same problems further in: each path behind a prefix.
 *
 * @example within("/dose", [{ path: "/sets", problem: "is missing" }]) // [{ path: "/dose/sets", problem: "is missing" }]
 */
export const within = (prefix: string, problems: readonly FieldProblem[]): FieldProblem[] =>
  problems.map(({ path, problem }) => ({ path: `${prefix}${path}`, problem }));
