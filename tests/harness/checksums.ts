import mysql, { type RowDataPacket } from "mysql2/promise";

/** Checksums of all tables of a database, but of what processes hold for seconds. */
export async function checksums(uri: string, port?: number): Promise<Record<string, number>> {
  const db = await mysql.createConnection({ uri, ...(port ? { port } : {}) });
  const [tables] = await db.query<RowDataPacket[]>("SHOW TABLES");
  const names = tables.map((row) => String(Object.values(row)[0])).filter((name) => name !== "leases");
  const [sums] = await db.query<RowDataPacket[]>(`CHECKSUM TABLE ${names.join(", ")}`);
  await db.end();
  return Object.fromEntries(sums.map((row) => [String(row["Table"]), Number(row["Checksum"])]));
}
