import { t } from "~/messages/say";
import type { SetDraft } from "./session-draft";

interface Props {
  sets: readonly SetDraft[];
  chosen: number;
  involved: string;
  onChoose: (n: number) => void;
}

/** Every set in a row, with what has been said of it; one is open below. */
export default function SetStrip({ sets, chosen, involved, onChoose }: Props) {
  const numbers = sets.map((set, n) => sets.slice(0, n + 1).filter(({ side }) => side === set.side).length);
  return (
    <div className="mt-2 flex flex-wrap gap-2" role="group" aria-label={t("session.sets")}>
      {sets.map((set, n) => {
        const work = set.reps || set.holdSeconds || set.contacts || set.minutes;
        const felt =
          set.painDuring === null || set.effort === null ? "?" : `${set.painDuring} · ${set.effort}`;
        return (
          <button
            key={n}
            type="button"
            className={`btn h-auto min-h-12 flex-col gap-0 py-1 ${n === chosen ? "btn-neutral" : ""}`}
            aria-pressed={n === chosen}
            onClick={() => onChoose(n)}
          >
            <span className="text-xs font-normal">
              {t("session.set", { number: numbers[n] ?? 0 })}
              {set.side === "both" ? "" : ` ${t(`side.${set.side}`)}`}
              {set.side === involved ? " ●" : ""}
            </span>
            <span>
              {work} <span className="font-normal">({felt})</span>
            </span>
          </button>
        );
      })}
    </div>
  );
}
