import type { FieldProblem } from "~/core/interchange/validate";

/** One problem when something is wrong, none otherwise. */
export const problemIf = (wrong: boolean, path: string, problem: string): FieldProblem[] =>
  wrong ? [{ path, problem }] : [];
