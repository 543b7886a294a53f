// `npm run -s calc`: a calculation of the product from the command line.
import { once } from "node:events";
import { readFileSync } from "node:fs";
import { createInterface } from "node:readline";
import { answerCommand, answerLine } from "./calc-command";

/** Reads a question a line on standard input and writes an answer a line, in order, as they come. */
async function batch(): Promise<void> {
  for await (const line of createInterface({ input: process.stdin, crlfDelay: Infinity })) {
    if (line.trim() === "") continue;
    if (!process.stdout.write(`${await answerLine(line)}\n`)) await once(process.stdout, "drain");
  }
}

if (process.argv[2] === "--batch") await batch();
else {
  const { status, stdout, stderr } = await answerCommand(process.argv.slice(2), () =>
    readFileSync(0, "utf8"),
  );
  process.stdout.write(stdout);
  process.stderr.write(stderr);
  process.exitCode = status;
}
