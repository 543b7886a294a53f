import { renameSync, rmSync, writeFileSync } from "node:fs";
import path from "node:path";
import { startMariaDb } from "./mariadb.mjs";
import { prepareDatabase } from "./prepare.mjs";

/** The moment at which every suite with servers begins: 10:00 in the clinic on a Tuesday. */
export const beginning = "2026-03-10T09:00:00.000Z";

/** Puts a clock file that stands at the beginning into a folder. @returns the environment that reads it */
export function clockAt(folder) {
  const file = path.join(folder, "clock");
  moveClock(file, beginning);
  return { NODE_ENV: "test", STAIR_CLOCK_FILE: file };
}

/** Moves a clock file in one step: who reads meanwhile sees the old instant or the new one, never an empty file. */
export function moveClock(file, instant) {
  writeFileSync(`${file}.next`, instant);
  renameSync(`${file}.next`, file);
}

/**
 * Makes a database with the demo in it, for test files to start on copies of it: making one takes longer than most files.
 * @returns where its data are
 */
export async function makeTemplate(folder) {
  const template = path.join(folder, "db");
  const database = await startMariaDb(template, { keepRunning: false, quiet: true });
  const appUser = "'stair_app'@'127.0.0.1'";
  prepareDatabase({ ownerUrl: database.ownerUrl, appUser, demo: true, env: clockAt(folder) });
  await database.stop();
  rmSync(path.join(template, "mariadb.port"), { force: true });
  return template;
}
