import type { ReactNode } from "react";
import type { Exercise, Variant } from "~/core/exercise/exercise";
import { label, t } from "~/messages/say";

interface Props {
  exercise: Exercise;
  variant: Variant;
  nameOf: (exerciseId: string) => string;
}

/** How an exercise is taught: cues, faults with where and when they show, where it is felt, and what to beware of. */
export default function ExerciseFacts({ exercise, variant, nameOf }: Props) {
  const { cues, faults, feltIn, notFeltIn, breathing, safety, forbiddenBy, leadsTo, effort } = exercise;
  return (
    <div className="grid gap-x-6 gap-y-3 sm:grid-cols-2" data-testid="facts">
      <Fact title={t("exercise.cues")}>
        <ul className="list-disc pl-5">
          {cues.map((cue) => (
            <li key={cue}>{cue}</li>
          ))}
        </ul>
      </Fact>
      {faults.length > 0 && (
        <Fact title={t("exercise.faults")}>
          <ul className="list-disc pl-5">
            {faults.map(({ code, name, view, phase }) => (
              <li key={code}>
                {name}
                {view && phase && (
                  <span className="text-base-content/75">
                    , {t(`exercise.view.${view}`)}, {t(`exercise.phase.${phase}`)}
                  </span>
                )}
              </li>
            ))}
          </ul>
        </Fact>
      )}
      <Fact title={t("exercise.felt")}>
        {feltIn}
        {notFeltIn && (
          <p>
            <strong>{t("exercise.notFelt")}:</strong> {notFeltIn}
          </p>
        )}
      </Fact>
      <Fact title={t("exercise.kit")}>
        {variant.kit.length === 0
          ? t("plan.noKit")
          : variant.kit.map((piece) => label("kit", piece)).join(", ")}{" "}
        · {t(`position.${variant.position}`)}
        {effort && ` · ${t("exercise.effort")}: ${t(`exercise.effort.${effort}`)}`}
      </Fact>
      {breathing && <Fact title={t("exercise.breathing")}>{breathing}</Fact>}
      {safety && <Fact title={t("exercise.safety")}>{safety}</Fact>}
      {forbiddenBy && forbiddenBy.length > 0 && (
        <Fact title={t("exercise.forbidden")}>
          {forbiddenBy.map((code) => label("forbid", code)).join(", ")}
        </Fact>
      )}
      {leadsTo && leadsTo.length > 0 && (
        <Fact title={t("exercise.leadsTo")}>
          {leadsTo.map((id) => (
            <a key={id} className="link mr-3 inline-flex min-h-11 items-center" href={`/library/${id}`}>
              {nameOf(id)}
            </a>
          ))}
        </Fact>
      )}
    </div>
  );
}

function Fact({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section>
      <h2 className="font-semibold">{title}</h2>
      <div>{children}</div>
    </section>
  );
}
