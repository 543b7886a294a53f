import type { PlanItem } from "~/contract/plan";
import type { Arrangement } from "~/core/case/arrangement";
import type { ItemRole } from "~/core/exercise/role";
import { typedNumber } from "~/islands/frame/typed-number";

/** One exercise in the form of the order. */
export interface ArrangeRow {
  readonly itemId: string;
  readonly name: string;
  readonly role: ItemRole;
  /** Done in a circuit with the row above it. */
  readonly joined: boolean;
  /** Rest between rounds as typed; counts in the first row of a circuit. */
  readonly roundRest: string;
  readonly usualPlace: number;
}

const usualRoundRest = "60";

/** The form filled with a plan as it stands. */
export function rowsOf(items: readonly PlanItem[]): ArrangeRow[] {
  return items.map(({ itemId, name, role, circuit, usualPlace }, n) => {
    const above = items[n - 1]?.circuit;
    return {
      itemId,
      name,
      role,
      joined: circuit !== null && above?.number === circuit.number,
      roundRest: circuit ? String(circuit.restSeconds) : usualRoundRest,
      usualPlace,
    };
  });
}

/** A row moved to another place; the first row has nobody above it to be joined with. */
export function moved(rows: readonly ArrangeRow[], from: number, to: number): ArrangeRow[] {
  const row = rows[from];
  if (!row || to < 0 || to >= rows.length) return [...rows];
  const rest = rows.filter((_, n) => n !== from);
  return firstAlone([...rest.slice(0, to), { ...row, joined: false }, ...rest.slice(to)]);
}

/** Everything in the usual order of a session. Circuits end: their exercises may come apart. */
export const inUsualOrder = (rows: readonly ArrangeRow[]): ArrangeRow[] =>
  [...rows].sort((a, b) => a.usualPlace - b.usualPlace).map((row) => ({ ...row, joined: false }));

/** One row with other values. */
export const withRow = (rows: readonly ArrangeRow[], at: number, change: Partial<ArrangeRow>): ArrangeRow[] =>
  firstAlone(rows.map((row, n) => (n === at ? { ...row, ...change } : row)));

const firstAlone = (rows: readonly ArrangeRow[]): ArrangeRow[] =>
  rows.map((row, n) => (n === 0 && row.joined ? { ...row, joined: false } : row));

/** Whether a circuit begins with this row. */
export const beginsCircuit = (rows: readonly ArrangeRow[], at: number): boolean =>
  rows[at]?.joined === false && rows[at + 1]?.joined === true;

/** What is signed. A rest that cannot be read is none: the endpoint says so at its field. */
export function arrangementOf(rows: readonly ArrangeRow[]): Arrangement {
  const circuits: { items: string[]; restSeconds: number }[] = [];
  rows.forEach((row, n) => {
    if (beginsCircuit(rows, n))
      circuits.push({ items: [row.itemId], restSeconds: typedNumber(row.roundRest) ?? NaN });
    else if (row.joined) circuits.at(-1)?.items.push(row.itemId);
  });
  return { entries: rows.map(({ itemId, role }) => ({ itemId, role })), circuits };
}
