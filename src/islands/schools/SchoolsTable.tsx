import type { StairItem } from "~/contract/episode";
import type { SchoolComparison, SchoolVerdict } from "~/core/review/compare-schools";
import OutcomeMark from "~/islands/frame/OutcomeMark";
import { sayChange } from "~/messages/say-change";
import { sayRule } from "~/messages/say-evidence";
import { sayDate, t } from "~/messages/say";

interface Props {
  comparison: SchoolComparison;
  item: StairItem;
}

/** A line for each training day, latest first; a column for each school. The day they part is marked. */
export default function SchoolsTable({ comparison, item }: Props) {
  const { days, schools, partedOn, inForce } = comparison;
  return (
    <div
      className="bg-base-100 border-base-300 rounded-box mt-3 overflow-x-auto border"
      tabIndex={0}
      role="region"
      aria-label={t("frame.table")}
    >
      <table className="w-full text-sm" data-testid="schools-table">
        <thead>
          <tr className="border-base-300 border-b text-left align-bottom">
            <th className="px-3 py-2">{t("schools.day")}</th>
            <th className="px-3 py-2">{t("schools.pain")}</th>
            {schools.map(({ school, verdicts }) => (
              <th key={school} className="min-w-44 px-3 py-2">
                {t(`school.${school}`)}
                {school === inForce && (
                  <span className="badge badge-neutral badge-sm ml-1">{t("schools.inForce")}</span>
                )}
                <span className="text-base-content/75 block font-normal">{since(verdicts, partedOn)}</span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {[...days].reverse().map(({ date, painBefore, painDuring, painNextDay }) => (
            <tr
              key={date}
              className={`border-base-200 border-b align-top last:border-0 ${date === partedOn ? "bg-warning/15" : ""}`}
            >
              <th className="px-3 py-2 text-left whitespace-nowrap">{sayDate(date)}</th>
              <td className="px-3 py-2 tabular-nums">
                {painBefore} / {painDuring} / {painNextDay ?? "–"}
              </td>
              {schools.map(({ school, verdicts }) => (
                <Verdict key={school} verdict={verdicts.find((v) => v.date === date)} item={item} />
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function Verdict({ verdict, item }: { verdict: SchoolVerdict | undefined; item: StairItem }) {
  if (!verdict) return <td className="px-3 py-2">–</td>;
  const name = (id: string) => item.exercise.variants.find((variant) => variant.id === id)?.name ?? id;
  return (
    <td className="px-3 py-2">
      <span className="flex items-center gap-1 font-semibold">
        <OutcomeMark mark={verdict.outcome} size={18} />
        {t(`outcome.${verdict.outcome}`)}
      </span>
      <span className="text-base-content/80 block">
        {verdict.change
          ? sayChange(verdict.change, item.maximumN, name)
          : sayRule(verdict.rule, verdict.evidence)}
      </span>
    </td>
  );
}

/** How often a school would have eased or stepped up since they parted. */
function since(verdicts: readonly SchoolVerdict[], partedOn: string | null): string {
  if (partedOn === null) return "";
  const later = verdicts.filter(({ date }) => date >= partedOn);
  const count = (outcome: string) => later.filter((verdict) => verdict.outcome === outcome).length;
  return t("schools.since", { eases: count("ease"), steps: count("step-up") });
}
