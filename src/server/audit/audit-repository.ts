import type { RowDataPacket } from "mysql2";
import { v7 as uuid } from "uuid";
import type { AuditLine, AuditOutcome } from "~/contract/trust";
import { t } from "~/messages/say";
import type { Trail } from "~/server/facts/trail";
import { addressAsking } from "~/server/asking";
import { fromDatabaseTime, put, toDatabaseTime, type Queryable } from "~/server/db/connection";

/** Notes who read or changed what, and of whose episode: ids only. */
export async function writeAudit(
  db: Queryable,
  who: { clinicId: string; staffId: string | null; phoneId?: string },
  what: {
    action: string;
    kind: string;
    id: string | null;
    episodeId?: string;
    wrote?: Trail;
    outcome?: AuditOutcome;
  },
  at: string,
): Promise<void> {
  await put(
    db,
    `INSERT INTO audit_log
       (clinic_id, id, at, staff_id, action, object_kind, object_id, episode_id, phone_id, wrote, address, outcome)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      who.clinicId,
      uuid(),
      toDatabaseTime(at),
      who.staffId,
      what.action,
      what.kind,
      what.id,
      what.episodeId ?? null,
      who.phoneId ?? null,
      what.wrote && what.wrote.length > 0 ? JSON.stringify(what.wrote) : null,
      addressAsking(),
      what.outcome ?? "done",
    ],
  );
}

/** What of the log is asked for; null where it does not matter. */
export interface AuditQuery {
  readonly who: string | null;
  readonly episode: string | null;
  /** Older than this line. */
  readonly before: { readonly at: string; readonly id: string } | null;
  readonly most: number;
}

/** Lines of a clinic's log, newest first. One query; by key, however long the log is. */
export async function findAudit(
  db: Queryable,
  clinicId: string,
  { who, episode, before, most }: AuditQuery,
): Promise<AuditLine[]> {
  const wanted: [string, readonly unknown[]][] = [
    ["a.clinic_id = ?", [clinicId]],
    ...(who === null ? [] : [["a.staff_id = ?", [who]] as [string, unknown[]]]),
    ...(episode === null ? [] : [["a.episode_id = ?", [episode]] as [string, unknown[]]]),
    ...(before === null
      ? []
      : [["(a.at, a.id) < (?, ?)", [toDatabaseTime(before.at), before.id]] as [string, unknown[]]]),
  ];
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT a.id, a.at, a.action, a.object_kind, a.episode_id, a.phone_id, a.address, a.outcome, c.link, s.name AS by_name, p.given_name, p.family_name
       FROM audit_log a
       LEFT JOIN audit_chain c ON c.clinic_id = a.clinic_id AND c.audit_id = a.id
       LEFT JOIN staff s ON s.clinic_id = a.clinic_id AND s.id = a.staff_id
       LEFT JOIN episodes e ON e.clinic_id = a.clinic_id AND e.id = a.episode_id
       LEFT JOIN people p ON p.clinic_id = e.clinic_id AND p.id = e.person_id
      WHERE ${wanted.map(([text]) => text).join(" AND ")}
      ORDER BY a.at DESC, a.id DESC LIMIT ?`,
    [...wanted.flatMap(([, values]) => values), most],
  );
  return rows.map((row) => ({
    id: String(row["id"]),
    at: fromDatabaseTime(String(row["at"])),
    by: row["phone_id"] === null ? String(row["by_name"] ?? "") : t("told.onPhone"),
    action: String(row["action"]),
    kind: String(row["object_kind"]),
    episodeId: row["episode_id"] as string | null,
    address: row["address"] as string | null,
    outcome: row["outcome"] as AuditOutcome,
    link: row["link"] === null ? null : Number(row["link"]),
    person: row["family_name"] === null ? null : `${row["family_name"]}, ${row["given_name"]}`,
  }));
}
