import type { InvolvedSide } from "~/core/measure/side-value";
import FigureThumb from "~/islands/figure/FigureThumb";
import type { CatalogueHit } from "~/contract/library";
import { sayDose } from "~/messages/describe";
import { label, sayNumber, t } from "~/messages/say";

interface Props {
  variants: readonly CatalogueHit[];
  heightM: number | null;
  side: InvolvedSide;
  inPlan: boolean;
  onAdd: ((hit: CatalogueHit) => void) | null;
}

/** One exercise with the variants of it that were found, easy to hard. */
export default function HitGroup({ variants, heightM, side, inPlan, onAdd }: Props) {
  const [first] = variants;
  if (!first) return null;
  return (
    <li className="py-2">
      <p className="leading-tight font-semibold">
        {first.exerciseName}
        <span className="text-base-content/75 ml-2 text-sm font-normal">{t(`lane.${first.lane}`)}</span>
        {first.own && <span className="badge badge-sm ml-2">{t("plan.own")}</span>}
        {inPlan && <span className="text-success ml-2 text-sm">{t("plan.inPlan")}</span>}
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
            {!inPlan && onAdd && (
              <button
                type="button"
                className="btn"
                aria-label={t("plan.addOf", { exercise: hit.exerciseName, variant: hit.variantName })}
                onClick={() => onAdd(hit)}
              >
                {t("plan.add")}
              </button>
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
