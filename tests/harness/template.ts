import { mkdtempSync, rmSync } from "node:fs";
import os from "node:os";
import path from "node:path";
import { makeTemplate } from "../../tools/machine/template.mjs";

/** Before a suite begins: the database that its files start on copies of, unless the test command has made it. */
export default async function setup(): Promise<(() => void) | undefined> {
  if (process.env["STAIR_TEST_TEMPLATE"]) return undefined;
  const folder = mkdtempSync(path.join(os.tmpdir(), "stair-template-"));
  process.env["STAIR_TEST_TEMPLATE"] = await makeTemplate(folder);
  return () => rmSync(folder, { recursive: true, force: true });
}
