import { Pencil } from "lucide-react";
import type { LiftsView } from "~/contract/lifts";
import { label, sayDate, sayWeight, t } from "~/messages/say";

interface Props {
  lifts: LiftsView["lifts"];
  /** Null where somebody may only read. */
  onCorrect: ((entry: LiftsView["lifts"][number]) => void) | null;
}

/** Everything lifted, newest first. */
export default function LiftLog({ lifts, onCorrect }: Props) {
  return (
    <section className="bg-base-100 border-base-300 rounded-box border p-3" data-testid="lift-log">
      <h2 className="text-lg font-semibold">{t("lifts.log")}</h2>
      {lifts.length === 0 && <p className="text-sm">{t("lifts.none")}</p>}
      <ul>
        {lifts.map((entry) => {
          const { id, on, movement, sets, reps, loadKg, felt, note, by } = entry;
          return (
            <li key={id} className="border-base-300 flex items-center gap-2 border-t py-1">
              <div className="min-w-0 flex-1">
                <p className="flex flex-wrap gap-x-3">
                  <span className="text-base-content/75 w-22 text-sm">{sayDate(on)}</span>
                  <span className="font-medium">{movement}</span>
                  <span className="tabular-nums">
                    {t("lifts.line", { sets, reps, load: sayWeight(loadKg) })}
                  </span>
                  {felt && <span className="text-sm">{label("lifts.felt", felt)}</span>}
                </p>
                <p className="text-base-content/75 text-xs">{note ? `${note} · ${by}` : by}</p>
              </div>
              {onCorrect && (
                <button
                  type="button"
                  className="btn btn-ghost btn-square"
                  aria-label={`${t("lifts.correct")}: ${movement}, ${sayDate(on)}`}
                  onClick={() => onCorrect(entry)}
                >
                  <Pencil className="size-4" aria-hidden />
                </button>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
