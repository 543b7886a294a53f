import { OctagonX } from "lucide-react";
import type { StairView } from "~/contract/episode";
import { halts } from "~/core/intake/stop-signal";
import { later } from "~/islands/frame/later";
import { label, sayTime, t } from "~/messages/say";
import WhomToCall from "./WhomToCall";

// What is wrong and whom to call stand at once; the ways out of it come after.
const TakeBack = later(() => import("./TakeBack"));
const ClearSignal = later(() => import("./ClearSignal"));

/** Open stop signals: what, how urgent, whom to call; cleared in writing by who may sign. */
export default function SignalBanner({
  stair,
  onChange,
}: {
  stair: Pick<StairView, "episodeId" | "signals" | "zone" | "calls" | "maySign">;
  onChange: (next: StairView) => void;
}) {
  if (stair.signals.length === 0) return null;
  return (
    <section
      className="border-error bg-error/10 rounded-box flex flex-col gap-2 border-2 p-3"
      role="alert"
      aria-label={t("signals.open")}
      data-testid="signals"
    >
      {stair.signals.map((signal) => (
        <div key={signal.id}>
          <p className="flex flex-wrap items-center gap-x-2 text-lg font-semibold">
            <OctagonX className="text-error size-6 shrink-0" aria-hidden />
            {t(`urgency.${signal.urgency}`)}. {label("signal", signal.code)}
            {signal.exercise && ` (${signal.exercise})`}
          </p>
          <p className="text-sm">
            {label("signals.suspends", signal.scope)} ·{" "}
            {t("signals.since", { time: sayTime(signal.at, stair.zone), by: signal.by })}
            {signal.note && ` · “${signal.note}”`}
            {signal.elsewhere && ` · ${t("signals.elsewhere", { diagnosis: signal.elsewhere.diagnosis })}`}
          </p>
          {halts(signal.code) && <p className="text-sm font-medium">{t("signals.halts")}</p>}
          <WhomToCall calls={stair.calls} code={signal.code} urgency={signal.urgency} />
          {signal.mayTakeBack && (
            <TakeBack episodeId={stair.episodeId} signalId={signal.id} onChange={onChange} />
          )}
          {signal.elsewhere ? (
            <a className="btn mt-1" href={`/episodes/${signal.elsewhere.episodeId}`}>
              {t("signals.clearThere")}
            </a>
          ) : stair.maySign ? (
            <ClearSignal episodeId={stair.episodeId} signalId={signal.id} onChange={onChange} />
          ) : (
            <p className="text-sm">{t("sign.mayNot")}</p>
          )}
        </div>
      ))}
    </section>
  );
}
