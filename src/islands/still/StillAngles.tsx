import { anglesOfStill, type AngleRead, type Still } from "~/core/measure/still";
import { sayNumber, t } from "~/messages/say";

/** One angle in words: its middle, and how far two placings lie apart. */
export function angleSaid({ name, value, spread }: AngleRead): string {
  const unit = name === "kneePastToeCm" ? " cm" : "°";
  const shown = sayNumber(Math.round(value * 10) / 10);
  return spread === null
    ? `${shown}${unit}`
    : t("still.spread", { value: shown, spread: sayNumber(Math.round(spread * 10) / 10), unit });
}

interface Props {
  still: Still;
  /** The last one looked at the same way, to compare. */
  before: Still | null;
}

/** What a still says, and what the last one said beside it. */
export default function StillAngles({ still, before }: Props) {
  const [now, then] = [anglesOfStill(still), before ? anglesOfStill(before) : null];
  return (
    <table className="table-sm table" data-testid="angles">
      <thead className="text-base-content">
        <tr>
          <th scope="col">{t("still.angle")}</th>
          <th scope="col">{t("still.now")}</th>
          {then && <th scope="col">{t("still.before")}</th>}
        </tr>
      </thead>
      <tbody>
        {now.map((angle) => {
          const was = then?.find(({ name }) => name === angle.name);
          return (
            <tr key={angle.name}>
              <th scope="row" className="font-normal">
                {t(`still.angle.${angle.name}`)}
              </th>
              <td className="font-semibold tabular-nums">{angleSaid(angle)}</td>
              {then && <td className="tabular-nums">{was ? angleSaid(was) : "–"}</td>}
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
