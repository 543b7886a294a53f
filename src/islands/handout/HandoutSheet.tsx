import type { HandoutView } from "~/contract/handout";
import { sheetNames } from "~/messages/sheet-names";
import type { Speaker } from "~/messages/speaker";
import HandoutItem from "./HandoutItem";
import HandoutWeek from "./HandoutWeek";
import { codePlace } from "./code-place";
import "./handout.css";

/** What stands on the sheet that a patient takes home, in the language of whoever says it; a code for the phone comes in its place. */
export default function HandoutSheet({ handout, say }: { handout: HandoutView; say: Speaker }) {
  const { person, calls, items, days, limits, school } = handout;
  const names = sheetNames(items, say);
  return (
    <div lang={say.language}>
      <header className="flex flex-wrap items-baseline justify-between gap-2">
        <h2>{say.t("handout.heading", { name: `${person.givenName} ${person.familyName}` })}</h2>
        <p>{say.t("handout.date", { clinic: handout.clinicName, date: say.longDate(handout.today) })}</p>
      </header>
      <ul className="handout-items">
        {items.map((item, n) => (
          <HandoutItem
            key={item.itemId}
            item={item}
            name={names[n] ?? item.name}
            number={n + 1}
            handout={handout}
            say={say}
          />
        ))}
      </ul>
      <HandoutWeek items={items} days={days} say={say} />
      <div className="handout-boxes">
        <section>
          <h3>{say.t("handout.pain")}</h3>
          <p>{say.t(`phone.rule.${school}`)}</p>
          {limits.length > 0 && (
            <>
              <h3>{say.t("handout.limits")}</h3>
              <ul className="list-disc pl-5">
                {limits.map(({ says, until }) => (
                  <li key={says}>
                    {say.text(says)}
                    {until ? `, ${say.t("handout.until", { date: say.date(until) })}` : ""}
                  </li>
                ))}
              </ul>
            </>
          )}
          <div id={codePlace} />
        </section>
        <section className="handout-stop">
          <h3>{say.t("handout.stop")}</h3>
          <p>{say.t("handout.stopWhen")}</p>
          <ul className="list-disc pl-5">
            {say
              .t("handout.stopSigns")
              .split("\n")
              .map((sign) => (
                <li key={sign}>{sign}</li>
              ))}
          </ul>
          <dl>
            {(["emergency", "same-day", "review"] as const).map((urgency) => (
              <div key={urgency}>
                <dt>{say.t(`handout.${urgency}`)}</dt>
                <dd>{calls[urgency]}</dd>
              </div>
            ))}
          </dl>
        </section>
      </div>
      <footer>{say.t("handout.foot")}</footer>
    </div>
  );
}
