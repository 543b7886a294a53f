import type { WeekView } from "~/contract/week";
import { beforeTraining } from "~/core/week/before-training";
import { dayOrder } from "~/core/week/day-order";
import { sayDose } from "~/messages/say-dose";
import { sayDate, sayLongDate, sayNumber, t } from "~/messages/say";
import type { WeekDraft } from "./week-draft";

/** The week on paper: day by day in its order, each exercise with its dose. */
export default function WeekPrint({ week, draft }: { week: WeekView; draft: WeekDraft }) {
  const { question, pieces, person } = week;
  return (
    <div className="hidden print:block" data-testid="week-print">
      <h1 className="text-2xl font-bold">
        {t("week.printTitle")}: {person.givenName} {person.familyName}
      </h1>
      <p>{t("week.of", { date: sayLongDate(week.startsOn) })}</p>
      {draft.days.map(({ date, where = "home", training }) => {
        const ids = draft.placed.filter((one) => one.date === date).map(({ item }) => item);
        const items = dayOrder(question.items.filter(({ id }) => ids.includes(id)));
        if (items.length === 0) return null;
        const before = training ? beforeTraining(items) : items;
        const minutes = items.reduce((sum, item) => sum + item.minutes, 0);
        return (
          <section key={date} className="mt-3 break-inside-avoid border-t pt-1">
            <h2 className="text-lg font-bold">
              {t("week.printDay", { day: sayDate(date), minutes: sayNumber(Math.round(minutes)) })}
              {where !== "home" && `, ${t(`week.place.${where}`)}`}
            </h2>
            <ol className="list-decimal pl-6">
              {items.map((item) => {
                const piece = pieces.find(({ itemId }) => itemId === item.id);
                return piece ? (
                  <li key={item.id}>
                    {!before.includes(item) && `${t("week.afterTraining")}: `}
                    <strong>{piece.name}</strong>, {piece.variantName}:{" "}
                    {sayDose(piece.prescription, piece.maximumN)}
                  </li>
                ) : null;
              })}
            </ol>
          </section>
        );
      })}
    </div>
  );
}
