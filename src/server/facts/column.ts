import { fromDatabaseJson, fromDatabaseTime, toDatabaseTime } from "~/server/db/connection";

/** Whether a field may be absent (NULL in the table), may be null, or is always there. */
type Presence = "needed" | "optional" | "null";

/** One field of a fact: its column, and how its value goes in and comes out. The one place where a row's values get types. */
export interface Column<T = unknown, P extends Presence = Presence> {
  readonly name: string;
  readonly presence: P;
  readonly toDatabase: (value: T) => unknown;
  readonly fromDatabase: (raw: unknown) => T;
}

type Needed<T> = Column<T, "needed">;

const column = <T>(
  name: string,
  fromDatabase: (raw: unknown) => T,
  toDatabase: (value: T) => unknown = (value) => value,
): Needed<T> => ({ name, presence: "needed", fromDatabase, toDatabase });

export const text = <T extends string = string>(name: string): Needed<T> =>
  column(name, (raw) => String(raw) as T);
/** An id as the database gives it: small letters. */
export const id = (name: string): Needed<string> => text(name);
/** A local date; the driver hands dates over as text. */
export const date = (name: string): Needed<string> => text(name);
export const number = (name: string): Needed<number> => column(name, Number);
export const flag = (name: string): Needed<boolean> => column(name, (raw) => Number(raw) === 1);
export const instant = (name: string): Needed<string> =>
  column(name, (raw) => fromDatabaseTime(String(raw)), toDatabaseTime);
export const json = <T>(name: string): Needed<T> =>
  column(
    name,
    (raw) => fromDatabaseJson<T>(raw),
    (value) => JSON.stringify(value),
  );

/** Bytes, in base64 outside the database. */
export const bytes = (name: string): Needed<string> =>
  column(
    name,
    (raw) => (raw as Buffer).toString("base64"),
    (value) => Buffer.from(value, "base64"),
  );

/** A field that a fact may lack. */
export const optional = <T>(inner: Needed<T>): Column<T, "optional"> => ({ ...inner, presence: "optional" });

/** A field that is always there and may be null. */
export const orNull = <T>({ name, fromDatabase, toDatabase }: Needed<T>): Column<T | null, "null"> => ({
  name,
  presence: "null",
  fromDatabase: (raw) => (raw === null ? null : fromDatabase(raw)),
  toDatabase: (value) => (value === null ? null : toDatabase(value)),
});
