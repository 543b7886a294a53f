import { seedDemo } from "~demo/seed";
import { demoPassword, demoStaff } from "~demo/clinic";
import mysql from "mysql2/promise";
import { keepMissingWords } from "~/server/case/person-words";
import { sweepCaseload } from "~/server/caseload/sweep-caseload";
import { closePool, connectionOptions } from "~/server/db/connection";
import { migrate } from "~/server/db/migrate";

/**
 * Brings a database up to date and, when asked, fills an empty one with the invented clinic.
 * Called by the start command and by the tests: `prepare-database <folder of db/> [--demo]`.
 * DATABASE_OWNER_URL migrates; DATABASE_APP_USER, if set, is granted what the application needs.
 */
const [folder = "db", ...flags] = process.argv.slice(2);
const ownerUrl = process.env["DATABASE_OWNER_URL"];
if (!ownerUrl) throw new Error("DATABASE_OWNER_URL is not set");

try {
  const applied = await migrate(ownerUrl, folder, process.env["DATABASE_APP_USER"] || null);
  for (const name of applied) process.stdout.write(`· applied ${name}\n`);
  await nameWords(ownerUrl);
  if (flags.includes("--demo")) {
    if (await seedDemo(ownerUrl)) {
      await workOut(ownerUrl);
      process.stdout.write("· put the invented clinic into the database\n");
    }
    const accounts = demoStaff.map((member) => member.email);
    process.stdout.write(`@demo ${JSON.stringify({ accounts, password: demoPassword })}\n`);
  }
} catch (error) {
  process.stderr.write(`${(error as Error).message}\n`);
  process.exitCode = 1;
}

/** How everybody stands, before the first who asks. */
async function workOut(url: string): Promise<void> {
  process.env["DATABASE_URL"] = url;
  try {
    while ((await sweepCaseload()) > 0);
  } finally {
    await closePool();
  }
}

/** People from before they were found by the words of their names. */
async function nameWords(url: string): Promise<void> {
  const owner = await mysql.createConnection(connectionOptions(url));
  try {
    const kept = await keepMissingWords(owner);
    if (kept > 0) process.stdout.write(`· ${kept} people can be found by the words of their names\n`);
  } finally {
    await owner.end();
  }
}
