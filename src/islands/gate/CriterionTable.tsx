import type { ReactNode } from "react";
import type { CriterionResult } from "~/core/gate/gate";
import { canBeJudged } from "~/core/gate/judged-in-writing";
import type { GateView } from "~/contract/gate";
import ReasonForm from "~/islands/frame/ReasonForm";
import { sayAsked, sayFound } from "~/messages/say-criterion";
import { sayDate, sayNumber, sayTime, t } from "~/messages/say";
import { verdictLook } from "./verdict-look";

/** Every criterion: value, threshold, verdict with its error, when it was taken and where the threshold comes from. */
export default function CriterionTable({
  view,
  onJudged,
}: {
  view: GateView;
  onJudged: (now: GateView) => void;
}) {
  return (
    <div
      className="bg-base-100 border-base-300 rounded-box relative mt-3 overflow-x-auto border print:border-0"
      role="region"
      aria-label={t("gate.criterion")}
      tabIndex={0}
    >
      <table className="w-full text-sm" data-testid="criteria">
        <thead className="bg-base-200 text-left max-sm:hidden">
          <tr>
            <th scope="col" className="px-3 py-2">
              {t("gate.criterion")}
            </th>
            <th scope="col" className="px-2 py-2 text-right">
              {t("gate.value")}
            </th>
            <th scope="col" className="px-2 py-2 text-right">
              {t("gate.asked")}
            </th>
            <th scope="col" className="px-2 py-2">
              {t("gate.verdict")}
            </th>
            <th scope="col" className="px-3 py-2 text-right">
              {t("gate.taken")}
            </th>
          </tr>
        </thead>
        <tbody>
          {view.gate?.criteria.map((criterion) => (
            <Line
              key={criterion.id}
              criterion={criterion}
              source={view.sources[criterion.id]}
              word={<Word view={view} criterion={criterion} onJudged={onJudged} />}
            />
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** A criterion that no number can decide: what a clinician wrote of it, or where to write it. */
function Word({
  view,
  criterion,
  onJudged,
}: {
  view: GateView;
  criterion: CriterionResult;
  onJudged: (now: GateView) => void;
}) {
  const said = view.words.find((word) => word.criterion === criterion.id);
  if (said && criterion.note === "clinician-word") {
    const date = sayTime(said.at, view.zone);
    return <p className="text-xs">{t("gate.wordBy", { reason: said.reason, by: said.by, date })}</p>;
  }
  if (!view.maySign || !canBeJudged(criterion)) return null;
  return (
    <details className="mt-1 print:hidden">
      <summary className="btn btn-sm min-h-11">{t("gate.word")}</summary>
      <ReasonForm
        write="judgeCriterion"
        values={{ id: view.episodeId }}
        body={(reason) => ({ criterion: criterion.id, reason })}
        about={criterion.id}
        label={t("gate.wordReason")}
        submit={t("gate.wordSign")}
        onDone={({ gate }) => onJudged(gate)}
      />
    </details>
  );
}

function Line({
  criterion,
  source,
  word,
}: {
  criterion: CriterionResult;
  source: GateView["sources"][string] | undefined;
  word: ReactNode;
}) {
  const { Icon, tone } = verdictLook[criterion.verdict];
  const { probability, low95, high95, early, note } = criterion;
  return (
    <tr
      className="border-base-300 border-t align-top max-sm:grid max-sm:grid-cols-2"
      data-testid={`criterion-${criterion.id}`}
    >
      <td className="px-3 py-2 max-sm:col-span-2">
        <p className="font-medium">
          {criterion.name}
          {!criterion.required && (
            <span className="text-base-content/75 font-normal"> ({t("criterion.optional")})</span>
          )}
        </p>
        <p className="text-base-content/75 text-xs">
          {note && t(`note.${note}`)}
          {note && source && " · "}
          {source && saySource(source)}
        </p>
        {word}
      </td>
      <td className="px-2 py-2 text-right whitespace-nowrap max-sm:px-3 max-sm:text-left max-sm:whitespace-normal">
        <span className="font-semibold">
          {criterion.value === null ? "–" : sayFound(criterion.value, criterion)}
        </span>
        {low95 !== null && high95 !== null && (
          <span className="block text-xs">
            {t("gate.interval", { low: sayNumber(low95), high: sayNumber(high95) })}
          </span>
        )}
        {early && (
          <span className="block text-xs">
            {t("gate.early", { percent: sayNumber(early.percent), kind: t(`early.${early.kind}`) })}
          </span>
        )}
      </td>
      <td className="px-2 py-2 text-right whitespace-nowrap max-sm:px-3 max-sm:text-left max-sm:whitespace-normal">
        {sayAsked(criterion)}
      </td>
      <td className={`px-2 py-2 max-sm:px-3 ${tone}`}>
        <span className="inline-flex items-center gap-1 font-medium">
          <Icon className="size-4 shrink-0" aria-hidden /> {t(`criterion.${criterion.verdict}`)}
        </span>
        {probability !== null && (
          <span className="text-base-content/75 block text-xs">
            {t("gate.probability", { percent: sayProbability(probability) })}
          </span>
        )}
      </td>
      <td className="px-3 py-2 text-right whitespace-nowrap max-sm:text-left">
        {criterion.takenOn ? sayDate(criterion.takenOn) : "–"}
        {criterion.ageDays !== null && (
          <span className="block text-xs">{t("gate.age", { days: criterion.ageDays })}</span>
        )}
      </td>
    </tr>
  );
}

/** Never '0 %' or '100 %': a probability from an error of measurement is not a certainty. */
function sayProbability(probability: number): string {
  const percent = Math.round(probability * 100);
  if (percent <= 0) return "< 1";
  return percent >= 100 ? "> 99" : String(percent);
}

function saySource({ kind, cite, recalled }: NonNullable<GateView["sources"][string]>): string {
  if (kind !== "published" || !cite) return t(`source.${kind}`);
  return recalled ? t("source.recalled", { cite }) : cite;
}
