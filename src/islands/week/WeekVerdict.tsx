import type { WeekPiece } from "~/contract/week";
import type { JudgeWeekOutput } from "~/core/week/judge-week";
import type { WeekItem } from "~/core/week/week";
import { sayWeekWords } from "~/messages/say-week";
import { t } from "~/messages/say";
import type { WeekDraft } from "./week-draft";

interface Props {
  verdict: JudgeWeekOutput;
  draft: WeekDraft;
  items: readonly WeekItem[];
  pieces: readonly WeekPiece[];
  /** Picks an exercise that should stand more often, to put it on a day. */
  onPick: (item: string) => void;
}

/** What a week breaks, what gives way, and what does not stand often enough. */
export default function WeekVerdict({ verdict, draft, items, pieces, onPick }: Props) {
  const say = (words: string) => sayWeekWords(words, pieces);
  const timesOf = (id: string) => draft.placed.filter(({ item }) => item === id).length;
  const off = items.filter(({ id, minDays }) => timesOf(id) < minDays);
  return (
    <div className="grid items-start gap-3 md:grid-cols-3">
      {verdict.hard.length > 0 && (
        <section className="bg-base-100 border-error rounded-box border p-3" data-testid="broken">
          <h3 className="text-error font-semibold">{t("week.broken")}</h3>
          <ul className="list-disc pl-5 text-sm">
            {verdict.hard.map(({ rule, item, date, words }) => (
              <li key={`${rule} ${item} ${date}`}>{say(words)}</li>
            ))}
          </ul>
        </section>
      )}
      <section className="bg-base-100 border-base-300 rounded-box border p-3" data-testid="lacking">
        <h3 className="font-semibold">{t("week.lacking")}</h3>
        {verdict.soft.length === 0 && <p className="text-sm">{t("week.sound")}</p>}
        <ul className="list-disc pl-5 text-sm">
          {verdict.soft.map(({ rule, item, lane, date, words }) => (
            <li key={`${rule} ${item} ${lane} ${date}`}>{say(words)}</li>
          ))}
        </ul>
      </section>
      {off.length > 0 && (
        <section className="bg-base-100 border-base-300 rounded-box border p-3">
          <h3 className="font-semibold">{t("week.off")}</h3>
          <ul className="mt-1 flex flex-wrap gap-1">
            {off.map(({ id, minDays }) => (
              <li key={id}>
                <button type="button" className="btn btn-sm min-h-11" onClick={() => onPick(id)}>
                  {t("week.offTimes", {
                    name: pieces.find(({ itemId }) => itemId === id)?.name ?? "",
                    placed: timesOf(id),
                    wanted: minDays,
                  })}
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
      <details className="text-base-content/80 text-sm">
        <summary className="min-h-8 cursor-pointer font-semibold">{t("week.rulesTitle")}</summary>
        <p>{t("week.rules")}</p>
      </details>
    </div>
  );
}
