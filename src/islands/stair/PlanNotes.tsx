import { Hourglass, Ruler } from "lucide-react";
import type { StairView } from "~/contract/episode";
import { sayNumber, t } from "~/messages/say";
import Rebaseline from "./Rebaseline";

interface Props {
  stair: StairView;
  /** False in a preview: nothing is signed there. */
  signable: boolean;
  onSigned: (next: StairView) => void;
}

/** What is to be said of the plan as a whole, beside what is proposed for each exercise. */
export default function PlanNotes({ stair, signable, onSigned }: Props) {
  const { symptomClock: clock, rebaselineDays, episodeId, maySign } = stair;
  return (
    <>
      {rebaselineDays !== null && (
        <section
          className="border-warning bg-warning/10 rounded-box flex flex-col gap-2 border-2 p-3"
          data-testid="rebaseline"
        >
          <h2 className="flex items-center gap-2 font-semibold">
            <Ruler className="size-5 shrink-0" aria-hidden />
            {t("rebaseline.title", { days: rebaselineDays })}
          </h2>
          <p className="text-sm">{t("rebaseline.text")}</p>
          <a className="btn btn-primary self-start" href={`/episodes/${episodeId}/measures`}>
            {t("rebaseline.measure")}
          </a>
          {signable && maySign && (
            <details>
              <summary className="btn bg-base-100">{t("rebaseline.signed")}</summary>
              <Rebaseline stair={stair} onSigned={onSigned} />
            </details>
          )}
        </section>
      )}
      {clock && (
        <section
          className="border-warning rounded-box bg-base-100 border p-3"
          data-testid="symptom-clock"
          aria-label={t("clock.title", { weeks: Math.floor(clock.days / 7) })}
        >
          <h2 className="flex items-center gap-2 font-semibold">
            <Hourglass className="text-warning size-5 shrink-0" aria-hidden />
            {t("clock.title", { weeks: Math.floor(clock.days / 7) })}
          </h2>
          <p className="text-sm">
            {t("clock.text", { then: sayNumber(clock.then), now: sayNumber(clock.now) })}{" "}
            <strong>{t(`clock.offer.${clock.offer}`)}</strong>
          </p>
        </section>
      )}
    </>
  );
}
