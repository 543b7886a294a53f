import { later } from "~/islands/frame/later";
import ConditionChips from "~/islands/patient/ConditionChips";
import { useState } from "react";
import type { GateView } from "~/contract/gate";
import { label, sayDate, sayNumber, t } from "~/messages/say";
import CriterionTable from "./CriterionTable";
import MoveHistory from "./MoveHistory";
import PassingBox from "./PassingBox";
import { island } from "~/islands/frame/island";

const MoveForm = later(
  () => import("./MoveForm"),
  () => <div className="bg-base-100 border-base-300 rounded-box min-h-40 border" />,
);

/** The gate a patient stands before, on one page: read, printed, signed. */
function GatePage({ view: loaded }: { view: GateView }) {
  const [view, setView] = useState(loaded);
  const { gate, person, stages } = view;
  const at = stages.findIndex(({ code }) => code === view.stage);
  const next = stages[at + 1];
  const here = `/episodes/${view.episodeId}`;
  const changed = (now: GateView) => {
    setView(now);
  };

  return (
    <article className="mx-auto max-w-5xl px-4 py-4 print:max-w-none print:p-0">
      <p className="hidden text-sm print:block">{view.clinicName}</p>
      <div className="flex flex-wrap items-start gap-x-4 gap-y-2">
        <div className="min-w-0">
          <h2 className="text-xl leading-tight font-bold">
            {next
              ? t("gate.title", { from: stages[at]?.name ?? "", to: next.name })
              : t("gate.last", { stage: stages[at]?.name ?? "" })}
          </h2>
          <p className="hidden print:block">
            {person.givenName} {person.familyName}, {t("stair.years", { age: view.age })} · {view.activity} ·{" "}
            {view.diagnosis}, <strong>{t(`side.${view.involvedSide}`)}</strong>
          </p>
          <div className="hidden print:block">
            <ConditionChips conditions={person.conditions} />
          </div>
          <p className="text-base-content/80 text-sm">
            {view.pathwayName} · {t("gate.onset", { date: sayDate(view.onsetOn) })}
            {view.surgeryOn && ` · ${t("gate.surgery", { date: sayDate(view.surgeryOn) })}`} ·{" "}
            {t("stair.sinceStage", { date: sayDate(view.stageEnteredOn) })} ·{" "}
            {t("gate.asOf", { date: sayDate(view.today) })}
          </p>
        </div>
        <div className="ml-auto flex flex-wrap gap-2 print:hidden">
          <a className="btn bg-base-100 border-base-300" href={`${here}/measures`}>
            {t("gate.measure")}
          </a>
          <button type="button" className="btn bg-base-100 border-base-300" onClick={() => print()}>
            {t("record.print")}
          </button>
        </div>
      </div>

      {gate && (
        <>
          <p
            className={`rounded-box mt-3 border p-3 text-lg font-semibold ${gate.outcome === "open" ? "border-success text-success" : "border-base-300"}`}
            data-testid="gate-outcome"
          >
            {sayOutcome(view)}
          </p>
          <CriterionTable view={view} onJudged={changed} />
          {gate.measureNext.length > 0 && (
            <section className="mt-3">
              <h2 className="font-semibold">{t("gate.next")}</h2>
              <ol className="list-decimal pl-6" data-testid="measure-next">
                {gate.measureNext.map(({ measure, minutes, criteria }) => (
                  <li key={measure}>
                    {view.measureNames[measure] ?? measure}{" "}
                    <span className="text-base-content/75 text-sm">
                      {t("plan.minutes", { minutes: sayNumber(minutes) })} ·{" "}
                      {t("gate.decides", { count: criteria.length })}
                    </span>
                  </li>
                ))}
              </ol>
            </section>
          )}
          {(gate.barred ?? []).length > 0 && (
            <section className="mt-3">
              <h2 className="font-semibold">{t("gate.barred")}</h2>
              <ul className="list-disc pl-6" data-testid="measure-barred">
                {gate.barred?.map(({ measure, says }) => (
                  <li key={measure}>
                    {view.measureNames[measure] ?? measure}{" "}
                    <span className="text-base-content/75 text-sm">{says}</span>
                  </li>
                ))}
              </ul>
            </section>
          )}
        </>
      )}
      <div className="mt-4 grid items-start gap-4 md:grid-cols-2 print:hidden">
        <MoveForm view={view} onSigned={changed} />
        {gate && <PassingBox view={view} onSet={changed} />}
      </div>
      <MoveHistory view={view} />
      <footer className="mt-6 hidden text-sm print:block">
        <p>{t("signIn.notice")}</p>
        <p className="mt-10 border-t pt-1">{t("gate.signature")}</p>
      </footer>
    </article>
  );
}

function sayOutcome({ gate }: GateView): string {
  if (!gate) return "";
  if (gate.outcome === "open") return t("gate.open");
  if (gate.rule === "gate-stop")
    return t("gate.stop", { signals: (gate.halts ?? []).map((code) => label("signal", code)).join("; ") });
  const required = gate.criteria.filter((c) => c.required);
  const open = required.filter((c) => !c.passes).length;
  const time = gate.daysLeft > 0 ? `${t("stair.gateTime", { days: gate.daysLeft })} ` : "";
  return `${t("gate.closed")} ${time}${t("gate.missing", { open, all: required.length })}`;
}

export default island(GatePage);
