import mysql from "mysql2/promise";
import { now } from "~/server/clock";
import { connectionOptions } from "~/server/db/connection";
import { erasePerson, pendingErasures } from "~/server/people/erase-person";

/** Erases everybody whose erasure a lead has asked for; called by the erase command with DATABASE_OWNER_URL. */
const owner = await mysql.createConnection(connectionOptions(process.env["DATABASE_OWNER_URL"] ?? ""));
try {
  const pending = await pendingErasures(owner);
  for (const person of pending) {
    const gone = await erasePerson(owner, person, now());
    const rows = Object.values(gone).reduce((sum, n) => sum + n, 0);
    process.stdout.write(
      `· request ${person.requestId}: ${rows} rows of ${Object.keys(gone).length} tables are gone\n`,
    );
  }
  process.stdout.write(`${pending.length} ${pending.length === 1 ? "person" : "people"} erased\n`);
} finally {
  await owner.end();
}
