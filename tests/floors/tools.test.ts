import { readdirSync, readFileSync } from "node:fs";
import { expect, it } from "vitest";

/** Tools that are run file by file, each from its own place. */
const byThemselves = ["make-offers.ts"];

// The others are run as one file that stands elsewhere (tools/machine/tool.mjs), from the folder of the repository.
it("no tool finds something by where its own text stands", () => {
  const tools = readdirSync("tools").filter((name) => name.endsWith(".ts"));
  expect(tools.length).toBeGreaterThan(20);
  const found = tools.filter((name) => readFileSync(`tools/${name}`, "utf8").includes("import.meta"));
  expect(found).toEqual(byThemselves);
});
