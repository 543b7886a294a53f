import type { Exercise } from "~/core/exercise/exercise";
import { t } from "~/messages/say";

/** How an exercise is set up and done: set-up where it is about safety, cues, what to be careful of. */
export default function HowItIsDone({ exercise: { cues, safety, caution } }: { exercise: Exercise }) {
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
      {caution && <p className="text-base-content italic">{caution}</p>}
    </div>
  );
}
