import { Type } from "@sinclair/typebox";
import { answerOf } from "~/core/calculation/calculation";
import { check } from "~/core/schema/check";
import type { Checked, FieldProblem } from "~/core/schema/field-problem";
import { tools } from "~/server/solve/tools";
import { allCalculations, findCalculation } from "~/catalogue/calculations/all";

const usage =
  "usage: npm run -s calc -- <name> ['<json>'] | --list | --schema <name> | --batch   (without JSON: read from stdin)";

class Refused extends Error {}

/** A question of `--batch`. */
const BatchLine = Type.Object(
  { calc: Type.String(), input: Type.Unknown() },
  { additionalProperties: false },
);

/** What the command ends with: its exit code, and what goes to standard output and standard error. */
export interface Ended {
  readonly status: 0 | 2;
  readonly stdout: string;
  readonly stderr: string;
}

/**
 * Answers the command as it was called; what cannot be answered is said in a line, with exit code 2.
 *
 * @param readInput reads standard input to its end, where the question is not among the arguments
 */
export async function answerCommand(args: readonly string[], readInput: () => string): Promise<Ended> {
  try {
    return { status: 0, stdout: `${await answer(args, readInput)}\n`, stderr: "" };
  } catch (error) {
    if (!(error instanceof Refused)) throw error;
    return { status: 2, stdout: "", stderr: `${error.message}\n` };
  }
}

async function answer([first, second]: readonly string[], readInput: () => string): Promise<string> {
  if (first === "--list")
    return allCalculations.map(({ name, says }) => `${name.padEnd(16)} ${says}`).join("\n");
  if (first === "--schema") {
    const { name, says, source, input, output, example } = named(second);
    return JSON.stringify({ name, says, source, input, output, example }, null, 2);
  }
  const definition = named(first);
  const result = await answerOf(definition, parsed(second ?? readInput()), tools);
  if (result.ok) return JSON.stringify(result.value, null, 2);
  throw new Refused(result.problems.map(({ path, problem }) => `${path || "input"} ${problem}`).join("; "));
}

/** Answers a line of `--batch`: never throws, whatever the line holds. */
export async function answerLine(line: string): Promise<string> {
  return JSON.stringify(await answered(line));
}

async function answered(line: string): Promise<object> {
  const problem = (path: string, text: string) => ({ ok: false, problems: [{ path, problem: text }] });
  let asked: unknown;
  try {
    asked = JSON.parse(line);
  } catch {
    return problem("", "is not JSON");
  }
  const checked = check(BatchLine, asked);
  if (!checked.ok) return { ok: false, problems: checked.problems.map(inPath) };
  const definition = findCalculation(checked.value.calc);
  if (!definition) return problem("calc", `${checked.value.calc} is not a calculation`);
  const result = await attempt(() => answerOf(definition, checked.value.input, tools));
  return result.ok ? { ok: true, value: result.value } : { ok: false, problems: result.problems.map(inPath) };
}

/** A line that fails in a way nobody foresaw is answered too, so that the lines after it are. */
async function attempt(work: () => Promise<Checked<unknown>>): Promise<Checked<unknown>> {
  try {
    return await work();
  } catch (error) {
    return { ok: false, problems: [{ path: "", problem: String((error as Error).message) }] };
  }
}

/** The field's way through the input, without the stroke before it. */
const inPath = ({ path, problem }: FieldProblem) => ({ path: path.replace(/^\//, ""), problem });

function named(name: string | undefined) {
  if (name === undefined) throw new Refused(usage);
  const found = findCalculation(name);
  if (!found) throw new Refused(`${name} is not a calculation; --list shows them`);
  return found;
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new Refused("the input is not JSON");
  }
}
