import type { Role } from "~/contract/roles";
import type { CaseFile } from "~/core/case/case-file";
import type { Column } from "./column";

/** The fields of a fact by their names in the code. */
// oxlint-disable-next-line typescript/no-explicit-any -- a column both takes and gives its value
export type Columns = Readonly<Record<string, Column<any>>>;

type ValueOf<C> = C extends Column<infer T> ? T : never;
type OptionalKey<C extends Columns> = {
  [K in keyof C]: C[K]["presence"] extends "optional" ? K : never;
}[keyof C];

/** A fact as the code handles it. */
export type FactOf<C extends Columns> = {
  -readonly [K in Exclude<keyof C, OptionalKey<C>>]: ValueOf<C[K]>;
} & { -readonly [K in OptionalKey<C>]?: ValueOf<C[K]> };

/**
 * Everything that is said of one kind of fact: its table and columns, who wrote it, who may append it, where it stands in
 * a case file, and what else a write of it may change. Readers, writers, the case's loader, the store of whole cases and
 * the test of privileges walk the list of these.
 */
export interface FactDefinition<C extends Columns = Columns> {
  readonly table: string;
  readonly columns: C;
  /** Column with the member of staff who wrote it; absent where another fact of the same write says so. */
  readonly by?: string;
  /** Columns by which an episode's facts of this kind are ordered, oldest first. */
  readonly order: readonly string[];
  /** The table it hangs on, where it has no episode of its own. */
  readonly through?: { readonly table: string; readonly key: string };
  /** False for what is read by its own view only, not with every case. */
  readonly inCase: boolean;
  /** True for what bears on every episode of the same person: a write of it overtakes what is kept of them all. */
  readonly ofPerson?: boolean;
  /** True for what alters the episode's head or the person's own row, which are read again after it. */
  readonly changesHead?: boolean;
  /** True for what alters which episodes are the same person's: what is known from those is read again as well. */
  readonly changesElsewhere?: boolean;
  /** True for what can be written while the episode is paused or closed. */
  readonly whileResting?: boolean;
  /** Roles that may append it by a request of theirs; absent where it only comes along with another fact. */
  readonly appendedBy?: readonly Role[];
  /** True for what a patient's own phone may append too; then its column of who wrote it is empty, and the phone is named. */
  readonly fromPhones?: boolean;
  /** Other kinds that a request which appends this one may append as well. */
  readonly bringsAlong?: readonly string[];
  /** The facts of this kind that a case file holds. */
  readonly ofCase?: (file: CaseFile) => readonly FactOf<C>[];
}

/** Defines a kind of fact; the types of its fields follow from its columns. */
export function fact<const C extends Columns>(definition: FactDefinition<C>): FactDefinition<C> {
  return definition;
}
