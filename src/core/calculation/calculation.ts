import type { Static, TSchema } from "@sinclair/typebox";
import type { OpenSolver } from "~/core/week/mip";
import { check } from "~/core/schema/check";
import { finished, type InSteps } from "~/core/work/in-steps";
import { type Checked, type FieldProblem } from "~/core/schema/field-problem";

/** What of the world a calculation may need: given by whoever runs it, since the core has none. */
export interface Tools {
  readonly solver: OpenSolver;
  /** Milliseconds of a clock that only goes on. */
  readonly now: () => number;
  /** Does long work, with others let in between its steps where there are any. */
  readonly long: <T>(work: InSteps<T>) => T | Promise<T>;
}

/** A registered calculation: one name in the interface, at the endpoint and on the command line. */
export interface Calculation<I extends TSchema = TSchema, O extends TSchema = TSchema> {
  readonly name: string;
  readonly says: string;
  readonly source: string;
  readonly input: I;
  readonly output: O;
  /** What it is asked with: a few values, or a record of somebody's days. Decides how large a request may be. */
  readonly takes?: "values" | "record";
  /** An input that runs, printed by `--schema` and published with the interface description. */
  readonly example: Static<I>;
  /** What the schema cannot say, such as the order of two fields. */
  readonly problems?: (input: Static<I>) => readonly FieldProblem[];
  /** The result; or, where a solver or long work comes to it, its promise. */
  readonly run: (input: Static<I>, tools: Tools) => Static<O> | Promise<Static<O>>;
}

/** Keeps the link between a calculation's schemas and its function while it is defined. */
export function calculation<I extends TSchema, O extends TSchema>(
  definition: Calculation<I, O>,
): Calculation {
  return definition as unknown as Calculation;
}

const noTools: Tools = {
  solver: () => Promise.reject(new Error("no solver was given")),
  now: () => 0,
  long: finished,
};

/** Checks the input strictly, then runs. @returns the result, or its promise; or what is wrong with which field */
export function runCalculation(
  definition: Calculation,
  data: unknown,
  tools: Tools = noTools,
): Checked<unknown> {
  const checked = check(definition.input, data);
  if (!checked.ok) return checked;
  const problems = definition.problems?.(checked.value) ?? [];
  if (problems.length > 0) return { ok: false, problems };
  return { ok: true, value: definition.run(checked.value, tools) };
}

/** The same, with the result waited for. */
export async function answerOf(
  definition: Calculation,
  data: unknown,
  tools: Tools,
): Promise<Checked<unknown>> {
  const answer = runCalculation(definition, data, tools);
  return answer.ok ? { ok: true, value: await answer.value } : answer;
}
