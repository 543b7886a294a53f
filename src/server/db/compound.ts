/** A statement with the values that stand for its question marks. */
export interface Statement {
  readonly sql: string;
  readonly values: readonly unknown[];
}

/**
 * Several statements as one, so that they go to the server together: they run in their order, and the first that fails ends it.
 * MariaDB's compound statement outside of procedures; it is no transaction of its own.
 *
 * @param statements at least one; none of them has an answer
 */
export function compound(statements: readonly Statement[]): Statement {
  const [first, ...others] = statements;
  if (first && others.length === 0) return first;
  const text = statements.map(({ sql }) => `${sql};\n`).join("");
  return { sql: `BEGIN NOT ATOMIC\n${text}END`, values: statements.flatMap(({ values }) => values) };
}
