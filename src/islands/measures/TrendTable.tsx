import type { TrendView } from "~/contract/measures";
import { label, sayDate, sayNumber, t } from "~/messages/say";

/** The same trend as a table, newest first. */
export default function TrendTable({ trend }: { trend: TrendView }) {
  const unit = label("unit", trend.measure.unit);
  const points = [...trend.points].sort(
    (a, b) => b.takenOn.localeCompare(a.takenOn) || a.side.localeCompare(b.side),
  );
  return (
    <div className="max-h-96 overflow-auto">
      <table className="table-sm table" data-testid="trend-table">
        <thead>
          <tr>
            <th scope="col">{t("trend.date")}</th>
            <th scope="col">{t("trend.side")}</th>
            <th scope="col" className="text-right">
              {t("trend.value", { unit })}
            </th>
            <th scope="col" className="text-right">
              ± 95 %
            </th>
            <th scope="col" className="text-right">
              n
            </th>
            <th scope="col">{t("trend.way")}</th>
          </tr>
        </thead>
        <tbody>
          {points.map(({ side, takenOn, value, error95, trials, way, wayChanged }) => (
            <tr key={`${takenOn} ${side}`}>
              <td>{sayDate(takenOn)}</td>
              <td>{side === "none" ? "–" : label("side", side)}</td>
              <td className="text-right font-semibold">
                {trend.measure.grades?.[value] ?? sayNumber(value)}
              </td>
              <td className="text-right">{error95 === null ? "–" : sayNumber(error95)}</td>
              <td className="text-right">{trials}</td>
              <td>
                {way ?? "–"}
                {wayChanged && <span className="text-warning"> · {t("trend.wayChanged")}</span>}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
