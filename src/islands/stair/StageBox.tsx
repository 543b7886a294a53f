import type { StairView } from "~/contract/episode";
import { later } from "~/islands/frame/later";
import { sayDate, t } from "~/messages/say";

const LimitTimeline = later(
  () => import("~/islands/patient/LimitTimeline"),
  () => <div className="h-12" />,
);

/** What the chosen stage is for, and what the patient should be told. */
export default function StageBox({ stair, code }: { stair: StairView; code: string }) {
  const stage = stair.stages.find((candidate) => candidate.code === code);
  if (!stage) return null;
  const filled = new Set(stair.items.map((item) => item.lane));
  const unfilled = code === stair.stage ? stage.lanes.filter((lane) => !filled.has(lane)) : [];
  return (
    <section aria-live="polite">
      <h2 className="flex flex-wrap items-baseline gap-x-3 font-semibold">
        {stage.name}
        {code === stair.stage && (
          <span className="text-base-content/75 text-sm font-normal">
            {t("stair.sinceStage", { date: sayDate(stair.stageEnteredOn) })}
          </span>
        )}
      </h2>
      <p className="text-sm">
        {stage.aim}{" "}
        <span className="text-base-content/75">
          {t("stair.tell")}: {stage.expect}
        </span>
      </p>
      {stage.caution && <p className="text-error text-sm font-medium">{stage.caution}</p>}
      {code !== stair.stage && (
        <dl className="mt-2 text-sm" data-testid="other-stage">
          <dt className="font-semibold">{t("stair.itsLanes")}</dt>
          <dd>{stage.lanes.map((lane) => t(`lane.${lane}`)).join(", ")}</dd>
          <dt className="mt-1 font-semibold">{t("stair.itsGate")}</dt>
          {stage.asks.length === 0 && <dd>{t("stair.noGate")}</dd>}
          {stage.asks.map((name) => (
            <dd key={name}>{name}</dd>
          ))}
        </dl>
      )}
      {code === stair.stage && stair.restrictions.length > 0 && (
        <div className="mt-1" data-testid="limits">
          <h3 className="text-sm font-semibold">{t("stair.limits")}</h3>
          <LimitTimeline limits={stair.restrictions} today={stair.today} />
        </div>
      )}
      {unfilled.length > 0 && (
        <p className="text-warning text-sm font-medium">
          {t("stair.unfilled", { lanes: unfilled.map((lane) => t(`lane.${lane}`)).join(", ") })}
        </p>
      )}
    </section>
  );
}
