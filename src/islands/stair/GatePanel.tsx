import type { StairView } from "~/contract/episode";
import { verdictLook } from "~/islands/gate/verdict-look";
import { sayAsked, sayFound } from "~/messages/say-criterion";
import { sayDate, sayNumber, t } from "~/messages/say";

type Criterion = NonNullable<StairView["gate"]>["criteria"][number];

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
          {gate.rule === "gate-stop" && t("stair.gateStop")}
          {gate.rule === "gate-lanes" &&
            t("gate.lanes", { lanes: (gate.lanesLeftOut ?? []).map((lane) => t(`lane.${lane}`)).join(", ") })}
        </span>
      </h2>
      <table className="mt-1 w-full text-sm">
        <tbody>
          {gate.criteria.map((criterion) => (
            <CriterionLine key={criterion.id} criterion={criterion} />
          ))}
        </tbody>
      </table>
      <a className="btn mt-2" href={`/episodes/${stair.episodeId}/gate`}>
        {t("stair.openGate")}
      </a>
    </section>
  );
}

function CriterionLine({ criterion }: { criterion: Criterion }) {
  const { Icon, tone } = verdictLook[criterion.verdict];
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
        {criterion.value === null ? "–" : sayFound(criterion.value, criterion)}
        {criterion.early && (
          <span className="text-base-content/75 ml-auto block max-w-36 text-xs font-normal whitespace-normal">
            {t("gate.early", {
              percent: sayNumber(criterion.early.percent),
              kind: t(`early.${criterion.early.kind}`),
            })}
          </span>
        )}
      </td>
      <td className="text-base-content/75 py-1 pr-3 text-right whitespace-nowrap">{sayAsked(criterion)}</td>
      <td className={`py-1 pr-3 ${tone}`}>
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
