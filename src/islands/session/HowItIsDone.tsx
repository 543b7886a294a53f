import type { Exercise } from "~/core/exercise/exercise";
import { t } from "~/messages/say";

/** How an exercise is set up and done: set-up where it is about safety, cues, breathing, where it is felt, where to look from. */
export default function HowItIsDone({ exercise }: { exercise: Exercise }) {
  const { cues, safety, breathing, feltIn, notFeltIn, faults, caution } = exercise;
  const views = [...new Set(faults.flatMap(({ view }) => (view ? [t(`exercise.view.${view}`)] : [])))];
  const besides = [
    feltIn && t("session.feltIn", { felt: feltIn }),
    notFeltIn && t("session.notFelt", { not: notFeltIn }),
    views.length > 0 && t("session.lookFrom", { views: views.join(", ") }),
    breathing && t("session.breathing", { breathing }),
  ].filter(Boolean);
  return (
    <div className="text-base-content/80 text-sm leading-snug" data-testid="how">
      {safety && (
        <p>
          <span className="font-medium">{t("session.setUp")}:</span> {safety}
        </p>
      )}
      <p>
        <span className="font-medium">{t("session.cues")}:</span> {cues.join(" · ")}
      </p>
      {besides.length > 0 && <p className="text-xs">{besides.join(" ")}</p>}
      {caution && <p className="text-base-content italic">{caution}</p>}
    </div>
  );
}
