/**
 * The statements of a migration file, in order, without the comments that stand in lines of their own.
 *
 * @example migrationSteps("-- why\nCREATE TABLE a (id INT);\nUPDATE a SET id = 1;\n") // ["CREATE TABLE a (id INT)", "UPDATE a SET id = 1"]
 */
export function migrationSteps(sql: string): string[] {
  return sql
    .replace(/^\s*--.*$/gm, "")
    .split(/;\s*(?:\n|$)/)
    .map((step) => step.trim())
    .filter(Boolean);
}

/**
 * Whether a statement can be undone: what defines tables commits by itself and is there or not; what changes rows goes with the note
 * that it was done, in one transaction.
 *
 * @example isOfRows("UPDATE a SET id = 1") // true
 * @example isOfRows("ALTER TABLE a ADD COLUMN b INT") // false
 */
export const isOfRows = (step: string): boolean => /^(INSERT|UPDATE|DELETE|REPLACE)\b/i.test(step);
