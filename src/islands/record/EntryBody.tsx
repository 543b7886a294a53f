import type { RecordEntry, RecordView } from "~/contract/record";
import { label, sayDate, sayQuantity, sayTime, t } from "~/messages/say";
import DecisionBody from "./DecisionBody";
import { saySets } from "~/messages/say-sets";

type Of<K extends RecordEntry["kind"]> = Extract<RecordEntry, { kind: K }>;
type Bodies = { [K in RecordEntry["kind"]]: (entry: Of<K>, record: RecordView) => React.ReactNode };

/** How each kind of entry is told. */
const bodies: Bodies = {
  session: ({ session, corrected }, record) => (
    <>
      {corrected && <p className="font-semibold">{t("record.corrected")}</p>}
      {session.supersedes && <p>{t("record.corrects")}</p>}
      <p>{t("record.sessionLine", { pain: session.painBefore, minutes: session.minutes ?? 0 })}</p>
      {session.footwear && <p>{label("session.footwear", session.footwear)}</p>}
      {session.stillSore && <p>{t("record.stillSore")}</p>}
      <ul className="list-disc pl-5">
        {session.items.map((done) => (
          <li key={done.itemId}>{saySets(doneIn(record, done.itemId), done.sets)}</li>
        ))}
      </ul>
      {!corrected && (
        <a
          className="link inline-flex min-h-11 items-center text-sm print:hidden"
          href={`/episodes/${record.episodeId}/session?correct=${session.id}`}
        >
          {t("record.correct")}
        </a>
      )}
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
  }) => (
    <p>
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
  measures: ({ results }) => (
    <ul>
      {results.map((result, i) => (
        <li key={i}>
          {result.name}
          {result.side === "none" ? "" : `, ${label("side", result.side)}`}:{" "}
          <strong>{sayQuantity(result.value, result.unit)}</strong>
        </li>
      ))}
    </ul>
  ),
};

export default function EntryBody({ entry, record }: { entry: RecordEntry; record: RecordView }) {
  return bodies[entry.kind](entry as never, record);
}

function doneIn(record: RecordView, itemId: string) {
  const exercise = record.items.find((item) => item.itemId === itemId)?.exercise;
  return exercise ?? { name: "", faults: [] };
}

export function exerciseName(record: RecordView, itemId: string): string {
  return record.items.find((item) => item.itemId === itemId)?.name ?? "";
}
