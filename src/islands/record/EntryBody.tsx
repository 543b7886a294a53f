import type { RecordEntry, RecordView } from "~/contract/record";
import { CopyCheck } from "lucide-react";
import { label, sayDate, sayTime, t } from "~/messages/say";
import DecisionBody from "./DecisionBody";
import EntryActs from "./EntryActs";
import OneResult from "./OneResult";
import VoidedNote from "./VoidedNote";
import { saySets } from "~/messages/say-sets";

type Of<K extends RecordEntry["kind"]> = Extract<RecordEntry, { kind: K }>;
type Bodies = {
  [K in RecordEntry["kind"]]: (entry: Of<K>, record: RecordView, onChanged: () => void) => React.ReactNode;
};

/** How each kind of entry is told. */
const bodies: Bodies = {
  session: ({ session, corrected, alsoIn }, record) => (
    <>
      {alsoIn.length > 0 && (
        <p className="text-warning flex items-start gap-1 font-medium" data-testid="done-twice">
          <CopyCheck className="mt-1 size-4 shrink-0" aria-hidden />
          {t("record.doneTwice", {
            exercises: alsoIn.map(({ itemId }) => exerciseName(record, itemId)).join(", "),
            time: sayTime(alsoIn[0]?.at ?? session.at, record.zone),
          })}
        </p>
      )}
      {corrected && <p className="font-semibold">{t("record.corrected")}</p>}
      {session.supersedes && <p>{t("record.corrects")}</p>}
      <p>{t("record.sessionLine", { pain: session.painBefore, minutes: session.minutes ?? 0 })}</p>
      {session.footwear && <p>{label("session.footwear", session.footwear)}</p>}
      {session.alone && <p>{t("told.alone")}</p>}
      {session.skipped && (
        <p>
          {t("told.skipped", {
            what: session.skipped
              .map(({ itemId, why }) => `${exerciseName(record, itemId)} (${t(`told.skip.${why}`)})`)
              .join(", "),
          })}
        </p>
      )}
      {session.stillSore && <p>{t("record.stillSore")}</p>}
      <ul className="list-disc pl-5">
        {session.items.map((done) => (
          <li key={done.itemId}>{saySets(doneIn(record, done.itemId), done.sets)}</li>
        ))}
      </ul>
    </>
  ),
  report: ({
    trainingDate,
    pain,
    stiffnessMinutes,
    swelling,
    settledHours,
    loadTestPain,
    otherLoad,
    late,
    corrected,
  }) => (
    <p>
      {corrected && <span className="font-semibold">{t("record.corrected")} </span>}
      {t("record.reportLine", {
        date: sayDate(trainingDate),
        pain,
        stiff: stiffnessMinutes === null ? "" : t("record.stiff", { minutes: stiffnessMinutes }),
        swelling: [
          swelling === null ? "" : t("record.swelling", { swelling: label("report", swelling) }),
          settledHours === null ? "" : t("record.settled", { hours: settledHours }),
          loadTestPain === null ? "" : t("record.loadTest", { pain: loadTestPain }),
          otherLoad === null ? "" : t("record.otherLoad", { load: label("session", otherLoad) }),
        ].join(""),
        late: late ? t("record.late") : "",
      })}
    </p>
  ),
  decision: ({ decision }, record) => <DecisionBody decision={decision} record={record} />,
  stage: ({ stageName, reason }) => <p>{t("record.stageLine", { stage: stageName, reason })}</p>,
  turn: ({ turn, reason, summary }) => (
    <>
      <p>
        <span className="font-semibold">{t(`person.turned.${turn}`)}.</span> {reason}
      </p>
      {summary && <p className="whitespace-pre-line">{summary}</p>}
    </>
  ),
  message: ({ words }) => <p className="whitespace-pre-line">{words}</p>,
  harder: ({ itemId, allowed, reason }, record) => (
    <p>
      {t("record.harderLine", {
        exercise: exerciseName(record, itemId),
        allowed: allowed ? "yes" : "no",
        reason,
      })}
    </p>
  ),
  passing: ({ passing, reason }) => (
    <p>{t("record.passingLine", { passing: t(`passing.${passing}`), reason })}</p>
  ),
  school: ({ school, reason }) => <p>{t("record.schoolLine", { school: t(`school.${school}`), reason })}</p>,
  event: ({ event, on, procedures, graft, corrects, withdrawn, reason }) => (
    <>
      <p className="font-semibold">
        {[
          t(`event.${event}`),
          sayDate(on),
          ...procedures,
          ...(graft ? [t("history.graftOf", { graft })] : []),
        ].join(", ")}
      </p>
      <p>
        {withdrawn ? `${t("history.withdrawn")} ` : corrects ? `${t("history.corrects")} ` : ""}
        {reason}
      </p>
    </>
  ),
  condition: ({ asks, present, reason }) => (
    <p>{t(present ? "history.conditionBegan" : "history.conditionEnded", { asks, reason })}</p>
  ),
  word: ({ criterion, reason }) => <p>{t("history.word", { criterion, reason })}</p>,
  plan: ({ act, exercise, reason }) => (
    <p>
      {t(`record.plan.${act}`, { exercise })}
      {reason !== null && ` ${t("record.plan.why", { reason })}`}
    </p>
  ),
  clearance: ({ itemId, reason }, record) => (
    <p>
      {exerciseName(record, itemId)}: {reason}
    </p>
  ),
  signal: ({ code, exercise, note, cleared }, record) => (
    <>
      <p className="font-semibold">
        {t("record.signalLine", {
          signal: label("signal", code),
          exercise: exercise ? ` (${exercise})` : "",
        })}
      </p>
      {note && <p>“{note}”</p>}
      <p>
        {cleared
          ? t("record.cleared", {
              time: sayTime(cleared.at, record.zone),
              by: cleared.by,
              reason: cleared.reason,
            })
          : t("record.stillOpen")}
      </p>
    </>
  ),
  suspect: ({ trainingDate, itemId, reason }, record) => (
    <p>
      {t("record.suspectLine", {
        date: sayDate(trainingDate),
        exercise: exerciseName(record, itemId),
        reason,
      })}
    </p>
  ),
  document: ({ document, body }) => (
    <details>
      <summary className="min-h-8 cursor-pointer font-semibold">{t(`document.${document}`)}</summary>
      <p className="whitespace-pre-wrap">{body}</p>
    </details>
  ),
  measures: ({ results }, record, onChanged) => (
    <ul>
      {results.map((one) => (
        <li key={one.result.id}>
          <OneResult one={one} record={record} onChanged={onChanged} />
        </li>
      ))}
    </ul>
  ),
};

interface Props {
  entry: RecordEntry;
  record: RecordView;
  /** Something of it was corrected or voided: the record is read again. */
  onChanged: () => void;
}

export default function EntryBody({ entry, record, onChanged }: Props) {
  const body = bodies[entry.kind](entry as never, record, onChanged);
  const voided = "voided" in entry ? entry.voided : null;
  return (
    <>
      {voided && <VoidedNote voided={voided} zone={record.zone} />}
      {voided ? <div className="line-through opacity-75">{body}</div> : body}
      <EntryActs entry={entry} record={record} onChanged={onChanged} />
    </>
  );
}

function doneIn(record: RecordView, itemId: string) {
  const exercise = record.items.find((item) => item.itemId === itemId)?.exercise;
  return exercise ?? { name: "", faults: [] };
}

export function exerciseName(record: RecordView, itemId: string): string {
  return record.items.find((item) => item.itemId === itemId)?.name ?? "";
}
