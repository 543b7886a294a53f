import type { RowDataPacket } from "mysql2";
import { put, type Queryable } from "~/server/db/connection";
import { t } from "~/messages/say";
import type { Writer } from "~/server/writer";
import type { Columns, FactDefinition, FactOf } from "./fact";
import { digestColumns, trailOf, type Trail } from "./trail";

/** Who writes a fact into which episode, and when. */
export interface Writing extends Pick<Writer, "clinicId" | "staffId" | "phoneId" | "name"> {
  readonly episodeId: string;
  readonly at: string;
  /** Takes down what is appended, for the log. */
  readonly trail: Trail;
  /** Takes down what is appended as it will be read, where somebody asks for it. */
  readonly facts?: AppendedFact[];
}

/** A fact that was just appended, as it is read from then on. */
export interface AppendedFact {
  readonly table: string;
  readonly fact: object;
}

/** A fact with the name of who wrote it; empty where its table does not say. */
export type FactRead<C extends Columns> = FactOf<C> & { readonly by: string };

/** Facts of one kind by episode. */
export type ByEpisode<T> = ReadonlyMap<string, readonly T[]>;

/** Reads one kind of fact for some episodes of a clinic, oldest first. One query. */
export async function readFacts<C extends Columns>(
  db: Queryable,
  definition: FactDefinition<C>,
  clinicId: string,
  episodeIds: readonly string[],
): Promise<ByEpisode<FactRead<C>>> {
  const [rows] = await db.query<RowDataPacket[]>(selectOf(definition), [clinicId, episodeIds]);
  const facts = new Map<string, FactRead<C>[]>();
  for (const row of rows) {
    const episodeId = String(row["episode_id"]);
    const found = { ...fieldsOf(definition.columns, row), by: writerOf(definition, row) } as FactRead<C>;
    const list = facts.get(episodeId);
    if (list) list.push(found);
    else facts.set(episodeId, [found]);
  }
  return facts;
}

/** Which facts of an episode are read: those with one of some values, so many at most. */
interface Wanted<C extends Columns> {
  readonly field?: keyof C & string;
  readonly values?: readonly string[];
  readonly most: number;
}

/** The latest facts of one kind in one episode, the latest first: where there may be many, or large ones. One query. */
export async function readLatestFacts<C extends Columns>(
  db: Queryable,
  { table, columns, order }: FactDefinition<C>,
  clinicId: string,
  episodeId: string,
  { field, values = [], most }: Wanted<C>,
): Promise<FactOf<C>[]> {
  if (field !== undefined && values.length === 0) return [];
  const names = Object.values(columns).map(({ name }) => name);
  const chosen = field === undefined ? "" : `AND ${columns[field]?.name} IN (?)`;
  const [rows] = await db.query<RowDataPacket[]>(
    `SELECT ${names.join(", ")} FROM ${table}
      WHERE clinic_id = ? AND episode_id = ? ${chosen}
      ORDER BY ${order.map((name) => `${name} DESC`).join(", ")} LIMIT ?`,
    [clinicId, episodeId, ...(field === undefined ? [] : [values]), most],
  );
  return rows.map((row) => fieldsOf(columns, row) as FactOf<C>);
}

const writerOf = (
  { by, fromPhones }: Pick<FactDefinition, "by" | "fromPhones">,
  row: RowDataPacket,
): string => (by && fromPhones && row["by_name"] === null ? t("told.onPhone") : String(row["by_name"] ?? ""));

/** The fields of a fact from a row that has them under their column names. Called for every row that is read: a plain loop. */
function fieldsOf(columns: Columns, row: RowDataPacket): object {
  const fields: Record<string, unknown> = {};
  for (const [field, { name, presence, fromDatabase }] of Object.entries(columns)) {
    const value: unknown = row[name];
    if (value !== null || presence !== "optional") fields[field] = fromDatabase(value);
  }
  return fields;
}

function selectOf({ table, columns, by, order, through }: FactDefinition): string {
  const names = Object.values(columns).map(({ name }) => `t.${name}`);
  const owner = through ? "o" : "t";
  const joins = [
    ...(through ? [`JOIN ${through.table} o ON o.clinic_id = t.clinic_id AND o.id = t.${through.key}`] : []),
    ...(by ? [`LEFT JOIN staff s ON s.clinic_id = t.clinic_id AND s.id = t.${by}`] : []),
  ];
  return `SELECT ${owner}.episode_id, ${names.join(", ")}${by ? ", s.name AS by_name" : ""}
            FROM ${table} t ${joins.join(" ")}
           WHERE ${owner}.clinic_id = ? AND ${owner}.episode_id IN (?)
           ORDER BY ${order.map((name) => `t.${name}`).join(", ")}`;
}

/** Appends facts of one kind, in the order given; nothing where there are none. What was appended is taken down. */
export async function appendFacts<C extends Columns>(
  db: Queryable,
  w: Writing,
  definition: FactDefinition<C>,
  facts: readonly FactOf<C>[],
): Promise<void> {
  if (facts.length === 0) return;
  const { table, columns, by, through, fromPhones } = definition;
  const rows = facts.map((given) => [
    w.clinicId,
    ...(through ? [] : [w.episodeId]),
    ...(by ? [w.staffId] : []),
    ...(fromPhones ? [w.phoneId ?? null] : []),
    ...Object.entries(columns).map(([field, { toDatabase }]) => {
      const value = (given as Record<string, unknown>)[field];
      return value === undefined ? null : toDatabase(value);
    }),
  ]);
  await put(db, `INSERT INTO ${table} (${digestColumns(definition).join(", ")}) VALUES ?`, [rows]);
  w.trail.push(...trailOf(definition, rows));
  const names = digestColumns(definition);
  w.facts?.push(...rows.map((values) => ({ table, fact: asRead(w, definition, names, values) })));
}

/** A row that was written as it is read: its values go through the same columns both ways. */
function asRead(
  w: Writing,
  definition: FactDefinition,
  names: readonly string[],
  values: readonly unknown[],
) {
  const row = Object.fromEntries(names.map((name, n) => [name, values[n] ?? null])) as RowDataPacket;
  const { by, columns } = definition;
  const byName = by && w.staffId !== null ? (w.name ?? "") : null;
  return {
    ...fieldsOf(columns, row),
    by: writerOf(definition, { ...row, by_name: byName } as RowDataPacket),
  };
}

/** Appends one fact. */
export const appendFact = <C extends Columns>(
  db: Queryable,
  w: Writing,
  definition: FactDefinition<C>,
  given: FactOf<C>,
): Promise<void> => appendFacts(db, w, definition, [given]);

/** The episode a fact with this client-made id already belongs to, or null when there is none in the clinic. */
export async function episodeOfFact(
  db: Queryable,
  { table }: Pick<FactDefinition, "table">,
  clinicId: string,
  id: string,
): Promise<string | null> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT episode_id FROM ${table} WHERE clinic_id = ? AND id = ?`,
    [clinicId, id],
  );
  return rows[0] ? String(rows[0]["episode_id"]) : null;
}
