import type { Connection, RowDataPacket } from "mysql2/promise";
import { fromDatabaseJson } from "~/server/db/connection";
import { facts } from "~/server/facts/all";
import type { FactDefinition } from "~/server/facts/fact";
import { digestColumns, trailOfRows, type Trail } from "~/server/facts/trail";
import { chainKey } from "~/server/seal/seal";
import { chainBegins, chainedColumns, linkOf } from "./chain";

const pageSize = 1000;

/** What does not agree in a clinic's log: where, and what. */
export interface AuditFault {
  readonly kind: "link" | "line-gone" | "fact-altered" | "fact-gone" | "end";
  /** The link of the line it was found at. */
  readonly link: number;
  readonly says: string;
}

/** What was found of one clinic. */
export interface AuditReport {
  readonly clinicId: string;
  /** How many lines are in the chain. */
  readonly links: number;
  /** The last link, in base64: kept elsewhere, it shows later that nothing was cut off. */
  readonly end: string;
  /** Lines that are not in the chain yet. */
  readonly waiting: number;
  /** Rows of the record that agree with what was noted when they were written. */
  readonly facts: number;
  /** Rows that went with a person who was erased. */
  readonly erased: number;
  readonly faults: readonly AuditFault[];
}

const definitions = new Map<string, FactDefinition>(
  (Object.values(facts) as FactDefinition[]).map((definition) => [definition.table, definition]),
);

/** The clinics that have a log. */
export async function clinicsWithLog(db: Connection): Promise<string[]> {
  const [rows] = await db.query<RowDataPacket[]>("SELECT id FROM clinics ORDER BY id");
  return rows.map((row) => String(row["id"]));
}

/**
 * Goes through a clinic's log from its first line: every link is made again from its line and the one before, and every row that a
 * line says was written is compared with the row as it stands. Reads alone.
 *
 * @param end a last link that was kept elsewhere, in base64: it must stand in the chain
 */
export async function verifyAudit(db: Connection, clinicId: string, end?: string): Promise<AuditReport> {
  const key = chainKey(clinicId);
  const erasedPeople = await erasedEpisodes(db, clinicId);
  const faults: AuditFault[] = [];
  let [links, factsFound, erased] = [0, 0, 0];
  let hash: Buffer = chainBegins;
  let sawEnd = end === undefined;
  for (;;) {
    const [page] = await db.query<RowDataPacket[]>(
      `SELECT c.link, c.hash, c.audit_id, ${chainedColumns.map((name) => `a.${name}`).join(", ")}
         FROM audit_chain c
         LEFT JOIN audit_log a ON a.clinic_id = c.clinic_id AND a.id = c.audit_id
        WHERE c.clinic_id = ? AND c.link > ? ORDER BY c.link LIMIT ?`,
      [clinicId, links, pageSize],
    );
    for (const line of page) {
      const link = Number(line["link"]);
      if (link !== links + 1)
        faults.push({ kind: "link", link, says: `links ${links + 1} to ${link - 1} are gone` });
      links = link;
      if (line["id"] === null) faults.push({ kind: "line-gone", link, says: "its line is gone" });
      else if (!linkOf(key, hash, line).equals(line["hash"] as Buffer))
        faults.push({ kind: "link", link, says: "the line or the one before it was altered" });
      hash = line["hash"] as Buffer;
      sawEnd ||= hash.toString("base64") === end;
    }
    const compared = await compareFacts(db, clinicId, page, erasedPeople);
    factsFound += compared.found;
    erased += compared.erased;
    faults.push(...compared.faults);
    if (page.length < pageSize) break;
  }
  if (!sawEnd) faults.push({ kind: "end", link: links, says: "the end that was kept stands nowhere in it" });
  const [[{ waiting } = { waiting: 0 }]] = await db.query<RowDataPacket[]>(
    `SELECT COUNT(*) AS waiting FROM audit_log a
       LEFT JOIN audit_chain c ON c.clinic_id = a.clinic_id AND c.audit_id = a.id
      WHERE a.clinic_id = ? AND c.audit_id IS NULL`,
    [clinicId],
  );
  const last = hash.toString("base64");
  return { clinicId, links, end: last, waiting: Number(waiting), facts: factsFound, erased, faults };
}

/** Compares what some lines say was written with the rows as they stand: one query for each kind. */
async function compareFacts(
  db: Connection,
  clinicId: string,
  page: readonly RowDataPacket[],
  erasedOf: ReadonlySet<string>,
): Promise<{ found: number; erased: number; faults: AuditFault[] }> {
  const noted = page.flatMap((line) =>
    line["wrote"] === null || line["wrote"] === undefined
      ? []
      : (JSON.parse(String(line["wrote"])) as Trail).map((row) => ({
          ...row,
          link: Number(line["link"]),
          episodeId: String(line["episode_id"]),
        })),
  );
  const standing = new Map<string, string>();
  for (const [table, definition] of definitions) {
    const ids = noted.filter((row) => row.table === table).map(({ id }) => id);
    if (ids.length === 0) continue;
    const [rows] = await db.query<RowDataPacket[]>(
      `SELECT ${digestColumns(definition).join(", ")} FROM ${table}
        WHERE clinic_id = ? AND ${definition.through?.key ?? "id"} IN (?)
        ORDER BY ${definition.order.join(", ")}`,
      [clinicId, ids],
    );
    for (const { id, digest } of trailOfRows(definition, rows)) standing.set(`${table} ${id}`, digest);
  }
  let [found, erased] = [0, 0];
  const faults: AuditFault[] = [];
  for (const { table, id, digest, link, episodeId } of noted) {
    const stands = standing.get(`${table} ${id}`);
    if (stands === digest) found += 1;
    else if (stands !== undefined)
      faults.push({ kind: "fact-altered", link, says: `${table} ${id} is not what was written` });
    else if (erasedOf.has(episodeId)) erased += 1;
    else faults.push({ kind: "fact-gone", link, says: `${table} ${id} is gone` });
  }
  return { found, erased, faults };
}

/** Episodes that went with an erasure. */
async function erasedEpisodes(db: Connection, clinicId: string): Promise<Set<string>> {
  const [rows] = await db.query<RowDataPacket[]>(
    "SELECT episodes FROM erasures WHERE clinic_id = ? AND episodes IS NOT NULL",
    [clinicId],
  );
  return new Set(rows.flatMap((row) => fromDatabaseJson<string[]>(row["episodes"])));
}
