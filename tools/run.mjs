// Runs one of the product's TypeScript tools by its name: `node tools/run.mjs calc --list`.
import { spawnSync } from "node:child_process";
import { toolArguments } from "./machine/tool.mjs";

const [name, ...given] = process.argv.slice(2);
const { status } = spawnSync(process.execPath, [...toolArguments(`${name}.ts`), ...given], {
  stdio: "inherit",
});
process.exitCode = status ?? 1;
