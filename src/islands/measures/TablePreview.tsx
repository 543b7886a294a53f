import type { Measure } from "~/core/measure/measure";
import type { CellProblem, ColumnUse } from "~/core/measure/results-table";
import { label, t } from "~/messages/say";
import { codeOfUse, columnUse } from "./table-draft";

interface Props {
  head: readonly string[];
  rows: readonly (readonly string[])[];
  uses: readonly ColumnUse[];
  measures: ReadonlyMap<string, Measure>;
  problems: readonly CellProblem[];
  onUse: (at: number, use: ColumnUse) => void;
}

const toldAtMost = 8;

/** The table as it is read: what each column holds, and every cell that cannot be taken. */
export default function TablePreview({ head, rows, uses, measures, problems, onUse }: Props) {
  const problemAt = (row: number, column: number) =>
    problems.find((one) => one.row === row && one.column === column);
  const said = (one: CellProblem) => {
    const use = uses[one.column];
    const measure = use?.kind === "value" ? measures.get(use.measure) : undefined;
    return t("table.cell", {
      row: one.row + 2,
      column: head[one.column] ?? "",
      value: rows[one.row]?.[one.column] ?? "",
      problem: t(`table.problem.${one.problem}`, {
        low: measure?.plausible.low ?? 0,
        high: measure?.plausible.high ?? 0,
      }),
    });
  };
  return (
    <>
      <div
        className="border-base-300 rounded-box min-h-40 overflow-auto border"
        role="region"
        aria-label={t("table.preview")}
        tabIndex={0}
      >
        <table className="table-sm table w-max min-w-full">
          <thead className="text-base-content">
            <tr>
              <th scope="col" className="w-8">
                <span className="sr-only">{t("table.row")}</span>
              </th>
              {head.map((name, n) => (
                <th key={n} scope="col" className="max-w-60 align-top">
                  <span className="block truncate" title={name}>
                    {name || "–"}
                  </span>
                  <UseSelect
                    name={name}
                    use={uses[n] ?? { kind: "skip" }}
                    measures={measures}
                    onUse={(use) => onUse(n, use)}
                  />
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((cells, row) => (
              <tr key={row}>
                <th scope="row" className="text-base-content/75 font-normal">
                  {row + 2}
                </th>
                {head.map((_, column) => {
                  const problem = problemAt(row, column);
                  const isLeft = uses[column]?.kind === "skip";
                  return (
                    <td
                      key={column}
                      className={`tabular-nums ${problem ? "bg-error/15 outline-error font-semibold outline-2 -outline-offset-2" : isLeft ? "text-base-content/75" : ""}`}
                      title={problem ? said(problem) : undefined}
                    >
                      {cells[column]}
                      {problem && <span aria-hidden> ✗</span>}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {problems.length > 0 && (
        <div role="status">
          <ul className="text-error list-disc pl-5 text-sm" data-testid="table-problems">
            {problems.slice(0, toldAtMost).map((one) => (
              <li key={`${one.row} ${one.column}`}>{said(one)}</li>
            ))}
            {problems.length > toldAtMost && (
              <li>{t("table.more", { count: problems.length - toldAtMost })}</li>
            )}
          </ul>
        </div>
      )}
    </>
  );
}

interface UseProps {
  name: string;
  use: ColumnUse;
  measures: ReadonlyMap<string, Measure>;
  onUse: (use: ColumnUse) => void;
}

/** What a column holds, and in which unit. */
function UseSelect({ name, use, measures, onUse }: UseProps) {
  const units = use.kind === "value" ? (measures.get(use.measure)?.entryUnits ?? []) : [];
  return (
    <span className="flex flex-col gap-1 font-normal">
      <select
        className="select select-sm w-56 text-ellipsis max-sm:min-h-11"
        aria-label={t("table.holds", { name })}
        value={codeOfUse(use)}
        onChange={({ target }) => onUse(columnUse(target.value, measures))}
      >
        <option value="skip">{t("table.skip")}</option>
        <option value="date">{t("table.date")}</option>
        {[...measures.values()].flatMap(({ code, name: known, sides }) =>
          (sides === "none" ? (["none"] as const) : (["left", "right"] as const)).map((side) => (
            <option key={`${code} ${side}`} value={`${code} ${side}`}>
              {sides === "none" ? known : `${known}, ${label("side", side)}`}
            </option>
          )),
        )}
      </select>
      {use.kind === "value" && units.length > 1 && (
        <select
          className="select select-sm w-24 max-sm:min-h-11"
          aria-label={t("table.unit", { name })}
          value={use.unit}
          onChange={({ target }) => onUse({ ...use, unit: target.value })}
        >
          {units.map(({ unit }) => (
            <option key={unit} value={unit}>
              {label("unit", unit)}
            </option>
          ))}
        </select>
      )}
    </span>
  );
}
