import type { RecordView } from "~/contract/record";
import type { ReviewedDay } from "~/core/review/day-by-day";
import OutcomeMark from "~/islands/frame/OutcomeMark";
import { sayChange } from "~/messages/say-change";
import { sayEvidence, sayRule } from "~/messages/say-evidence";
import { sayDate, t } from "~/messages/say";

type Item = ReviewedDay["items"][number];
type Fared = NonNullable<Item["done"]>;

/** A line for each exercise: how it went, what was proposed and why, what was signed, and how the next time went. */
export default function ReviewedItems({ day, record }: { day: ReviewedDay; record: RecordView }) {
  return (
    <div
      className="bg-base-100 border-base-300 rounded-box mt-3 overflow-x-auto border"
      tabIndex={0}
      role="region"
      aria-label={t("frame.table")}
    >
      <table className="w-full text-sm" data-testid="reviewed-items">
        <thead>
          <tr className="border-base-300 border-b text-left align-bottom">
            <th className="px-3 py-2">{t("days.exercise")}</th>
            <th className="px-3 py-2">{t("days.done")}</th>
            <th className="min-w-64 px-3 py-2">{t("days.proposed")}</th>
            <th className="min-w-32 px-3 py-2">{t("days.signed")}</th>
            <th className="min-w-36 px-3 py-2">{t("days.next")}</th>
          </tr>
        </thead>
        <tbody>
          {day.items.map((item) => (
            <Line key={item.itemId} item={item} record={record} />
          ))}
        </tbody>
      </table>
    </div>
  );
}

function Line({ item, record }: { item: Item; record: RecordView }) {
  const { proposal, signed, done, next } = item;
  const exercise = record.items.find(({ itemId }) => itemId === item.itemId)?.exercise;
  const variant = (id: string) => exercise?.variants.find((one) => one.id === id)?.name ?? id;
  return (
    <tr className="border-base-200 border-b align-top last:border-0">
      <th className="px-3 py-2 text-left">{exercise?.name ?? item.exerciseId}</th>
      <td className="px-3 py-2">{done ? <Pains fared={done} /> : t("days.notDone")}</td>
      <td className="px-3 py-2">
        <p className="flex items-center gap-2 font-semibold">
          <OutcomeMark mark={proposal.outcome} size={22} />
          {t(`outcome.${proposal.outcome}`)}
          {proposal.outcome !== "hold" && (
            <span className="font-normal">{sayRule(proposal.rule, proposal.evidence)}</span>
          )}
        </p>
        {proposal.change && <p>{sayChange(proposal.change, null, variant)}</p>}
        <ul className="text-base-content/85 list-disc pl-5">
          {proposal.evidence.map((piece, i) => (
            <li key={i}>{sayEvidence(piece)}</li>
          ))}
        </ul>
      </td>
      <td className="px-3 py-2">
        {signed ? (
          <>
            <span className="badge badge-neutral">{t(`record.action.${signed.action}`)}</span>
            {signed.reason && <p>“{signed.reason}”</p>}
          </>
        ) : (
          "–"
        )}
      </td>
      <td className="px-3 py-2">
        {next ? (
          <>
            {sayDate(next.date)}
            <Pains fared={next} />
          </>
        ) : (
          "–"
        )}
      </td>
    </tr>
  );
}

/** Pain before, during and the next morning, with the band each lay in. */
function Pains({ fared }: { fared: Fared }) {
  return (
    <p className="whitespace-nowrap tabular-nums">
      {t("days.pains", {
        before: fared.painBefore,
        during: fared.painDuring,
        next: fared.painNextDay ?? "–",
      })}
      <span className="text-base-content/75 block">
        {t(`days.band.${fared.during as "go" | "hold" | "ease"}`)} ·{" "}
        {t(`days.nextBand.${fared.nextDay as "fine" | "hold" | "ease" | "unknown"}`)}
      </span>
    </p>
  );
}
