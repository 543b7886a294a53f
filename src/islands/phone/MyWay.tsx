import type { PhoneView } from "~/contract/phone";
import { sayDate, sayTime, t } from "~/messages/say";
import OwnNumbers from "./OwnNumbers";
import RemindBox from "./RemindBox";

const most = 10;
const barWidth = 100;

/** What the patient sees of themselves: where on the stair, what is still needed, pain by day, the rule, what the clinic wrote. */
export default function MyWay({ view }: { view: PhoneView }) {
  const { stages, at, waitsFor } = view.stair;
  const next = stages[at + 1];
  return (
    <section className="flex flex-col gap-5 p-4 text-lg">
      <div>
        <h1 className="text-2xl font-bold">{t("phone.stair")}</h1>
        <p className="mt-1">
          {t("phone.step", { number: at + 1, of: stages.length })}: <strong>{stages[at]?.name}</strong>
        </p>
        <ol className="mt-2 flex items-end gap-1" aria-hidden>
          {stages.map((stage, n) => (
            <li
              key={stage.name}
              className={`flex-1 rounded-t ${n < at ? "bg-primary/45" : n === at ? "bg-primary" : "bg-base-300"}`}
              style={{ height: `${1 + n * 0.6}rem` }}
            />
          ))}
        </ol>
        <p className="text-base-content/85 mt-2">{stages[at]?.aim}</p>
      </div>
      <div>
        <h2 className="text-xl font-bold">
          {next ? t("phone.nextStep", { name: next.name }) : t("phone.lastStep")}
        </h2>
        {next && waitsFor.length > 0 && (
          <>
            <p>{t("phone.waitsFor")}</p>
            <ul className="list-disc pl-6">
              {waitsFor.map((one) => (
                <li key={one.kind === "test" ? one.name : "days"}>
                  {one.kind === "test" ? one.name : t("phone.waitsDays", { days: one.days })}
                </li>
              ))}
            </ul>
          </>
        )}
        {next && waitsFor.length === 0 && <p>{t("phone.waitsNothing")}</p>}
      </div>
      <div>
        <h2 className="text-xl font-bold">{t("phone.painChart")}</h2>
        <p>{t(`phone.rule.${view.school}`)}</p>
        {view.pains.length === 0 ? (
          <p>{t("phone.noPainYet")}</p>
        ) : (
          <table className="mt-2 w-full text-base">
            <thead>
              <tr className="text-left">
                <th scope="col" className="sr-only">
                  {t("phone.today")}
                </th>
                <th scope="col">{t("phone.painDuring")}</th>
                <th scope="col">{t("phone.painAfter")}</th>
              </tr>
            </thead>
            <tbody>
              {[...view.pains].reverse().map(({ date, during, after }) => (
                <tr key={date} className="border-base-300 border-t">
                  <th scope="row" className="py-1 pr-2 text-left font-normal whitespace-nowrap">
                    {sayDate(date)}
                  </th>
                  <td>
                    <Bar value={during} look="fill-primary" />
                  </td>
                  <td>{after === null ? "–" : <Bar value={after} look="fill-accent" />}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </div>
      <OwnNumbers numbers={view.numbers ?? []} />
      <RemindBox days={view.days} />
      {view.messages.length > 0 && (
        <div>
          <h2 className="text-xl font-bold">{t("phone.messages")}</h2>
          <ul className="flex flex-col gap-2">
            {view.messages.map(({ id, at: when, by, words }) => (
              <li key={id} className="bg-base-100 border-base-300 rounded-box border p-3">
                <p className="whitespace-pre-wrap">{words}</p>
                <p className="text-base-content/75 text-sm">
                  {by}, {sayTime(when, view.zone)}
                </p>
              </li>
            ))}
          </ul>
        </div>
      )}
    </section>
  );
}

function Bar({ value, look }: { value: number; look: string }) {
  return (
    <span className="flex items-center gap-2">
      <svg viewBox={`0 0 ${barWidth} 10`} className="h-3 w-20" aria-hidden>
        <rect width={barWidth} height="10" className="fill-base-300" />
        <rect width={(barWidth * value) / most} height="10" className={look} />
      </svg>
      <span className="tabular-nums">{value}</span>
    </span>
  );
}
