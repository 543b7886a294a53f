import type { HandoutView } from "~/contract/handout";
import { sayDate, t } from "~/messages/say";
import { sayPlannedDay } from "~/messages/say-planned-day";

const shown = 7;

/** The coming days by the numbers of their exercises; free to choose where no week was laid out. */
export default function HandoutWeek({ items, days }: Pick<HandoutView, "items" | "days">) {
  return (
    <section className="handout-week">
      <h3>{t("handout.week")}</h3>
      {days.length === 0 ? (
        <p>{t("handout.noWeek")}</p>
      ) : (
        <table>
          <tbody>
            <tr>
              {days.slice(0, shown).map(({ date }) => (
                <th key={date} scope="col">
                  {sayDate(date)}
                </th>
              ))}
            </tr>
            <tr>
              {days.slice(0, shown).map((day) => (
                <td key={day.date}>{sayPlannedDay(items, day, { t })}</td>
              ))}
            </tr>
          </tbody>
        </table>
      )}
    </section>
  );
}
