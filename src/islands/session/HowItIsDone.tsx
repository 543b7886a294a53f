import type { Exercise } from "~/core/exercise/exercise";
import { t } from "~/messages/say";

/** How an exercise is set up and done: set-up where it is about safety, cues, breathing, where it is felt, where to look from. */
export default function HowItIsDone({ exercise }: { exercise: Exercise }) {
  const { cues, safety, breathing, feltIn, notFeltIn, faults, caution } = exercise;
  const views = [...new Set(faults.flatMap(({ view }) => (view ? [t(`exercise.view.${view}`)] : [])))];
  const lines: readonly (readonly [string, string | undefined])[] = [
    [t("session.setUp"), safety],
    [t("session.cues"), cues.join(" · ")],
    [t("session.breathing"), breathing],
    [
      t("session.feltIn"),
      feltIn && notFeltIn ? t("session.feltNot", { felt: feltIn, not: notFeltIn }) : feltIn || undefined,
    ],
    [t("session.lookFrom"), views.length > 0 ? views.join(", ") : undefined],
  ];
  return (
    <div className="text-base-content/80 text-sm" data-testid="how">
      {lines.map(([name, text]) =>
        text ? (
          <p key={name}>
            <span className="font-medium">{name}:</span> {text}
          </p>
        ) : null,
      )}
      {caution && <p className="text-base-content italic">{caution}</p>}
    </div>
  );
}
