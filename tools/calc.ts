import { once } from "node:events";
import { readFileSync } from "node:fs";
import { createInterface } from "node:readline";
import { Type } from "@sinclair/typebox";
import { runCalculation } from "~/core/calculation/calculation";
import { check } from "~/core/schema/check";
import type { Checked, FieldProblem } from "~/core/schema/field-problem";
import { allCalculations, findCalculation } from "~/catalogue/calculations/all";

const usage =
  "usage: npm run -s calc -- <name> ['<json>'] | --list | --schema <name> | --batch   (without JSON: read from stdin)";

class Refused extends Error {}

/** A question of `--batch`. */
const BatchLine = Type.Object(
  { calc: Type.String(), input: Type.Unknown() },
  { additionalProperties: false },
);

function main([first, second]: string[]): string {
  if (first === "--list")
    return allCalculations.map(({ name, says }) => `${name.padEnd(16)} ${says}`).join("\n");
  if (first === "--schema") {
    const { name, says, source, input, output, example } = named(second);
    return JSON.stringify({ name, says, source, input, output, example }, null, 2);
  }
  const definition = named(first);
  const result = runCalculation(definition, parsed(second ?? readFileSync(0, "utf8")));
  if (result.ok) return JSON.stringify(result.value, null, 2);
  throw new Refused(result.problems.map(({ path, problem }) => `${path || "input"} ${problem}`).join("; "));
}

/** Answers a line of `--batch`: never throws, whatever the line holds. */
function answerLine(line: string): string {
  return JSON.stringify(answered(line));
}

function answered(line: string): object {
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
  const result = attempt(() => runCalculation(definition, checked.value.input));
  return result.ok ? { ok: true, value: result.value } : { ok: false, problems: result.problems.map(inPath) };
}

/** A line that fails in a way nobody foresaw is answered too, so that the lines after it are. */
function attempt(work: () => Checked<unknown>): Checked<unknown> {
  try {
    return work();
  } catch (error) {
    return { ok: false, problems: [{ path: "", problem: String((error as Error).message) }] };
  }
}

/** The field's way through the input, without the stroke before it. */
const inPath = ({ path, problem }: FieldProblem) => ({ path: path.replace(/^\//, ""), problem });

/** Reads a question a line on standard input and writes an answer a line, in order, as they come. */
async function batch(): Promise<void> {
  for await (const line of createInterface({ input: process.stdin, crlfDelay: Infinity })) {
    if (line.trim() === "") continue;
    if (!process.stdout.write(`${answerLine(line)}\n`)) await once(process.stdout, "drain");
  }
}

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

try {
  if (process.argv[2] === "--batch") await batch();
  else process.stdout.write(`${main(process.argv.slice(2))}\n`);
} catch (error) {
  if (!(error instanceof Refused)) throw error;
  process.stderr.write(`${error.message}\n`);
  process.exitCode = 2;
}
