/** A column of an integer program. */
export interface Column {
  readonly lower: number;
  readonly upper: number;
  readonly cost: number;
  readonly whole: boolean;
}

/** A row: the sum of its entries stays between two bounds. */
export interface Row {
  readonly lower: number;
  readonly upper: number;
  readonly entries: readonly (readonly [column: number, factor: number])[];
}

/** An integer program to be minimised. */
export interface Mip {
  readonly columns: readonly Column[];
  readonly rows: readonly Row[];
}

export interface MipAnswer {
  /** Least, or the best that was found in the time; null where none was. */
  readonly values: readonly number[] | null;
  readonly proven: boolean;
  /** What no solution is below, as far as it is known. */
  readonly bound: number | null;
}

/** A solver that has taken a program and is asked again and again, each time with a little more. */
export interface MipSession {
  /** Least cost within some seconds, from a known solution on. */
  readonly minimise: (
    costs: readonly number[],
    seconds: number,
    from?: readonly number[],
  ) => Promise<MipAnswer>;
  readonly addRow: (row: Row) => Promise<void>;
  readonly close: () => Promise<void>;
}

/** Takes a program. */
export type OpenSolver = (mip: Mip) => Promise<MipSession>;

/** A value that is known, or that the solver finds. */
export type Term = { readonly constant: number } | { readonly column: number };

/** Writes an integer program, row by row. */
export class MipBuilder {
  private readonly columns: Column[] = [];
  private readonly rows: Row[] = [];

  /** A new value between two bounds. */
  column(lower: number, upper: number, cost = 0, whole = false): { column: number } {
    this.columns.push({ lower, upper, cost, whole });
    return { column: this.columns.length - 1 };
  }

  /** The sum of terms, each with its factor, stays at or below a bound. */
  atMost(terms: readonly (readonly [term: Term, factor: number])[], most: number): void {
    const known = terms.reduce(
      (sum, [term, factor]) => sum + ("constant" in term ? factor * term.constant : 0),
      0,
    );
    const entries = terms.flatMap(([term, factor]): [number, number][] =>
      "column" in term ? [[term.column, factor]] : [],
    );
    if (entries.length > 0) this.rows.push({ lower: -Infinity, upper: most - known, entries });
  }

  /** More cost for a term; what is known costs the same for every solution and is left out. */
  charge(term: Term, cost: number): void {
    if (!("column" in term)) return;
    const column = this.columns[term.column] as Column;
    this.columns[term.column] = { ...column, cost: column.cost + cost };
  }

  /** Forbids a term to be more than 0. */
  forbid(term: Term): void {
    if (!("column" in term)) return;
    const column = this.columns[term.column] as Column;
    this.columns[term.column] = { ...column, upper: 0 };
  }

  done(): Mip {
    return { columns: this.columns, rows: this.rows };
  }
}
