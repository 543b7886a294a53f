import type { HandoutView } from "~/contract/handout";
import { sayPlannedDay } from "~/messages/say-planned-day";
import type { Speaker } from "~/messages/speaker";

const shown = 7;

interface Props extends Pick<HandoutView, "items" | "days"> {
  say: Speaker;
}

/** The coming days by the numbers of their exercises; free to choose where no week was laid out. */
export default function HandoutWeek({ items, days, say }: Props) {
  return (
    <section className="handout-week">
      <h3>{say.t("handout.week")}</h3>
      {days.length === 0 ? (
        <p>{say.t("handout.noWeek")}</p>
      ) : (
        <table>
          <tbody>
            <tr>
              {days.slice(0, shown).map(({ date }) => (
                <th key={date} scope="col">
                  {say.date(date)}
                </th>
              ))}
            </tr>
            <tr>
              {days.slice(0, shown).map((day) => (
                <td key={day.date}>{sayPlannedDay(items, day, say)}</td>
              ))}
            </tr>
          </tbody>
        </table>
      )}
    </section>
  );
}
