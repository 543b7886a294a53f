import { FileDown, Printer, QrCode } from "lucide-react";
import { useState } from "react";
import type { HandoutView, SheetBody } from "~/contract/handout";
import { languages, type Language } from "~/contract/languages";
import type { PhoneLink } from "~/contract/phones";
import type { Problem } from "~/contract/problem";
import { call } from "~/islands/frame/call";
import FilterSelect from "~/islands/frame/FilterSelect";
import { island } from "~/islands/frame/island";
import { saveFile } from "~/islands/frame/save-file";
import ProblemNote from "~/islands/frame/ProblemNote";
import { sayDate, sayLongDate, sayTime, t } from "~/messages/say";
import HandoutItem from "./HandoutItem";
import HandoutWeek from "./HandoutWeek";
import "./handout.css";

/** The sheet that a patient takes home, as it is printed: in usual or large letters, in colour or without. */
function HandoutPage({ handout }: { handout: HandoutView }) {
  const { episodeId: id, person, calls, items, days, limits, school, zone } = handout;
  const [large, setLarge] = useState(false);
  const [mono, setMono] = useState(false);
  const [code, setCode] = useState<PhoneLink | null>(null);
  const [problem, setProblem] = useState<Problem | null>(null);
  const [language, setLanguage] = useState<Language>("en");
  const [paper, setPaper] = useState<SheetBody["paper"]>("a4");
  const [busy, setBusy] = useState(false);
  const savePdf = async () => {
    setBusy(true);
    const answer = await call(
      "printHandout",
      { id },
      {
        language,
        paper,
        letters: large ? "large" : "usual",
        ink: mono ? "black" : "colour",
        ...(code ? { phone: { token: code.token, code: code.code } } : {}),
      },
    );
    setBusy(false);
    setProblem(answer.ok ? null : answer.problem);
    if (answer.ok) saveFile(answer.value as Blob, "exercises.pdf");
  };
  const addCode = async () => {
    const answer = await call("makePhoneLink", { id });
    setProblem(answer.ok ? null : answer.problem);
    if (answer.ok) setCode(answer.value);
  };
  return (
    <div className="mx-auto max-w-4xl p-4 print:max-w-none print:p-0">
      <div className="mb-3 flex flex-wrap items-end gap-x-6 gap-y-2 print:hidden">
        {(
          [
            ["handout.large", large, setLarge],
            ["handout.mono", mono, setMono],
          ] as const
        ).map(([says, is, set]) => (
          <label key={says} className="flex min-h-11 cursor-pointer items-center gap-2 font-medium">
            <input type="checkbox" className="checkbox" checked={is} onChange={() => set(!is)} />
            {t(says)}
          </label>
        ))}
        {handout.mayMakeCode && (
          <button type="button" className="btn" onClick={() => void addCode()}>
            <QrCode className="size-5" aria-hidden />
            {t("handout.addCode")}
          </button>
        )}
        <button type="button" className="btn" onClick={() => print()}>
          <Printer className="size-5" aria-hidden />
          {t("handout.print")}
        </button>
        <div className="flex flex-wrap items-end gap-2">
          <div className="w-36">
            <FilterSelect
              name={t("handout.language")}
              value={language}
              onValue={(value) => setLanguage(value as Language)}
              options={languages.map((one) => [one, t(`handout.language.${one}`)])}
            />
          </div>
          <div className="w-24">
            <FilterSelect
              name={t("handout.paper")}
              value={paper}
              onValue={(value) => setPaper(value as SheetBody["paper"])}
              options={(["a4", "letter"] as const).map((one) => [one, t(`handout.paper.${one}`)])}
            />
          </div>
          <button type="button" className="btn btn-primary" disabled={busy} onClick={() => void savePdf()}>
            <FileDown className="size-5" aria-hidden />
            {t("handout.pdf")}
          </button>
        </div>
      </div>
      <ProblemNote problem={problem} />
      <article
        className={`handout ${large ? "handout-large" : ""} ${mono ? "handout-mono" : ""}`}
        data-testid="handout"
      >
        <header className="flex flex-wrap items-baseline justify-between gap-2">
          <h2>{t("handout.heading", { name: `${person.givenName} ${person.familyName}` })}</h2>
          <p>{t("handout.date", { clinic: handout.clinicName, date: sayLongDate(handout.today) })}</p>
        </header>
        <ul className="handout-items">
          {items.map((item, n) => (
            <HandoutItem key={item.itemId} item={item} number={n + 1} handout={handout} />
          ))}
        </ul>
        <HandoutWeek items={items} days={days} />
        <div className="handout-boxes">
          <section>
            <h3>{t("handout.pain")}</h3>
            <p>{t(`phone.rule.${school}`)}</p>
            {limits.length > 0 && (
              <>
                <h3>{t("handout.limits")}</h3>
                <ul className="list-disc pl-5">
                  {limits.map(({ says, until }) => (
                    <li key={says}>
                      {says}
                      {until ? `, ${t("handout.until", { date: sayDate(until) })}` : ""}
                    </li>
                  ))}
                </ul>
              </>
            )}
            {code && (
              <div className="handout-code" data-testid="handout-code">
                <h3>{t("handout.phone")}</h3>
                <img src={`data:image/svg+xml,${encodeURIComponent(code.picture)}`} alt="" />
                <p>
                  {t("handout.phoneSays", {
                    address: code.address,
                    code: code.code,
                    until: sayTime(code.expiresAt, zone),
                  })}
                </p>
              </div>
            )}
          </section>
          <section className="handout-stop">
            <h3>{t("handout.stop")}</h3>
            <p>{t("handout.stopWhen")}</p>
            <ul className="list-disc pl-5">
              {t("handout.stopSigns")
                .split("\n")
                .map((sign) => (
                  <li key={sign}>{sign}</li>
                ))}
            </ul>
            <dl>
              {(["emergency", "same-day", "review"] as const).map((urgency) => (
                <div key={urgency}>
                  <dt>{t(`handout.${urgency}`)}</dt>
                  <dd>{calls[urgency]}</dd>
                </div>
              ))}
            </dl>
          </section>
        </div>
        <footer>{t("handout.foot")}</footer>
      </article>
    </div>
  );
}

export default island(HandoutPage);
