import { readFileSync } from "node:fs";
import { runCalculation } from "~/core/calculation/calculation";
import { allCalculations, findCalculation } from "~/catalogue/calculations/all";

const usage =
  "usage: npm run -s calc -- <name> ['<json>'] | --list | --schema <name>   (without JSON: read from stdin)";

class Refused extends Error {}

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
  process.stdout.write(`${main(process.argv.slice(2))}\n`);
} catch (error) {
  if (!(error instanceof Refused)) throw error;
  process.stderr.write(`${error.message}\n`);
  process.exitCode = 2;
}
