import { useState } from "react";
import type { LiftsView } from "~/contract/lifts";
import { island } from "~/islands/frame/island";
import { t } from "~/messages/say";
import LiftForm from "./LiftForm";
import LiftLog from "./LiftLog";
import LiftTrendBox from "./LiftTrendBox";
import SmallDoseBox from "./SmallDoseBox";

type Entry = LiftsView["lifts"][number];

/** What somebody lifts in training of their own, whether it still moves, and what is tried where it does not. */
function LiftsPage({ view: loaded }: { view: LiftsView }) {
  const [view, setView] = useState(loaded);
  const [corrected, setCorrected] = useState<Entry | null>(null);
  const [notice, setNotice] = useState("");
  const written = (next: LiftsView) => {
    setView(next);
    setCorrected(null);
    setNotice(t("lifts.recorded"));
  };
  const movements = [...new Set(view.lifts.map(({ movement }) => movement))];
  return (
    <div className="mx-auto max-w-7xl px-4 py-4">
      <h2 className="sr-only">{t("lifts.pageTitle")}</h2>
      <p role="status" className="text-success min-h-6 text-sm font-medium">
        {notice}
      </p>
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-3 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
        <div className="flex flex-col gap-3">
          {view.mayRecord && (
            <LiftForm
              key={corrected?.id ?? `new ${view.lifts.length}`}
              view={view}
              corrected={corrected}
              movements={movements}
              onWritten={written}
              onCancel={() => setCorrected(null)}
            />
          )}
          <LiftLog lifts={view.lifts} onCorrect={view.mayRecord ? setCorrected : null} />
        </div>
        <div className="flex min-w-0 flex-col gap-3 max-lg:order-first">
          <SmallDoseBox key={view.smallDose.steps.length} view={view} onWritten={written} />
          {view.trends.map((trend) => (
            <LiftTrendBox key={trend.movement} trend={trend} steps={view.smallDose.steps} />
          ))}
        </div>
      </div>
    </div>
  );
}

export default island(LiftsPage);
