import type { LibraryEntry, LibraryPatient } from "~/contract/library";
import type { InvolvedSide } from "~/core/measure/side-value";
import FigureThumb from "~/islands/figure/FigureThumb";
import { label, t } from "~/messages/say";
import ActivityBars from "./ActivityBars";

interface Props {
  entry: LibraryEntry;
  patient: LibraryPatient | null;
  side: InvolvedSide;
  /** Ordered by activity: every card says what was measured. */
  byActivity: boolean;
}

/** Where an exercise opens, for a patient or without one. */
export function exerciseHref(
  exerciseId: string,
  variantId: string | undefined,
  episodeId: string | undefined,
): string {
  const params = new URLSearchParams();
  if (variantId) params.set("variant", variantId);
  if (episodeId) params.set("for", episodeId);
  const query = params.toString();
  return `/library/${exerciseId}${query ? `?${query}` : ""}`;
}

/** One exercise of the library with its figure; opens it. */
export default function LibraryCard({ entry, patient, side, byActivity }: Props) {
  const { exerciseId, name, lane, own, shown, variants, position, kit, activity, drawnLike } = entry;
  return (
    <li className="h-full">
      <a
        href={exerciseHref(exerciseId, patient ? shown.variantId : undefined, patient?.episodeId)}
        className="bg-base-100 border-base-300 rounded-box hover:border-primary flex h-full items-center gap-2 border p-2"
        data-testid={`entry-${exerciseId}`}
        data-card
      >
        <FigureThumb
          exercise={{ id: exerciseId, lane, ...(drawnLike ? { drawnLike } : {}) }}
          prescription={shown}
          heightM={patient?.heightM ?? null}
          side={side}
          className="size-24"
        />
        <span className="min-w-0 flex-1">
          <span className="block leading-tight font-semibold">{name}</span>
          <span className="text-base-content/80 block text-sm">
            {t(`lane.${lane}`)} · {t(`position.${position}`)}
          </span>
          <span className="text-base-content/80 block text-sm">
            {t("library.variants", { count: variants.length })} ·{" "}
            {kit.length === 0 ? t("plan.noKit") : kit.map((piece) => label("kit", piece)).join(", ")}
          </span>
          {own && <span className="badge badge-sm mr-1">{t("plan.own")}</span>}
          {patient?.inPlan.includes(exerciseId) && (
            <span className="text-success text-sm">{t("plan.inPlan")}</span>
          )}
          {byActivity &&
            (activity.length > 0 ? (
              <ActivityBars rows={activity} />
            ) : (
              <span className="text-base-content/75 block text-sm">{t("activity.notStudied")}</span>
            ))}
        </span>
      </a>
    </li>
  );
}
