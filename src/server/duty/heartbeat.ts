import { sealAudit } from "~/server/audit/seal-audit";
import { sweepCounters } from "~/server/auth/sweep-counters";
import { sweepCaseload } from "~/server/caseload/sweep-caseload";
import { pool } from "~/server/db/connection";
import { log } from "~/server/http/log";
import { forgetAll } from "~/server/remembered";

/** What a process does by itself, how often, and what it is called in its log. */
const duties: readonly { name: string; everyMs: number; work: () => Promise<unknown> }[] = [
  { name: "look at the database", everyMs: 1000, work: () => pool().look() },
  { name: "caseload sweep", everyMs: 1000, work: sweepCaseload },
  { name: "log seal", everyMs: 1000, work: sealAudit },
  { name: "counter sweep", everyMs: 600_000, work: sweepCounters },
];

let beating = false;

/** Starts what this process does by itself; once, with the first request that it answers. */
export function keepBeating(): void {
  if (beating) return;
  beating = true;
  // Told so by whoever has put a database back under this process.
  process.on("SIGHUP", () => {
    forgetAll();
    log.info("what was remembered of the database is forgotten");
  });
  for (const { name, everyMs, work } of duties) {
    let busy = false;
    setInterval(() => {
      if (busy) return;
      busy = true;
      Promise.resolve()
        .then(work)
        .catch((error: unknown) =>
          log.warn({ error: String((error as Error)?.message ?? error) }, `${name} put off`),
        )
        .finally(() => (busy = false));
    }, everyMs).unref();
  }
}
