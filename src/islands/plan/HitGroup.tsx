import type { InvolvedSide } from "~/core/measure/side-value";
import FigureThumb from "~/islands/figure/FigureThumb";
import type { Prescription } from "~/core/exercise/prescription";
import { sameSetting } from "~/core/exercise/same-setting";
import type { CatalogueHit } from "~/contract/library";
import { sayDose } from "~/messages/say-dose";
import { label, sayNumber, t } from "~/messages/say";

interface Props {
  variants: readonly CatalogueHit[];
  heightM: number | null;
  side: InvolvedSide;
  /** The settings of it that stand in the plan. */
  present: readonly Prescription[];
  onAdd: ((hit: CatalogueHit) => void) | null;
  onDose: ((hit: CatalogueHit) => void) | null;
}

/** One exercise with the variants of it that were found, easy to hard. */
export default function HitGroup({ variants, heightM, side, present, onAdd, onDose }: Props) {
  const [first] = variants;
  if (!first) return null;
  return (
    <li className="py-2">
      <p className="leading-tight font-semibold">
        {first.exerciseName}
        <span className="text-base-content/75 ml-2 text-sm font-normal">{t(`lane.${first.lane}`)}</span>
        {first.own && <span className="badge badge-sm ml-2">{t("plan.own")}</span>}
        {present.length > 0 && <span className="text-success ml-2 text-sm">{t("plan.inPlan")}</span>}
      </p>
      <ul>
        {variants.map((hit) => (
          <li key={hit.variantId} className="grid min-h-12 grid-cols-[3.5rem_1fr_auto] items-center gap-x-3">
            <FigureThumb
              exercise={{ id: hit.exerciseId, lane: hit.lane, drawnLike: hit.drawnLike ?? undefined }}
              prescription={hit.prescription}
              heightM={heightM}
              side={side}
              className="size-14"
            />
            <div className="min-w-0">
              <p className="text-sm">{hit.variantName}</p>
              <p className="text-base-content/75 text-sm">
                {sayDose(hit.prescription, null)} ·{" "}
                {t("plan.minutes", { minutes: sayNumber(Math.round(hit.time.minutes * 2) / 2) })} ·{" "}
                {sayKit(hit)}
              </p>
            </div>
            {onAdd && onDose && (
              <div className="flex gap-1">
                <button
                  type="button"
                  className="btn btn-ghost px-2"
                  data-hit={hit.variantId}
                  aria-label={t("plan.addDoseOf", { exercise: hit.exerciseName, variant: hit.variantName })}
                  onClick={() => onDose(hit)}
                >
                  {t("plan.addDose")}
                </button>
                {!present.some((one) => sameSetting(one, hit.prescription)) && (
                  <button
                    type="button"
                    className="btn"
                    aria-label={t("plan.addOf", { exercise: hit.exerciseName, variant: hit.variantName })}
                    onClick={() => onAdd(hit)}
                  >
                    {t("plan.add")}
                  </button>
                )}
              </div>
            )}
          </li>
        ))}
      </ul>
    </li>
  );
}

function sayKit({ kit }: CatalogueHit): string {
  if (kit.length === 0) return t("plan.noKit");
  return t("plan.needs", { kit: kit.map((piece) => label("kit", piece)).join(", ") });
}
