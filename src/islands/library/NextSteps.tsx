import { noDrawings } from "~/core/demand/no-drawings";
import { easier } from "~/core/progression/easier";
import { variantOf, type Exercise } from "~/core/exercise/exercise";
import { harder, type Harder } from "~/core/progression/harder";
import type { Prescription } from "~/core/exercise/prescription";
import { sayKnobValue } from "~/messages/say-knob-value";
import { label, t } from "~/messages/say";

/** In the library nobody's limits apply; a patient's plan asks again with theirs. */
const withoutLimits = { restrictions: [], today: "2000-01-01", book: noDrawings } as const;

/** The one knob that would be turned next, both ways. */
export default function NextSteps({
  exercise,
  prescription,
}: {
  exercise: Exercise;
  prescription: Prescription;
}) {
  return (
    <dl className="mt-3 grid grid-cols-[auto_1fr] gap-x-3 text-sm" data-testid="next-steps">
      <dt className="text-base-content/75">{t("plan.harder")}</dt>
      <dd>{sayStep(exercise, harder(exercise, prescription, withoutLimits))}</dd>
      <dt className="text-base-content/75">{t("plan.easier")}</dt>
      <dd>{sayStep(exercise, easier(exercise, prescription, withoutLimits))}</dd>
    </dl>
  );
}

function sayStep(exercise: Exercise, found: Harder): string {
  if (found.found !== "change") return t("plan.spent");
  const { kind, knob, from, to, prescription } = found.change;
  const turned = t("change.knob", {
    knob: label("knob", knob),
    from: sayKnobValue(knob, from),
    to: sayKnobValue(knob, to),
  });
  return kind === "variant" ? `${variantOf(exercise, prescription.variantId).name} (${turned})` : turned;
}
