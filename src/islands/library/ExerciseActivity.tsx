import { enoughPercent } from "~/core/progression/activation-ranking";
import type { Exercise } from "~/core/exercise/exercise";
import { label, t } from "~/messages/say";
import ActivityBars from "./ActivityBars";

/** Published activity of the muscles of an exercise, muscle by muscle; nothing where no study has it. */
export default function ExerciseActivity({ exercise }: { exercise: Exercise }) {
  const rows = (exercise.activation ?? []).map(({ muscle, variantId, meanPercent, ...entry }) => {
    const variant = exercise.variants.find(({ id }) => id === variantId);
    return {
      name: `${label("muscle", muscle)}${variant ? `: ${variant.name}` : ""}`,
      variantId: variantId ?? null,
      meanPercent,
      sdPercent: entry.sdPercent,
      aboveThreshold: meanPercent > enoughPercent,
      source: entry.source,
      leftOut: entry.leftOut,
    };
  });
  if (rows.length === 0) return null;
  return (
    <section className="bg-base-100 border-base-300 rounded-box border p-3">
      <h2 className="font-semibold">{t("activity.title")}</h2>
      <p className="text-base-content/75 text-sm">
        {t("activity.caution")} {t("activity.line")}
      </p>
      <ActivityBars rows={rows} named />
    </section>
  );
}
