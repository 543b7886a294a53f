import type { Comparison } from "~/core/load/compare-loads";
import { label, sayNumber, t } from "~/messages/say";
import { sayChange } from "./say-comparison";

interface Props {
  comparison: Comparison;
  changed: boolean;
  /** What the first form is. */
  first: string;
}

/** The most of each kind in both forms, and the change. */
export default function LoadTable({ comparison, changed, first }: Props) {
  const { bend, changes } = comparison;
  return (
    <table className="w-full text-sm" data-testid="load-table">
      <caption className="text-base-content/75 text-left text-xs">{t("lab.table")}</caption>
      <thead>
        <tr className="border-base-300 border-b text-right">
          <td />
          <th scope="col" className="px-1 font-semibold">
            {first}
          </th>
          {changed && (
            <>
              <th scope="col" className="px-1 font-semibold">
                {t("lab.changed")}
              </th>
              <th scope="col" className="px-1 font-semibold">
                {t("lab.change")}
              </th>
            </>
          )}
        </tr>
      </thead>
      <tbody>
        <tr className="border-base-300 border-b text-right tabular-nums">
          <th scope="row" className="py-1 text-left font-normal">
            {t("lab.bend")}
          </th>
          <td className="px-1">{t("lab.degree", { value: Math.round(bend.before) })}</td>
          {changed && (
            <>
              <td className="px-1">{t("lab.degree", { value: Math.round(bend.after) })}</td>
              <td />
            </>
          )}
        </tr>
        {changes.map((change) => (
          <tr key={change.kind} className="border-base-300 border-b text-right tabular-nums">
            <th scope="row" className="py-1 text-left font-normal">
              {label("lab.kind", change.kind)}
              <span className="text-base-content/75"> ({label("lab.unit", change.kind)})</span>
            </th>
            <td className="px-1">{sayNumber(change.before)}</td>
            {changed && (
              <>
                <td className="px-1 font-semibold">{sayNumber(change.after)}</td>
                <td className="px-1">{sayChange(change)}</td>
              </>
            )}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
