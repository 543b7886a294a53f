import type { PhonesView } from "~/contract/phones";
import { sayTime, t } from "~/messages/say";

const lateMs = 12 * 3_600_000;

/** What phones told, with when it happened and when it arrived: what came late was not seen by whoever signed before. */
export default function ToldTable({ told, zone }: Pick<PhonesView, "told" | "zone">) {
  return (
    <div className="max-h-96 overflow-auto" tabIndex={0} role="region" aria-label={t("phones.told")}>
      <table className="w-full text-left">
        <thead>
          <tr className="border-base-300 border-b">
            <th scope="col">{t("phones.occurred")}</th>
            <th scope="col">{t("phones.arrived")}</th>
            <th scope="col" />
            <th scope="col" className="text-right">
              {t("phones.pain")}
            </th>
          </tr>
        </thead>
        <tbody>
          {told.map(({ kind, occurredAt, receivedAt, pain }) => (
            <tr key={`${kind} ${occurredAt} ${receivedAt}`} className="border-base-300 border-b">
              <td className="py-1 pr-2">{sayTime(occurredAt, zone)}</td>
              <td className="pr-2">
                {sayTime(receivedAt, zone)}
                {Date.parse(receivedAt) - Date.parse(occurredAt) > lateMs && (
                  <strong className="text-warning ml-1">{t("phones.late")}</strong>
                )}
              </td>
              <td className="pr-2">{t(`phones.kind.${kind}`)}</td>
              <td className="text-right tabular-nums">{pain === null ? "–" : `${pain}/10`}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
