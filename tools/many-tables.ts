import type { Connection, RowDataPacket } from "mysql2/promise";

/** What is copied when a database is filled with many, and how ids of copies are made. */
export interface Column {
  readonly name: string;
  /** As the database calls it. */
  readonly type: string;
  readonly isId: boolean;
  readonly ofStaff: boolean;
}

export interface Table {
  readonly name: string;
  readonly columns: readonly Column[];
}

/** Who is signed in, what is counted or sent once, and what belongs to a whole installation is copied by nobody. */
const leftOut = new Set([
  "staff_sessions",
  "sign_in_limits",
  "leases",
  "schema_migrations",
  "migrations",
  "receipts",
  "session_drafts",
  "intake_drafts",
  "phone_links",
  "phones",
  "calendar_feeds",
  "password_links",
  "recovery_codes",
  "audit_log",
  "audit_chain",
  "audit_sealed",
  "person_words",
  "expected_people",
]);
const clinicNames = /^(clinics|staff|staff_.*|definitions|catalogue.*|.*_settings|clinic_.*)$/;

/** Whether something is known of an episode. */
export const isOfEpisode = ({ columns }: Table) => columns.some(({ name }) => name === "episode_id");

/** Whether it hangs on a clinic, not on one of its people. */
export const isOfClinic = (table: Table) => clinicNames.test(table.name) && !isOfEpisode(table);

export async function tablesOf(db: Connection): Promise<Table[]> {
  const [columns] = await db.query<RowDataPacket[]>(
    `SELECT table_name AS t, column_name AS c, data_type AS d FROM information_schema.columns
      WHERE table_schema = DATABASE() AND extra NOT LIKE '%auto_increment%' AND is_generated = 'NEVER'
      ORDER BY table_name, ordinal_position`,
  );
  const [keys] = await db.query<RowDataPacket[]>(
    `SELECT table_name AS t, column_name AS c FROM information_schema.key_column_usage
      WHERE table_schema = DATABASE() AND referenced_table_name = 'staff' AND column_name <> 'clinic_id'`,
  );
  const ofStaff = new Set(keys.map(({ t, c }) => `${String(t)}.${String(c)}`));
  const tables = new Map<string, Column[]>();
  for (const { t, c, d } of columns) {
    const list = tables.get(String(t)) ?? [];
    const ofSomebody = ofStaff.has(`${String(t)}.${String(c)}`);
    list.push({ name: String(c), type: String(d), isId: d === "uuid", ofStaff: ofSomebody });
    tables.set(String(t), list);
  }
  return [...tables]
    .map(([name, list]) => ({ name, columns: list }))
    .filter(({ name, columns: list }) => {
      const belongs = name === "clinics" || list.some((column) => column.name === "clinic_id");
      return belongs && !leftOut.has(name);
    });
}

/** An id made from another one and the number of the copy: of version 8, which is anybody's own (RFC 9562). */
export function idOf(from: string, copy: string): string {
  const hash = `MD5(CONCAT(${from}, '${copy}'))`;
  return `CONCAT(LEFT(${hash}, 12), '8', SUBSTRING(${hash}, 14, 3), 'a', SUBSTRING(${hash}, 18))`;
}

/** The same of a column that may be empty. */
export const copied = (column: string, copy: string) => `IF(${column} IS NULL, NULL, ${idOf(column, copy)})`;
