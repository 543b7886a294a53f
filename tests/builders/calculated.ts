import { findCalculation } from "~/catalogue/calculations/all";
import { runCalculation } from "~/core/calculation/calculation";

function run(name: string, input: unknown) {
  const definition = findCalculation(name);
  if (!definition) throw new Error(`${name} is registered`);
  return runCalculation(definition, input);
}

/** What a calculation answers when it is asked from outside. */
export function value<T = Record<string, number>>(name: string, input: unknown): T {
  const result = run(name, input);
  if (!result.ok) throw new Error(JSON.stringify(result.problems));
  return result.value as T;
}

/** One number of what it answers. */
export function number(name: string, input: unknown, key: string): number {
  const found = value(name, input)[key];
  if (typeof found !== "number") throw new Error(`${name} has no ${key}`);
  return found;
}

/** The fields a calculation refuses. */
export const paths = (name: string, input: unknown) => {
  const result = run(name, input);
  return result.ok ? [] : result.problems.map(({ path }) => path);
};
