import { Check, CircleDashed, History, Minus, X } from "lucide-react";
import type { StairView } from "~/core/interchange/contract";
import { label, sayDate, sayNumber, t } from "~/messages/say";

type Criterion = NonNullable<StairView["gate"]>["criteria"][number];

const verdictLook = {
  met: { Icon: Check, tone: "text-success" },
  "not-met": { Icon: X, tone: "text-error" },
  missing: { Icon: CircleDashed, tone: "text-error" },
  stale: { Icon: History, tone: "text-warning" },
  undefined: { Icon: Minus, tone: "text-base-content" },
} as const;

/** The gate out of the present stage: every criterion with its value, threshold, verdict and date. */
export default function GatePanel({ stair }: { stair: StairView }) {
  const { gate, stages } = stair;
  const at = stages.findIndex((stage) => stage.code === stair.stage);
  const next = stages[at + 1];
  if (!gate || !next) return <p className="mt-2 text-sm">{t("stair.noGate")}</p>;
  return (
    <section id="gate" className="border-base-300 mt-2 border-t pt-2">
      <h2 className="flex flex-wrap items-baseline gap-x-3 font-semibold">
        {t("stair.gate", { next: next.name })}
        <span className="text-base-content/75 text-sm font-normal">
          {gate.daysLeft > 0 ? t("stair.gateTime", { days: gate.daysLeft }) : t("stair.gateTimeDone")}{" "}
          {gate.outcome === "open" && t("stair.gateOpen")}
        </span>
      </h2>
      <table className="mt-1 w-full text-sm">
        <tbody>
          {gate.criteria.map((criterion) => (
            <CriterionLine key={criterion.id} criterion={criterion} />
          ))}
        </tbody>
      </table>
    </section>
  );
}

function CriterionLine({ criterion }: { criterion: Criterion }) {
  const { Icon, tone } = verdictLook[criterion.verdict];
  const unit = label("unit", criterion.unit);
  const sign = criterion.comparison === ">=" ? "≥" : "≤";
  return (
    <tr className="border-base-200 border-b last:border-0">
      <td className="py-1 pr-2">
        {criterion.name}
        {!criterion.required && <span className="text-base-content/70"> ({t("criterion.optional")})</span>}
        {criterion.note && criterion.note !== "other-side" && (
          <span className="text-base-content/70"> · {t(`note.${criterion.note}`)}</span>
        )}
      </td>
      <td className="py-1 pr-2 text-right font-semibold whitespace-nowrap">
        {criterion.value === null ? "–" : `${sayNumber(criterion.value)} ${unit}`.trim()}
      </td>
      <td className="text-base-content/75 py-1 pr-3 text-right whitespace-nowrap">
        {`${sign} ${sayNumber(criterion.threshold)} ${unit}`.trim()}
      </td>
      <td className={`py-1 whitespace-nowrap ${tone}`}>
        <span className="inline-flex items-center gap-1">
          <Icon className="size-4" aria-hidden /> {t(`criterion.${criterion.verdict}`)}
        </span>
      </td>
      <td className="text-base-content/75 hidden py-1 text-right whitespace-nowrap sm:table-cell">
        {criterion.takenOn ? sayDate(criterion.takenOn) : ""}
      </td>
    </tr>
  );
}
