import type { Exercise } from "~/core/exercise/exercise";
import { firstPrescription } from "~/core/exercise/exercise";
import type { InvolvedSide } from "~/core/measure/side-value";
import FigureThumb from "~/islands/figure/FigureThumb";
import { t } from "~/messages/say";

interface Props {
  exercise: Exercise;
  chosen: string;
  heightM: number | null;
  side: InvolvedSide;
  onChoose: (variantId: string) => void;
}

/** The variants of an exercise as a run of rising steps, each with its figure; the chosen one says so. */
export default function ProgressionRun({ exercise, chosen, heightM, side, onChoose }: Props) {
  const { variants } = exercise;
  return (
    <section aria-label={t("exercise.run")}>
      <h2 className="font-semibold">{t("exercise.run")}</h2>
      <ol className="mt-1 flex items-end gap-1 overflow-x-auto pb-1" data-testid="run">
        {variants.map((variant, at) => {
          const here = variant.id === chosen;
          const rise = ["pb-0", "pb-2", "pb-4", "pb-6", "pb-8", "pb-10", "pb-12"][Math.min(6, at)];
          return (
            <li key={variant.id} className={`w-36 shrink-0 ${rise}`}>
              <button
                type="button"
                className={`rounded-box flex h-40 w-full cursor-pointer flex-col items-center border-2 p-1 text-center text-sm ${
                  here ? "border-primary bg-base-100" : "border-base-300 bg-base-100"
                }`}
                aria-current={here ? "step" : undefined}
                onClick={() => onChoose(variant.id)}
              >
                <FigureThumb
                  exercise={exercise}
                  prescription={firstPrescription(variant)}
                  heightM={heightM}
                  side={side}
                  className="h-20 w-full"
                />
                <span className="leading-tight">{variant.name}</span>
                <span className={here ? "font-semibold" : "text-base-content/75"}>
                  {here ? t("exercise.here") : t("exercise.step", { at: at + 1, count: variants.length })}
                </span>
              </button>
            </li>
          );
        })}
      </ol>
    </section>
  );
}
