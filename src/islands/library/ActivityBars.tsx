import { scaleLinear } from "d3";
import type { ActivityRow } from "~/contract/library";
import { enoughPercent } from "~/core/progression/activation-ranking";
import { t } from "~/messages/say";

const width = 260;
const height = 26;
const scale = scaleLinear([0, 130], [0, width]).clamp(true);

interface Props {
  rows: readonly ActivityRow[];
  /** Whether each row says which variant or muscle it is about. */
  named?: boolean;
}

/** Published activity of a muscle: mean, standard deviation, the 40 % line, the study and what it left out. */
export default function ActivityBars({ rows, named = false }: Props) {
  return (
    <ul className="flex flex-col gap-1" data-testid="activity">
      {rows.map((row) => {
        const cite = row.source.cite ?? "";
        const said = t("activity.value", { mean: row.meanPercent, sd: row.sdPercent });
        return (
          <li key={`${row.name}${cite}${row.variantId}`} className="text-sm">
            {named && <span className="block">{row.name}</span>}
            <span className="flex flex-wrap items-center gap-x-2">
              <svg viewBox={`0 0 ${width} ${height}`} className="h-6 w-44" aria-hidden>
                <rect
                  x="0"
                  y="7"
                  width={scale(row.meanPercent)}
                  height="12"
                  className={row.aboveThreshold ? "fill-secondary" : "fill-base-content/30"}
                />
                <path
                  d={`M${scale(Math.max(0, row.meanPercent - row.sdPercent))} 13H${scale(row.meanPercent + row.sdPercent)}`}
                  className="stroke-base-content"
                  strokeWidth="2"
                />
                <path
                  d={`M${scale(enoughPercent)} 1V25`}
                  className="stroke-error"
                  strokeWidth="2"
                  strokeDasharray="4 3"
                />
              </svg>
              <strong>{said}</strong>
              <span>{t(row.aboveThreshold ? "activity.above" : "activity.below")}</span>
            </span>
            <span className="text-base-content/75 block text-xs">
              {t(row.source.recalled ? "activity.recalled" : "activity.source", { cite })} ·{" "}
              {t("activity.leftOut", { leftOut: row.leftOut })}
            </span>
          </li>
        );
      })}
    </ul>
  );
}
