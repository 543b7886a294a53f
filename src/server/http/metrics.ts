import { collectDefaultMetrics, Counter, Gauge, Histogram, Registry } from "prom-client";
import type { RowDataPacket } from "mysql2";
import { pool } from "~/server/db/connection";

const registry = new Registry();
collectDefaultMetrics({ register: registry });

const answers = new Histogram({
  name: "stair_answer_seconds",
  help: "How long answers took, by route, method and kind of status",
  labelNames: ["route", "method", "status"],
  buckets: [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 5, 10],
  registers: [registry],
});
const failures = new Counter({
  name: "stair_failures_total",
  help: "Answers with a status of 500 and above",
  labelNames: ["route"],
  registers: [registry],
});
const states = [
  {
    name: "stair_log_waiting",
    help: "Lines of the log that are not in their chain yet",
    sql: `SELECT COUNT(*) AS n FROM audit_log a
            LEFT JOIN audit_chain c ON c.clinic_id = a.clinic_id AND c.audit_id = a.id
           WHERE a.seq > (SELECT up_to FROM audit_sealed) AND c.audit_id IS NULL`,
  },
  {
    name: "stair_caseload_stale",
    help: "Rows of the caseload that wait to be worked out again",
    sql: "SELECT COUNT(*) AS n FROM caseload_rows WHERE valid_until <= UTC_TIMESTAMP(3)",
  },
] as const;
const gauges = states.map(({ name, help, sql }) => ({
  gauge: new Gauge({ name, help, registers: [registry] }),
  sql,
}));

/** Counts an answer; no address, no id and no name is among what it is counted by. */
export function countAnswer(route: string, method: string, status: number, ms: number): void {
  answers.observe({ route, method, status: `${Math.floor(status / 100)}xx` }, ms / 1000);
  if (status >= 500) failures.inc({ route });
}

/** Everything that is counted, as OpenMetrics scrapers read it; what the database cannot tell just now is left out. */
export async function metricsText(): Promise<{ text: string; type: string }> {
  for (const { gauge, sql } of gauges) {
    try {
      const [[row]] = await pool().query<RowDataPacket[]>(sql);
      gauge.set(Number(row?.["n"]));
    } catch {
      gauge.reset();
    }
  }
  return { text: await registry.metrics(), type: registry.contentType };
}
