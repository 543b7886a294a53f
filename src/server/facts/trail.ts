import { createHash } from "node:crypto";
import type { RowDataPacket } from "mysql2";
import { isUuid } from "~/core/schema/formats";
import type { Columns, FactDefinition } from "./fact";

/** A row that a write appended, or the rows that hang on one: by its table, the id it goes by, and what was in it. */
export interface Appended {
  readonly table: string;
  /** Its own id; of rows without one, the id of what they hang on. */
  readonly id: string;
  /** SHA-256 over its fields, in base64. */
  readonly digest: string;
}

/** What a write has appended so far, in order. */
export type Trail = Appended[];

type Field = readonly [column: string, value: unknown];

/** A value as it is the same before it goes into the database and after it comes out. */
function plain(value: unknown): unknown {
  if (value === undefined || value === null) return null;
  if (typeof value === "boolean") return value ? 1 : 0;
  if (Buffer.isBuffer(value)) return value.toString("base64");
  if (typeof value === "string" && isUuid(value.toLowerCase())) return value.toLowerCase();
  return value;
}

const digestOf = (fields: readonly Field[]): string =>
  createHash("sha256")
    .update(JSON.stringify(fields.map(([column, value]) => [column, plain(value)])))
    .digest("base64");

/** The digests of rows of one kind; of rows that hang on others, one for each of those, over all in their order. */
function digestsOf(definition: FactDefinition, rows: readonly (readonly Field[])[]): Trail {
  const { table, through } = definition;
  const idColumn = through?.key ?? "id";
  const byId = new Map<string, string[]>();
  for (const fields of rows) {
    const id = String(plain(fields.find(([column]) => column === idColumn)?.[1]));
    byId.set(id, [...(byId.get(id) ?? []), digestOf(fields)]);
  }
  return [...byId].map(([id, digests]) => {
    const [only = ""] = digests;
    const digest = through ? createHash("sha256").update(digests.join()).digest("base64") : only;
    return { table, id, digest };
  });
}

/** What stands in a row beside the columns of its kind: whose it is, and who wrote it. */
const frameOf = ({ by, through, fromPhones }: FactDefinition): string[] => [
  "clinic_id",
  ...(through ? [] : ["episode_id"]),
  ...(by ? [by] : []),
  ...(fromPhones ? ["phone_id"] : []),
];

/** Columns of a kind of fact in the order in which its digest is made. */
export const digestColumns = (definition: FactDefinition): string[] => [
  ...frameOf(definition),
  ...Object.values(definition.columns as Columns).map(({ name }) => name),
];

/** The trail of rows that go into the database, each value as the driver gets it, in the order of `digestColumns`. */
export function trailOf(definition: FactDefinition, rows: readonly (readonly unknown[])[]): Trail {
  const names = digestColumns(definition);
  return digestsOf(
    definition,
    rows.map((values) => names.map((name, n) => [name, values[n]] as const)),
  );
}

/** The trail of rows as they stand in the database; the same as when they went in, where nobody has touched them. */
export function trailOfRows(definition: FactDefinition, rows: readonly RowDataPacket[]): Trail {
  const frame = frameOf(definition);
  return digestsOf(
    definition,
    rows.map((row) => [
      ...frame.map((name) => [name, row[name]] as const),
      ...Object.values(definition.columns as Columns).map(
        ({ name, fromDatabase, toDatabase }) =>
          [name, row[name] === null ? null : toDatabase(fromDatabase(row[name]))] as const,
      ),
    ]),
  );
}
