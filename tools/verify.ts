import mysql from "mysql2/promise";
import { clinicsWithLog, verifyAudit } from "~/server/audit/verify-audit";
import { connectionOptions } from "~/server/db/connection";

const shownFaults = 20;

/** Verifies the log of every clinic; called by the verify command with DATABASE_OWNER_URL and RECORD_KEY. */
const given = process.argv.slice(2);
const owner = await mysql.createConnection(connectionOptions(process.env["DATABASE_OWNER_URL"] ?? ""));
let faults = 0;
try {
  for (const clinicId of await clinicsWithLog(owner)) {
    const end = given.find((pair) => pair.startsWith(`${clinicId}=`))?.slice(clinicId.length + 1);
    const report = await verifyAudit(owner, clinicId, end);
    faults += report.faults.length;
    process.stdout.write(
      `· clinic ${clinicId}: ${report.links} lines in the chain, ${report.waiting} waiting, ${report.facts} rows of the record ` +
        `as they were written, ${report.erased} gone with people who were erased\n  its end: ${report.end}\n`,
    );
    for (const { link, says } of report.faults.slice(0, shownFaults))
      process.stdout.write(`  ! at line ${link}: ${says}\n`);
    if (report.faults.length > shownFaults)
      process.stdout.write(`  ! and ${report.faults.length - shownFaults} more\n`);
  }
  if (!process.env["RECORD_KEY"])
    process.stdout.write(
      "  RECORD_KEY is not set: the chain shows slips, not somebody who rewrites it whole\n",
    );
} finally {
  await owner.end();
}
process.stdout.write(faults === 0 ? "the log is whole\n" : `${faults} faults\n`);
if (faults > 0) process.exitCode = 3;
