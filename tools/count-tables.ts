import mysql from "mysql2/promise";

/** Prints how many tables a database has; called by the restore command with DATABASE_OWNER_URL. */
const connection = await mysql.createConnection({ uri: process.env["DATABASE_OWNER_URL"] ?? "" });
const [rows] = await connection.query<mysql.RowDataPacket[]>("SHOW TABLES");
await connection.end();
process.stdout.write(`${rows.length}\n`);
