import { later } from "~/islands/frame/later";
import type { LiftsView } from "~/contract/lifts";
import { sayDate, sayWeight, t } from "~/messages/say";

const LiftChart = later(
  () => import("./LiftChart"),
  () => <div className="h-48" />,
);

interface Props {
  trend: LiftsView["trends"][number];
  steps: LiftsView["smallDose"]["steps"];
}

/** Whether one movement still moves: in a sentence, and drawn. */
export default function LiftTrendBox({ trend, steps }: Props) {
  const { movement, bestKg, bestOn, daysSince, stalledDays, uneasy } = trend;
  return (
    <section className="bg-base-100 border-base-300 rounded-box border p-3" data-testid="lift-trend">
      <h2 className="text-lg font-semibold">{t("lifts.trend", { movement })}</h2>
      <p className={stalledDays === null ? "text-sm" : "text-warning text-sm font-semibold"}>
        {stalledDays === null
          ? t("lifts.moving", { days: daysSince })
          : t("lifts.stalled", { days: stalledDays, trainings: daysSince })}{" "}
        {t("lifts.best", { load: sayWeight(Math.round(bestKg)), date: sayDate(bestOn) })}
      </p>
      {uneasy > 0 && <p className="text-sm">{t("lifts.uneasy", { count: uneasy })}</p>}
      <LiftChart trend={trend} steps={steps} />
      <p className="text-base-content/75 text-xs">{t("lifts.estimate")}</p>
    </section>
  );
}
