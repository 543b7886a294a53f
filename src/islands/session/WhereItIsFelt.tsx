import type { Exercise } from "~/core/exercise/exercise";
import { t } from "~/messages/say";

/** Where an exercise is felt and where not, where to look from, how to breathe: on a tap, since most know it. */
export default function WhereItIsFelt({ exercise }: { exercise: Exercise }) {
  const { breathing, feltIn, notFeltIn, faults } = exercise;
  const views = [...new Set(faults.flatMap(({ view }) => (view ? [t(`exercise.view.${view}`)] : [])))];
  const said = [
    feltIn && t("session.feltIn", { felt: feltIn }),
    notFeltIn && t("session.notFelt", { not: notFeltIn }),
    views.length > 0 && t("session.lookFrom", { views: views.join(", ") }),
    breathing && t("session.breathing", { breathing }),
  ].filter(Boolean);
  if (said.length === 0) return null;
  return (
    <details className="text-base-content/80 text-sm leading-snug" data-testid="felt">
      <summary className="inline-flex min-h-11 cursor-pointer items-center underline">
        {t("session.more")}
      </summary>
      <p>{said.join(" ")}</p>
    </details>
  );
}
